/** A term of the field, with its meaning in a sentence or two. */
export interface Term {
  readonly term: string;
  /** Other ways it is written, as they stand in texts */
  readonly also?: readonly string[];
  readonly meaning: string;
}

/** The words a driver may ask about, in the order of the alphabet. */
export const GLOSSARY: readonly Term[] = [
  {
    term: 'ABS',
    meaning:
      'Anti-lock brakes: they let go of a wheel that is about to lock. Where they work, the tyres are the limit, not the brakes.',
  },
  {
    term: 'pad backing plate',
    meaning: 'The steel plate that a pad’s friction material is bonded to. The pistons push on it.',
  },
  {
    term: 'bedding',
    also: ['bedded'],
    meaning:
      'Warming new pads and rotors together with about ten medium applications, then some hard ones, so that an even film of pad material lies on the rotor.',
  },
  {
    term: 'bleed screw',
    also: ['bleed screws'],
    meaning:
      'A hollow screw at the highest point of a caliper: opened a little, it lets air and old fluid out through a hose.',
  },
  {
    term: 'bell (hat)',
    also: ['bell', 'hat'],
    meaning: 'The middle of a rotor, bolted to the hub. It takes heat from the ring and passes it on.',
  },
  {
    term: 'brake balance',
    meaning:
      'Share of the braking that the front wheels do. Too much wastes the rear tyres; too little lets the rear lock first, which turns the car round.',
  },
  {
    term: 'boiling point',
    meaning:
      'Temperature at which the brake fluid makes vapour. Vapour gives way: the pedal goes long or to the floor. Water in old fluid lowers it.',
  },
  {
    term: 'brake reserve',
    meaning: 'What is left of the driver’s force at the braking zone that takes most of it.',
  },
  {
    term: 'braking zone',
    also: ['braking zones'],
    meaning: 'A piece of the lap on which the car slows: from what speed to what, over what length.',
  },
  { term: 'CdA', meaning: 'Drag: the drag coefficient times the frontal area.' },
  { term: 'ClA', meaning: 'Downforce: its coefficient times the area.' },
  {
    term: 'cold bite',
    meaning:
      'Friction of a pad at the first touch. Pads made for the track have little of it until they are warm.',
  },
  {
    term: 'core (bulk) temperature',
    also: ['core'],
    meaning: 'Temperature of the whole rotor ring. It follows the laps; the surface follows each braking.',
  },
  {
    term: 'dust shield',
    meaning: 'The plate behind the rotor. It keeps dirt off it, and air from its inner face.',
  },
  {
    term: 'fade',
    also: ['fades'],
    meaning:
      'Friction that is lost to heat. A faded pad wants more force for the same braking, and may stay glazed.',
  },
  {
    term: 'fixed caliper',
    meaning: 'Bolted firmly, with pistons on both sides of the rotor.',
  },
  {
    term: 'floating rotor',
    also: ['floating'],
    meaning:
      'A rotor whose ring sits on pins and is free to grow: it does not cone, and passes little heat to the hub.',
  },
  {
    term: 'glazed',
    also: ['glaze', 'glazes'],
    meaning:
      'A pad surface that was overheated and stays hard and smooth. Its friction does not come back by itself.',
  },
  {
    term: 'calibration',
    also: ['calibrated'],
    meaning:
      'Values of this car found from what was measured on it: how much better or worse it cools than is computed, and how surely that is known.',
  },
  {
    term: 'hot lap',
    also: ['hot laps'],
    meaning: 'A lap at full pace, between the out lap and the cool-down lap.',
  },
  {
    term: 'knock-back',
    meaning: 'Pads pushed back by a hub that bends in corners. The first push after it goes into nothing.',
  },
  {
    term: 'margin',
    meaning: 'How far a temperature stays below its limit. An uncalibrated prediction deserves a wide one.',
  },
  {
    term: 'master cylinder',
    meaning: 'Makes pressure of the pedal’s push. A smaller bore makes more pressure and a longer pedal.',
  },
  {
    term: 'recirculation',
    meaning: 'Air that has been through the wheel well before, and is warm already.',
  },
  {
    term: 'runout',
    meaning:
      'How far a rotor’s surface wanders sideways in one turn. More than the maker allows wears thick and thin places, which shake.',
  },
  {
    term: 'smear',
    meaning:
      'Pad material left in patches by hot pads on a cold rotor. The patches grab, and the brake shakes.',
  },
  {
    term: 'snub',
    also: ['snubs'],
    meaning: 'A braking that ends well above a standstill: hard, short, then released.',
  },
  {
    term: 'sliding caliper',
    meaning: 'Pistons on one side only; the body slides on pins and pulls the outer pad along.',
  },
  {
    term: 'surface temperature',
    meaning:
      'Temperature of the rubbed skin of rotor and pad. It rises by hundreds of degrees within one braking.',
  },
  {
    term: 'swept area',
    meaning: 'The part of the rotor that the pads rub.',
  },
  {
    term: 'taper',
    also: ['tapered'],
    meaning: 'A pad that is worn more at one end.',
  },
  {
    term: 'vented',
    meaning: 'A rotor of two cheeks with air channels between them. It pumps air through itself as it turns.',
  },
  {
    term: 'wet boiling point',
    meaning: 'Boiling point with 3.7 % of water, as the standard tests it: what two or three years do.',
  },
];
