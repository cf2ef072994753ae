import type { BeddingVersion, BleedWay, FittedKey, TorqueKey } from '../../../model';
import type { BleedTrouble, Caution, StopFor, Tool } from '../../../services';

export const CAUTION_TEXT: Readonly<Record<Caution, string>> = {
  hot: 'Hot parts burn for half an hour and more.',
  heavy: 'Heavy: two hands, feet clear, never under a car on a jack alone.',
  dust: 'Dust: mask, gloves, damp cloths; no compressed air.',
  fluid:
    'Brake fluid harms paint, skin and eyes: gloves, glasses, water at hand; never mix kinds, never reuse.',
};

export const STOP_TEXT: Readonly<Record<StopFor, string>> = {
  seized:
    'A seized screw, pin or piston: stop. Force and heat can damage caliper and seals; leave it to a workshop.',
  seals:
    'Swollen, cracked or wet seals and boots: stop; the caliper is renewed or rebuilt before it is used.',
  oil: 'Swollen rubber, or fluid that smells of mineral oil: stop; every rubber part of the system is spoilt and must be renewed.',
  crack: 'A crack to the edge or from hole to hole, a bulging or cut hose: the part is not used again.',
  thread: 'A thread that does not run by hand: stop; do not pull it in with the spanner.',
  pedal: 'A pedal that is soft, sinks or comes back only after pumping: do not drive.',
};

export const TOOL_TEXT: Readonly<Record<Tool, string>> = {
  stands: 'jack, stands and chocks',
  'torque wrench': 'torque wrench in its range',
  'wire hook': 'wire hooks for the calipers',
  micrometer: 'micrometer or gauge',
  scales: 'scales for the rotors',
  'dial gauge': 'dial gauge with a stand',
  'piston tool': 'tool that presses pistons back evenly',
  'wind-back tool': 'tool that winds pistons back',
  syringe: 'syringe or bottle for the reservoir',
  'line wrench': 'line wrench, ring spanner for the screws',
  'diagnostic tool': 'diagnostic tool for this car',
  'gloves and mask': 'gloves, glasses, dust mask',
  'damp cloths': 'damp cloths and a bag',
  alcohol: 'alcohol or fresh brake fluid for cleaning',
  'wire brush': 'wire brush, straight edge',
  'pin grease': 'the grease the maker names for pins',
  'washers and caps': 'new sealing washers, caps for open lines',
  'new fluid': 'new fluid, sealed',
  'catch bottle': 'clear hose and catch bottle with a scale',
  ties: 'metal and plastic ties',
  'sleeve material': 'shield, sleeve or wrap with its clamps',
};

export const FITTED_TEXT: Readonly<Record<FittedKey, string>> = {
  'front pads': 'Front pads',
  'front rotors': 'Front rotors',
  'front calipers': 'Front calipers',
  'front ducts': 'Front ducts',
  'front shields': 'Front dust shields',
  'rear pads': 'Rear pads',
  'rear rotors': 'Rear rotors',
  'rear calipers': 'Rear calipers',
  'rear ducts': 'Rear ducts',
  'rear shields': 'Rear dust shields',
  fluid: 'Brake fluid',
  hoses: 'Hoses',
  cylinder: 'Master cylinder',
  tyres: 'Tyres',
};

/** `Front caliper bolts` */
export const torqueTitle = (key: TorqueKey): string => `${key.charAt(0).toUpperCase()}${key.slice(1)}`;

export const PROTECTION_TEXT = {
  shield: 'heat shield',
  sleeve: 'reflective sleeve',
  wrap: 'exhaust wrap',
  moved: 'tied further away',
} as const;

export const WAY_TEXT: Readonly<Record<BleedWay, string>> = {
  pedal: 'helper at the pedal',
  pressure: 'pressure',
  vacuum: 'vacuum',
  gravity: 'gravity',
};

/** How each way is done, its risk, and when not. `psi` and others in the reader's units. */
export const WAY_STEPS: Readonly<
  Record<
    BleedWay,
    (f: { readonly pressure: string; readonly vacuum: string; readonly refill: string }) => {
      readonly steps: readonly string[];
      readonly risk: string;
      readonly notWhen: string;
    }
  >
