import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { ListedTracks } from '../../../compute';
import type { Refused } from '../../../model';
import type { FoundLine } from '../../../services';
import { say } from '../../../text/en/say/circuits';
import { FileDoor } from '../../shared/FileDoor';
import { Refusal } from '../../shared/Refusal';
import { useBackground } from '../../state/context';
import { SelectField } from '../../ui/SelectField';
import { Shape } from './ImportedLine';

/** Tells one opened file from the next, also after this tab was left: answers are kept under it for a while. */
let opened = 0;
const nextNumber = () => ++opened;

/** Makes a circuit of a GPX, KML, GeoJSON or CSV file. */
export function ImportTab() {
  const { files } = useBackground();
  const [chosen, setChosen] = useState<{ readonly file: File; readonly number: number } | null>(null);
  const listed = useQuery({
    queryKey: ['tracks', chosen?.number],
    enabled: chosen !== null,
    queryFn: () =>
      files.call(
        (remote) => remote.openTracks((chosen as { file: File }).file) as Promise<ListedTracks | Refused>,
      ),
  });
  return (
    <>
      <section className="panel px-4 py-3" aria-label="Circuit file">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <FileDoor
            kind="tracks"
            label="Choose a file"
            testId="circuit-file"
            samples={['circuit', 'recording']}
            onFile={(file) => setChosen({ file, number: nextNumber() })}
          />
          <p className="max-w-[80ch]">{say.gpxKmlGeojsonTable}</p>
        </div>
      </section>
      {chosen && listed.isPending && (
        <p className="panel px-4 py-4 text-dim" role="status">
          Reading {chosen.file.name} …
        </p>
      )}
      {chosen && listed.error && (
        <Refusal
          name={chosen.file.name}
          problems={[{ path: '', message: listed.error.message, severity: 'error' }]}
        />
      )}
      {chosen && listed.data && !listed.data.ok && (
        <Refusal name={chosen.file.name} problems={listed.data.problems} />
      )}
      {chosen && listed.data?.ok && (
        <Lines key={chosen.number} file={chosen.file} number={chosen.number} listed={listed.data} />
      )}
    </>
  );
}

function Lines({ file, number, listed }: { file: File; number: number; listed: ListedTracks }) {
  const { files } = useBackground();
  const longest = listed.tracks.reduce((best, t, i) => (t.points > listed.tracks[best].points ? i : best), 0);
  const [track, setTrack] = useState(longest);
  const [bound, setBound] = useState<number | null>(null);
  const found = useQuery({
    queryKey: ['line', number, track, bound],
    // The choices made so far stay while the line is laid anew.
    placeholderData: (last: FoundLine | Refused | undefined, before) =>
      before?.queryKey[1] === number && before.queryKey[2] === track ? last : undefined,
    queryFn: () => files.call((remote) => remote.findLine(track, bound) as Promise<FoundLine | Refused>),
  });
  return (
    <>
      {(listed.tracks.length > 1 || listed.notes.length > 0) && (
        <section className="panel grid gap-2 px-4 py-3" aria-label="Lines in the file">
          {listed.tracks.length > 1 && (
            <div className="w-[360px] max-w-full">
              <SelectField
                label={`The file holds ${listed.tracks.length} lines`}
                value={String(track)}
                options={listed.tracks.map((t, i) => [String(i), `${t.name} (${t.points} points)`] as const)}
                onChange={(value) => setTrack(Number(value))}
              />
            </div>
          )}
          {listed.notes.map((note) => (
            <p key={note} className="text-close">
              {note}
            </p>
          ))}
        </section>
      )}
      {found.isPending && (
        <p className="panel px-4 py-4 text-dim" role="status">
          Looking for the lap …
        </p>
      )}
      {found.error && (
        <Refusal
          name={file.name}
          problems={[{ path: '', message: found.error.message, severity: 'error' }]}
        />
      )}
      {found.data && !found.data.ok && <Refusal name={file.name} problems={found.data.problems} />}
      {found.data?.ok && (
        <Shape
          track={track}
          key={`${track}`}
          name={listed.tracks[track].name}
          file={file}
          id={`${number}/${track}/${bound}`}
          found={found.data}
          bound={bound}
          settled={!found.isPlaceholderData}
          onBound={setBound}
        />
      )}
    </>
  );
}
