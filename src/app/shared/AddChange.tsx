import { useEffect, useRef, useState } from 'react';
import type { AxleName } from '../../core';
import {
  type Car,
  type Change,
  changeSchema,
  fieldInfo,
  isForAxle,
  type Part,
  type PartKind,
  shelfOf,
  TYRE_KIND_IDS,
  TYRE_KINDS,
  type TyreKindId,
  VANE_IDS,
  VANES,
} from '../../model';
import { useProject } from '../state/context';
import { SelectField } from '../ui/SelectField';
import { AxleField } from './AxleField';
import { NumberField } from './NumberField';

type Kind = PartKind | 'ductArea' | 'tape' | 'shield' | 'vanes' | 'tyres' | 'thickness' | 'mass' | 'balance';
const KINDS: readonly (readonly [Kind, string])[] = [
  ['pad', 'Pads'],
  ['rotor', 'Rotors'],
  ['caliper', 'Calipers'],
  ['fluid', 'Fluid'],
  ['duct', 'Ducts of the shelf'],
  ['ductArea', 'Ducts of any area'],
  ['tape', 'Blanking over the ducts'],
  ['shield', 'Dust shields'],
  ['vanes', 'Other vanes'],
  ['thickness', 'Rotor thickness'],
  ['line', 'Lines'],
  ['tyres', 'Tyres'],
  ['cylinder', 'Master cylinder'],
  ['mass', 'Mass of the car'],
  ['balance', 'Brake balance (% front)'],
];
const NUMBERS = {
  ductArea: ['duct', 'areaCm2'],
  tape: ['tape', 'percent'],
  shield: ['shield', 'percent'],
  thickness: ['thickness', 'thicknessMm'],
  mass: ['mass', 'massKg'],
  balance: ['balance', 'frontSharePercent'],
} as const;
type NumberKind = keyof typeof NUMBERS;
const isNumber = (kind: Kind): kind is NumberKind => kind in NUMBERS;

/** The description of a change's number. */
function infoOf(kind: NumberKind) {
  const [change, field] = NUMBERS[kind];
  const option = changeSchema.def.options.find((o) => o.shape.kind.def.values[0] === change);
  return fieldInfo((option as { shape: Record<string, Parameters<typeof fieldInfo>[0]> }).shape[field]);
}

/** Adds one change to a setup: what, where, and which. */
export function AddChange({ carId, onAdd }: { carId: string; onAdd: (change: Change) => void }) {
  const project = useProject();
  const car = project.cars.find((c) => c.id === carId) ?? project.cars[0];
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<Kind>('pad');
  const [axle, setAxle] = useState<'front' | 'rear'>('front');
  const [picked, setPicked] = useState<string | null>(null);
  const [typed, setTyped] = useState<number | null>(null);
  // What had the focus goes away with each change of face.
  const { opener, form } = useFocusPassing(open);
  if (!open) {
    return (
      <button ref={opener} type="button" className="btn min-h-[26px] px-2" onClick={() => setOpen(true)}>
        Add a change
      </button>
    );
  }
  const present = presentOf(car, axle);
  const perAxle = isNumber(kind) ? kind !== 'mass' && kind !== 'balance' : isAxleKind(kind, car);
  const options = optionsOf(kind, project.parts);
  const choice = options.some(([id]) => id === picked) ? (picked as string) : (options[0]?.[0] ?? '');
  const change = (): Change =>
    isNumber(kind)
      ? numberChange(kind, axle, typed ?? present[kind])
      : kind === 'vanes'
        ? { kind: 'vanes', axle, vaneType: choice as (typeof VANE_IDS)[number] }
        : kind === 'tyres'
          ? { kind: 'tyres', tyres: choice as TyreKindId }
          : { kind: 'part', part: choice, axle: perAxle ? axle : 'front' };
  return (
    <div ref={form} className="flex w-full flex-wrap items-end gap-2 border-t border-rule/60 pt-2">
      <div className="w-[180px]">
        <SelectField
          label="What"
          value={kind}
          options={KINDS}
          onChange={(next) => {
            setKind(next);
            setTyped(null);
          }}
        />
      </div>
      {perAxle && (
        <div className="w-[110px]">
          <AxleField
            label="Where"
            value={axle}
            onChange={(next) => {
              setAxle(next);
              setTyped(null);
            }}
          />
        </div>
      )}
      {isNumber(kind) ? (
        <Amount kind={kind} typed={typed} present={present} setTyped={setTyped} />
      ) : (
        <div className="w-[250px]">
          <SelectField label="Which" value={choice} options={options} onChange={setPicked} />
        </div>
      )}
      <button
        type="button"
        className="btn btn-main"
        onClick={() => {
          onAdd(change());
          setOpen(false);
          setTyped(null);
        }}
      >
        Add
      </button>
      <button type="button" className="btn" onClick={() => setOpen(false)}>
        Close
      </button>
    </div>
  );
}

