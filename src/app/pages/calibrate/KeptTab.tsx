import { format, parseISO } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { NINETY, PARAMETERS } from '../../../core';
import {
  type Calibration,
  deleteItem,
  isBuiltIn,
  isOfTheDay,
  lostValues,
  type Part,
  padOf,
  parameterInfo,
  renameItem,
  type UnitChoice,
} from '../../../model';
import { UNTOLD } from '../../../services';
import { parameterText, spreadText } from '../../../text/en';
import { say } from '../../../text/en/say/calibrate';
import { useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { TextField } from '../../ui/TextField';

/** What was kept of the car, the newest first; which of it counts, and what no longer holds. */
export function KeptTab() {
  const { calibrations } = useProject();
  const { car, calibration } = useSetup();
  const own = calibrations.filter(({ carId }) => carId === car.id).toReversed();
  if (own.length === 0) return <p className="panel max-w-[80ch] px-4 py-5">{say.noneKept}</p>;
  return (
    <ul className="grid gap-3" data-testid="calibrations">
      {own.map((kept) => (
        <li key={kept.id} className="panel px-4 py-3">
          <Kept kept={kept} used={kept.id === calibration?.id} />
        </li>
      ))}
    </ul>
  );
}

const both = (list: readonly string[]) => [...new Set(list)].join(', ');

function Kept({ kept, used }: { readonly kept: Calibration; readonly used: boolean }) {
  const { car, parts } = useSetup();
  const edit = useEdit();
  const units = useUnits();
  const lost = lostValues(kept, car);
  const ofTheCar = kept.values.filter(({ parameter }) => !isOfTheDay(parameter));
  const gone = lost.length > 0 && lost.length === ofTheCar.length;
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="w-[300px] max-w-full">
          <TextField
            label="Name"
            value={kept.name}
            longest={80}
            required
            onCommit={(name) =>
              edit('Renamed a calibration', (p) => renameItem(p, 'calibrations', kept.id, name), {
                key: `${kept.id}/name`,
              })
            }
          />
        </div>
        <p className="min-w-0 flex-1">
          <strong className="font-[640]">
            {used ? say.usedNow : gone ? say.holdsNothing : say.notUsed}.
          </strong>{' '}
          {format(parseISO(kept.date), 'd MMMM yyyy')}.{' '}
          {say.keptFrom(kept.drives.map((d) => `“${d}”`).join(', '), kept.observations)}
        </p>
        <IconButton
          icon={Trash2}
          name={`Delete ${kept.name}`}
          title="Delete"
          onClick={() =>
            edit('Deleted a calibration', (p) => deleteItem(p, 'calibrations', kept.id), {
              done: `Deleted “${kept.name}”`,
            })
          }
        />
      </div>
      <ul className="mt-2 grid gap-x-6 gap-y-0.5 sm:grid-cols-2 lg:grid-cols-3">
        {kept.values.map((value) => {
          const isLost = lost.some(({ parameter }) => parameter === value.parameter);
          return (
            <li key={value.parameter} className={isLost ? 'text-dim line-through' : ''}>
              {parameterInfo(value.parameter).title}: <strong>{keptText(value, units)}</strong>
              {isOfTheDay(value.parameter) && <span className="caption"> of that day only</span>}
              {value.shrunk >= UNTOLD && <span className="caption"> known only with the others</span>}
            </li>
          );
        })}
      </ul>
      <p className="caption mt-1">{say.fittedThen(partsOf(kept.car, parts))}</p>
      {lost.length > 0 && (
        <p className="mt-1" role="status">
          {say.lostNow(
            both(lost.map(({ parameter }) => parameterInfo(parameter).title.toLowerCase())),
            both(lost.flatMap(({ changed }) => changed)),
          )}
        </p>
      )}
    </>
  );
}

/** Pads that a car was fitted with; one's own that is gone from the shelf by its id. */
function partsOf({ front, rear }: Calibration['car'], parts: readonly Part[]): string {
  const nameOf = (id: string) =>
    isBuiltIn(id) || parts.some((part) => part.id === id) ? padOf(id, parts).name : id;
  return `front pads ${nameOf(front.pad)}, rear pads ${nameOf(rear.pad)}`;
}

/** A kept value, and within what 90 % of it lies. */
function keptText({ parameter, value, spread }: Calibration['values'][number], units: UnitChoice): string {
  const far = NINETY * spread;
  const text = (of: number) => parameterText(parameter, of, units);
  if (PARAMETERS[parameter].how === 'factor') {
    return `${text(value)} (${text(value * Math.exp(-far))} to ${text(value * Math.exp(far))})`;
  }
  return `${text(value)} ±${spreadText(parameter, far, units)}`;
}
