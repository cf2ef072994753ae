import { Check } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import {
  labelAt,
  ORIGIN_IDS,
  type Origin,
  originOf,
  type Path,
  replaceItem,
  type Shelf,
  withOrigin,
} from '../../model';
import { say } from '../../text/en/say/shared';
import { useEdit } from '../state/useEdit';
import type { Editing } from '../state/useItem';

const MEANING: Readonly<Record<Origin, string>> = {
  assumed: say.originAssumed,
  typed: say.originTyped,
  measured: say.originMeasured,
  calibrated: say.originCalibrated,
};

/** How the value at a path is known, quietly beside its field; it can be said otherwise. */
export function OriginMark<S extends Shelf>({
  shelf,
  editing,
  path,
}: {
  readonly shelf: S;
  readonly editing: Editing<S>;
  readonly path: Path;
}) {
  const edit = useEdit();
  const { item } = editing;
  const dotted = path.join('.');
  // Sessions of a plan are one value; what is empty is none, and what no day depends on says nothing of it.
  if (!('origins' in item) || path.some((part) => typeof part === 'number') || editing.get(path) === null)
    return null;
  if (path[0] === 'workshop') return null;
  const origin = originOf(item.origins, dotted);
  const title = labelAt(shelf, path);
  const tell = (next: Origin) =>
    edit(`${title}: ${next}`, (project) =>
      replaceItem(project, shelf, { ...item, origins: withOrigin(item.origins, dotted, next) }),
    );
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        className={`caption min-h-[24px] rounded px-1 hover:bg-sunk ${origin === 'assumed' ? '' : 'text-ink! font-[560]'}`}
        aria-label={say.originOf(title, origin)}
      >
        {origin}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="menu" align="end" sideOffset={2} collisionPadding={8}>
          <DropdownMenu.RadioGroup value={origin} onValueChange={(next) => tell(next as Origin)}>
            {ORIGIN_IDS.map((id) => (
              <DropdownMenu.RadioItem key={id} value={id} className="menu-item justify-between">
                <span>
                  <span className="font-[600]">{id}</span>{' '}
                  <span className="text-[12.5px]">{MEANING[id]}</span>
                </span>
                <DropdownMenu.ItemIndicator>
                  <Check size={14} aria-hidden="true" />
                </DropdownMenu.ItemIndicator>
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
