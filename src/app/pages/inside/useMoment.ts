import { useMemo, useState } from 'react';
import { type DayResult, flowsAt, heatBalance, networkOf, nodesAt, type WheelName } from '../../../core';
import { dayInput, formatQuantity, type Setup } from '../../../model';
import { clockText, zoneText } from '../../../text/en';
import { useUnits } from '../../state/preferences';
import { shownWheel } from '../../state/selection';
import { sampleAt, spanOf, zoneSpans } from './moments';

/** The moment that is looked at, and what the brake is like at it. */
export function useMoment(result: DayResult, setup: Setup) {
  const units = useUnits();
  const [wheel, setWheel] = useState<WheelName>(() => shownWheel(result, 'front', 'hotter'));
  const [time, setTime] = useState<number | null>(null);
  const [picked, setPicked] = useState<string | null>(null);

  const { record } = result;
  const values = record.wheels[wheel];
  const input = useMemo(() => dayInput(setup), [setup]);
  const layout = useMemo(() => networkOf(input, wheel), [input, wheel]);
  const spans = useMemo(() => zoneSpans(result), [result]);
  const hottest = useMemo(() => {
    let best = 0;
    for (let i = 1; i < values.rotorFace.length; i++) {
      if (values.rotorFace[i] > values.rotorFace[best]) best = i;
    }
    return best;
  }, [values]);

  const end = record.time[record.time.length - 1];
  const sample = time === null ? hottest : sampleAt(result, time);
  const leg = result.legs[record.leg[sample]];
  const { ambient } = input.sessions[leg.session];
  const temperatures = nodesAt(values, sample);
  const flows = flowsAt(layout, values, sample, ambient);
  const span = spanOf(spans, sample);
  const balance = useMemo(
    () => span && heatBalance(layout, record, values, span.from, span.to, ambient),
    [span, layout, record, values, ambient],
  );
  const scale = [ambient, Math.max(result.peaks[wheel].rotorFace, result.peaks[wheel].padFace)] as const;
  const drum = setup.car[wheel.startsWith('front') ? 'front' : 'rear'].drum !== null;
  const go = (to: number) => setTime(record.time[Math.min(record.time.length - 1, Math.max(0, to))]);
  const step = (by: 1 | -1) => {
    const at = span ? spans.indexOf(span) : -1;
    const next = spans[Math.min(spans.length - 1, Math.max(0, at + by))];
    if (next) go(peakOf(values.rotorFace, next.from, next.to));
  };

  const lap = record.lap[sample] >= 0 ? result.laps[record.lap[sample]] : null;
  const zone = lap && record.zone[sample] >= 0 ? lap.trace.zones[record.zone[sample]] : null;
  const where = lap
    ? `lap ${lap.numberInSession}${zone ? `, ${zoneText(record.zone[sample], zone.name)}` : ', before the first braking zone'}, ${formatQuantity(record.distance[sample], 'distance', units)}`
    : `${leg.kind === 'pit' || leg.kind === 'paddock' ? leg.kind : 'at the start'}, ${clockText(Math.max(0, record.time[sample] - leg.startTime))} min`;
  return {
    wheel,
    setWheel,
    setTime,
    picked,
    setPicked,
    record,
    values,
    input,
    layout,
    spans,
    hottest,
    end,
    sample,
    leg,
    temperatures,
    flows,
    span,
    balance,
    scale,
    drum,
    go,
    step,
    where,
  };
}

export type Moment = ReturnType<typeof useMoment>;

export function peakOf(values: Float64Array, from: number, to: number): number {
  let best = from;
  for (let i = from; i <= to; i++) if (values[i] > values[best]) best = i;
  return best;
}
