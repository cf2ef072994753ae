import { type AxleName, type DayResult, WHEELS, type WheelName, type ZoneLimit } from '../core';
import { fromSi, type Quantity, type Setup } from '../model';
import { celsius } from '../text/en';

/** One wheel's brake through one braking zone; °C. */
export interface WheelRow {
  readonly faceBeforeC: number;
  readonly facePeakC: number;
  readonly bandPeakC: number;
  readonly faceAfterC: number;
  readonly bulkBeforeC: number;
  readonly bulkAfterC: number;
  readonly fluidC: number;
  readonly biteFriction: number;
  readonly leastFriction: number;
}

/** One braking zone of one lap with everything the braking zone list shows; stored units (km/h, m, s, kJ, kW). */
export interface ZoneRow {
  readonly session: string;
  readonly lap: number;
  readonly kind: string;
  readonly zone: number;
  readonly name: string;
  readonly entryKmh: number;
  readonly exitKmh: number;
  readonly decelerationMs2: number;
  readonly timeS: number;
  readonly lengthM: number;
  readonly energyKj: number;
  readonly peakPowerKw: number;
  readonly frontSharePercent: number;
  readonly rearSharePercent: number;
  readonly recoveredKj: number;
  readonly airTimeS: number;
  readonly airDistanceM: number;
  /** null where no force makes the braking, as in the two that follow */
  readonly pedalN: number | null;
  readonly pedalBiteN: number | null;
  readonly pedalStayN: number | null;
  readonly frontBar: number;
  readonly rearBar: number;
  readonly travelMm: number;
  readonly knockBackMm: number;
  readonly shareStartPercent: number;
  readonly shareEndPercent: number;
  readonly idealStartPercent: number;
  readonly idealEndPercent: number;
  readonly fadeMarginPercent: number;
  /** null where the car does not stop */
  readonly extraM: number | null;
  /** False where the brakes cannot stop the car within a kilometre more */
  readonly stops: boolean;
  readonly locksFirst: AxleName;
  readonly limit: ZoneLimit;
  readonly wheels: Readonly<Record<WheelName, WheelRow>>;
}

export type NumberKey = { [K in keyof ZoneRow]: ZoneRow[K] extends number | null ? K : never }[keyof ZoneRow];

/** Heading and quantity of each numeric column of the car, in order. */
export const ZONE_COLUMNS: readonly (readonly [NumberKey, string, Quantity])[] = [
  ['entryKmh', 'Entry speed', 'speed'],
  ['exitKmh', 'Exit speed', 'speed'],
  ['decelerationMs2', 'Deceleration', 'deceleration'],
  ['timeS', 'Time', 'seconds'],
  ['lengthM', 'Distance', 'distance'],
  ['energyKj', 'Energy', 'energy'],
  ['peakPowerKw', 'Peak power', 'power'],
  ['frontSharePercent', 'Front brake balance', 'percent'],
  ['rearSharePercent', 'Rear share', 'percent'],
  ['recoveredKj', 'Recovered', 'energy'],
  ['airTimeS', 'Cooling time to next', 'seconds'],
  ['airDistanceM', 'Cooling distance to next', 'distance'],
];

/** The same for what the driver's foot feels and how the axles share. */
export const FORCE_COLUMNS: readonly (readonly [NumberKey, string, Quantity])[] = [
  ['pedalN', 'Pedal force', 'force'],
  ['pedalBiteN', 'Pedal force at first bite', 'force'],
  ['pedalStayN', 'Pedal force that stays', 'force'],
  ['frontBar', 'Front line pressure', 'pressure'],
  ['rearBar', 'Rear line pressure', 'pressure'],
  ['travelMm', 'Pedal travel', 'smallLength'],
  ['knockBackMm', 'Pedal travel of knock-back', 'smallLength'],
  ['shareStartPercent', 'Front brake balance at the start', 'percent'],
  ['idealStartPercent', 'Ideal balance at the start', 'percent'],
  ['shareEndPercent', 'Front brake balance at the end', 'percent'],
  ['idealEndPercent', 'Ideal balance at the end', 'percent'],
  ['fadeMarginPercent', 'Brake reserve', 'percent'],
  ['extraM', 'Overshoots by', 'distance'],
];

