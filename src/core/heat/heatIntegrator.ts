/** Turns of Newton's method in which a mean temperature is found from the one before it. */
export const MEAN_TURNS = 2;

/** Most steps that are made at once. */
export const MOST_AT_ONCE = 64;

/** Steps that are known beforehand. */
export interface KnownSteps {
  /** s */
  readonly dt: ArrayLike<number>;
  /** 1 where something is switched at a step's start */
  readonly event: ArrayLike<number>;
  /** Drive channels, a row for each step */
  readonly drives: Float64Array;
}

/** A drive channel that has a value of its own, whatever steps say. */
export interface HeldChannel {
  readonly channel: number;
  value: number;
}

/**
 * What integrates a network in time: the one that is read (`Integrator`), or the kernel that is written for a topology
 * (`KernelIntegrator`). Both give the same numbers to the last bit.
 */
export interface HeatIntegrator {
  /** Drive channels of the next `step`; set by the caller, and left as they fall by what is planned */
  readonly drive: Float64Array;
  /** Heat supplied by the sources so far, J */
  readonly supplied: number;
  /** Heat given to the surroundings so far, J */
  readonly lost: number;
  /** Temperature of a node, K. */
  temperature(node: number): number;
  /** Heat of some nodes, one after another, J: over each one's table's start, or over 0 K where its capacity is constant. */
  heat(first: number, count: number): number;
  /** Heat stored in all nodes since the start, J; from the temperatures, so that it checks the state. */
  stored(): number;
  /** Changes the temperature of the surroundings, K. */
  setAmbient(ambient: number): void;
  /** Writes the temperature of every node in the network's order, K. */
  writeTemperatures(into: Float64Array, offset: number): void;
  /** Writes that of some nodes, K. */
  writeSome(nodes: readonly number[], into: Float64Array): void;
  /** Has rows of temperatures kept of steps that are planned, for `writeRows`. */
  keepRows(): void;
  /** Writes that of every node after each of the first `count` steps that were planned, row after row. */
  writeRows(into: Float64Array, offset: number, count: number): void;
  /** Writes what is read off after each of them. @param into columns of the readings from `first` on */
  writeReadings(into: readonly Float64Array[], first: number, offset: number, count: number): void;
  /** Temperature of the nodes that the network has told if their heat were spread evenly, K; after the last planned step. */
  mean(): number;
  /** Writes that after each of the first `count` steps that were planned. */
  writeTold(into: Float64Array, offset: number, count: number): void;
  /** Forgets the trend of the last step, because the next one starts with something switched. */
  markEvent(): void;
  /**
   * One step, of which nothing is told or read off. Coefficients are those expected at its middle, not iterated, so a step should stay under the time in which
   * the lightest node could radiate its heat away by itself (capacity over 4·radiation·T³); far beyond it, that node
   * swings from step to step instead of settling. The heat is conserved all the same.
   * @param dt s
   * @param earlyPower source power at `GAMMA·dt`, W
   * @param latePower source power at the end of the step, W
   */
  step(dt: number, earlyPower: number, latePower: number): void;
  /**
   * Takes steps of which all is known but their power; `next` makes them one by one, `coast` at once.
   * @param from the first of them
   * @param count from 1 to MOST_AT_ONCE
   */
  plan(steps: KnownSteps, from: number, count: number, held: HeldChannel): void;
  /** Gives the planned step that is next a channel of its own. */
  alter(channel: number, value: number): void;
  /** Has the planned step that is next begin with something switched. */
  switchNext(): void;
  /** Makes the planned step that is next. @param earlyPower as of `step` */
  next(earlyPower: number, latePower: number): void;
  /** Makes all that are planned, without sources. */
  coast(): void;
  /** Gives back what it computes with; nothing may be asked of it afterwards. */
  release(): void;
}
