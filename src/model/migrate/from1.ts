import { type Loose, list, record } from './loose';

/** What version 2 added to an axle, as version 1 computed it. */
const AXLE_2 = {
  drum: null,
  shim: 'none',
  rightDuctAreaCm2: null,
  tapePercent: 0,
  toCaliperPercent: 0,
  shieldPercent: 0,
  opennessPercent: 50,
  leftFactor: 1,
  rightFactor: 1,
};
const ROTOR_2 = {
  vaneType: 'straight',
  surface: 'plain',
  holeCount: 60,
  holeDiameterMm: 6,
  slotCount: 8,
  slotWidthMm: 1.5,
  slotDepthMm: 1,
  weighedKg: null,
};

/** Version 1 had one session a plan, both sides alike, straight vanes and plain faces. */
export function from1(project: Loose): Loose {
  const axle = (value: unknown) => ({
    ...AXLE_2,
    ...record(value),
    rotor: { ...ROTOR_2, ...record(record(value).rotor) },
  });
  return {
    ...project,
    version: 2,
    cars: list(project.cars, (car) => ({
      gravityHeightMm: 480,
      trackWidthMm: 1500,
      innerReliefPercent: 0,
      ...car,
      fluid: { measuredBoilingC: null, ...record(car.fluid) },
      front: axle(car.front),
      rear: axle(car.rear),
    })),
    plans: list(project.plans, (plan) => {
      const {
        outLaps,
        outPacePercent,
        hotLaps,
        coolDownLaps,
        coolDownPacePercent,
        paddockMin,
        ambientC,
        ...kept
      } = plan;
      const drive = (kind: string, laps: unknown, pacePercent: unknown) =>
        laps === 0 ? [] : [{ kind, laps, pacePercent }];
      return {
        ...kept,
        sessions: [
          {
            name: 'Session',
            ambientC,
            legs: [
              ...drive('out', outLaps, outPacePercent),
              ...drive('hot', hotLaps, 100),
              ...drive('cool', coolDownLaps, coolDownPacePercent),
              ...(paddockMin === 0 ? [] : [{ kind: 'paddock', minutes: paddockMin, fanKmh: 0 }]),
            ],
          },
        ],
      };
    }),
  };
}
