import { ClipboardPlus } from 'lucide-react';
import { useState } from 'react';
import {
  BOOTS,
  type EntryOf,
  FLUID_COLOURS,
  FLUID_LEVELS,
  HOSES,
  LEADS,
  LEAK_SIGNS,
  newEntry,
  putEntry,
  SLEEVES,
  SLIDES,
  type WheelFound,
} from '../../../model';
import { findingsOf, fittedOn, takenAsInches } from '../../../services';
import { findingText, INSPECTION_SAFETY, thicknessText, WEIGHT_TEXT, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { Field } from '../../shared/Section';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { type Editing, useItem } from '../../state/useItem';
import { CheckField } from '../../ui/CheckField';
import { CaptionedDay } from '../../ui/DayField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { WHEEL_IDS, type WheelId } from './afterForm';
import { Cracks } from './Cracks';
import { Photos } from './Photos';
import { RotorPoints } from './RotorPoints';
import { type KeepTabProps, today } from './tabProps';

const LOOK = {
  stop: 'border-l-over',
  renew: 'border-l-over',
  watch: 'border-l-close',
  fine: 'border-l-rule',
} as const;

/** What was looked at, wheel by wheel, and what it means against the limits, the other side and the last time. */
export function InspectTab({ kept }: KeepTabProps) {
  const edit = useEdit();
  const list = kept.entries.filter((entry): entry is EntryOf<'inspection'> => entry.kind === 'inspection');
  const [picked, setPicked] = useState<string | null>(null);
  const open = list.find(({ id }) => id === picked) ?? list.at(-1) ?? null;
  const begin = () => {
    const id = crypto.randomUUID();
    const line = newEntry('inspection', { id, carId: kept.car.id, date: today() });
    const made = edit('Began an inspection', (p) =>
      putEntry(p, { ...line, by: list.at(-1)?.by ?? '', sets: fittedOn(kept.entries, today()) }),
    );
    if (made) setPicked(id);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="panel flex flex-wrap items-end gap-3 px-4 py-2.5 print:hidden">
        {list.length > 0 && (
          <div className="w-[260px] max-w-full">
            <SelectField
              label="Inspection"
              value={open?.id ?? ''}
              options={[...list].reverse().map(({ id, date, name }) => [id, `${date} ${name}`] as const)}
              onChange={setPicked}
            />
          </div>
        )}
        <button type="button" className="btn btn-main" onClick={begin}>
          <ClipboardPlus size={15} aria-hidden="true" /> New inspection
        </button>
        {!open && <p>{say.nothingInspected}</p>}
      </div>
      {open && <Inspection key={open.id} kept={kept} id={open.id} />}
    </div>
  );
}

function Inspection({ kept, id }: KeepTabProps & { readonly id: string }) {
  const editing = useItem('entries', id);
  if (editing?.item.kind !== 'inspection') return null;
  const entry = editing.item;
  return (
    <div className="grid gap-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3">
        <section className="panel grid gap-3 px-4 py-3 sm:grid-cols-3">
          <CaptionedDay
            label="Day"
            value={entry.date}
            onChange={(date) => date && editing.set(['date'], date, 'Day')}
          />
          <TextField
            label="Name"
            value={entry.name}
            longest={80}
            required
            onCommit={(name) => editing.set(['name'], name, 'Name')}
          />
          <TextField
            label="By"
            value={entry.by}
            longest={60}
            required={false}
            onCommit={(by) => editing.set(['by'], by, 'By')}
          />
        </section>
        {WHEEL_IDS.map((wheel) => (
          <Wheel key={wheel} editing={editing} entry={entry} wheel={wheel} />
        ))}
        <Fluid editing={editing} entry={entry} />
        <section className="panel px-4 py-3">
          <TextField
            label="Note"
            value={entry.note}
            longest={600}
            required={false}
            onCommit={(note) => editing.set(['note'], note, 'Note')}
          />
          <div className="mt-3">
            <Photos entry={entry} />
          </div>
        </section>
      </div>
      <Findings kept={kept} entry={entry} editing={editing} />
    </div>
  );
}

const PADS = ['innerLeadingMm', 'innerTrailingMm', 'outerLeadingMm', 'outerTrailingMm'] as const;
const STATES = {
  slides: ['Slides and pistons', SLIDES],
  boots: ['Boots and dust seals', BOOTS],
  leads: ['Sensor leads', LEADS],
  hose: ['Hose', HOSES],
  sleeves: ['Sleeves and shields', SLEEVES],
} as const;
type StateKey = keyof typeof STATES;

interface PartProps {
  readonly editing: Editing<'entries'>;
  readonly entry: EntryOf<'inspection'>;
}

function Wheel({ editing, entry, wheel }: PartProps & { readonly wheel: WheelId }) {
  const found: WheelFound | undefined = entry.wheels[wheel];
  const name = WHEEL_NAMES[wheel];
  const at = (key: keyof WheelFound) => ['wheels', wheel, key] as const;
  if (!found) return null;
  return (
    <section className="panel px-4 py-3" aria-label={name}>
      <h2 className="text-[15px] first-letter:uppercase">{name}</h2>
      <div className="mt-2 grid gap-x-4 gap-y-3 sm:grid-cols-2 xl:grid-cols-4">
        {PADS.map((key) => (
          <Field key={key} shelf="entries" editing={editing} path={at(key)} />
        ))}
      </div>
      <div className="mt-3 grid gap-x-4 gap-y-3 sm:grid-cols-2 xl:grid-cols-3">
        <RotorPoints
          wheel={name}
          points={found.rotorMm}
          onChange={(points) => editing.set(at('rotorMm'), points, 'Rotor thickness')}
        />
        <Field shelf="entries" editing={editing} path={at('runoutMm')} />
        <Field shelf="entries" editing={editing} path={at('growthMm')} />
      </div>
      <Cracks
        wheel={name}
        cracks={found.cracks}
        onChange={(cracks) => editing.set(at('cracks'), cracks, 'Cracks')}
      />
      <div className="mt-3 grid gap-x-4 gap-y-3 sm:grid-cols-3 xl:grid-cols-5">
        {(Object.keys(STATES) as StateKey[]).map((key) => (
          <SelectField
            key={key}
            label={STATES[key][0]}
            value={found[key] as string}
            options={STATES[key][1].map((state) => [state, state] as const)}
            onChange={(state) => editing.set(at(key), state, STATES[key][0])}
          />
        ))}
      </div>
      <div className="mt-3 flex flex-wrap gap-5">
        <CheckField checked={found.smear} onChange={(on) => editing.set(at('smear'), on, 'Smear')}>
          Pad material smeared
        </CheckField>
        <CheckField
          checked={found.blueSpots}
          onChange={(on) => editing.set(at('blueSpots'), on, 'Blue spots')}
        >
          Blue or dark spots
        </CheckField>
      </div>
    </section>
  );
}

function Fluid({ editing, entry }: PartProps) {
  const { level, colour, leaks } = entry.fluid;
  return (
    <section className="panel grid gap-3 px-4 py-3 sm:grid-cols-3" aria-label="Fluid">
      <SelectField
        label="Fluid level"
        value={level}
        options={FLUID_LEVELS.map((own) => [own, own] as const)}
        onChange={(next) => editing.set(['fluid', 'level'], next, 'Fluid level')}
      />
      <SelectField
        label="Fluid colour"
        value={colour ?? ''}
        options={[['', 'not looked at'], ...FLUID_COLOURS.map((own) => [own, own] as const)]}
        onChange={(next) => editing.set(['fluid', 'colour'], next === '' ? null : next, 'Fluid colour')}
      />
      <SelectField
        label="Leaks"
        value={leaks}
        options={LEAK_SIGNS.map((own) => [own, own] as const)}
        onChange={(next) => editing.set(['fluid', 'leaks'], next, 'Leaks')}
      />
    </section>
  );
}

function Findings({ kept, entry, editing }: KeepTabProps & PartProps) {
  const project = useProject();
  const units = useUnits();
  const findings = findingsOf(project, kept.car, entry);
  return (
    <section
      className="panel self-start px-4 py-3 lg:sticky lg:top-[92px] lg:max-h-[calc(100vh-110px)] lg:overflow-y-auto"
      aria-label="What it tells"
      tabIndex={-1}
    >
      <h2 className="text-[15px]">What it tells</h2>
      <p className="caption mt-0.5">{INSPECTION_SAFETY}</p>
      <ul className="mt-2 grid gap-2">
        {findings.map((finding) => {
          const { title, means, action } = findingText(finding, units);
          return (
            <li key={`${title} ${means}`} className={`border-l-4 pl-2.5 ${LOOK[finding.weight]}`}>
              <p>
                <span className="font-[600]">{WEIGHT_TEXT[finding.weight]}.</span> {title}
              </p>
              <p className="caption">
                {means} {action}
              </p>
              {finding.kind === 'reads like inches' && (
                <button
                  type="button"
                  className="btn mt-1"
                  onClick={() => {
                    const found = entry.wheels[finding.wheel];
                    if (found)
                      void editing.set(
                        ['wheels', finding.wheel],
                        takenAsInches(found, finding.part),
                        'Readings in inches',
                      );
                  }}
                >
                  {say.takeAsInches(thicknessText(finding.asReadMm, units))}
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
