import { siText } from '../../../model';
import { say } from '../../../text/en/say/inside';
import { useUnits } from '../../state/preferences';
import { heatGradient } from '../../ui/charts/heatColor';

/** The temperature scale, from the air to the hottest of this wheel. */
export function Ramp({
  scale: [cold, hot],
  bulk,
  seal,
}: {
  scale: readonly [number, number];
  bulk: number;
  seal: number;
}) {
  const units = useUnits();
  const text = (kelvin: number) => siText(kelvin, 'temperature', units);
  return (
    <div className="caption flex flex-wrap items-center gap-x-2 px-1 pb-1">
      {text(cold)}
      <span
        className="h-[8px] w-[180px] rounded-[2px]"
        style={{ background: heatGradient() }}
        aria-hidden="true"
      />
      {text(hot)}
      <span className="ml-2 text-ink">
        core {text(bulk)}, seals {text(seal)}
      </span>
      <span className="ml-2">{say.arrowsHeatWattsPick}</span>
    </div>
  );
}
