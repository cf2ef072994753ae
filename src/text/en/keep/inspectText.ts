import type { UnitChoice } from '../../../model';
import type { InspectionFinding, Weight } from '../../../services';
import { WHEEL_NAMES } from '../observations';
import { thicknessText } from './words';

export const WEIGHT_TEXT: Readonly<Record<Weight, string>> = {
  stop: 'Do not drive',
  renew: 'Put right first',
  watch: 'Watch',
  fine: 'Within its limit',
};

/** What is said above a list of findings. */
export const INSPECTION_SAFETY =
  'What was looked at and found is listed; nothing here says that brakes are safe. The maker’s limits and the event’s scrutineers come first, and brake parts are judged by somebody qualified.';

interface Told {
  readonly title: string;
  /** What it means */
  readonly means: string;
  /** What to do */
  readonly action: string;
}

const CRACKS = {
  edge: ['to the edge', 'The ring is about to open. Renew the rotor; do not drive on it.'],
  joins: ['from hole to hole', 'It grows from hole to hole. Renew the rotor; do not drive on it.'],
  bell: ['what carries the ring', 'The ring is carried by it. Renew the rotor; do not drive on it.'],
  long: ['long', 'No heat check any more. Renew the rotor before the next session.'],
  short: ['short', 'Heat checks. Measure it again after every session; watch whether it grows.'],
} as const;

const STATES: Readonly<Record<string, readonly [means: string, action: string]>> = {
  stiff: [
    'One pad does more work and runs hotter.',
    'Free and grease slides, clean pistons, and look again.',
  ],
  stuck: ['The brake drags or does not press at all.', 'Repair before the car moves.'],
  torn: ['Dust and water get to the piston or pin.', 'Renew before the next event.'],
  burnt: [
    'It was hotter than it stands; the seal behind it may be, too.',
    'Renew, look at the seal, and shield or cool it.',
  ],
  chafed: ['It rubs somewhere at full lock or droop.', 'Reroute and renew.'],
  melted: [
    'The signal may fail at any time, and anti-lock with it.',
    'Renew, shield and move it away from the disc.',
  ],
  bulging: ['The hose is giving way.', 'Renew before the car moves.'],
  leaking: ['Pressure and fluid are lost.', 'Find it and repair it before the car moves.'],
  loose: ['It protects nothing where it has slipped.', 'Fix it again.'],
  gone: ['What it protected is in the open.', 'Replace it.'],
  minimum: ['Pads have worn, or fluid was lost.', 'Look at pads and for leaks before topping up.'],
  'under minimum': ['Air can be drawn in.', 'Find out where it went before the car moves.'],
  weeping: ['A seal or a joint lets fluid by.', 'Repair before the car moves.'],
  dripping: ['Fluid is being lost.', 'Repair before the car moves.'],
};

const FELT = {
  slides: 'slides and pistons',
  boots: 'boots and dust seals',
  leads: 'sensor lead',
  hose: 'hose',
  sleeves: 'sleeves and shields',
  level: 'Fluid level',
  leaks: 'Leaks',
} as const;

const PART = { inner: 'inner pad', outer: 'outer pad', rotor: 'rotor' } as const;
const wheelTitle = (wheel: keyof typeof WHEEL_NAMES) =>
  `${WHEEL_NAMES[wheel].slice(0, 1).toUpperCase()}${WHEEL_NAMES[wheel].slice(1)}`;

type Of<K extends InspectionFinding['kind']> = Extract<InspectionFinding, { kind: K }>;

function thinText({ wheel, part, mm, leastMm, weight }: Of<'thin'>, length: (mm: number) => string): Told {
  const title = `${wheelTitle(wheel)} ${PART[part]}: ${length(mm)}`;
  if (leastMm === null) {
    return {
      title,
      means: 'No minimum is entered to hold it against.',
      action: 'Read the maker’s figure: on the rotor’s edge, in the pads’ data.',
    };
  }
  const over = `${length(Math.abs(mm - leastMm))} ${mm < leastMm ? 'under' : 'over'} its minimum of ${length(leastMm)}`;
  if (weight === 'stop') return { title, means: `${over}.`, action: 'Renew before the car is driven.' };
  if (weight === 'watch') {
    return {
      title,
      means: `${over}: little is left.`,
      action: 'Hold it against what the next session takes (Wear).',
    };
  }
  return { title, means: `${over}.`, action: '' };
}

function crackText({ wheel, place, mm, why }: Of<'crack'>, length: (mm: number) => string): Told {
  const [title, action] = CRACKS[why];
  return {
    title: `${wheelTitle(wheel)} rotor: crack of ${length(mm)} at the ${place}, ${title}`,
    means: 'Cracks start where heat and holes concentrate stress, and grow with every hard stop.',
    action,
  };
}

