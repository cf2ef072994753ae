import { useState } from 'react';
import { type Car, formatQuantity, type Plan, siText, takeFit } from '../../../model';
import type { Fitted, LapFit, ListedPiece, LogAnalysis } from '../../../services';
import type { LogEntry } from '../../../storage';
import { say } from '../../../text/en/say/log';
import { useBackground, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';

/** Fits the driver's use of grip and the car's power to a lap, and puts them into plan and car. */
export function FitPanel({
  entry,
  analysis,
  piece,
}: {
  entry: LogEntry;
  analysis: LogAnalysis;
  piece: ListedPiece;
}) {
  const { files } = useBackground();
  const setup = useSetup();
  const edit = useEdit();
  const [fit, setFit] = useState<LapFit | null>(null);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const listed = setup.circuit.layout.kind === 'zones';
  const run = async () => {
    setBusy(true);
    setError(null);
    try {
      setFit(await files.call((remote) => remote.fit(entry.id, setup, piece.lap)));
    } catch (e) {
      setError((e as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const { plan, car } = analysis.setup;
  return (
    <section className="panel px-4 py-3" aria-label="Fit to this lap">
      <h2 className="text-[15px]">{say.makeSimulatedLapGo}</h2>
      <p className="mt-0.5 max-w-[90ch]">{say.useGripCornersBraking}</p>
      {listed ? (
        <p className="caption mt-1.5">{say.listBrakingZonesHas}</p>
      ) : (
        <button type="button" className="btn mt-2" disabled={busy} onClick={() => void run()}>
          {busy ? 'Driving laps …' : 'Fit to this lap'}
        </button>
      )}
      {error && (
        <p className="mt-2 text-over" role="alert">
          {error}
        </p>
      )}
      {fit && (
        <div className="mt-2" data-testid="fit">
          <FitTable plan={plan} fit={fit} car={car} />
          <Remainder fit={fit} />
          <button
            type="button"
            className="btn btn-main mt-2"
            disabled={!isFound(fit)}
            onClick={() => {
              const made = edit('Fitted to a logged lap', (p) => takeFit(p, analysis.setup, fit), {
                done: `Plan “${plan.name}” and ${car.name} go like the log`,
              });
              if (made) setFit(null);
            }}
          >
            Apply
          </button>
          <p className="caption mt-1" role={isFound(fit) ? undefined : 'alert'}>
            {isFound(fit) ? say.shareGripUsedGoes : say.fitNotFound}
          </p>
        </div>
      )}
    </section>
  );
}

/** Whether a fit came to an answer: settled within its range, and nearer to the log than before. */
const isFound = ({ settled, cornering, braking, before, after }: LapFit): boolean =>
  settled && !cornering.atLimit && !braking.atLimit && after.speed <= before.speed;

/** What the lap says, beside what the plan and the car have. */
function FitTable({ plan, fit, car }: { plan: Plan; fit: LapFit; car: Car }) {
  const units = useUnits();
  const row = (name: string, now: number, f: Fitted, quantity: 'percent' | 'power') => (
    <tr key={name} className="border-t border-rule/60">
      <td className="py-1">{name}</td>
      <td className="px-3 text-right">{formatQuantity(now, quantity, units, 1)}</td>
      <td className="px-3 text-right font-[600]">
        {formatQuantity(now * f.factor, quantity, units, 1)} ±{' '}
        {formatQuantity(now * f.uncertainty, quantity, units, 1)}
      </td>
      <td className="px-3 text-close">
        {f.atLimit ? say.endRangeNotFound : !(f.uncertainty < 0.25) ? say.lapCannotTellNever : ''}
      </td>
    </tr>
  );
  return (
    <table className="text-left">
      <thead>
        <tr className="caption">
          <th className="py-1 font-normal">What</th>
          <th className="px-3 text-right font-normal">Now</th>
          <th className="px-3 text-right font-normal">Fitted</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {row('Share of grip used in corners', plan.corneringGripUsedPercent, fit.cornering, 'percent')}
        {row('Share of grip used in braking', plan.brakingGripUsedPercent, fit.braking, 'percent')}
        {row('Power', car.powerKw, fit.power, 'power')}
      </tbody>
    </table>
  );
}

/** How far the simulated lap still is from the logged one. */
function Remainder({ fit }: { fit: LapFit }) {
  const units = useUnits();
  const speed = (v: number) => siText(v, 'speed', units, 1);
  return (
    <p className="mt-1.5">
      {say.speedsDifferRmsError(
        speed(fit.after.speed),
        speed(fit.before.speed),
        Math.abs(fit.after.time).toFixed(2),
        Math.abs(fit.before.time).toFixed(2),
        siText(Math.abs(fit.after.heat), 'energy', units),
        siText(Math.abs(fit.before.heat), 'energy', units),
      )}
      {!fit.settled && say.fitHadNotQuite}
    </p>
  );
}
