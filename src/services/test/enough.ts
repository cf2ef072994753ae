import type { Verdict } from '../../core';
import { assess } from '../compare/assess';
import { predictTest, type TestAnswer, type TestQuestion } from './question';

/** What a setup is enough for, each more than the one before. */
export const ENOUGH_FOR = ['nothing', 'one stop', 'this test', 'the session'] as const;
export type EnoughFor = (typeof ENOUGH_FOR)[number];

/** A setup's test and its plan's session. */
export interface SetupTest {
  readonly answer: TestAnswer;
  readonly verdict: Verdict['kind'];
  readonly enough: EnoughFor;
}

/** Deceleration kept over a row of stops, as a share of the first, under which it is not enough for them (own choice). */
const KEPT = 0.9;

/** Drives a test and the plan's day with a setup. @throws RangeError as `predictTest` and `simulateDay` */
export function testSetup(question: TestQuestion): SetupTest {
  const answer = predictTest(question);
  const verdict = assess(question.setup).summary.verdict.kind;
  return { answer, verdict, enough: enoughFor(answer, verdict) };
}

/** What a setup is enough for by what was predicted of it. */
export function enoughFor(
  { stops, failure, passed }: Pick<TestAnswer, 'stops' | 'failure' | 'passed'>,
  verdict: Verdict['kind'],
): EnoughFor {
  const [first] = stops;
  const counted = stops.filter(({ phase }) => phase !== 'heating');
  if (!first || first.heldBy === 'travel' || failure?.stop === 1) return 'nothing';
  const least = Math.min(...counted.map((stop) => stop.meanDeceleration));
  const whole =
    failure === null &&
    least >= KEPT * first.meanDeceleration &&
    passed.every(({ part }) => part !== 'padFace');
  if (!whole) return 'one stop';
  return verdict === 'within-limits' || verdict === 'close' ? 'the session' : 'this test';
}