/** Whether what is no number is for one axle. */
function isAxleKind(kind: Exclude<Kind, NumberKind>, car: Car): boolean {
  if (kind === 'vanes' || kind === 'tyres') return kind === 'vanes';
  return kind === 'cylinder' ? car.pedal.cylinders.kind === 'pair' : isForAxle({ kind });
}

/** What had the focus goes away with each change of face: it is passed on. */
function useFocusPassing(open: boolean) {
  const opener = useRef<HTMLButtonElement>(null);
  const form = useRef<HTMLDivElement>(null);
  const was = useRef(open);
  useEffect(() => {
    if (was.current === open) return;
    was.current = open;
    if (open) form.current?.querySelector<HTMLElement>('[role=combobox]')?.focus();
    else opener.current?.focus();
  }, [open]);
  return { opener, form };
}

/** What the change is: a part, or a number with what it is now. */
function Amount({
  kind,
  typed,
  present,
  setTyped,
}: {
  kind: NumberKind;
  typed: number | null;
  present: Record<NumberKind, number>;
  setTyped: (value: number | null) => void;
}) {
  return (
    <div className="w-[150px]">
      <span className="font-[540]">Value</span>
      <div className="mt-0.5">
        <NumberField
          compact
          info={infoOf(kind)}
          value={typed ?? present[kind]}
          onCommit={(value) => {
            setTyped(value);
            return null;
          }}
        />
      </div>
    </div>
  );
}

/** The numbers of the car as it is that a change may move, in stored units. */
function presentOf(car: Car, axle: AxleName): Record<NumberKind, number> {
  return {
    ductArea: car[axle].ductAreaCm2,
    tape: car[axle].blankedOffPercent,
    shield: car[axle].shieldPercent,
    thickness: car[axle].rotor.thicknessMm,
    mass: car.massKg,
    balance: car.frontSharePercent ?? 60,
  };
}

function numberChange(kind: NumberKind, axle: AxleName, value: number): Change {
  switch (kind) {
    case 'ductArea':
      return { kind: 'duct', axle, areaCm2: value };
    case 'tape':
      return { kind: 'tape', axle, percent: value };
    case 'shield':
      return { kind: 'shield', axle, percent: value };
    case 'thickness':
      return { kind: 'thickness', axle, thicknessMm: value };
    case 'mass':
      return { kind: 'mass', massKg: value };
    case 'balance':
      return { kind: 'balance', frontSharePercent: value };
  }
}

/** What may be chosen of a kind that is not a number. */
function optionsOf(kind: Kind, parts: readonly Part[]): readonly (readonly [string, string])[] {
  if (isNumber(kind)) return [];
  if (kind === 'vanes') return VANE_IDS.map((id) => [id, VANES[id].name]);
  if (kind === 'tyres') return TYRE_KIND_IDS.map((id) => [id, TYRE_KINDS[id].name]);
  return shelfOf(kind, parts).map((part) => [part.id, part.name]);
}
