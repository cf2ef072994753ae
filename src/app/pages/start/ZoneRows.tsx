import { Trash2 } from 'lucide-react';
import { type ClipboardEvent, type KeyboardEvent, useState } from 'react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import type { ZoneTable } from '../../../io';
import {
  type Car,
  formatQuantity,
  fromSi,
  inG,
  meanDeceleration,
  powerBetween,
  type Refused,
  toStored,
  tyreDeceleration,
  unitOf,
} from '../../../model';
import { say } from '../../../text/en/say/start';
import { FormNumber } from '../../shared/form/FormNumber';
import { FormText } from '../../shared/form/FormText';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { IconButton } from '../../ui/IconButton';
import { parseNumber } from '../../ui/parseNumber';
import { EMPTY_ROW, isBlank, rowOf, type TypedRow } from './zonesForm';

export interface ZonesTyped {
  name: string;
  rows: TypedRow[];
}

/** A table of braking zones: typed cell by cell, or pasted from a spreadsheet into any of them. */
export function ZoneRows({ car }: { readonly car: Car }) {
  const { control, getValues, setFocus } = useFormContext<ZonesTyped>();
  const { fields, append, remove, replace } = useFieldArray({ control, name: 'rows' });
  const { files } = useBackground();
  const units = useUnits();
  const [read, setRead] = useState<ZoneTable | Refused | null>(null);

  const paste = async (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text/plain');
    // A single number goes into its own cell.
    if (!/[\t\n;]/.test(text.trim())) return;
    event.preventDefault();
    const table = await files.call((remote) => remote.zoneTable(text, units) as Promise<ZoneTable | Refused>);
    setRead(table);
    if (!table.ok) return;
    const kept = getValues('rows').filter((row) => !isBlank(row));
    replace([...kept, ...table.zones.map((zone) => rowOf(zone, units))]);
  };
  const another = () => append(EMPTY_ROW, { focusName: `rows.${fields.length}.name` });
  const onKey = (event: KeyboardEvent, i: number) => {
    if (event.key !== 'Enter') return;
    // Enter goes on to the next row, and makes one after the last.
    event.preventDefault();
    if (i === fields.length - 1) another();
    else setFocus(`rows.${i + 1}.name`);
  };
  return (
    <div onPaste={paste}>
      <p className="caption max-w-[92ch]">
        {say.tableHow} {say.tablePaste}
      </p>
      <div className="relative mt-2 overflow-x-auto">
        <table className="w-full min-w-[620px] text-left">
          <thead>
            <tr className="caption">
              <th className="w-7 py-1 font-normal">No.</th>
              <th className="font-normal">Place</th>
              <th className="w-[112px] font-normal">From</th>
              <th className="w-[112px] font-normal">To</th>
              <th className="w-[124px] font-normal">Over, if known</th>
              <th className="w-[124px] font-normal">To the next</th>
              <th className="w-[40px]">
                <span className="sr-only">Delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {fields.map((row, i) => (
              <tr key={row.id} className="align-top" onKeyDown={(event) => onKey(event, i)}>
                <td className="py-1.5 text-dim">{i + 1}</td>
                <td className="py-0.5 pr-2">
                  <FormText<ZonesTyped>
                    hidden
                    name={`rows.${i}.name`}
                    label={`Place of braking zone ${i + 1}`}
                  />
                  <Beyond car={car} i={i} />
                </td>
                {(
                  [
                    ['entry', 'From', 'speed'],
                    ['exit', 'To', 'speed'],
                    ['over', 'Over', 'distance'],
                    ['next', 'To the next', 'distance'],
                  ] as const
                ).map(([key, label, quantity]) => (
                  <td key={key} className="py-0.5 pr-2">
                    <FormNumber<ZonesTyped>
                      hidden
                      name={`rows.${i}.${key}`}
                      label={`${label} of braking zone ${i + 1}`}
                      quantity={quantity}
                    />
                  </td>
                ))}
                <td className="py-0.5">
                  <IconButton
                    icon={Trash2}
                    name={`Delete braking zone ${i + 1}`}
                    title="Delete"
                    onClick={() => remove(i)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <button type="button" className="btn mt-2" onClick={another}>
        Add a braking zone
      </button>
      <Read read={read} />
    </div>
  );
}

/** What came of the last paste. */
function Read({ read }: { readonly read: ZoneTable | Refused | null }) {
  if (!read) return null;
  if (!read.ok) {
    const [{ path, message }] = read.problems;
    return (
      <p role="alert" className="mt-2 text-over">
        {path ? `${path}: ` : ''}
        {message}
      </p>
    );
  }
  return (
    <div role="status" className="mt-2">
      <p>{say.tableRead(read.zones.length)}</p>
      {read.leftOut.map(({ row, reason }) => (
        <p key={row} className="text-close">
          {say.tableLeftOut(row, reason)}
        </p>
      ))}
    </div>
  );
}

/** What no tyre and no engine of this car can do is asked about. */
function Beyond({ car, i }: { readonly car: Car; readonly i: number }) {
  const { control } = useFormContext<ZonesTyped>();
  const rows = useWatch({ control, name: 'rows' });
  const units = useUnits();
  const number = (text: string | undefined, of: 'speed' | 'distance') => {
    const value = parseNumber(text ?? '');
    return value === null ? null : toStored(value, unitOf(of, units));
  };
  const row = rows[i];
  const filled = rows.filter((other) => !isBlank(other));
  const after = filled[(filled.indexOf(row) + 1) % Math.max(1, filled.length)];
  const [entry, exit] = [number(row?.entry, 'speed'), number(row?.exit, 'speed')];
  const [over, next] = [number(row?.over, 'distance'), number(row?.next, 'distance')];
  const then = number(after?.entry, 'speed');
  if (entry === null || exit === null || exit >= entry) return null;
  const asked = over === null || over <= 0 ? 0 : meanDeceleration(entry, exit, over);
  const most = tyreDeceleration(car, (entry + exit) / 2);
  const power =
    then === null || next === null || next <= 0 || filled.length < 2 || then <= exit
      ? 0
      : fromSi(powerBetween(car, exit, then, next), 'power');
  const told = [
    ...(asked > SLACK * most ? [say.beyondTyres(inG(asked), inG(most))] : []),
    ...(power > SLACK * car.powerKw
      ? [
          say.beyondPower(
            formatQuantity(power, 'power', units, 0),
            formatQuantity(car.powerKw, 'power', units, 0),
          ),
        ]
      : []),
  ];
  return told.map((text) => (
    <p key={text} role="status" className="mt-0.5 text-[12.5px] text-close">
      {text}
    </p>
  ));
}

/** Speeds and lengths are read off by eye: so much more is not asked about. */
const SLACK = 1.1;
