import type { Problem } from '../../model';
import { say } from '../../text/en/say/shared';
import { problemLines } from '../shell/files';

/** Why a file was not taken. */
export function Refusal({ name, problems }: { name: string; problems: readonly Problem[] }) {
  return (
    <div className="panel border-l-4 border-l-over px-4 py-3" role="alert" data-testid="refusal">
      <h2 className="text-[15px] break-words">{name} was not taken</h2>
      <ul className="mt-1 grid gap-1">
        {problemLines(problems).map((line) => (
          <li key={line} className="break-words">
            {line.charAt(0).toUpperCase()}
            {line.slice(1)}
          </li>
        ))}
      </ul>
      <p className="caption mt-1">{say.nothingWasChangedChoose}</p>
    </div>
  );
}
