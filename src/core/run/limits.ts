import { PedalTravel } from '../actuation';
import { type AxleInput, type Corner, type RecordedPart, rubbedMaterial } from '../brake';
import type { Vehicle } from '../lap';
import type { ZoneForce } from './zoneResult';

/** Highest temperature a wheel bearing's grease is run at, K (150 °C, from memory). */
const HUB_LIMIT = 423.15;

/** A temperature that a wheel's brake should not pass. */
interface HeatLimit<Part extends string = string> {
  readonly part: Part;
  /** `hot`: nothing may be hotter at any time; `cold`: pads should be no colder where a hot lap brakes */
  readonly end: 'hot' | 'cold';
  /**
   * What is read against it: the hottest of these. Surfaces are their mean over turn and radius, as limits of pads and faces
   * are usually stated for the middle of the band
   */
  readonly reads: readonly RecordedPart[];
  /** K */
  readonly limit: (corner: Corner, axle: AxleInput) => number;
  /** Whether passing it on a lap ends the drive */
  readonly endsTheDrive: boolean;
  /** Whether a duct may be chosen by it: not where the way of its heat is a guess */
  readonly setsDuct: boolean;
  /** Where the limit comes from */
  readonly source: string;
}

/** Every limit of a wheel's brake, in the order they are listed in. A new one is one entry here and its words. */
const HEAT = [
  {
    part: 'rotorFace',
    end: 'hot',
    reads: ['rotorFace'],
    limit: (corner) => rubbedMaterial(corner).faceLimit,
    endsTheDrive: false,
    setsDuct: true,
    source: 'the material',
  },
  {
    part: 'rotorBulk',
    end: 'hot',
    reads: ['rotorBulk'],
    limit: (corner) => rubbedMaterial(corner).bulkLimit,
    endsTheDrive: false,
    setsDuct: true,
    source: 'the material',
  },
  {
    part: 'padFace',
    end: 'hot',
    reads: ['padFace'],
    limit: ({ pad }) => pad.limit,
    endsTheDrive: false,
    setsDuct: true,
    source: 'the pad',
  },
  {
    part: 'plate',
    end: 'hot',
    reads: ['plate'],
    limit: ({ pad }) => pad.plateLimit,
    endsTheDrive: false,
    setsDuct: true,
    source: 'the pad',
  },
  {
    part: 'seal',
    end: 'hot',
    reads: ['seal'],
    limit: ({ caliper }) => caliper.sealLimit,
    endsTheDrive: false,
    setsDuct: true,
    source: 'the caliper',
  },
  {
    // Vapour forms at the wetted wall; in colder fluid around it the bubbles fall in again.
    part: 'fluidWall',
    end: 'hot',
    reads: ['fluidWall'],
    limit: (_, axle) => axle.boilingPoint,
    endsTheDrive: false,
    setsDuct: true,
    source: 'class, age and water, or as measured',
  },
  {
    part: 'fluid',
    end: 'hot',
    reads: ['fluid', 'hose'],
    limit: (_, axle) => axle.boilingPoint,
    endsTheDrive: true,
    setsDuct: true,
    source: 'class, age and water, or as measured',
  },
  {
    part: 'hub',
    end: 'hot',
    reads: ['hub'],
    limit: () => HUB_LIMIT,
    endsTheDrive: false,
    setsDuct: false,
    source: 'from memory',
  },
  {
    part: 'bite',
    end: 'cold',
    reads: ['padFace'],
    limit: ({ pad }) => pad.windowLow,
    endsTheDrive: false,
    setsDuct: false,
    source: 'the pad',
  },
] as const satisfies readonly HeatLimit[];

export type LimitedPart = (typeof HEAT)[number]['part'];
/** A limit that nothing may be hotter than. */
export type HotPart = Extract<(typeof HEAT)[number], { readonly end: 'hot' }>['part'];
export const HEAT_LIMITS: readonly HeatLimit<LimitedPart>[] = HEAT;
export const HOT_LIMITS = HEAT_LIMITS.filter((limit) => limit.end === 'hot') as readonly HeatLimit<HotPart>[];
export const COLD_LIMITS = HEAT_LIMITS.filter((limit) => limit.end === 'cold');

/** A limit of the driver's foot or of the pedal. */
interface FootLimit<Part extends string = string> {
  readonly part: Part;
  /** N or m */
  readonly limit: (vehicle: Vehicle) => number;
  readonly of: (force: ZoneForce) => number;
  /** Laps it is looked at on: hot ones, or all */
  readonly laps: 'hot' | 'all';
  readonly endsTheDrive: boolean;
}

/** Every limit of the foot, in the order they are listed in. */
const FOOT = [
  {
    part: 'pedal',
    limit: ({ brakes }) => brakes.forceLimit,
    of: (force) => force.pedal,
    laps: 'hot',
    endsTheDrive: false,
  },
  {
    part: 'travel',
    // The floor, or the end of the cylinder where that comes first.
    limit: ({ brakes }) => {
      const travel = new PedalTravel(brakes);
      return travel.pedal(travel.longestPush);
    },
    of: (force) => force.travel,
    laps: 'all',
    endsTheDrive: true,
  },
] as const satisfies readonly FootLimit[];

export type ForcePart = (typeof FOOT)[number]['part'];
export const FOOT_LIMITS: readonly FootLimit<ForcePart>[] = FOOT;

const ENDING: ReadonlySet<string> = new Set(
  [...HEAT_LIMITS, ...FOOT_LIMITS].filter((limit) => limit.endsTheDrive).map(({ part }) => part),
);

/** Whether passing a part's limit ends the drive: boiling fluid, a pedal on the floor. */
export const endsTheDrive = ({ part }: { readonly part: LimitedPart | ForcePart }): boolean =>
  ENDING.has(part);

const SETTING: ReadonlySet<string> = new Set(
  HEAT_LIMITS.filter((limit) => limit.setsDuct).map(({ part }) => part),
);

/** Whether a duct may be chosen by a part's limit. */
export const setsDuct = ({ part }: { readonly part: LimitedPart }): boolean => SETTING.has(part);

const COLD: ReadonlySet<string> = new Set(COLD_LIMITS.map(({ part }) => part));

/** Whether a part should be no colder than its limit, instead of no hotter. */
export const isCold = ({ part }: { readonly part: LimitedPart | ForcePart }): boolean => COLD.has(part);
