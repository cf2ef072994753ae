import { Ruler } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { ComponentType } from 'react';
import { say } from '../../../text/en/say/shared';
import { BoilTest, CarScales, Diameter, Gap, OnScales, PadLeft, Pistons, Thickness } from './drawings';

interface Measure {
  readonly Drawing: ComponentType;
  readonly how: string;
}

/** How the values that matter most are measured, by the end of their address. */
const MEASURES: readonly (readonly [string, Measure])[] = [
  ['rotor.thicknessMm', { Drawing: Thickness, how: say.measureThickness }],
  ['rotor.outerDiameterMm', { Drawing: Diameter, how: say.measureDiameter }],
  ['rotor.vaneGapMm', { Drawing: Gap, how: say.measureGap }],
  ['rotor.weighedKg', { Drawing: OnScales, how: say.measureRotorMass }],
  ['padThicknessMm', { Drawing: PadLeft, how: say.measurePad }],
  ['caliper.pistonsMm', { Drawing: Pistons, how: say.measurePistons }],
  ['fluid.measuredBoilingC', { Drawing: BoilTest, how: say.measureBoiling }],
  ['massKg', { Drawing: CarScales, how: say.measureMass }],
];

/** Opens how a value is measured, drawn; nothing where there is nothing to draw. @param place dotted address of the value */
export function HowToMeasure({ place, title }: { readonly place: string; readonly title: string }) {
  const found = MEASURES.find(([end]) => place === end || place.endsWith(`.${end}`));
  if (!found) return null;
  const [, { Drawing, how }] = found;
  return (
    <Popover.Root>
      <Popover.Trigger
        className="inline-grid size-[24px] shrink-0 place-items-center rounded text-dim hover:bg-sunk hover:text-ink"
        aria-label={say.howToMeasure(title)}
      >
        <Ruler size={14} aria-hidden="true" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content className="menu max-w-[270px]" sideOffset={4} collisionPadding={8}>
          <div className="grid gap-1.5 px-1.5 py-1">
            <Drawing />
            <p>{how}</p>
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
