import * as Comlink from 'comlink';
import {
  type BalanceChoices,
  type BeddingPlan,
  balanceChoices,
  buffersIn,
  type CoolingDoubt,
  type CoolingNeed,
  circuitSeverity,
  coolingNeed,
  type DayInput,
  type DayResult,
  DEFAULT_NUMERICS,
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

/** A stop, or why a phone's readings tell none. */
export type PhoneAnswer =
  | { readonly ok: true; readonly stop: PhoneStop }
  | { readonly ok: false; readonly code: PhoneError['code']; readonly fact: number };

/**
 * What is told and not kept, moved to the page instead of copied: memory that the page made room for itself would have it
 * collect what is left over in the middle of taking a result.
 */
const moved = <T>(told: T): T => Comlink.transfer(told, [...buffersIn(told)]);

/** Everything heavy the page asks for. */
const engine = {
  /** Why the kernel does not run here, null where it does. */
  kernelTrouble: probeKernel,
  /** A day by itself. */
  drive(input: DayInput): DayResult {
    return moved(leanDay(input).told());
  },
  /** The same with the temperature of every node and the drive of every step: more than twice as much. */
  driveWhole(input: DayInput): DayResult {
    return moved(simulateDay(input));
  },
  /** A day of which nothing is told: a program is compiled while it is used. */
  warm(input: DayInput): void {
    leanDay(input).told();
  },
  /** A day judged with what nobody knows of its cooling; takes two days' time. */
  async simulate(input: DayInput): Promise<DayResult> {
    return moved(judgedDay(input, DEFAULT_NUMERICS, 'parts'));
  },
  /** What is left of a day with less cooling. */
  leftAtWorse,
  /** The same day at one end of what is known of its cooling. */
  simulateCooled(input: DayInput, factors: CoolingDoubt['less']): DayResult {
    return moved(leanDay(withCooling(input, factors)).told());
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
    return moved(uncertainPiece(setup, piece));
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
    return moved(bedding(question));
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
    return moved(benchPlan(setup, bench));
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