/** The same for one wheel's brake. */
export const WHEEL_COLUMNS: readonly (readonly [keyof WheelRow, string, Quantity])[] = [
  ['faceBeforeC', 'surface before', 'temperature'],
  ['facePeakC', 'surface peak', 'temperature'],
  ['bandPeakC', 'hottest band of the surface', 'temperature'],
  ['faceAfterC', 'surface after', 'temperature'],
  ['bulkBeforeC', 'core before', 'temperature'],
  ['bulkAfterC', 'core after', 'temperature'],
  ['fluidC', 'fluid', 'temperature'],
  ['biteFriction', 'friction at first bite', 'friction'],
  ['leastFriction', 'least friction', 'friction'],
];

/** The braking zones of one lap, as that lap was driven. @param lapNumber from 1, through the day */
export function zoneRows(setup: Setup, result: DayResult, lapNumber: number): ZoneRow[] {
  const lap = result.laps[lapNumber - 1];
  const wheelRow = (wheel: WheelName, k: number): WheelRow => {
    const heat = lap.wheels[wheel][k];
    return {
      faceBeforeC: celsius(heat.faceBefore),
      facePeakC: celsius(heat.facePeak),
      bandPeakC: celsius(heat.bandPeak),
      faceAfterC: celsius(heat.faceAfter),
      bulkBeforeC: celsius(heat.bulkBefore),
      bulkAfterC: celsius(heat.bulkAfter),
      fluidC: celsius(heat.fluidAfter),
      biteFriction: heat.frictionBefore,
      leastFriction: heat.frictionLeast,
    };
  };
  return lap.trace.zones.map((zone, k) => {
    const force = lap.forces[k];
    const heat = force.frontHeat + force.rearHeat;
    const share = (part: number) => (heat > 0 ? (100 * part) / heat : 0);
    return {
      session: setup.plan.sessions[lap.session]?.name ?? '',
      lap: lap.number,
      kind: lap.kind,
      zone: k + 1,
      name: zone.name,
      entryKmh: fromSi(zone.entrySpeed, 'speed'),
      exitKmh: fromSi(zone.exitSpeed, 'speed'),
      decelerationMs2: zone.deceleration,
      timeS: zone.duration,
      lengthM: zone.length,
      energyKj: fromSi(heat, 'energy'),
      peakPowerKw: fromSi(zone.peakPower, 'power'),
      frontSharePercent: share(force.frontHeat),
      rearSharePercent: share(force.rearHeat),
      recoveredKj: fromSi(force.recovered, 'energy'),
      airTimeS: zone.airTime,
      airDistanceM: zone.airDistance,
      pedalN: finite(force.pedal),
      pedalBiteN: finite(force.pedalBite),
      pedalStayN: finite(force.pedalStay),
      frontBar: fromSi(force.frontPressure, 'pressure'),
      rearBar: fromSi(force.rearPressure, 'pressure'),
      travelMm: fromSi(force.travel, 'smallLength'),
      knockBackMm: fromSi(force.knockBack, 'smallLength'),
      shareStartPercent: fromSi(force.share.start, 'percent'),
      shareEndPercent: fromSi(force.share.end, 'percent'),
      idealStartPercent: fromSi(force.ideal.start, 'percent'),
      idealEndPercent: fromSi(force.ideal.end, 'percent'),
      fadeMarginPercent: fromSi(force.fadeMargin, 'percent'),
      extraM: force.extraDistance,
      stops: force.extraDistance !== null,
      locksFirst: force.locksFirst,
      limit: force.limit,
      wheels: Object.fromEntries(WHEELS.map((wheel) => [wheel, wheelRow(wheel, k)])) as Record<
        WheelName,
        WheelRow
      >,
    };
  });
}

/** A value that has no end, such as a force nobody can press, as no value. */
export const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
