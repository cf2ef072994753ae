import { useNavigate } from 'react-router';
import { type Estimate, isParameter, type ParameterId } from '../../../core';
import { addCalibration, isOfTheDay, parameterInfo, siText } from '../../../model';
import { calibrationRecord, canBeKept, UNTOLD } from '../../../services';
import { observationText, parameterText } from '../../../text/en';
import { say } from '../../../text/en/say/calibrate';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { FitReadings } from './FitReadings';
import { IntervalBar } from './IntervalBar';
import type { EstimateDone } from './useEstimate';

/** What was found, its uncertainty, and what does not fit. */
export function FitResults({ done }: { readonly done: EstimateDone }) {
  const { answer, asked } = done;
  const edit = useEdit();
  const navigate = useNavigate();
  const keep = () => {
    const newest = asked.fitted[asked.fitted.length - 1];
    const record = calibrationRecord(answer, asked.fitted, {
      id: crypto.randomUUID(),
      name: newest.name,
      carId: newest.car.id,
      date: newest.date,
    });
    if (
      edit('Kept a calibration', (p) => addCalibration(p, record), {
        done: say.keptNow,
      })
    ) {
      navigate('/calibrate/kept');
    }
  };
  const { fit } = answer;
  const why = fit.conflict ? say.conflict : !fit.optimum.settled ? say.notSettled : say.toldNothing;
  return (
    <>
      <Findings done={done} />
      <Estimates done={done} />
      <FitReadings done={done} />
      <section className="panel flex flex-wrap items-center gap-3 px-4 py-3">
        <button type="button" className="btn btn-main" disabled={!canBeKept(answer)} onClick={keep}>
          Keep with the car
        </button>
        <p className="max-w-[80ch] text-dim">{canBeKept(answer) ? say.keptMeans : why}</p>
      </section>
    </>
  );
}

/** What an observation of a fitted drive says. */
function nameOfObservation({ asked }: EstimateDone, id: string): string {
  const own = asked.fitted.flatMap(({ observations }) => observations).find((one) => one.id === id);
  return own ? observationText(own, {}) : id;
}

const titleOf = (id: ParameterId) => parameterInfo(id).title;
const lower = (text: string) => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** What matters of the answer, in sentences. */
function Findings({ done }: { readonly done: EstimateDone }) {
  const { fit, held, unlike } = done.answer;
  const named = fit.estimates.flatMap((own) => (isParameter(own.key) ? [{ ...own, id: own.key }] : []));
  const untold = named.filter(({ shrunk }) => shrunk >= UNTOLD).map(({ id }) => lower(titleOf(id)));
  const far = named.filter(({ moved }) => Math.abs(moved) > 3);
  const widened = named.filter((_, i) => fit.check.spread[i] > 1.4);
  const ties = fit.ties.flatMap(({ first, second, correlation }) => {
    const [a, b] = [fit.free[first].key, fit.free[second].key];
    return isParameter(a) && isParameter(b) ? [say.tied(titleOf(a), lower(titleOf(b)), correlation > 0)] : [];
  });
  const refused = done.answer.problems.filter(({ severity }) => severity === 'error');
  const list = [
    ...refused.map(({ id, message }) => say.notUsedBecause(nameOfObservation(done, id), message)),
    ...(fit.conflict ? [say.conflict] : []),
    ...unlike.map(({ name, changed }) => say.otherParts(name, changed.join(', '))),
    ...far.map(({ id }) => say.farOff(titleOf(id))),
    ...(untold.length > 0 ? [say.untold(untold.join(', '))] : []),
    ...ties,
    ...(widened.length > 0 ? [say.widened(widened.map(({ id }) => lower(titleOf(id))).join(', '))] : []),
    ...held.map(({ name, readings, before, after }) =>
      say.heldOut(name, readings, before.toFixed(1), after.toFixed(1)),
    ),
  ];
  if (list.length === 0) return null;
  return (
    <section className="panel px-4 py-3" aria-label="What the readings tell" data-testid="findings">
      <ul className="grid max-w-[96ch] gap-1">
        {list.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </section>
  );
}

function Estimates({ done }: { readonly done: EstimateDone }) {
  const units = useUnits();
  const { fit } = done.answer;
  const rows = fit.estimates.flatMap((own): (Estimate & { id: ParameterId })[] =>
    isParameter(own.key) ? [{ ...own, id: own.key }] : [],
  );
  const sensors = fit.estimates.filter(({ key }) => !isParameter(key));
  return (
    <ScrollPanel label="Fitted values">
      <table className="w-full min-w-[760px] whitespace-nowrap text-left" data-testid="estimates">
        <thead>
          <tr className="caption border-b border-rule">
            <th className="py-1 font-normal">Of what is computed</th>
            <th className="px-2 text-right font-normal">Fitted</th>
            <th className="px-2 font-normal">90 % of it lies within</th>
            <th className="px-2 font-normal">Before</th>
            <th className="w-[200px] px-2 font-normal">Before and after</th>
            <th className="px-2 text-right font-normal">Uncertainty left</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((own) => {
            const told = own.shrunk < UNTOLD;
            return (
              <tr key={own.id} className={`border-b border-rule/60 last:border-0 ${told ? '' : 'text-dim'}`}>
                <th className="py-1 font-[540]">
                  {titleOf(own.id)}
                  {isOfTheDay(own.id) && <span className="caption"> of that day only</span>}
                </th>
                <td className="px-2 text-right font-[640]">{parameterText(own.id, own.value, units)}</td>
                <td className="px-2">
                  {parameterText(own.id, own.low, units)} to {parameterText(own.id, own.high, units)}
                </td>
                <td className="px-2 text-dim">
                  {parameterText(own.id, own.priorLow, units)} to{' '}
                  {parameterText(own.id, own.priorHigh, units)}
                </td>
                <td className="px-2">
                  <IntervalBar estimate={own} />
                </td>
                <td className="px-2 text-right">{told ? `${Math.round(100 * own.shrunk)} %` : 'not told'}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {sensors.length > 0 && (
        <p className="caption mt-1">
          {say.sensorsOwn(
            sensors
              .map(({ key, value }) =>
                key.startsWith('lag')
                  ? `${value.toFixed(1)} s late`
                  : `${value < 0 ? '−' : '+'}${siText(Math.abs(value), 'difference', units)}`,
              )
              .join(', '),
          )}
        </p>
      )}
    </ScrollPanel>
  );
}
