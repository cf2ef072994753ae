import { FileUp } from 'lucide-react';
import { useEffect, useEffectEvent, useRef } from 'react';
import { acceptedBy } from '../../io';
import { say } from '../../text/en/say/shared';
import { type HandedKind, takeHanded, useHanded } from '../shell/handedFile';
import { toast } from '../ui/toast';
import { SAMPLES, sampleFile } from './samples';

/** A button that takes a file, and what is dropped on the window for it. */
export function FileDoor({
  kind,
  label,
  testId,
  samples,
  quiet = false,
  onFile,
}: {
  kind: HandedKind;
  label: string;
  testId: string;
  /** Invented files to try it with */
  samples: readonly (keyof typeof SAMPLES)[];
  /** One way in among others */
  quiet?: boolean;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const waiting = useHanded(kind);
  const take = useEffectEvent(onFile);
  useEffect(() => {
    const file = waiting && takeHanded(kind);
    if (file) take(file);
  }, [waiting, kind]);
  return (
    <>
      <button type="button" className={quiet ? 'btn' : 'btn btn-main'} onClick={() => input.current?.click()}>
        <FileUp size={15} aria-hidden="true" /> {label}
      </button>
      <input
        ref={input}
        type="file"
        accept={acceptedBy(kind)}
        className="hidden"
        data-testid={testId}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
      {samples.map((id) => (
        <button
          key={id}
          type="button"
          className="btn"
          onClick={() =>
            void sampleFile(id).then(onFile, (error: Error) => toast.error(say.sampleNotThere(error.message)))
          }
        >
          Try {SAMPLES[id].file}
        </button>
      ))}
    </>
  );
}
