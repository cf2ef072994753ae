import type { Car, Project, Setup, SetupVariant } from '../../../model';
import type { Assessed } from '../../../services';

/** A setup of the comparison with its result. */
export interface Compared {
  /** null is the plan as it is */
  readonly id: string | null;
  readonly name: string;
  readonly setup: Setup;
  /** Of its changes, and what else was typed */
  readonly price: number;
  /** False for another car that nobody has priced */
  readonly priced: boolean;
  readonly assessed: Assessed;
}

/** The car of a setup; the project's first where it is gone. */
export const carOf = (project: Project, variant: SetupVariant): Car =>
  project.cars.find((car) => car.id === variant.carId) ?? project.cars[0];
