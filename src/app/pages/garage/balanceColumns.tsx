import type { ZoneForce } from '../../../core';
import { fieldInfo, planSchema, siText, type UnitChoice } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { NumberField } from '../../shared/NumberField';
import type { useUnits } from '../../state/preferences';
import type { ForceTable } from '../../ui/WideTable';

/** How braking is shared, what would be ideal, and the pressure it takes. */
export function shareColumns(units: UnitChoice): ForceColumn[] {
  const percent = (share: number) => `${(100 * share).toFixed(1)}`;
  return [
    {
      head: <Head a="share" b="start, %" />,
      means: say.brakeBalanceFrontPedal,
      cell: (f) => percent(f.share.start),
    },
    {
      head: <Head a="mean" b="%" />,
      means: say.brakeBalanceFrontOverWork,
      cell: (f) => <strong className="font-[620]">{percent(f.share.mean)}</strong>,
    },
    {
      head: <Head a="end" b="%" />,
      means: say.brakeBalanceFrontPedalComes,
      cell: (f) => percent(f.share.end),
    },
    {
      head: <Head a="ideal" b="start, %" />,
      means: 'Ideal balance at the start',
      cell: (f) => percent(f.ideal.start),
    },
    {
      head: <Head a="mean" b="%" />,
      means: say.idealBalanceOverWork,
      cell: (f) => <strong className="font-[620]">{percent(f.ideal.mean)}</strong>,
    },
    {
      head: <Head a="end" b="%" />,
      means: 'Ideal balance at the end',
      cell: (f) => percent(f.ideal.end),
    },
    {
      head: <Head a="off by" b="points" />,
      means: say.shareLessIdealOver,
      cell: (f) => signed(100 * (f.share.mean - f.ideal.mean)),
    },
    {
      head: <Head a="nearer" b="to locking" />,
      means: say.axleNearerLockingHardest,
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

/** What is set on the balance control. */
export function clickColumns({
  clicks,
  onClick,
}: {
  clicks: readonly number[];
  onClick: (zone: number, clicks: number) => string | null;
}): ForceColumn[] {
  return [
    {
      head: <Head a="set" b="clicks" />,
      means: say.clicksSetBrakingZone,
      cell: (_: ZoneForce, i: number) => (
        <div className="ml-auto w-[64px]">
          <NumberField
            compact
            label={`Clicks at braking zone ${i + 1}`}
            info={fieldInfo(planSchema.shape.clicks.def.element)}
            value={clicks[i] ?? 0}
            onCommit={(value) => onClick(i, value ?? 0)}
          />
        </div>
      ),
    },
  ];
}

export type ForceColumn = Parameters<typeof ForceTable<ZoneForce>>[0]['columns'][number];

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
