import { Slider } from 'radix-ui';
import { WHEELS, type WheelName } from '../../../core';
import type { Setup } from '../../../model';
import { clockText } from '../../../text/en';
import { Choice } from '../../ui/Choice';
import { type Moment, peakOf } from './useMoment';

/** Wheel and moment, and the ways to the moments that matter. */
export function MomentBar({ setup, moment }: { setup: Setup; moment: Moment }) {
  const { wheel, setWheel, step, spans, go, hottest, values, record, sample, leg, where } = moment;
  return (
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
      <TimeSlider moment={moment} />
    </section>
  );
}

/** The time in the day, by steps of the computation on the arrow keys. */
export function TimeSlider({ moment: { record, sample, end, setTime, where, go } }: { moment: Moment }) {
  return (
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
  );
}

export const WHEEL_NAMES: Readonly<Record<WheelName, string>> = {
  frontLeft: 'Front left',
  frontRight: 'Front right',
  rearLeft: 'Rear left',
  rearRight: 'Rear right',
};
