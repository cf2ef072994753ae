import { type BrakingZone, energyUncertainty, pairZones, type Vehicle } from '../../../core';
import { formatQuantity, siText, type UnitChoice, vehicleOf } from '../../../model';
import type { ListedPiece, LogAnalysis } from '../../../services';
import { say } from '../../../text/en/say/log';
import { useUnits } from '../../state/preferences';
import { Tip } from '../../ui/Tip';

/** Braking zones of a logged lap with what is uncertain about their energy, beside those of the simulated lap. */
export function ZoneComparison({ analysis, piece }: { analysis: LogAnalysis; piece: ListedPiece }) {
  const units = useUnits();
  const { solved, setup, noise } = analysis;
  const { trace } = analysis.day.laps[piece.lap];
  const length = solved.distance[solved.distance.length - 1] - solved.distance[0];
  const vehicle = vehicleOf(setup.car, setup.parts);
  const pairs = piece.whole
    ? pairZones(trace, solved, length)
    : trace.zones.map((_, logged) => ({ logged, solved: -1 }));
  const kmh = (v: number) => siText(v, 'speed', units);
  const kj = (e: number) => siText(e, 'energy', units);
  const both = pairs.filter((p) => p.logged >= 0 && p.solved >= 0);
  const sum = (of: (p: (typeof pairs)[number]) => number) => both.reduce((total, p) => total + of(p), 0);
  const [own, theirs] = [sum((p) => trace.zones[p.logged].energy), sum((p) => solved.zones[p.solved].energy)];
  return (
    <section className="panel overflow-x-auto px-3 py-2" aria-label="Braking zones of the lap">
      <table className="w-full min-w-[720px] text-left" data-testid="logged-zones">
        <thead>
          <tr className="caption align-bottom">
            <th className="py-1 font-normal">Braking zone</th>
            <th className="px-2 text-right font-normal">Logged, from and to</th>
            <th className="px-2 text-right font-normal">Solved</th>
            <th className="px-2 text-right font-normal">Deceleration, logged · solved</th>
            <th className="px-2 text-right font-normal">Energy, logged</th>
            <th className="px-2 text-right font-normal">Solved</th>
            <th className="px-2 text-right font-normal">Of the solved</th>
          </tr>
        </thead>
        <tbody>
          {pairs.map((pair, k) => {
            const a = pair.logged >= 0 ? trace.zones[pair.logged] : null;
            const b = pair.solved >= 0 ? solved.zones[pair.solved] : null;
            return (
              <PairRow
                key={`${pair.logged}/${pair.solved}`}
                b={b}
                a={a}
                k={k}
                kmh={kmh}
                piece={piece}
                units={units}
                kj={kj}
                vehicle={vehicle}
                noise={noise}
              />
            );
          })}
        </tbody>
        {both.length > 0 && (
          <tfoot>
            <tr className="border-t border-rule font-[600] tabular-nums">
              <td className="py-1" colSpan={4}>
                Braking zones of both laps together
              </td>
              <td className="px-2 text-right">{kj(own)}</td>
              <td className="px-2 text-right">{kj(theirs)}</td>
              <td className="px-2 text-right">{((100 * own) / theirs).toFixed(1)} %</td>
            </tr>
          </tfoot>
        )}
      </table>
      <p className="caption mt-1">{say.oneStandardDeviationScatter}</p>
    </section>
  );
}

/** A braking zone, as driven beside as planned. */
function PairRow({
  b,
  a,
  k,
  kmh,
  piece,
  units,
  kj,
  vehicle,
  noise,
}: {
  b: BrakingZone | null;
  a: BrakingZone | null;
  k: number;
  kmh: (v: number) => string;
  piece: ListedPiece;
  units: UnitChoice;
  kj: (e: number) => string;
  vehicle: Vehicle;
  noise: number;
}) {
  return (
    <tr className="border-t border-rule/60 tabular-nums">
      <Tip text={(b ?? a)?.name}>
        <td className="max-w-[170px] truncate py-1">
          {k + 1} {(b ?? a)?.name}
        </td>
      </Tip>
      <td className="px-2 text-right whitespace-nowrap">
        {a ? `${kmh(a.entrySpeed)} → ${kmh(a.exitSpeed)}` : <span className="text-close">not braked</span>}
      </td>
      <td className="px-2 text-right whitespace-nowrap">
        {b ? (
          `${kmh(b.entrySpeed)} → ${kmh(b.exitSpeed)}`
        ) : piece.whole ? (
          <span className="text-close">no match</span>
        ) : (
          '–'
        )}
      </td>
      <td className="px-2 text-right whitespace-nowrap">
        {a ? formatQuantity(a.deceleration, 'deceleration', units) : '–'} ·{' '}
        {b ? formatQuantity(b.deceleration, 'deceleration', units) : '–'}
      </td>
      <td className="px-2 text-right whitespace-nowrap">
        {a
          ? `${kj(a.energy)} ± ${kj(energyUncertainty(a, vehicle.mass, vehicle.rotatingInertia, noise))}`
          : '–'}
      </td>
      <td className="px-2 text-right">{b ? kj(b.energy) : '–'}</td>
      <td className="px-2 text-right">{a && b ? `${((100 * a.energy) / b.energy).toFixed(0)} %` : '–'}</td>
    </tr>
  );
}
