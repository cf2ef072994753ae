import { forcesOf, type LapTrace, techniqueOf, type ZoneTechnique } from '../../core';
import { isDriven, type PreparedLog } from '../../io';
import type { LogAnalysis } from '../log/analyseLog';

/** A logged hot lap with how its braking zones were driven. */
export interface LapTechnique {
  /** Of the day's result, from 0 */
  readonly lap: number;
  /** s */
  readonly time: number;
  readonly zones: readonly ZoneTechnique[];
  /** What all zones together give away, s and m */
  readonly seconds: number;
  readonly metres: number;
}

/** A braking with pads colder than they will be: what the foot must add, or the distance it takes. */
export interface ColdBraking {
  /** Of the day's result and of its lap, from 0 */
  readonly lap: number;
  readonly zone: number;
  readonly name: string;
  /** Friction as the pads are applied over that of the same zone on the last hot lap, front pads */
  readonly friction: number;
  /** Pedal force that the hot lap's braking would need, and needs when hot, N */
  readonly pedal: number;
  readonly hot: number;
  /** How much earlier it is to be braked with the foot of the hot lap, m */
  readonly earlier: number;
}

export interface TechniqueReport {
  readonly laps: readonly LapTechnique[];
  /** What the pressing was read from */
  readonly by: 'pedal' | 'pressure' | 'deceleration';
  readonly cold: readonly ColdBraking[];
  /** Whether the log came densely enough for build-up and stabs, s between its samples */
  readonly sampled: number;
}

/** Friction under which a braking counts as cold, over that of the hot lap. */
const COLD = 0.93;
const MOST_COLD = 4;

/** How a log's hot laps were braked, and which of its first brakings found pads below their working temperature. */
export function techniqueReport(prepared: PreparedLog, { day }: LogAnalysis): TechniqueReport {
  const { log, input, pieces, density, duct } = prepared;
  const forces = forcesOf(input.vehicle, { ...input.driver, pace: 1 }, density, duct);
  const { pedalForce, frontPressure } = log.channels;
  const value = pedalForce ?? frontPressure ?? null;
  const driven = pieces.filter(isDriven);
  const laps = day.laps.flatMap((lap, i): LapTechnique[] => {
    const piece = driven[i];
    if (lap.kind !== 'hot' || piece?.kind !== 'lap' || !piece.whole) return [];
    const { curvature } = piece.driven;
    const zones = techniqueOf({
      trace: lap.trace,
      forces,
      buildUp: input.driver.brakeBuildUp,
      curvature: curvature ? (k) => curvature[Math.min(k, curvature.length - 1)] : null,
      pressing: value && { time: log.time.map((t) => t - lap.startTime + lap.trace.time[0]), value },
    });
    return [
      {
        lap: i,
        time: lap.lapTime,
        zones,
        seconds: zones.reduce((sum, zone) => sum + zone.seconds, 0),
        metres: zones.reduce((sum, zone) => sum + zone.metres, 0),
      },
    ];
  });
  return {
    laps,
    by: pedalForce ? 'pedal' : frontPressure ? 'pressure' : 'deceleration',
    cold: coldBrakings(day.laps),
    sampled: prepared.sampled,
  };
}

function coldBrakings(
  laps: readonly {
    readonly kind: string;
    readonly trace: LapTrace;
    readonly wheels: Readonly<Record<'frontLeft', readonly { readonly frictionBefore: number }[]>>;
    readonly forces: readonly { readonly pedal: number }[];
  }[],
): ColdBraking[] {
  const last = laps.findLast(({ kind }) => kind === 'hot');
  if (!last) return [];
  const found = laps.flatMap((lap, i) =>
    lap.trace.zones.flatMap((zone, k): ColdBraking[] => {
      const hot = last.wheels.frontLeft[k]?.frictionBefore;
      const own = lap.wheels.frontLeft[k]?.frictionBefore;
      if (lap === last || !hot || own === undefined || own >= COLD * hot) return [];
      const foot = last.forces[k]?.pedal ?? lap.forces[k].pedal;
      return [
        {
          lap: i,
          zone: k,
          name: zone.name,
          friction: own / hot,
          pedal: (foot * hot) / own,
          hot: foot,
          earlier: (last.trace.zones[k]?.length ?? zone.length) * (hot / own - 1),
        },
      ];
    }),
  );
  return found.slice(0, MOST_COLD);
}
