import { Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { formatQuantity, type Quantity, removeStop, stopsOf } from '../../../model';
import { distanceOf } from '../../../services';
import { STOP_SOURCE_TEXT } from '../../../text/en';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { StopForm } from './StopForm';
import type { TestTabProps } from './tabProps';
import type { OpenRun } from './useRun';

const HEADS = ['from', 'to', 'distance', 'time', 'pedal', 'ABS', 'temperature', 'at', 'by'] as const;

/** The stops of a run as they were written down; each can be mended or taken out. */
export function StopTable({ tested, open }: TestTabProps & { readonly open: OpenRun }) {
  const units = useUnits();
  const edit = useEdit();
  const [mending, setMending] = useState<string | null>(null);
  const stops = stopsOf(open.run);
  if (stops.length === 0) return null;
  const text = (value: number | null, quantity: Quantity, decimals?: number) =>
    value === null ? '' : formatQuantity(value, quantity, units, decimals);
  return (
    <ScrollPanel label="Stops as written down" className="mt-2 border-0! p-0!">
      <table className="w-full min-w-[720px] text-right">
        <thead>
          <tr className="caption border-b border-rule">
            <th className="py-0.5 text-left">Stop</th>
            {HEADS.map((head) => (
              <th key={head}>{head}</th>
            ))}
            <td />
          </tr>
        </thead>
        <tbody>
          {stops.map(({ id, stop }) =>
            mending === id ? (
              <tr key={id} className="border-b border-rule/60 text-left">
                <td colSpan={HEADS.length + 2}>
                  <StopForm tested={tested} open={open} stop={{ id, stop }} onDone={() => setMending(null)} />
                </td>
              </tr>
            ) : (
              <tr key={id} className="border-b border-rule/60" data-testid="stop">
                <th className="py-1 text-left font-[520]">
                  {stop.n}
                  {stop.note && <span className="caption"> {stop.note}</span>}
                </th>
                <td>{text(stop.fromKmh, 'speed', 1)}</td>
                <td>{text(stop.toKmh, 'speed', 0)}</td>
                <td className="font-[620]">
                  {text(distanceOf(stop), 'distance', 1)}
                  {stop.errorM !== null && (
                    <span className="caption"> ± {text(stop.errorM, 'distance', 1)}</span>
                  )}
                </td>
                <td>{text(stop.timeS, 'seconds', 2)}</td>
                <td>{text(stop.pedalN, 'force')}</td>
                <td>{stop.abs === null ? '' : stop.abs ? 'yes' : 'no'}</td>
                <td>{text(stop.temperatureC, 'temperature')}</td>
                <td>{text(stop.atS, 'seconds', 0)}</td>
                <td className="caption">{STOP_SOURCE_TEXT[stop.source]}</td>
                <td className="whitespace-nowrap">
                  <IconButton
                    icon={Pencil}
                    name={`Mend stop ${stop.n}`}
                    title="Mend"
                    onClick={() => setMending(id)}
                  />
                  <IconButton
                    icon={Trash2}
                    name={`Take stop ${stop.n} out`}
                    title="Take out"
                    onClick={() =>
                      edit('Took a stop out', (p) => removeStop(p, tested.test.id, open.id, id), {
                        done: `Took stop ${stop.n} out`,
                      })
                    }
                  />
                </td>
              </tr>
            ),
          )}
        </tbody>
      </table>
    </ScrollPanel>
  );
}
