/** What is done, why, and how one sees that it is right. */
export type StepWords = readonly [does: string, why: string, check: string];

/** Facts that the sentences of steps are made with, each in the reader's units. */
export interface StepFacts {
  /** `left` or `right`: of the wheel that the step is at */
  readonly side: string;
  /** Fluid that comes back and room for it; null where none does */
  readonly pushBack: {
    readonly home: string;
    readonly room: string;
    readonly tooLittle: boolean;
  } | null;
  readonly pumps: number;
  readonly bleedWay: string;
  readonly bedding: string;
  /** What is fitted against heat, and where */
  readonly protections: string;
  /** Pistons of one side in the order in which the rotor passes them */
  readonly pistons: string;
  readonly rotorMinimum: string | null;
  readonly padMinimum: string | null;
  readonly aluminium: boolean;
  readonly sensorStays: boolean;
  readonly fixed: boolean;
  readonly screws: number;
}
