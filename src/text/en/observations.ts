import type { WheelName } from '../../core';
import { formatQuantity, type Observation, type ObservationKind, type UnitChoice } from '../../model';

export const WHEEL_NAMES: Readonly<Record<WheelName, string>> = {
  frontLeft: 'Front left',
  frontRight: 'Front right',
  rearLeft: 'Rear left',
  rearRight: 'Rear right',
};

export const OBSERVATION_NAMES: Readonly<Record<ObservationKind, string>> = {
  spot: 'Pyrometer',
  paint: 'Paint or strip',
  boiled: 'Pedal went long',
  faded: 'Pads faded',
  glow: 'Disc glowed',
  worn: 'Pad wear',
  sensor: 'Logged sensor',
};

export const PLACE_NAMES = {
  disc: 'disc',
  ringEdge: 'edge of the disc',
  caliper: 'caliper',
  padPlate: 'pad backing plate',
  hub: 'hub',
  fluid: 'fluid',
} as const;

export const INSTRUMENT_NAMES = {
  contact: 'touch probe',
  infrared: 'infrared',
  thermocouple: 'thermocouple',
} as const;

export const LIGHT_NAMES = { dark: 'in the dark', dusk: 'at dusk', day: 'in daylight' } as const;

const AXLE_NAMES = { front: 'Front', rear: 'Rear' } as const;
const onLap = (lap: number | null, never: string) => (lap === null ? never : `on lap ${lap}`);

/** What was observed, in a line. */
export function observationText(own: Observation, units: UnitChoice): string {
  const degrees = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  switch (own.kind) {
    case 'spot':
      return `${WHEEL_NAMES[own.wheel]} ${PLACE_NAMES[own.place]}: ${degrees(own.valueC)}, ${own.afterS} s after lap ${own.lap} (${INSTRUMENT_NAMES[own.instrument]})`;
    case 'paint':
      return `${WHEEL_NAMES[own.wheel]} ${PLACE_NAMES[own.place]}: ${degrees(own.thresholdC)} ${own.turned ? 'turned' : 'did not turn'}`;
    case 'boiled':
      return own.sign === 'boiled'
        ? `${AXLE_NAMES[own.axle]} fluid: ${onLap(own.lap, 'did not boil')}${own.lap === null ? '' : ' it boiled'}`
        : `${AXLE_NAMES[own.axle]} circuit: pedal ${own.lap === null ? 'stayed firm' : `went long ${onLap(own.lap, '')}`}`;
    case 'faded':
      return `${AXLE_NAMES[own.axle]} pads: ${own.lap === null ? 'did not fade' : `faded ${onLap(own.lap, '')}`}`;
    case 'glow':
      return `${WHEEL_NAMES[own.wheel]} disc: ${own.lap === null ? 'no glow seen' : `glowed ${onLap(own.lap, '')}`} ${LIGHT_NAMES[own.light]}`;
    case 'worn':
      return `${WHEEL_NAMES[own.wheel]} pad: lost ${formatQuantity(own.padMm, 'smallLength', units, 2)}`;
    case 'sensor':
      return `${WHEEL_NAMES[own.wheel]} ${PLACE_NAMES[own.place]}: ${own.samples.length} samples of “${own.channel}”`;
  }
}
