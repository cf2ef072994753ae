import { formatQuantity } from '../../../model';
import type { FoundCircuit, FoundLine } from '../../../services';
import { say } from '../../../text/en/say/circuits';
import { useUnits } from '../../state/preferences';

/** What was found in a track, in figures. */
export function FoundSummary({
  found,
  good,
  known,
}: {
  found: FoundLine;
  /** The circuit cut from it; null while it is cut or cannot be */
  good: FoundCircuit | null;
  /** Length the user knows, m */
  known: number | null;
}) {
  const units = useUnits();
  const { smoothing } = found.line;
  const metres = (value: number, digits = 1) => formatQuantity(value, 'distance', units, digits);
  const used = found.laps.filter((lap) => lap.used).length;
  return (
    <section className="panel px-4 py-3" aria-label="What was found">
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 gap-y-0.5">
        <dt>Laps</dt>
        <dd className="text-right font-[560]">
          {found.gap > 0 ? `1, closed over ${metres(found.gap, 0)}` : `${used} of ${found.laps.length} used`}
        </dd>
        <dt>Length</dt>
        <dd className="text-right font-[560]" data-testid="found-length">
          {metres(found.line.length, 0)}
        </dd>
        {known !== null && (
          <>
            <dt>Against yours</dt>
            <dd className="text-right font-[560]">
              {found.line.length >= known ? '+' : '−'}
              {metres(Math.abs(found.line.length - known))},{' '}
              {((100 * Math.abs(found.line.length - known)) / known).toFixed(2)} % of it
            </dd>
          </>
        )}
        <dt>Corners</dt>
        <dd className="text-right font-[560]" data-testid="found-corners">
          {good ? good.corners : '…'}
        </dd>
        <dt>Line moved off its points by</dt>
        <dd className="text-right font-[560]" data-testid="found-moved">
          {metres(smoothing.typical, 2)}, at most {metres(smoothing.most, 2)}
        </dd>
        <dt>Scatter of the points</dt>
        <dd className="text-right font-[560]">{metres(smoothing.noise, 2)}</dd>
        {good && (
          <>
            <dt>{say.straightsArcsOffLine}</dt>
            <dd className="text-right font-[560]">{metres(good.off)}</dd>
          </>
        )}
      </dl>
      {!smoothing.withinBound && (
        <p className="mt-2 text-close" role="status">
          {say.evenLeastSmoothingSome}
        </p>
      )}
      {smoothing.jumps > 0 && <p className="caption mt-1">{say.pointsWereJumpsReceiver(smoothing.jumps)}</p>}
      {!smoothing.hasHeight && <p className="caption mt-1">{say.pointsHaveNoHeights}</p>}
      {found.crossings > 0 && (
        <p className="mt-1 text-close">
          {say.lineCrossesItselfBridge(found.crossings === 1 ? 'once' : `${found.crossings} times`)}
        </p>
      )}
    </section>
  );
}
