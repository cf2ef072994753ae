import { AXLES, type AxleName, axleOf, WHEELS, type WheelName } from '../../core';
import {
  type AxleBrakes,
  type AxleWorkshop,
  type Car,
  EXPOSED_KINDS,
  exchangedBy,
  type Part,
  type Preparation,
  preparedCar,
  type TorqueKey,
} from '../../model';

/** What is done at a wheel. */
export type Task = 'pads' | 'rotor' | 'caliper' | 'duct' | 'shield' | 'hose' | 'tyre' | 'protection';

/** A wheel and all that decides which steps apply to it. */
export interface WheelWork {
  readonly wheel: WheelName;
  readonly axle: AxleName;
  readonly tasks: ReadonlySet<Task>;
  /** As it is to be, and as it was */
  readonly brakes: AxleBrakes;
  readonly before: AxleBrakes;
  readonly workshop: AxleWorkshop;
  /** Whether the caliper comes off */
  readonly caliperOff: boolean;
}

/** A preparation with all that its lists are made of. */
export interface Work {
  readonly preparation: Preparation;
  /** As it was, and as it is to be */
  readonly before: Car;
  readonly car: Car;
  readonly parts: readonly Part[];
  /** Wheels that are opened, in the order in which one walks round the car */
  readonly wheels: readonly WheelWork[];
  readonly bleeds: boolean;
  readonly beds: boolean;
  /** Pistons, lines or screws are touched, or fluid is exchanged */
  readonly hydraulic: boolean;
}

const ROUND: readonly WheelName[] = ['frontLeft', 'frontRight', 'rearRight', 'rearLeft'];

/** The car as a preparation wants it: as it stands where it was signed off. */
export const wantedCar = (car: Car, preparation: Preparation, parts: readonly Part[]): Car =>
  preparation.signed ? car : preparedCar(car, preparation, preparation.date, parts);

/** What a preparation's changes and protections mean wheel by wheel. @param car as it stands now */
export function workOf(car: Car, preparation: Preparation, parts: readonly Part[]): Work {
  const after = wantedCar(car, preparation, parts);
  const { changes, protections } = preparation;
  // Until it is signed off the car stands as it was, whatever was measured on it meanwhile.
  const before = preparation.signed ? preparation.before : car;
  const tasks = new Map<WheelName, Set<Task>>(WHEELS.map((wheel) => [wheel, new Set()]));
  const add = (task: Task, on: (wheel: WheelName) => boolean) => {
    for (const wheel of WHEELS) if (on(wheel)) tasks.get(wheel)?.add(task);
  };
  let [fluid, cylinder] = [false, false];
  for (const change of changes) {
    const key = exchangedBy(change, parts);
    if (!key) continue;
    if (key === 'fluid') fluid = true;
    else if (key === 'cylinder') cylinder = true;
    else if (key === 'hoses') add('hose', () => true);
    else if (key === 'tyres') add('tyre', () => true);
    else {
      const [axle, what] = key.split(' ') as [AxleName, 'pads' | 'rotors' | 'calipers' | 'ducts' | 'shields'];
      const task = what === 'pads' ? what : (what.slice(0, -1) as Task);
      add(task, (wheel) => axleOf(wheel) === axle);
    }
  }
  for (const { part } of protections) {
    const own = after.exposed.find(({ id }) => id === part);
    // What is by the exhaust is reached from below, not behind a wheel.
    if (own && EXPOSED_KINDS[own.kind].source === 'rotor') {
      // What is hot on one side is mostly hot on the other.
      add('protection', (wheel) => axleOf(wheel) === own.axle);
    }
  }
  const wheels = ROUND.filter((wheel) => (tasks.get(wheel)?.size ?? 0) > 0).map((wheel): WheelWork => {
    const axle = axleOf(wheel);
    const own = tasks.get(wheel) as Set<Task>;
    const workshop = after.workshop[axle];
    const disc = !before[axle].drum || !after[axle].drum;
    return {
      wheel,
      axle,
      tasks: own,
      brakes: after[axle],
      before: before[axle],
      workshop,
      caliperOff:
        disc && (own.has('rotor') || own.has('caliper') || (own.has('pads') && !workshop.padsFromTop)),
    };
  });
  const opened = (task: Task) => wheels.some((own) => own.tasks.has(task));
  const bleeds = preparation.bleed.wanted !== 'none';
  return {
    preparation,
    before,
    car: after,
    parts,
    wheels,
    bleeds,
    beds: opened('pads') || opened('rotor'),
    hydraulic: bleeds || fluid || cylinder || opened('pads') || opened('caliper') || opened('hose'),
  };
}

/** Axles at which something is done. */
export const axlesOf = ({ wheels }: Pick<Work, 'wheels'>, ...tasks: readonly Task[]): AxleName[] =>
  AXLES.filter((axle) =>
    wheels.some((own) => own.axle === axle && tasks.some((task) => own.tasks.has(task))),
  );

/** The maker's figure of a joint, as somebody entered it; null where nobody has. */
export const torqueOf = ({ car }: Pick<Work, 'car'>, key: TorqueKey) => car.workshop.torques[key] ?? null;