> = {
  pedal: ({ refill }) => ({
    steps: [
      'Two people, one word for each: “down” when the pedal is down and held, “up” only after the screw is closed.',
      'Clear hose on the screw, its end under fluid in the bottle.',
      'Helper presses slowly and holds; screw open a quarter turn; close it before the pedal has reached the end of its way; then “up”.',
      `Not to the floor: a block of wood under the pedal. Fill up after ${refill}.`,
      'Go on until the new colour comes without bubbles, then two strokes more.',
    ],
    risk: 'Air is drawn in if the screw is open while the pedal rises.',
    notWhen:
      'Not in an old master cylinder: its seals would run where they never ran. Then by pressure or gravity.',
  }),
  pressure: ({ pressure }) => ({
    steps: [
      'Cap that fits this reservoir, tight by hand; watch it with air before fluid goes in.',
      `Pressure of ${pressure}, never more than the maker allows.`,
      'Clear hose on the screw; open half a turn, close when the new colour comes without bubbles.',
      'Let the pressure off before the cap is taken away.',
    ],
    risk: 'A cap that gives way sprays fluid over paint and eyes.',
    notWhen: 'Never above the maker’s pressure; not with a cracked reservoir.',
  }),
  vacuum: ({ vacuum, refill }) => ({
    steps: [
      `Pump at the screw, ${vacuum}; screw open a quarter turn.`,
      'A little grease on the thread, outside, keeps false air out.',
      `Fill up after ${refill}; the reservoir empties quickly.`,
      'Close under vacuum.',
    ],
    risk: 'Bubbles past the thread look like air in the system; the pedal tells.',
    notWhen: 'Not to fill a dry system alone: it leaves air in high places.',
  }),
  gravity: ({ refill }) => ({
    steps: [
      'Cap of the reservoir loose, clear hose on the screw, open and wait until it runs.',
      `Only one or two screws open at a time; fill up after ${refill}.`,
      'Tap the caliper lightly so that bubbles leave.',
      'Close when the new colour comes without bubbles.',
    ],
    risk: 'It takes long, and the reservoir can run dry unnoticed.',
    notWhen: 'Not where a control unit or a pressure valve holds the fluid back.',
  }),
};

export const TROUBLE_TEXT: Readonly<Record<BleedTrouble, string>> = {
  'old cylinder':
    'The master cylinder is old: do not press the pedal to the floor, better bleed by pressure or gravity.',
  'needs a tool':
    'The control unit is bled with a diagnostic tool as its maker says; without it old fluid and air stay inside.',
  'never mixes':
    'Glycol and silicone must never meet: this bleed would mix them. Every part must be stripped, dried and re-sealed by a qualified person first.',
  'not enough fluid': 'The shelf has not enough of this fluid that may be used.',
  'bottle too old': 'A bottle of it has been open for longer than you keep one: not for filling in.',
  silicone: 'Silicone holds fine bubbles: pour slowly, let it stand; not advised with ABS or on track.',
};

export const VERSION_TEXT: Readonly<
  Record<BeddingVersion, { readonly name: string; readonly note: string }>
> = {
  track: {
    name: 'Track',
    note: 'A closed course with run-off, at a time when nobody follows close behind.',
  },
  road: {
    name: 'Quiet road',
    note: 'Only what its law and traffic allow, never over the limit typed here, with nobody behind you. A closed course is better.',
  },
  bench: {
    name: 'Bench',
    note: 'The same energies on an inertia bench; its air follows the speed. The schedule can be exported.',
  },
  'pre-bedded': {
    name: 'Pre-bedded parts',
    note: 'Pads and rotors that were bedded together elsewhere only need to be warmed up, as a pair and on the same side.',
  },
  glazed: {
    name: 'Glazed pads',
    note: 'First take the glaze off by hand: pads wet on a flat abrasive sheet, in figures of eight, with a mask; rotor surfaces wiped with alcohol. Then bed anew. Cracked or crumbling pads are not used again.',
  },
};
