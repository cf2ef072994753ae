import { Slider } from 'radix-ui';
import { type ReactNode, useMemo, useState } from 'react';
import {
  flowsAt,
  type HeatBalance,
  heatBalance,
  networkOf,
  nodesAt,
  WHEELS,
  type WheelName,
} from '../../../core';
import { dayInput, formatQuantity, type WhatIf } from '../../../model';
import { clockText, stopText } from '../../../text/en';
import { Notices } from '../../shared/Notices';
import { useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { shownWheel } from '../../state/selection';
import { type Computed, useSession } from '../../state/useSession';
import { Choice } from '../../ui/Choice';
import { PageTitle } from '../../ui/PageTitle';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { BrakeSection, flowKey } from './BrakeSection';
import { HeatFlow } from './HeatFlow';
import { inWordsOf, jouleText, sampleAt, spanOf, stopSpans, wattText } from './moments';
import { ProfileChart } from './ProfileChart';
import { Ramp } from './Ramp';

const NOTHING: WhatIf = {};

const WHEEL_NAMES: Readonly<Record<WheelName, string>> = {
  frontLeft: 'Front left',
  frontRight: 'Front right',
  rearLeft: 'Rear left',
  rearRight: 'Rear right',
};

/** One wheel's brake at one moment: its whole chain of parts, what flows between them, and where a stop's heat went. */
export function InsidePage() {
  const setup = useSetup();
  const view = useSession(setup, NOTHING);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={['Inside', setup.car.name]} />
      <Notices view={view} />
      {view.shown ? (
        <Inside key={setup.plan.id} computed={view.shown} />
      ) : (
        !view.error &&
        view.obstacles.every((o) => o.severity !== 'error') && (
          <div className="panel grid h-64 place-items-center text-dim" role="status">
            Driving the lap and heating the brakes …
          </div>
        )
      )}
    </div>
  );
}

function Inside({ computed }: { computed: Computed }) {
  const { result, setup } = computed;
  const units = useUnits();
  const [wheel, setWheel] = useState<WheelName>(() => shownWheel(result, 'front', 'hotter'));
  const [time, setTime] = useState<number | null>(null);
  const [picked, setPicked] = useState<string | null>(null);

  const { record } = result;
  const values = record.wheels[wheel];
  const input = useMemo(() => dayInput(setup), [setup]);
  const layout = useMemo(() => networkOf(input, wheel), [input, wheel]);
  const spans = useMemo(() => stopSpans(result), [result]);
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
  const stop = lap && record.stop[sample] >= 0 ? lap.trace.stops[record.stop[sample]] : null;
  const where = lap
    ? `lap ${lap.numberInSession}${stop ? `, ${stopText(record.stop[sample], stop.name)}` : ', before the first braking zone'}, ${formatQuantity(record.distance[sample], 'distance', units)}`
    : `${leg.kind === 'pit' || leg.kind === 'paddock' ? leg.kind : 'at the start'}, ${clockText(Math.max(0, record.time[sample] - leg.startTime))} min`;

  return (
    <>
      <section className="panel px-4 py-3" aria-label="Moment">
        <h1 className="text-[20px] leading-tight">Look inside</h1>
        <div className="mt-2 flex flex-wrap items-center gap-2">
          <label className="sr-only" htmlFor="wheel">
            Wheel
          </label>
          <Choice
            id="wheel"
            className="w-auto!"
            value={wheel}
            options={WHEELS.map((w) => [w, WHEEL_NAMES[w]])}
            onChange={setWheel}
          />
          <button type="button" className="btn" onClick={() => step(-1)} disabled={spans.length === 0}>
            Braking zone before
          </button>
          <button type="button" className="btn" onClick={() => step(1)} disabled={spans.length === 0}>
            Next braking zone
          </button>
          <button type="button" className="btn" onClick={() => go(hottest)}>
            Hottest surface
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => go(peakOf(values.fluid, 0, values.fluid.length - 1))}
          >
            Hottest fluid
          </button>
          <p className="ml-auto" aria-live="polite" data-testid="moment">
            <strong className="font-[640]">{clockText(record.time[sample])} min</strong>
            {setup.plan.sessions.length > 1 && `, ${setup.plan.sessions[leg.session].name}`}: {where}
          </p>
        </div>
        <Slider.Root
          className="relative mt-2 flex h-[22px] touch-none items-center"
          value={[record.time[sample]]}
          min={0}
          max={end}
          step={0.1}
          onValueChange={([v]) => setTime(v)}
        >
          <Slider.Track className="relative h-[6px] flex-1 rounded-full bg-sunk">
            <Slider.Range className="absolute h-full rounded-full bg-act/55" />
          </Slider.Track>
          <Slider.Thumb
            aria-label="Time in the day"
            aria-valuetext={`${clockText(record.time[sample])} minutes, ${where}`}
            className="block h-[20px] w-[12px] rounded-[3px] border border-panel bg-ink"
            onKeyDown={(event) => {
              // A step of the computation a key, instead of a tenth of a second.
              const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
              if (by === 0 || event.shiftKey) return;
              event.preventDefault();
              go(sample + by);
            }}
          />
        </Slider.Root>
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-[minmax(0,1.55fr)_minmax(0,1fr)]">
        <section className="panel self-start px-3 py-2" aria-label="Section of the brake">
          <Scrolled label="The section, drawn">
            <BrakeSection
              layout={layout}
              drum={drum}
              temperatures={temperatures}
              flows={flows}
              scale={scale}
              picked={picked}
              onPick={setPicked}
            />
          </Scrolled>
          <Ramp scale={scale} bulk={values.rotorBulk[sample]} seal={values.seal[sample]} />
        </section>
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3">
          <section className="panel px-3 py-2" aria-label="Profile through pad and rotor">
            <h2 className="text-[15px]">Through pad and rotor</h2>
            <ProfileChart
              layout={layout}
              padThickness={input[wheel.startsWith('front') ? 'front' : 'rear'].left.pad.thickness}
              temperatures={temperatures}
              top={scale[1]}
            />
          </section>
          <ScrollPanel label="Heat flows" className="max-h-[214px] overflow-y-auto">
            <h2 className="text-[15px]">Heat flows at this moment</h2>
            <table className="mt-1 w-full text-[13px]">
              <tbody>
                {[...flows]
                  .filter((flow) => Math.abs(flow.heat) >= 0.05)
                  .sort((a, b) => Math.abs(b.heat) - Math.abs(a.heat))
                  .map((flow) => {
                    const key = flowKey(flow);
                    const [from, to] = flow.heat >= 0 ? [flow.from, flow.to] : [flow.to, flow.from];
                    return (
                      <tr
                        key={key}
                        className={`border-t border-rule/60 ${key === picked ? 'bg-act/15' : ''}`}
                      >
                        <td>
                          <button
                            type="button"
                            className="min-h-[24px] text-left hover:underline"
                            aria-pressed={key === picked}
                            onClick={() => setPicked(key === picked ? null : key)}
                          >
                            {inWordsOf(drum, `${from} to ${to}`)}
                          </button>
                        </td>
                        <td className="text-dim">{PATHS[flow.path]}</td>
                        <td className="text-right font-[560]">{wattText(Math.abs(flow.heat))}</td>
                      </tr>
                    );
                  })}
              </tbody>
            </table>
          </ScrollPanel>
        </div>
      </div>
      {balance && span && <StopHeat balance={balance} drum={drum} title={stopTitle(computed, span)} />}
    </>
  );
}

