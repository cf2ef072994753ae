import { useMemo } from 'react';
import { siShown, siText, unitOf } from '../../../model';
import type { LapTechnique } from '../../../services';
import { techniqueText, zoneText } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { useUnits } from '../../state/preferences';
import { Keys } from '../../ui/charts/Keys';
import { LineChart } from '../../ui/charts/LineChart';
import { SelectField } from '../../ui/SelectField';

/** One braking zone as it was driven, over how it could be: where to press, and along what to release. */
export function Trainer({
  lap,
  zone,
  onZone,
}: {
  readonly lap: LapTechnique;
  readonly zone: number;
  readonly onZone: (zone: number) => void;
}) {
  const units = useUnits();
  const own = lap.zones[zone];
  const drawn = useMemo(() => {
    if (!own) return null;
    const { overlay } = own;
    const place = (values: Float64Array) => Array.from(values, (d) => siShown(d, 'distance', units));
    const x = place(overlay.distance);
    const lines = (a: Float64Array, b: Float64Array, quantity: 'speed' | 'deceleration') => [
      {
        name: 'as driven',
        color: 'var(--ink)',
        x,
        y: Array.from(a, (v) => siShown(v, quantity, units)),
      },
      {
        name: 'as the grip allows',
        color: 'var(--act)',
        dash: '6 3',
        x,
        y: Array.from(b, (v) => siShown(v, quantity, units)),
      },
    ];
    const rules = [
      {
        at: 'x' as const,
        value: siShown(own.press, 'distance', units),
        color: 'var(--act)',
        text: 'press here',
      },
      {
        at: 'x' as const,
        value: siShown(own.pressed, 'distance', units),
        color: 'var(--ink)',
        text: 'pressed',
        dash: '2 3',
      },
    ];
    return {
      braking: lines(overlay.driven, overlay.ideal, 'deceleration'),
      speed: lines(overlay.speed, overlay.idealSpeed, 'speed'),
      rules,
    };
  }, [own, units]);
  if (!own || !drawn) return null;
  const place = (shown: number) => `${Math.round(shown)} ${unitOf('distance', units).label}`;
  return (
    <div className="mt-3" data-testid="trainer">
      <div className="w-[280px] max-w-full">
        <SelectField
          label="Braking zone"
          value={String(zone)}
          options={lap.zones.map((each, i) => [String(i), zoneText(each.zone, each.name)] as const)}
          onChange={(next) => onZone(Number(next))}
        />
      </div>
      <p className="mt-1.5">
        {own.beyond
          ? ''
          : say.pressAt(
              siText(own.press, 'distance', units),
              siText(own.pressed, 'distance', units),
              siText(own.release, 'distance', units),
            )}
      </p>
      <ul className="list-disc pl-5">
        {techniqueText(own, units).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <div className="mt-1 grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-2">
        <LineChart
          label="Deceleration over the way"
          height={190}
          unit={unitOf('deceleration', units).label}
          lines={drawn.braking}
          rules={drawn.rules}
          placeText={place}
        />
        <LineChart
          label="Speed over the way"
          height={190}
          unit={unitOf('speed', units).label}
          lines={drawn.speed}
          rules={drawn.rules}
          placeText={place}
        />
      </div>
      <Keys lines={drawn.braking} />
    </div>
  );
}
