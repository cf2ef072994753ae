import type { ReadingFit } from '../../../core';
import {
  fromSi,
  type Observation,
  setObservations,
  siText,
  toSi,
  toStored,
  type UnitChoice,
  US,
  unitOf,
} from '../../../model';
import { observationsOf } from '../../../services';
import { observationText } from '../../../text/en';
import { say } from '../../../text/en/say/calibrate';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { predictedText, wornText } from './predictedText';
import { ResidualLine } from './ResidualLine';
import type { EstimateDone } from './useEstimate';

/** Readings that come of one observation, with the one that fits worst. */
interface Row {
  readonly drive: number;
  readonly id: string;
  readonly observations: readonly Observation[];
  readonly worst: ReadingFit;
  /** All of them: a sensor has many */
  readonly all: readonly ReadingFit[];
}

function rowsOf({ answer, asked }: EstimateDone): Row[] {
  const rows = new Map<string, Row>();
  for (const fit of answer.fit.readings) {
    const key = `${fit.drive} ${fit.reading.id}`;
    const before = rows.get(key);
    if (before) {
      const worst = Math.abs(fit.apart) > Math.abs(before.worst.apart) ? fit : before.worst;
      rows.set(key, { ...before, worst, all: [...before.all, fit] });
      continue;
    }
    const ids = observationsOf(fit.reading.id);
    const observations = asked.fitted[fit.drive].observations.filter(({ id }) => ids.includes(id));
    rows.set(key, { drive: fit.drive, id: fit.reading.id, observations, worst: fit, all: [fit] });
  }
  return [...rows.values()].sort((a, b) => orderOf(a) - orderOf(b));
}

const ORDER = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'];
/** By drive, then wheel by wheel; what is of an axle stands before its wheels. */
function orderOf({ drive, worst }: Row): number {
  const { look } = worst.reading;
  const wheel = 'axle' in look ? (look.axle === 'front' ? -0.5 : 1.5) : ORDER.indexOf(look.wheel);
  return 10 * drive + wheel;
}

/** Readings beside what was predicted for them, before and after, in the order of the wheels. */
export function FitReadings({ done }: { readonly done: EstimateDone }) {
  const units = useUnits();
  const edit = useEdit();
  const { odd } = done.answer.fit;
  const leaveOut = (row: Row) => {
    const drive = done.asked.fitted[row.drive];
    const ids = row.observations.map(({ id }) => id);
    edit(
      'Left a reading out',
      (p) =>
        setObservations(
          p,
          drive.id,
          drive.observations.map((own) =>
            ids.includes(own.id) ? { ...own, excluded: 'does not fit the others' } : own,
          ),
        ),
      { done: 'Left out; calibrate again without it' },
    );
  };
  return (
    <ScrollPanel label="Readings and predictions">
      <table className="w-full min-w-[680px] text-left" data-testid="fit-readings">
        <thead>
          <tr className="caption border-b border-rule">
            <th className="py-1 font-normal">Reading</th>
            <th className="px-2 text-right font-normal">Predicted before</th>
            <th className="px-2 text-right font-normal">Predicted now</th>
            <th className="px-2 text-right font-normal">Now less read</th>
            <th className="px-2 font-normal">Fits</th>
          </tr>
        </thead>
        <tbody>
          {rowsOf(done).map((row) => {
            const strange = odd.includes(row.id);
            return (
              <tr key={`${row.drive} ${row.id}`} className="border-b border-rule/60 last:border-0">
                <th className="max-w-[340px] py-1 font-[520]">
                  {row.observations.map((own) => (
                    <span key={own.id} className="block">
                      {observationText(own, units)}
                    </span>
                  ))}
                </th>
                <td className="px-2 text-right">
                  {predictedText(row.worst.reading, row.worst.before, units)}
                </td>
                <td className="px-2 text-right">
                  {predictedText(row.worst.reading, row.worst.after, units)}
                </td>
                <td className="px-2 text-right">{offText(row.worst, units)}</td>
                <td className="px-2">
                  {strange ? (
                    <span className="flex flex-wrap items-center gap-2">
                      <strong className="text-over">Does not fit</strong>
                      <button type="button" className="btn min-h-[26px]" onClick={() => leaveOut(row)}>
                        Leave out
                      </button>
                      {fahrenheit(row.worst, units)}
                    </span>
                  ) : (
                    'fits'
                  )}
                  {row.all.length > 1 && <ResidualLine fits={row.all} />}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {odd.length > 0 && <p className="caption mt-1">{say.oddOnes(odd.length)}</p>}
    </ScrollPanel>
  );
}

function offText({ reading, apart }: ReadingFit, units: UnitChoice): string {
  if (Math.abs(apart) < 0.05) return 'within';
  const off = apart * reading.seen.error;
  const sign = off < 0 ? '−' : '+';
  if (reading.look.kind === 'worn') return `${sign}${wornText(Math.abs(off), units)}`;
  return `${sign}${siText(Math.abs(off), 'difference', units)}`;
}

/** A reading that would fit in the other unit. */
function fahrenheit({ reading, after }: ReadingFit, units: UnitChoice) {
  const { seen, look } = reading;
  if (seen.kind !== 'value' || look.kind === 'worn') return null;
  const read = fromSi(seen.value, 'temperature');
  const meant = toSi(toStored(read, unitOf('temperature', US)), 'temperature');
  if (Math.abs(meant - after) > 2.5 * seen.error) return null;
  return <span>{say.perhapsFahrenheit(`${Math.round(read)} °F`, siText(after, 'temperature', units))}</span>;
}
