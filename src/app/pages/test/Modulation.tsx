import { useMemo, useState } from 'react';
import { siText } from '../../../model';
import { type ModulationChoice, modulationChoices } from '../../../services';
import { HELD_BY_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { AxleField } from '../../shared/AxleField';
import { useUnits } from '../../state/preferences';
import { ForceTable } from '../../ui/WideTable';
import type { TestTabProps } from './tabProps';

/** Newtons of foot for a tenth of g, and the width from half to full braking, of every pad and caliper. */
export function Modulation({ tested }: TestTabProps) {
  const units = useUnits();
  const [axle, setAxle] = useState<'front' | 'rear'>('front');
  const { setup } = tested;
  const choices = useMemo(() => modulationChoices(setup, axle), [setup, axle]);
  const sorted = [choices[0], ...choices.slice(1).sort((a, b) => b.warm.width - a.warm.width)];
  const newton = (value: number, decimals = 0) =>
    Number.isFinite(value) ? siText(value, 'force', units, decimals) : '—';
  return (
    <section className="panel px-4 py-3" aria-label="Modulation" data-testid="modulation">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <h2 className="mr-auto text-[15px]">Modulation</h2>
        <AxleField value={axle} onChange={setAxle} />
      </div>
      <p className="mt-1 max-w-[92ch]">{say.modulationMeans}</p>
      <ForceTable<ModulationChoice>
        caption="Modulation of pads and calipers"
        first="With"
        rows={sorted}
        nameOf={({ kind, name }) => (kind === 'fitted' ? 'As fitted' : name)}
        columns={[
          {
            head: 'kind',
            means: 'What is exchanged',
            cell: ({ kind }) => (kind === 'fitted' ? '' : `${axle} ${kind}s`),
          },
          {
            head: 'foot for 0.1 g',
            means: say.means.betweenHalfAndFullBraking,
            cell: ({ warm }) => newton(warm.perTenth, 1),
          },
          {
            head: 'cold',
            means: say.means.theSameWithPadsAs,
            cell: ({ cold }) => newton(cold.perTenth, 1),
          },
          {
            head: 'half to full',
            means: say.means.widthOfTheFootS,
            cell: ({ warm }) => <strong className="font-[620]">{newton(warm.width)}</strong>,
          },
          {
            head: 'travel',
            means: 'The same in pedal travel',
            cell: ({ warm }) => siText(warm.travelWidth, 'smallLength', units),
          },
          {
            head: 'full',
            means: 'Pedal force at full braking',
            cell: ({ warm }) => newton(warm.full.pedal),
          },
          {
            head: 'at',
            means: 'Deceleration of full braking, without downforce',
            cell: ({ warm }) => `${warm.full.z.toFixed(2)} g`,
          },
          { head: 'limited by', means: 'What ends it', cell: ({ warm }) => HELD_BY_TEXT[warm.limit] },
        ]}
      />
    </section>
  );
}
