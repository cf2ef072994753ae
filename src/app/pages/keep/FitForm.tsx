import { useState } from 'react';
import { newEntry, placeOf, putEntry, SET_PLACES, type SetPlace } from '../../../model';
import { fittedOn } from '../../../services';
import { PLACE_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { useProject } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { CheckField } from '../../ui/CheckField';
import { DayField } from '../../ui/DayField';
import { SelectField } from '../../ui/SelectField';
import { type KeepTabProps, today } from './tabProps';

/** Which sets go on the car, from which day on; a line of the logbook. */
export function FitForm({ kept }: KeepTabProps) {
  const project = useProject();
  const edit = useEdit();
  const [date, setDate] = useState(today());
  const [chosen, setChosen] = useState<Partial<Record<SetPlace, string>>>({});
  const [swapped, setSwapped] = useState(false);
  const fitted = fittedOn(kept.entries);
  const changed = SET_PLACES.filter(
    (place) => chosen[place] !== undefined && chosen[place] !== (fitted[place] ?? ''),
  );
  const keep = () => {
    const sets = Object.fromEntries(changed.map((place) => [place, chosen[place] || null]));
    const line = newEntry('fitted', { id: crypto.randomUUID(), carId: kept.car.id, date });
    const name = changed.map((place) => PLACE_TEXT[place]).join(', ') || 'Left and right exchanged';
    const made = edit(
      'Fitted sets',
      (p) => putEntry(p, { ...line, name: name.slice(0, 80), sets, swapped }),
      {
        done: say.writtenDown(name),
      },
    );
    if (!made) return;
    setChosen({});
    setSwapped(false);
  };
  return (
    <section className="panel flex flex-wrap items-end gap-x-4 gap-y-2 px-4 py-2.5" aria-label="Fit sets">
      {SET_PLACES.map((place) => (
        <div key={place} className="w-[160px]">
          <SelectField
            label={PLACE_TEXT[place]}
            value={chosen[place] ?? fitted[place] ?? ''}
            options={[
              ['', 'none of the list'],
              ...project.sets
                .filter(
                  (set) => set.carId === kept.car.id && placeOf(set) === place && set.retiredOn === null,
                )
                .map(({ id, name }) => [id, name] as const),
            ]}
            onChange={(id) => setChosen((now) => ({ ...now, [place]: id }))}
          />
        </div>
      ))}
      <CheckField className="min-h-[30px]" checked={swapped} onChange={setSwapped}>
        Left and right exchanged
      </CheckField>
      <div className="w-[150px]">
        <DayField label="From" value={date} onChange={(day) => day && setDate(day)} />
      </div>
      <button
        type="button"
        className="btn btn-main"
        disabled={changed.length === 0 && !swapped}
        onClick={keep}
      >
        Fitted
      </button>
    </section>
  );
}
