import { randomNumbers, standardPressure } from '../../core';

/** Weather of an hour at a place; what any weather service gives. */
export interface WeatherHour {
  /** ISO 8601, local */
  readonly time: string;
  readonly temperatureC: number;
  /** At the place, not reduced to sea level */
  readonly pressureHpa: number;
  readonly humidityPercent: number;
  readonly windKmh: number;
  readonly windFromDeg: number;
}

/**
 * Weather that does not exist, for every hour of a day: warmest in the afternoon, driest then too, with a pressure that
 * drifts. The same place and day always have the same.
 */
export function simulatedWeather(
  latitude: number,
  longitude: number,
  heightM: number,
  date: string,
): WeatherHour[] {
  const day = Date.parse(`${date}T00:00:00Z`) / 86_400_000;
  const random = randomNumbers(Math.round(day * 7919 + latitude * 1000 + longitude * 100));
  const season = Math.cos(((day % 365.25) / 365.25 - 0.54) * 2 * Math.PI) * (latitude < 0 ? -1 : 1);
  const mean =
    27 -
    0.35 * Math.abs(latitude) +
    (4 + 0.13 * Math.abs(latitude)) * season -
    0.0065 * heightM +
    3 * random.normal();
  const swing = 3 + 4 * random.next();
  const drift = 6 * (random.next() - 0.5);
  const base = standardPressure(heightM) / 100 + 9 * random.normal();
  const wind = 6 + 16 * random.next();
  const from = 360 * random.next();
  return Array.from({ length: 24 }, (_, hour) => {
    const warm = Math.cos(((hour - 15) / 24) * 2 * Math.PI);
    const one = (value: number) => Math.round(value * 10) / 10;
    return {
      time: `${date}T${String(hour).padStart(2, '0')}:00`,
      temperatureC: one(mean + swing * warm),
      pressureHpa: one(base + (drift * hour) / 24),
      humidityPercent: Math.round(Math.min(98, Math.max(15, 62 - 3.2 * swing * warm))),
      windKmh: one(wind * (0.7 + 0.3 * warm)),
      windFromDeg: Math.round((from + 2 * hour) % 360),
    };
  });
}
