import { Flag, Undo2, X } from 'lucide-react';
import { useState } from 'react';
import {
  endRun,
  putStop,
  RUN_ENDS,
  type RunEnd,
  removeStop,
  stopsOf,
  type TestStopStored,
} from '../../../model';
import { GAVE_OUT } from '../../../services';
import { minuteText, RUN_END_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { useEdit } from '../../state/useEdit';
import type { TestTabProps } from './tabProps';
import { useCounterClock } from './useCounterClock';
import type { OpenRun } from './useRun';

const counted = (atS: number): Omit<TestStopStored, 'n'> => ({
  fromKmh: null,
  toKmh: 0,
  distanceM: null,
  marksM: [],
  timeS: null,
  pedalN: null,
  abs: null,
  meanMs2: null,
  temperatureC: null,
  atS,
  errorM: null,
  source: 'counter',
  note: '',
});

/** For the passenger: one tap a stop, with the time; each tap is kept at once, and a closed page goes on counting. */
export function CounterCard({
  tested,
  open,
  onClose,
}: TestTabProps & { readonly open: OpenRun; readonly onClose: () => void }) {
  const edit = useEdit();
  const clock = useCounterClock(open.id);
  const [ending, setEnding] = useState(false);
  const { test } = tested;
  const stops = stopsOf(open.run);
  const last = stops.at(-1);
  const tap = () => {
    const atS = clock.running ? Math.round(10 * clock.now()) / 10 : 0;
    if (!clock.running) clock.start();
    edit('Counted a stop', (p) => putStop(p, test.id, open.id, crypto.randomUUID(), counted(atS)));
    // A phone in a glove says that it has felt the tap.
    navigator.vibrate?.(40);
  };
  const felt = () => {
    if (last) {
      const { id, stop } = last;
      edit('ABS felt', (p) =>
        putStop(p, test.id, open.id, id, { ...stop, abs: stop.abs === true ? null : true }),
      );
    }
  };
  const end = (by: RunEnd, axle: 'front' | 'rear' | null) => {
    const atS = Math.max(1, Math.round(clock.now()));
    if (edit('How a run ended', (p) => endRun(p, test.id, open.id, { atS, by, axle }))) {
      clock.stop();
      onClose();
    }
  };
  return (
    <section
      className="fixed inset-0 z-40 grid grid-rows-[auto_auto_minmax(0,1fr)_auto] gap-2 bg-ground p-3"
      aria-label="Counter"
      data-testid="counter"
    >
      <div className="flex items-center gap-2">
        <p className="mr-auto truncate text-dim">{open.run.name}</p>
        <button type="button" className="btn min-h-[48px]" onClick={onClose}>
          <X size={18} aria-hidden="true" /> Close
        </button>
      </div>
      <div className="text-center" role="status">
        <p className="text-[clamp(56px,17vw,128px)] font-[680] leading-none tabular-nums" data-testid="count">
          {stops.length}
        </p>
        <p className="text-[clamp(22px,6vw,40px)] tabular-nums">
          {clock.running ? minuteText(clock.seconds) : say.counterWaits}
        </p>
        <p className="text-dim">
          {last?.stop.atS === undefined || last.stop.atS === null
            ? say.counterTarget(test.design.stops)
            : `${say.counterLast(stops.length, minuteText(last.stop.atS))}${last.stop.abs ? say.counterAbs : ''}`}
        </p>
      </div>
      {ending ? (
        <div className="grid content-end gap-2 overflow-auto">
          {RUN_ENDS.map((by) =>
            GAVE_OUT.has(by) && by !== 'pads gone' ? (
              <div key={by} className="grid grid-cols-2 gap-2">
                {(['front', 'rear'] as const).map((axle) => (
                  <button
                    key={axle}
                    type="button"
                    className="btn min-h-[52px] justify-center"
                    onClick={() => end(by, axle)}
                  >
                    {RUN_END_TEXT[by].split(':')[0]}, {axle}
                  </button>
                ))}
              </div>
            ) : (
              <button
                key={by}
                type="button"
                className="btn min-h-[52px] justify-center"
                onClick={() => end(by, null)}
              >
                {RUN_END_TEXT[by]}
              </button>
            ),
          )}
          <button type="button" className="btn min-h-[52px] justify-center" onClick={() => setEnding(false)}>
            Go on counting
          </button>
        </div>
      ) : (
        <button
          type="button"
          // biome-ignore lint/a11y/noAutofocus: the one thing on the screen; Space and Enter count, too
          autoFocus
          className="grid min-h-[220px] place-content-center self-stretch rounded-lg border-2 border-act bg-act text-[clamp(34px,10vw,72px)] font-[680] text-act-ink"
          onClick={tap}
        >
          Stop
        </button>
      )}
      {!ending && (
        <div className="grid grid-cols-3 gap-2">
          <button
            type="button"
            className="btn min-h-[64px] justify-center"
            disabled={!last}
            aria-pressed={last?.stop.abs === true}
            onClick={felt}
          >
            ABS felt
          </button>
          <button
            type="button"
            className="btn min-h-[64px] justify-center"
            disabled={!last}
            onClick={() => last && edit('Counted back', (p) => removeStop(p, test.id, open.id, last.id))}
          >
            <Undo2 size={18} aria-hidden="true" /> Back
          </button>
          <button
            type="button"
            className="btn min-h-[64px] justify-center"
            disabled={!clock.running}
            onClick={() => setEnding(true)}
          >
            <Flag size={18} aria-hidden="true" /> End
          </button>
        </div>
      )}
    </section>
  );
}
