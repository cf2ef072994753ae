import * as Comlink from 'comlink';
import {
  type BalanceChoices,
  type BeddingPlan,
  balanceChoices,
  type CoolingDoubt,
  type CoolingNeed,
  circuitSeverity,
  coolingNeed,
  type DayInput,
  type DayResult,
  type Drive,
  type FastestPlan,
  type Free,
  failureCases,
  fastestPlan,
  judgedDay,
  leanDay,
  leftAtWorse,
  type Outlook,
  outlook,
  PhoneError,
  type PhoneFix,
  type PhoneMotion,
  type PhoneStop,
  phoneStop,
  probeKernel,
  type RunStatistics,
  simulateDay,
  twoSides,
  withCooling,
} from '../core';
import {
  type CircuitFacts,
  type DocumentResult,
  dayInput,
  type LapTimes,
  type Project,
  type Refused,
  readDocument,
  type Setup,
  type StoredBench,
  type StoredLoad,
} from '../model';
import {
  type Assessed,
  assess,
  type BeddingQuestion,
  type BenchFit,
  type BenchMeasured,
  type BenchPlan,
  bedding,
  benchPlan,
  type Candidate,
  circuitFromFacts,
  drivable,
  type ExposedReports,
  exposedReports,
  fitBench,
  forecastPiece,
  lapTimes,
  loadOf,
  loadOfDay,
  type MadeCircuit,
  predictReadings,
  predictTest,
  type SetupTest,
  singleSteps,
  type TestAnswer,
  type TestQuestion,
  testSetup,
  tryOut,
  uncertainPiece,
  uncertainStatistics,
  type Way,
  waysToKeep,
} from '../services';
import { movable } from './movable';

/** A stop, or why a phone's readings tell none. */
export type PhoneAnswer =
  | { readonly ok: true; readonly stop: PhoneStop }
  | { readonly ok: false; readonly code: PhoneError['code']; readonly fact: number };

/** Everything heavy the page asks for. */
const engine = {
  /** Why the kernel does not run here, null where it does. */
  kernelTrouble: probeKernel,
  /** A day by itself. */
  drive(input: DayInput): DayResult {
    const result = simulateDay(input);
    return Comlink.transfer(result, movable(result));
  },
  /** A day of which nothing is told: a program is compiled while it is used. */
  warm(input: DayInput): void {
    simulateDay(input);
  },
  /** A day judged with what nobody knows of its cooling; takes two days' time. */
  async simulate(input: DayInput): Promise<DayResult> {
    const result = judgedDay(input);
    return Comlink.transfer(result, movable(result));
  },
  /** What is left of a day with less cooling. */
  leftAtWorse,
  /** The same day at one end of what is known of its cooling. */
  simulateCooled(input: DayInput, factors: CoolingDoubt['less']): DayResult {
    const result = leanDay(withCooling(input, factors)).told();
    return Comlink.transfer(result, movable(result));
  },
  /** How long a session can go on; takes a second or more. */
  outlook(input: DayInput, session: number): Outlook {
    return outlook(input, session);
  },
  /** The day with other brake balances, and what the braking zones want. */
  balance(setup: Setup): BalanceChoices {
    return balanceChoices(dayInput(setup));
  },
  /** A setup driven and summed up. */
  assess(setup: Setup): Assessed {
    return assess(setup);
  },
  /** The same without what is left with less cooling. */
  tryOut(setup: Setup): Assessed {
    return tryOut(setup);
  },
  /** Steps from a setup's car that can be put together, one at a time. */
  steps(setup: Setup): Candidate[] {
    return drivable(setup, singleSteps(setup));
  },
  /** Duct areas for the margin the plan wants to keep. */
  coolingNeed(setup: Setup): CoolingNeed {
    return coolingNeed(dayInput(setup), setup.plan.targetMarginK);
  },
  /** Ways to that margin, each with its price. */
  ways(project: Project, setup: Setup, need: CoolingNeed): Way[] {
    return waysToKeep(project, setup, setup.plan.targetMarginK, need);
  },
  /** The fastest plans for the plan's minutes. */
  fastestPlan(setup: Setup, session: number): FastestPlan {
    return fastestPlan(dayInput(setup), session, setup.plan.minutes * 60, setup.plan.targetMarginK);
  },
  /** Some of a setup's uncertain runs. */
  uncertainPiece(setup: Setup, piece: number): Float32Array {
    const values = uncertainPiece(setup, piece);
    return Comlink.transfer(values, [values.buffer as ArrayBuffer]);
  },
  /** What all of them say together. */
  uncertainStatistics(setup: Setup, pieces: readonly Float32Array[]): RunStatistics {
    return uncertainStatistics(setup, pieces);
  },
  /** Parts near brakes and exhaust over the day. */
  exposed(setup: Setup): ExposedReports {
    return exposedReports(setup);
  },
  /** A bedding run driven with a car's brakes. */
  bedding(question: BeddingQuestion): BeddingPlan {
    const plan = bedding(question);
    return Comlink.transfer(plan, movable(plan));
  },
  /** A brake test driven with a car's brakes. */
  brakeTest(question: TestQuestion): TestAnswer {
    return predictTest(question);
  },
  /** The same with the plan's session, for a setup that is compared. */
  testSetup(question: TestQuestion): SetupTest {
    return testSetup(question);
  },
  /** Ends of endurance runs for some of the uncertain draws. */
  forecastPiece(questions: readonly TestQuestion[], piece: number): number[][] {
    return forecastPiece(questions, piece);
  },
  /** A stop from what a phone told. */
  phoneStop(fixes: readonly PhoneFix[], motion: readonly PhoneMotion[]): PhoneAnswer {
    try {
      return { ok: true, stop: phoneStop(fixes, motion) };
    } catch (error) {
      // A class does not pass between threads; why it tells nothing is data.
      if (error instanceof PhoneError) return { ok: false, code: error.code, fact: error.fact };
      throw error;
    }
  },
  /** A circuit's stops for an inertia bench. */
  bench(setup: Setup, bench: StoredBench): BenchPlan {
    const plan = benchPlan(setup, bench);
    return Comlink.transfer(plan, movable(plan));
  },
  /** What a bench's readings say of the cooling. */
  fitBench(input: DayInput, plan: BenchPlan['programme'], measured: readonly BenchMeasured[]): BenchFit {
    return fitBench(input, plan, measured);
  },
  /** What a session takes of a car's brakes. */
  load(setup: Setup): StoredLoad {
    return loadOf(setup);
  },
  /** The same of a session that is driven as its log has it. */
  loadOfDay(day: DayInput): StoredLoad {
    return loadOfDay(day);
  },
  failures: failureCases,
  /** What a circuit asks of a car's brakes, at the pace of its hot laps. */
  severity: circuitSeverity,
  /** Inner and outer side of the disc brakes over a day. */
  twoSides,
  /** Readings of drives with numbers moved. */
  predictReadings(
    drives: readonly Drive[],
    free: readonly Free[],
    places: readonly (readonly number[])[],
  ): number[][] {
    return predictReadings(drives, free, places);
  },
  /** How long the laps of a session take. */
  lapTimes(setup: Setup): LapTimes {
    return lapTimes(setup);
  },
  /** A circuit made up from a few facts, for the setup's car. */
  circuitFromFacts(facts: CircuitFacts, setup: Setup, id: string): MadeCircuit | Refused {
    return circuitFromFacts(facts, setup, id);
  },
  readDocument(text: string): DocumentResult {
    return readDocument(text);
  },
};
export type Engine = typeof engine;

Comlink.expose(engine);
