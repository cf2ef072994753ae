import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { MOVABLE_IDS, movable } from '../parameters/movables';
import { setupOf } from '../toCore/toCore';
import { movedOn, notchAt, savedValues, sliderEnds } from './whatIf';

const setup = setupOf(demoProject);
const saved = savedValues(setup);

describe('a control that is moved on', () => {
  it('comes to the notch that its slider comes to, to the last bit, and nowhere past its end', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MOVABLE_IDS),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.constantFrom(-3, -1, 1, 2),
        (id, place, notches) => {
          const ends = sliderEnds(id, saved[id], movable(id).bounds(setup));
          const { step } = movable(id);
          const slide = (value: number, by: number) => notchAt(id, ends, value + by * step);
          const before = notchAt(id, ends, ends[0] + place * (ends[1] - ends[0]));
          const now = slide(before, notches);
          const next = movedOn(setup, { [id]: before }, { [id]: now });
          if (now === before) {
            expect(next).toBeNull();
            return;
          }
          const [least, most] = [Math.min(before, now), Math.max(before, now)];
          if (least === ends[0] || most === ends[1]) {
            // From or to an end, which need not lie on a notch.
            const moved = next?.[id] ?? now;
            expect(moved).toBeGreaterThanOrEqual(ends[0]);
            expect(moved).toBeLessThanOrEqual(ends[1]);
          } else if (next === null) expect(slide(now, notches)).toBe(now);
          else expect(next[id]).toBe(slide(now, notches));
        },
      ),
      { numRuns: 400 },
    );
  });

  it('is one number moved alone; what else is moved stays as it is', () => {
    const { massKg: mass, frontPad } = saved;
    const pad = demoProject.cars.map(({ rear }) => rear.pad).find((id) => id !== frontPad) ?? 'other';
    expect(movedOn(setup, { frontPad: pad }, { frontPad: pad, massKg: mass + 10 })).toEqual({
      frontPad: pad,
      massKg: mass + 20,
    });
    // From what is saved, and back to it.
    expect(movedOn(setup, {}, { massKg: mass - 10 })).toEqual({ massKg: mass - 20 });
    expect(movedOn(setup, { massKg: mass - 20 }, { massKg: mass - 10 })).toEqual({ massKg: mass });
    expect(movedOn(setup, {}, {})).toBeNull();
    expect(movedOn(setup, {}, { frontPad: pad })).toBeNull();
    expect(movedOn(setup, {}, { massKg: mass + 10, frontPad: pad })).toBeNull();
  });
});
