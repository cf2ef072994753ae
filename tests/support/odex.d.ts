/** The part of npm `odex` 2.0.4 that is used; the package ships raw TypeScript that strict flags reject. */
export enum Outcome {
  Converged,
  MaxStepsExceeded,
  EarlyReturn,
}
export class Solver {
  constructor(dimension: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  initialStepSize: number;
  maxStepSize: number;
  maxSteps: number;
  solve(
    derivative: (x: number, y: number[]) => number[],
    x0: number,
    y0: number[],
    xEnd: number,
  ): { y: number[]; outcome: Outcome; nStep: number; nEval: number };
}
