import { useQuery } from '@tanstack/react-query';
import { Camera, X } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import { acceptedBy } from '../../../io';
import { type LogEntry, type Photo, putEntry } from '../../../model';
import { browserPhotoStore, keepPhoto, openPhoto } from '../../../storage';
import { say } from '../../../text/en/say/keep';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { toast } from '../../ui/toast';
import { smallPhoto } from './photoFile';

/** Pictures of a line; kept in the browser beside the project. */
export function Photos({ entry }: { readonly entry: LogEntry }) {
  const edit = useEdit();
  const input = useRef<HTMLInputElement>(null);
  const add = async (files: FileList | null) => {
    for (const file of files ?? []) {
      try {
        const { photo, bytes } = await smallPhoto(file);
        // The picture first: a line that speaks of it must find it.
        await keepPhoto(browserPhotoStore(), photo.id, bytes);
        edit('Added a picture', (p) => {
          const now = p.entries.find(({ id }) => id === entry.id) ?? entry;
          return putEntry(p, { ...now, photos: [...now.photos, photo] });
        });
      } catch (error) {
        toast.error((error as Error).message, { duration: 10_000 });
      }
    }
  };
  return (
    <div className="flex flex-wrap items-start gap-3">
      {entry.photos.map((photo) => (
        <Shown
          key={photo.id}
          photo={photo}
          onRemove={() =>
            edit(
              'Removed a picture',
              (p) => putEntry(p, { ...entry, photos: entry.photos.filter(({ id }) => id !== photo.id) }),
              { done: say.pictureRemoved },
            )
          }
        />
      ))}
      <div>
        <button type="button" className="btn" onClick={() => input.current?.click()}>
          <Camera size={15} aria-hidden="true" /> Add pictures
        </button>
        <p className="caption mt-1 max-w-[40ch]">{say.picturesKept}</p>
        <input
          ref={input}
          type="file"
          multiple
          accept={acceptedBy('photo')}
          className="hidden"
          aria-label="Pictures to add"
          data-testid="photos"
          onChange={(event) => {
            const { files } = event.target;
            void add(files).then(() => {
              event.target.value = '';
            });
          }}
        />
      </div>
    </div>
  );
}

function Shown({ photo, onRemove }: { readonly photo: Photo; readonly onRemove: () => void }) {
  const { data } = useQuery({
    queryKey: ['photo', photo.id],
    queryFn: () => openPhoto(browserPhotoStore(), photo.id),
  });
  const url = useMemo(
    () =>
      data ? URL.createObjectURL(new Blob([data as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' })) : null,
    [data],
  );
  useEffect(() => () => void (url && URL.revokeObjectURL(url)), [url]);
  return (
    <figure className="relative w-[200px]">
      {url ? (
        <img
          src={url}
          alt={photo.name}
          width={photo.widthPx}
          height={photo.heightPx}
          className="h-auto w-full rounded-[4px] border border-rule"
        />
      ) : (
        <div className="grid h-[120px] place-items-center border border-rule p-2 text-center text-dim">
          {data === null ? say.pictureGone(photo.name) : ''}
        </div>
      )}
      <figcaption className="caption flex items-center justify-between gap-1">
        <span className="truncate">{photo.name}</span>
        <IconButton icon={X} name={`Remove ${photo.name}`} title="Remove" onClick={onRemove} />
      </figcaption>
    </figure>
  );
}
