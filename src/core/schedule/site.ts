import { type AirProperties, airProperties, moistAirDensity, standardPressure } from '../air';

/** Where it is driven. */
export interface Site {
  /** Height above sea level, m */
  readonly altitude: number;
  /** Air pressure, Pa; null takes the standard one at the height */
  readonly pressure: number | null;
  /** Relative humidity, 0 to 1 */
  readonly humidity: number;
}

/** Air pressure at a place, Pa: as measured, else the standard one at its height. */
export function pressureOf({ pressure, altitude }: Pick<Site, 'altitude' | 'pressure'>): number {
  return pressure ?? standardPressure(altitude);
}

/** The air of a place at a temperature, K. */
export function airAt(site: Site, ambient: number): AirProperties {
  return airProperties(moistAirDensity(pressureOf(site), ambient, site.humidity), ambient);
}
