import { cos, sin } from '../numeric';

/** World Geodetic System 1984: semi-major axis, m, and flattening. NIMA TR8350.2, table 3.1. */
const SEMI_MAJOR = 6_378_137;
const FLATTENING = 1 / 298.257223563;
const ECCENTRICITY_SQUARED = FLATTENING * (2 - FLATTENING);
const RADIAN = Math.PI / 180;

/** A place on the ellipsoid, degrees; north and east are positive. */
export interface Geographic {
  readonly latitude: number;
  readonly longitude: number;
}

/** A flat map round a point, and back. Metres east (x) and north (y) of the origin. */
export interface LocalPlane {
  readonly origin: Geographic;
  toPlane(latitude: number, longitude: number): readonly [x: number, y: number];
  toEarth(x: number, y: number): Geographic;
}

/** Radius of curvature in the prime vertical, m. Hofmann-Wellenhof et al., GNSS, section 8.2. */
function primeVertical(sine: number): number {
  return SEMI_MAJOR / Math.sqrt(1 - ECCENTRICITY_SQUARED * sine * sine);
}

/** Earth-centred coordinates of a point on the ellipsoid, m. Hofmann-Wellenhof et al., GNSS, equation 8.11. */
function earthCentred(latitude: number, longitude: number): readonly [number, number, number] {
  const sine = sin(latitude * RADIAN);
  const cosine = cos(latitude * RADIAN);
  const n = primeVertical(sine);
  return [
    n * cosine * cos(longitude * RADIAN),
    n * cosine * sin(longitude * RADIAN),
    n * (1 - ECCENTRICITY_SQUARED) * sine,
  ];
}

/**
 * The plane that touches the ellipsoid at a point, with x east and y north of it. Over the few kilometres of a circuit
 * it is true to a millimetre; heights above the ellipsoid are left out, which shortens by 0.016 % at 1000 m.
 * @param origin latitude −90 to 90, longitude −180 to 180
 * @throws RangeError when the origin is not on the globe
 */
export function localPlane(origin: Geographic): LocalPlane {
  const { latitude, longitude } = origin;
  if (!(Math.abs(latitude) < 89.9) || !(Math.abs(longitude) <= 180)) {
    throw new RangeError(`localPlane: no place on Earth to draw a map of: ${latitude}, ${longitude}`);
  }
  const [sinLat, cosLat] = [sin(latitude * RADIAN), cos(latitude * RADIAN)];
  const [sinLon, cosLon] = [sin(longitude * RADIAN), cos(longitude * RADIAN)];
  const [x0, y0, z0] = earthCentred(latitude, longitude);
  const toPlane = (lat: number, lon: number): readonly [number, number] => {
    const [px, py, pz] = earthCentred(lat, lon);
    const [dx, dy, dz] = [px - x0, py - y0, pz - z0];
    return [-sinLon * dx + cosLon * dy, -sinLat * cosLon * dx - sinLat * sinLon * dy + cosLat * dz];
  };
  const east = primeVertical(sinLat) * cosLat * RADIAN;
  const root = Math.sqrt(1 - ECCENTRICITY_SQUARED * sinLat * sinLat);
  const north = ((SEMI_MAJOR * (1 - ECCENTRICITY_SQUARED)) / (root * root * root)) * RADIAN;
  const toEarth = (x: number, y: number): Geographic => {
    let lat = latitude + y / north;
    let lon = longitude + x / east;
    // The plane is so nearly straight in degrees that each turn takes off four digits of what is missing.
    for (let i = 0; i < 6; i++) {
      const [px, py] = toPlane(lat, lon);
      lat += (y - py) / north;
      lon += (x - px) / east;
    }
    // A circuit across the date line has places on both sides of it.
    if (lon > 180) lon -= 360;
    else if (lon < -180) lon += 360;
    return { latitude: lat, longitude: lon };
  };
  return { origin, toPlane, toEarth };
}
