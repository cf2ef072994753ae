import { formatQuantity, METRIC, siText, type UnitChoice } from '../../../model';
import type { PrepareCheck } from '../../../services';
import { WHEEL_NAMES } from '../observations';

const cm3 = (volume: number) => siText(Math.max(0, volume), 'volume', METRIC, 0);

const CLEARANCE = {
  barrel: 'caliper to the wheel’s barrel',
  'spokes-new': 'caliper to the spokes, new pads',
  'spokes-worn': 'caliper to the spokes, pads worn',
  pads: 'new pads into the caliper',
} as const;

const CHECK_TEXT: {
  readonly [K in PrepareCheck['kind']]: (
    check: Extract<PrepareCheck, { kind: K }>,
    units: UnitChoice,
  ) => readonly [title: string, says: string];
} = {
  'push back': ({ needed, home, room, state }) => [
    'Fluid that comes back',
    state === 'yes'
      ? `For the new parts ${cm3(needed)}, with all pistons home ${cm3(home)}: the reservoir has room for ${cm3(room)}.`
      : state === 'look'
        ? `For the new parts ${cm3(needed)}, with all pistons home ${cm3(home)}: the reservoir has room for ${cm3(room)} only. Draw ${cm3(home - room)} off first.`
        : `The new parts alone bring back ${cm3(needed)}, all pistons home ${cm3(home)}: the reservoir has room for ${cm3(room)} and runs over. Draw ${cm3(home - room)} off first.`,
  ],
  clearance: ({ axle, what, clearance, wanted, state }, units) => {
    const mm = (metres: number) => siText(metres, 'smallLength', units);
    return [
      `${axle === 'front' ? 'Front' : 'Rear'}: ${CLEARANCE[what]}`,
      state === 'no'
        ? `${mm(-clearance)} too little by the measures entered: it touches.`
        : `${mm(clearance)} free${state === 'look' ? `, ${mm(wanted)} are wanted` : ''}.`,
    ];
  },
  'first push': ({ volume, pumps }) => [
    'First push with pads back',
    pumps > 1
      ? `The gaps take ${cm3(volume)}: about ${pumps} full strokes before the pedal is firm. The car must not move before.`
      : `The gaps take ${cm3(volume)}: one long push. Pump until it is firm all the same before the car moves.`,
  ],
  minimum: ({ axle, wheel, what, is, least, state }, units) => {
    const mm = (metres: number) => siText(metres, 'smallLength', units);
    const where = wheel ? WHEEL_NAMES[wheel] : axle === 'front' ? 'Front' : 'Rear';
    return [
      `${where} ${what === 'rotor' ? 'rotor' : 'pads'}: thickness`,
      least === null
        ? `${mm(is)}${wheel ? ' measured' : ''}; the maker’s minimum is not entered.`
        : state === 'no'
          ? `${mm(is)} is under the minimum of ${mm(least)}: it is not fitted.`
          : `${mm(is)}${wheel ? ' measured' : ''}, minimum ${mm(least)}.`,
    ];
  },
  fluids: ({ mixes }) => [
    'Old and new fluid',
    mixes
      ? 'They mix; change all of it all the same: the old one has taken up water.'
      : 'Glycol and silicone must never meet: refused.',
  ],
  'piston order': ({ axle, trailing }) => [
    `${axle === 'front' ? 'Front' : 'Rear'} pistons`,
    trailing
      ? 'The larger piston trails, as it should.'
      : 'The larger piston leads: caliper on the wrong side, or its pistons are entered the wrong way round.',
  ],
  alike: (check, units) => {
    const axle = check.axle === 'front' ? 'Front' : 'Rear';
    if (check.what === 'mass') {
      const kg = (mass: number) => formatQuantity(mass, 'mass', units);
      return [
        `${axle} rotors, left and right`,
        check.state === 'yes'
          ? `${kg(check.left)} and ${kg(check.right)}: alike.`
          : `${kg(check.left)} and ${kg(check.right)}: not alike. The lighter one runs hotter and the car pulls.`,
      ];
    }
    if (check.what === 'pads') {
      return [
        `${axle} pads, left and right`,
        check.state === 'yes'
          ? `Both are marked “${check.left}”.`
          : `Marked “${check.left}” and “${check.right}”: not the same pads.`,
      ];
    }
    return [
      `${axle} rotors, hand`,
      check.state === 'yes'
        ? 'Left-hand rotor on the left, right-hand on the right.'
        : check.left === check.right
          ? `Both are marked ${check.left}: one is wrong.`
          : 'They are exchanged: the left-hand rotor is on the right.',
    ];
  },
};

/** A computed check as a title and a sentence. */
export function prepareCheckText(check: PrepareCheck, units: UnitChoice): readonly [string, string] {
  const text = CHECK_TEXT[check.kind] as (
    of: PrepareCheck,
    in_: UnitChoice,
  ) => readonly [title: string, says: string];
  return text(check, units);
}
