import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { judgedDay, type Moment, simulateDay } from '../../core';
import { METRIC, US } from '../../model/quantity/units';
import type { Plan } from '../../model/schema/plan';
import { dayInput, setupOf } from '../../model/toCore/toCore';
import { clockText, marginText, momentText, temperatureText, verdictText } from './wording';

const run = (id: string, change: (plan: Plan) => Plan = (plan) => plan) => {
  const setup = setupOf(demoProject, id);
  return simulateDay(dayInput({ ...setup, plan: change(setup.plan) }));
};
const judged = (id: string) => judgedDay(dayInput(setupOf(demoProject, id)));
const anvil = run('plan-tarn-anvil');
const moment = (change: Partial<Moment>): Moment => ({
  time: 0,
  session: 0,
  lap: 3,
  zone: 1,
  stand: null,
  standingTime: 0,
  ...change,
});

describe('places in a session', () => {
  it.each([
    [moment({}), 'on lap 3 at braking zone 2 (Tongs)'],
    [moment({ lap: 1, zone: 0 }), 'on lap 1 (out lap) at braking zone 1 (Hammer)'],
    [moment({ lap: 13, zone: 6 }), 'on lap 13 (cool-down) at braking zone 7 (Ingot)'],
    [moment({ lap: 5, zone: -1 }), 'on lap 5 before the first braking zone'],
    [moment({ lap: null, zone: -1, stand: 'paddock', standingTime: 185 }), '3:05 min after parking'],
    [moment({ lap: null, zone: -1, stand: 'pit', standingTime: 61 }), '1:01 min into the pit stop'],
  ])('%j', (at, text) => expect(momentText(at, anvil)).toBe(text));
});

describe('figures', () => {
  it('carry their unit in either system', () => {
    expect(temperatureText(373.15, METRIC)).toBe('100 °C');
    expect(temperatureText(373.15, US)).toBe('212 °F');
    expect(clockText(59.6)).toBe('1:00');
    expect(clockText(3605)).toBe('60:05');
  });

  it('say of a margin how much is left or how much it is over, and of bite how much too cold', () => {
    const [margin] = anvil.margins;
    expect(marginText({ ...margin, margin: 12.4 }, METRIC)).toBe('12 °C below limit');
    expect(marginText({ ...margin, margin: -12.6 }, METRIC)).toBe('13 °C over limit');
    expect(marginText({ ...margin, margin: 10 }, US)).toBe('18 °F below limit');
    expect(marginText({ ...margin, part: 'bite', margin: -30 }, METRIC)).toBe(
      '30 °C below working temperature',
    );
    expect(marginText({ ...margin, part: 'bite', margin: 30 }, METRIC)).toBe(
      '30 °C above working temperature',
    );
  });
});

describe('the verdict’s sentence', () => {
  it('counts the hot laps done before the first limit', () => {
    expect(verdictText(anvil, METRIC).sentence).toBe(
      'The front pads overheat first: over 700 °C on lap 4 at braking zone 3 (Bellows), after 2 hot laps.',
    );
    const { sentence } = verdictText(run('plan-ovel-nettle'), METRIC);
    expect(sentence).toMatch(
      /^The front right fluid at the pistons boils: over its boiling point of \d+ °C on lap 6 .*, after 4 hot laps\.$/,
    );
  });

  it('speaks of fluid in the singular, with what boiling means', () => {
    const setup = setupOf(demoProject, 'plan-tarn-anvil');
    const wet = {
      ...setup.car,
      front: { ...setup.car.front, pad: 'enduro' as const },
      fluid: { ...setup.car.fluid, kind: 'class-3' as const, ageMonths: 60 },
    };
    const result = simulateDay(dayInput({ ...setup, car: wet }));
    const { sentence, notes, state } = verdictText(result, METRIC);
    expect(state).toBe('Over limit');
    expect(sentence).toMatch(/^The front brake fluid boils: over its boiling point of \d+ °C on lap \d+ /);
    expect(notes[0]).toMatch(/the next push can go to the floor/);
  });

  it('counts a bite that is too cold as plainly as a limit, alone or beside one', () => {
    const cold = verdictText(judged('plan-skarn-fen'), METRIC);
    expect(cold.state).toBe('Below working temperature');
    expect(cold.sentence).toMatch(
      /^The (front|rear) pads are below working temperature on lap 2 at braking zone 1 \(Sluice\): \d+ °C, working from 300 °C\.$/,
    );
    expect(cold.notes.join(' ')).toContain('No temperature is over its limit in 12 hot laps');
    const { car, ...rest } = setupOf(demoProject, 'plan-skarn-fen');
    const old = { ...car, fluid: { ...car.fluid, measuredBoilingC: 91 } };
    const both = verdictText(simulateDay(dayInput({ ...rest, car: old })), METRIC);
    expect(both.state).toBe('Over limit');
    expect(both.notes.join(' ')).toMatch(
      /Cold bite \(initial friction\): on lap 2 at braking zone 1 \(Sluice\) the (front|rear) pads/,
    );
  });

  it('names sessions where the day has several', () => {
    const parked = moment({ session: 2, lap: null, zone: -1, stand: 'paddock', standingTime: 200 });
    expect(momentText(parked, run('plan-tarn-day'))).toBe('3:20 min after parking, session 3');
    expect(verdictText(run('plan-tarn-day'), METRIC).sentence).toMatch(
      /on lap \d+ of session \d at braking zone/,
    );
  });

  it('names what is closest when nothing is passed', () => {
    expect(
      verdictText(
        run('plan-tarn-fen', (plan) => oneSession(plan, { hotLaps: 1 })),
        METRIC,
      ).sentence,
    ).toMatch(
      /^Everything stays within its limit in 1 hot lap\. Closest: the (front|rear) [a-z ]+, \d+ °C below (its|their) /,
    );
  });
});
