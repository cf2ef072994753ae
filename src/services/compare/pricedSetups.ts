import {
  type Car,
  changePrice,
  type Project,
  type Setup,
  type SetupVariant,
  variantSetup,
} from '../../model';

/** A setup of a plan with what it costs beside the plan's own. */
export interface PricedSetup {
  /** null is the plan as it is */
  readonly id: string | null;
  /** null for the plan as it is, which has no name of its own */
  readonly name: string | null;
  readonly setup: Setup;
  /** Of its changes, and what else was typed */
  readonly price: number;
  /** False for another car that nobody has priced */
  readonly priced: boolean;
}

/** The car of a setup; the project's first where it is gone. */
export const carOf = (project: Project, variant: SetupVariant): Car =>
  project.cars.find((car) => car.id === variant.carId) ?? project.cars[0];

/** The plan as it is and the setups it is compared with, in their order. */
export function pricedSetups(project: Project, setup: Setup): PricedSetup[] {
  const others = setup.plan.compare.setups.map((variant) => ({
    id: variant.id,
    name: variant.name,
    setup: variantSetup(project, setup.plan.id, variant),
    price: variant.changes.reduce(
      (sum, change) => sum + changePrice(project, change, carOf(project, variant)),
      variant.otherCost,
    ),
    priced: variant.carId === setup.car.id || variant.otherCost > 0,
  }));
  return [{ id: null, name: null, setup, price: 0, priced: true }, ...others];
}