/** A thickness that cannot be what it says of the part that was there before. */
function askedAgain(
  finding: Extract<InspectionFinding, { kind: 'thicker than before' | 'reads like inches' }>,
  units: UnitChoice,
): Told {
  const length = (mm: number) => thicknessText(mm, units);
  switch (finding.kind) {
    case 'thicker than before':
      return {
        title: `${wheelTitle(finding.wheel)} ${PART[finding.part]}: ${length(finding.mm)}, was ${length(finding.beforeMm)}`,
        means: 'Thicker than when it was last measured.',
        action: 'Was a new one fitted? Then write down which set. If not, measure again, and mind the unit.',
      };
    case 'reads like inches':
      return {
        title: `${wheelTitle(finding.wheel)} ${PART[finding.part]}: ${length(finding.mm)}`,
        means: `Read in inches it would be ${length(finding.asReadMm)}.`,
        action: 'Which unit was it read in? If inches, take it as such; if not, the part is all but gone.',
      };
  }
}

/** A finding in words. */
export function findingText(finding: InspectionFinding, units: UnitChoice): Told {
  const length = (mm: number) => thicknessText(mm, units);
  switch (finding.kind) {
    case 'thin':
      return thinText(finding, length);
    case 'taper':
      return {
        title: `${wheelTitle(finding.wheel)} ${PART[finding.pad]}: ends differ by ${length(finding.mm)}`,
        means: 'Taper: the leading end wears faster, more so in a soft or sliding caliper.',
        action:
          'Exchange the pads of the caliper end for end if the maker lets you; look at pins and bracket.',
      };
    case 'inner and outer':
      return {
        title: `${wheelTitle(finding.wheel)}: ${finding.thinner} pad ${length(finding.mm)} thinner than the other`,
        means: finding.sliding
          ? finding.thinner === 'inner'
            ? 'The slide pins stick: the piston side does the work alone.'
            : 'The piston does not come back, or the pins hold the body off.'
          : `A piston on the ${finding.thinner === 'inner' ? 'outer' : 'inner'} side sticks, or air is left on it.`,
        action: 'Clean and free them, bleed both sides, and measure again after the next session.',
      };
    case 'left and right':
      return {
        title: `${finding.axle === 'front' ? 'Front' : 'Rear'} pads: ${WHEEL_NAMES[finding.thinner]} ${length(finding.mm)} thinner than its other side`,
        means: 'A circuit that turns one way does that; so do a sticking piston, or one side with less air.',
        action: 'If the circuit does not explain it, look at pistons, duct and hose of that side.',
      };
    case 'uneven rotor':
      return {
        title: `${wheelTitle(finding.wheel)} rotor: thickness differs by ${length(finding.mm)} round the ring`,
        means: 'Felt as a pulsing pedal; pad material laid on unevenly looks like it.',
        action:
          'Bed again from medium to hard; if it stays, have it machined within its limits, or renew it.',
      };
    case 'runout':
      return {
        title: `${wheelTitle(finding.wheel)} rotor: runout ${length(finding.mm)}`,
        means: 'It knocks the pads back: the first push of the pedal goes long.',
        action: 'Clean hub and bell faces, turn it on the hub to another hole, and measure again.',
      };
    case 'growth':
      return {
        title: `${wheelTitle(finding.wheel)} rotor: ring has grown by ${length(finding.mm)}`,
        means: 'Iron that was over its temperature for long does not come back.',
        action: 'Look for cracks and coning; see the rotor’s temperature limit.',
      };
    case 'crack':
      return crackText(finding, length);
    case 'smear':
      return {
        title: `${wheelTitle(finding.wheel)} rotor: pad material smeared`,
        means: 'Pads were over their temperature, or hot pads were held on a still rotor.',
        action: 'Clean the face, bed again, and do not hold the pedal when parked hot.',
      };
    case 'blue spots':
      return {
        title: `${wheelTitle(finding.wheel)} rotor: blue or dark spots`,
        means: 'Spots were far hotter than the rest: uneven contact, or hard iron under them.',
        action: 'Bed again; spots that stay bite and shake and want a new rotor.',
      };
    case 'thicker than before':
    case 'reads like inches':
      return askedAgain(finding, units);
    case 'slides':
    case 'boots':
    case 'leads':
    case 'hose':
    case 'sleeves': {
      const [means, action] = STATES[finding.state] ?? ['', ''];
      return { title: `${wheelTitle(finding.wheel)} ${FELT[finding.kind]}: ${finding.state}`, means, action };
    }
    case 'level':
    case 'leaks': {
      const [means, action] = STATES[finding.state] ?? ['', ''];
      return { title: `${FELT[finding.kind]}: ${finding.state}`, means, action };
    }
    case 'colour':
      return {
        title: `Fluid looks ${finding.state}`,
        means: 'Colour proves nothing: dark fluid may be sound, and clear fluid may boil early.',
        action: 'Judge it by a boil test, or by age and climate (Fluid).',
      };
    case 'not looked at':
      return {
        title: 'Not looked at, or not in full',
        means: `${finding.what.map((what) => WHEEL_NAMES[what as keyof typeof WHEEL_NAMES] ?? what).join(', ')}.`,
        action: 'What was not looked at is not known.',
      };
  }
}
