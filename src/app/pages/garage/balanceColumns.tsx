import type { StopForce } from '../../../core';
import { fieldInfo, planSchema, siText, type UnitChoice } from '../../../model';
import { NumberField } from '../../shared/NumberField';
import type { useUnits } from '../../state/preferences';
import type { ForceTable } from '../../ui/WideTable';

/** How braking is shared, what would be ideal, and the pressure it takes. */
export function shareColumns(units: UnitChoice): ForceColumn[] {
  const percent = (share: number) => `${(100 * share).toFixed(1)}`;
  return [
    {
      head: <Head a="share" b="start, %" />,
      means: 'Brake balance (% front) as the pedal goes down',
      cell: (f) => percent(f.share.start),
    },
    {
      head: <Head a="mean" b="%" />,
      means: 'Brake balance (% front) over the work of the braking zone',
      cell: (f) => <strong className="font-[620]">{percent(f.share.mean)}</strong>,
    },
    {
      head: <Head a="end" b="%" />,
      means: 'Brake balance (% front) as the pedal comes up',
      cell: (f) => percent(f.share.end),
    },
    {
      head: <Head a="ideal" b="start, %" />,
      means: 'Ideal balance at the start',
      cell: (f) => percent(f.ideal.start),
    },
    {
      head: <Head a="mean" b="%" />,
      means: 'Ideal balance over the work of the braking zone',
      cell: (f) => <strong className="font-[620]">{percent(f.ideal.mean)}</strong>,
    },
    {
      head: <Head a="end" b="%" />,
      means: 'Ideal balance at the end',
      cell: (f) => percent(f.ideal.end),
    },
    {
      head: <Head a="off by" b="points" />,
      means: 'Share less ideal: over 0 the front does too much',
      cell: (f) => signed(100 * (f.share.mean - f.ideal.mean)),
    },
    {
      head: <Head a="nearer" b="to locking" />,
      means: 'Axle that is nearer to locking at the hardest instant',
      cell: (f) => f.locksFirst,
    },
    {
      head: <Head a="line, front" b={unitLabel(units)} />,
      means: 'Greatest front line pressure',
      cell: (f) => siText(f.frontPressure, 'pressure', units, 0).replace(/ .*/, ''),
    },
    {
      head: <Head a="rear" b={unitLabel(units)} />,
      means: 'Greatest rear line pressure',
      cell: (f) => siText(f.rearPressure, 'pressure', units, 0).replace(/ .*/, ''),
    },
  ];
}

/** What the tyres want of the balance control, and what is set. */
export function clickColumns({
  suggestion,
  clicks,
  onClick,
}: {
  suggestion: readonly number[];
  clicks: readonly number[];
  onClick: (zone: number, clicks: number) => string | null;
}): ForceColumn[] {
  return [
    {
      head: <Head a="tyres" b="want" />,
      means: 'Clicks from the middle that would bring share to ideal; + is to the front',
      cell: (_: StopForce, i: number) => signed(suggestion[i], 0),
    },
    {
      head: <Head a="set" b="clicks" />,
      means: 'Clicks set at this braking zone; the session is driven with them',
      cell: (_: StopForce, i: number) => (
        <div className="ml-auto w-[64px]">
          <NumberField
            compact
            label={`Clicks at braking zone ${i + 1}`}
            info={fieldInfo(planSchema.shape.clicks.element)}
            value={clicks[i] ?? 0}
            onCommit={(value) => onClick(i, value ?? 0)}
          />
        </div>
      ),
    },
  ];
}

export type ForceColumn = Parameters<typeof ForceTable<StopForce>>[0]['columns'][number];

export function Head({ a, b }: { a: string; b: string }) {
  return (
    <>
      {a}
      <br />
      <span className="font-normal text-dim">{b}</span>
    </>
  );
}

export const signed = (value: number, decimals = 1) => {
  const text = Math.abs(value).toFixed(decimals);
  return Number(text) === 0 ? text : `${value > 0 ? '+' : '−'}${text}`;
};

export const unitLabel = (units: ReturnType<typeof useUnits>) => (units.pressure === 'us' ? 'psi' : 'bar');
