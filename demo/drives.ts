import type { Observation, Plan, StoredDrive } from '../src/model';
import { tarn } from './cars/tarn';
import { anvilPark } from './circuits';
import { session } from './session';

type Spot = Extract<Observation, { kind: 'spot' }>;
type Paint = Extract<Observation, { kind: 'paint' }>;

const used = { excluded: null, note: '' };

/** A contact pyrometer on a disc, some seconds after the car had stopped. */
const spot = (id: string, wheel: Spot['wheel'], valueC: number, lap: number, afterS: number): Spot => ({
  kind: 'spot',
  id,
  ...used,
  wheel,
  place: 'disc',
  valueC,
  lap,
  afterS,
  instrument: 'contact',
  emissivity: null,
  errorK: null,
});

/** Marks at one place: those that turned, and those that did not. */
const marks = (
  id: string,
  wheel: Paint['wheel'],
  place: Paint['place'],
  turned: readonly number[],
  not: readonly number[],
): Paint[] =>
  [...turned.map((t) => [t, true] as const), ...not.map((t) => [t, false] as const)].map(
    ([thresholdC, did]): Paint => ({
      kind: 'paint',
      id: `${id}-${thresholdC}`,
      ...used,
      wheel,
      place,
      thresholdC,
      turned: did,
    }),
  );

const firm = (id: string): Observation => ({
  kind: 'boiled',
  id,
  ...used,
  axle: 'front',
  lap: null,
  sign: 'long pedal',
});

/**
 * Two sessions of the invented team, measured with what a paddock has. One reading is wrong on purpose: the rear right disc
 * was 152 °C, and its digits were written down the wrong way round.
 */
export const demoDrives = (plan: Plan): StoredDrive[] => {
  const driven = (id: string, name: string, ambientC: number, hotLaps: number) => ({
    id,
    name,
    date: '2026-06-13',
    car: tarn,
    circuit: anvilPark,
    plan: { ...plan, name, date: '2026-06-13', sessions: [session(name, ambientC, hotLaps, 20)] },
    begun: null,
    parts: [],
    log: null,
    symptoms: [],
  });
  return [
    {
      ...driven('drive-anvil-morning', 'Anvil Park, morning', 22, 7),
      observations: [
        spot('morning-fl', 'frontLeft', 382, 9, 55),
        spot('morning-fr', 'frontRight', 391, 9, 85),
        spot('morning-rl', 'rearLeft', 161, 9, 120),
        { ...spot('morning-rr', 'rearRight', 251, 9, 150), note: 'Written down in the rain' },
        ...marks('morning-edge', 'frontLeft', 'ringEdge', [704, 788], [845]),
        ...marks('morning-caliper-left', 'frontLeft', 'caliper', [149, 160], [166]),
        ...marks('morning-caliper-right', 'frontRight', 'caliper', [160, 166], [177]),
        ...marks('morning-plate', 'frontLeft', 'padPlate', [371], [399]),
        firm('morning-pedal'),
      ],
    },
    {
      ...driven('drive-anvil-afternoon', 'Anvil Park, afternoon', 26, 5),
      observations: [
        spot('afternoon-fl', 'frontLeft', 388, 7, 55),
        spot('afternoon-fr', 'frontRight', 397, 7, 85),
        spot('afternoon-rl', 'rearLeft', 150, 7, 120),
        ...marks('afternoon-caliper', 'frontLeft', 'caliper', [149], [160]),
      ],
    },
  ];
};
