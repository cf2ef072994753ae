import { type ReactNode, useState } from 'react';
import type { Problem } from '../../model';
import { say } from '../../text/en/say/shell';
import { problemLines } from './files';

/** What was saved cannot be read: it is kept aside and can be exported; the demo opens when asked for. */
export function Unreadable({
  problems,
  kept,
  onExport,
  children,
}: {
  problems: readonly Problem[];
  /** Whether a copy of it lies in the browser */
  kept: boolean;
  onExport: () => void;
  children: ReactNode;
}) {
  const [gone, setGone] = useState(false);
  if (gone) return children;
  return (
    <main className="mx-auto mt-16 max-w-[560px] px-4">
      <div className="panel border-l-4 border-l-over px-5 py-5" role="alert">
        <h1 className="text-[20px]">The saved project cannot be read</h1>
        <p className="mt-1 text-dim">{kept ? say.nothingWasDeletedCopy : say.nothingWasDeletedBut}</p>
        <ul className="mt-3 grid gap-1.5">
          {problemLines(problems).map((line) => (
            <li key={line} className="border-l-2 border-over pl-2.5 break-words">
              {line}
            </li>
          ))}
        </ul>
        <p className="mt-4 flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={onExport}>
            Export what was saved
          </button>
          <button type="button" className="btn btn-main" onClick={() => setGone(true)}>
            Go on with the demo project
          </button>
        </p>
      </div>
    </main>
  );
}
