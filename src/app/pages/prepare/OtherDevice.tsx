import { Share2 } from 'lucide-react';
import { useState } from 'react';
import { readWork, writeWork } from '../../../io';
import { joinedWork, joinWork, type Preparation, type Problem } from '../../../model';
import { say } from '../../../text/en/say/prepare';
import { FileDoor } from '../../shared/FileDoor';
import { Refusal } from '../../shared/Refusal';
import { download } from '../../shell/files';
import { useEdit } from '../../state/useEdit';

/** Takes what was done of this work on another device, and hands over what was done on this one. */
export function OtherDevice({ preparation }: { readonly preparation: Preparation }) {
  const edit = useEdit();
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);
  const [differs, setDiffers] = useState<readonly string[]>([]);
  const take = async (file: File) => {
    const read = readWork(await file.text());
    if (!read.ok) return setRefused({ name: file.name, problems: read.problems });
    setRefused(null);
    const { added, differs: other } = joinedWork(preparation, read.progress);
    const made = edit('Joined another device’s work', (p) => joinWork(p, preparation.id, read.progress), {
      done: say.joined(added, file.name),
    });
    setDiffers(made ? other : []);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => download('work', preparation.name, writeWork(preparation), '-done')}
        >
          <Share2 size={15} aria-hidden="true" /> Hand over
        </button>
        <FileDoor
          quiet
          kind="work"
          label="Join another device"
          testId="work-file"
          samples={[]}
          onFile={(file) => void take(file)}
        />
        <p className="caption">{say.otherDevice}</p>
      </div>
      {refused && <Refusal name={refused.name} problems={refused.problems} />}
      {differs.length > 0 && (
        <p className="mt-1" role="alert">
          {say.foundOtherwise(differs.join(', '))}
        </p>
      )}
    </>
  );
}