const PATHS = {
  conduction: 'through metal',
  contact: 'by contact',
  radiation: 'by radiation',
  faces: 'off the surfaces',
  vanes: 'through the vanes',
  air: 'by air',
} as const;

function peakOf(values: Float64Array, from: number, to: number): number {
  let best = from;
  for (let i = from; i <= to; i++) if (values[i] > values[best]) best = i;
  return best;
}

function stopTitle({ result }: Computed, span: { lap: number; stop: number }): string {
  const lap = result.laps[span.lap - 1];
  const { name } = lap.trace.stops[span.stop];
  return `Where the heat of ${stopText(span.stop, name)} on lap ${lap.numberInSession} went, until the next braking zone`;
}

function StopHeat({ balance, drum, title }: { balance: HeatBalance; drum: boolean; title: string }) {
  const made = balance.intoRotor + balance.intoPads;
  const toAir = balance.flows.reduce((sum, flow) => sum + (flow.to === 'air' ? flow.heat : 0), 0);
  const kept = Object.values(balance.stored).reduce((sum, heat) => sum + heat, 0);
  return (
    <section className="panel px-3 py-2.5" aria-label="Where the heat went">
      <h2 className="text-[15px]">{title}</h2>
      <p className="caption">
        One wheel: made {jouleText(made)}, to the air {jouleText(toAir)}, kept in the brake {jouleText(kept)}.
        Flows are summed over the steps; what they leave open is {jouleText(Math.abs(made - toAir - kept))}.
      </p>
      <Scrolled label="The heat’s ways, drawn">
        <div className="min-w-[640px]">
          <HeatFlow balance={balance} drum={drum} />
        </div>
      </Scrolled>
    </section>
  );
}

/** A drawing that may be wider than the page, reached by keyboard. */
function Scrolled({ label, children }: { label: string; children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keyboard
    <section className="relative overflow-x-auto" aria-label={label} tabIndex={0}>
      {children}
    </section>
  );
}
