import { type AxleName, type AxleNeed, isCold, type Margin } from '../../core';
import { formatQuantity, siText, type UnitChoice } from '../../model';
import type { Failing, NoWay, WayKind } from '../../services';
import { LIMIT_TEXT } from './parts';

const kelvin = (value: number, units: UnitChoice) => formatQuantity(Math.abs(value), 'difference', units);
export const AXLE_WORDS: Readonly<Record<AxleName, string>> = { front: 'Front', rear: 'Rear' };

/** A margin in short: "front pads, 12 °C below limit". */
export function marginWords(margin: Pick<Margin, 'axle' | 'part' | 'margin'>, units: UnitChoice): string {
  const amount = kelvin(margin.margin, units);
  if (isCold(margin)) {
    return `${margin.axle} cold bite, ${amount} ${margin.margin < 0 ? 'below' : 'above'} working temperature`;
  }
  return `${margin.axle} ${LIMIT_TEXT[margin.part].name}, ${amount} ${margin.margin < 0 ? 'over limit' : 'below limit'}`;
}

/** Over a limit by more than this a figure means little, K. */
const FAR = 150;

/** A limit that is passed, or holds again, in short: "front pads, 35 °C over limit on lap 6", "the pedal reaches the floor". */
export function failingWords(failing: Failing, units: UnitChoice): string {
  const lap = failing.passed?.lap ? ` on lap ${failing.passed.lap}` : '';
  if ('axle' in failing) {
    const name = `${failing.axle} ${LIMIT_TEXT[failing.part].name}`;
    if (failing.margin < -FAR) return `${name}, more than ${kelvin(FAR, units)} over limit${lap}`;
    return `${marginWords(failing, units)}${lap}`;
  }
  const spare =
    failing.part === 'pedal'
      ? siText(failing.margin, 'force', units)
      : siText(failing.margin, 'smallLength', units, 0);
  if (failing.part === 'pedal') {
    return failing.passed
      ? `the pedal wants more force than the driver has${lap}`
      : `${spare} of the driver’s force are left`;
  }
  return failing.passed ? `the pedal reaches the floor${lap}` : `the pedal keeps ${spare} to the floor`;
}

/** Why no duct holds a wish, in words. */
export function noDuctWords(need: AxleNeed, wish: number, units: UnitChoice): string {
  const { reason } = need;
  if (!reason) return '';
  const { name } = LIMIT_TEXT[reason.part];
  const largest = `The largest looked at, ${siText(need.area, 'area', units, 0)} to each wheel,`;
  const leaves =
    reason.best < 0
      ? `leaves the ${name} ${kelvin(reason.best, units)} over their limit`
      : `leaves the ${name} ${kelvin(reason.best, units)} below it`;
  const gains = `${largest} gains ${kelvin(Math.max(0, reason.gain), units)} and ${leaves}`;
  switch (reason.kind) {
    case 'wish':
      return `The limit of the ${name} lies less than ${kelvin(wish, units)} over the air: not even brakes that are never used keep such a margin.`;
    case 'single-stop':
      return `One braking alone heats the surfaces by ${kelvin(reason.rise, units)}: even begun as cold as the air it comes closer to the limit of the ${name} than the target margin. Air between the braking zones cannot help; more iron, another pad or less speed can.`;
    case 'no-effect':
      return `${gains}: the duct’s air does not reach what gets hot there.`;
    case 'other-way':
      return `${gains}: their heat comes through pads, pistons or hub, not out of the rotor’s air. A shim, other pistons, air to the caliper or a fresh fluid act there.`;
    case 'saturated':
      return `${gains}: the air in the rotor takes hardly more, however much of it there is.`;
  }
}

export const WAY_WORDS: Readonly<Record<WayKind, string>> = {
  ducts: 'Ducts',
  vanes: 'Curved vanes',
  rotor: 'More iron',
  pad: 'Other pads',
  'cool-downs': 'Cool-down laps',
  pace: 'Less pace',
};

export const NO_WAY_WORDS: Readonly<Record<NoWay, string>> = {
  'no-duct': 'no duct is asked for',
  'pump-already': 'the rotors are solid, or pump as much as any already',
  drums: 'drums are as they are',
  'no-pad': 'no pad of the shelf goes with these rotors',
  'no-hot-laps': 'no hot laps are planned',
  'one-hot-lap': 'one hot lap is planned',
};

/** Money as text. */
export function moneyText(price: number, currency: string): string {
  if (price === 0) return 'free';
  const text =
    price >= 100 || Number.isInteger(price) ? Math.round(price).toLocaleString('en') : price.toFixed(2);
  return currency.length === 1 ? `${currency}${text}` : `${text} ${currency}`;
}

/** A difference of temperature with its sign. */
export function signedKelvin(value: number, units: UnitChoice): string {
  const text = formatQuantity(Math.abs(value), 'difference', units);
  if (/^0 /.test(text)) return text;
  return `${value > 0 ? '+' : '−'}${text}`;
}

/** Seconds with a sign: hundredths where they are few. */
export function signedSeconds(seconds: number): string {
  const size = Math.abs(seconds);
  if (size < 0.005) return '0 s';
  const whole = Math.round(size);
  const text =
    size < 10
      ? `${size.toFixed(2)} s`
      : whole < 90
        ? `${whole} s`
        : `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')} min`;
  return `${seconds > 0 ? '+' : '−'}${text}`;
}
