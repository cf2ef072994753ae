import type { StepFacts, StepWords } from './facts';

/** Steps at a wheel: what is done, why, and how one sees that it is right. */
export const WHEEL_STEPS = {
  'wheel off': () => [
    'Wheel off, its place on the hub marked.',
    'Wheel and hub were balanced in this position.',
    'Studs or bolts straight and clean.',
  ],
  look: () => [
    'Look before anything is moved: leaks, boots, hoses, melted leads, cracks, how each pad has worn. Write down what you find.',
    'Uneven pads tell of a stuck pin or piston, which new pads do not mend.',
    'Inner and outer pad noted, left to be compared with right.',
  ],
  'clean dust': () => [
    'Wipe the dust off with damp cloths, into a bag. No compressed air, no dry brush.',
    'Brake dust is harmful to breathe.',
    'No loose dust left on caliper and shield.',
  ],
  'sensor off': () => [
    'Unplug the wear sensor and tie its lead away.',
    'The lead tears first when the caliper is moved.',
    'Lead out of the way, contact clean.',
  ],
  'bracket off': () => [
    'Undo the bracket of hose or line at the upright first.',
    'A fixed line bends once, then it cracks.',
    'The hose hangs free without a kink.',
  ],
  'caliper off': ({ fixed }) => [
    fixed
      ? 'Both caliper bolts out, caliper off: a closed (monobloc) body must come off for this. Hang it on a wire hook.'
      : 'Caliper and bracket off; hang the caliper on a wire hook.',
    'Never on its hose: that tears inside, where nobody sees it.',
    'The hose carries no weight.',
  ],
  'pads out': () => [
    'Old pads out; keep them in their order, inner and outer.',
    'Their wear shows how well the caliper works.',
    'Thickness of both ends written down.',
  ],
  'drum off': () => [
    'Slacken the adjuster, drum off; wheel cylinder and hub looked at for fluid and grease.',
    'A worn drum has an edge that catches the shoes.',
    'Drum within the greatest diameter that is cast into it, cylinder dry under its boots.',
  ],
  'shoes on': () => [
    'New shoes on, springs as they were; one side at a time, the other is the pattern.',
    'Leading and trailing shoe are often not alike.',
    'Shoes centre by hand, linings clean.',
  ],
  'pistons back': ({ pushBack }) => [
    `Press the pistons back slowly, evenly and straight, with an eye on the reservoir.${pushBack ? ` All the way home, both wheels together bring back about ${pushBack.home}.` : ''}`,
    'Pressed fast or askew, a piston tilts; pressing one in pushes another out.',
    'All go in with the same force and stay in; boots whole and dry.',
  ],
  'pistons wound back': () => [
    'Wind the piston back with its tool, turning as the maker says, with an eye on the reservoir.',
    'A piston with the parking brake inside is turned; pressed, its mechanism breaks.',
    'Piston home, its notch where the pad wants it, boot not twisted.',
  ],
  'hose on': () => [
    'New hose: old union cracked with a line wrench, end capped at once, new sealing washers, hose without a twist.',
    'A rounded nut and a twisted hose are what goes wrong here. Parts are cleaned with fresh brake fluid or alcohol only.',
    'Clear of tyre, rim and spring at full lock and at full travel both ways.',
  ],
  'shield on': () => [
    'Dust shield as the change set says; nothing of it near the rotor.',
    'A bent shield rubs on the rotor and blocks its air.',
    'A finger fits between shield and rotor all round.',
  ],
  'rotor off': () => [
    'Rotor off. Where it is stuck, press it off with screws in its threaded holes; no hammer on parts that are used again.',
    'Hammer blows damage the wheel bearing.',
    'The hub’s face is free.',
  ],
  'hub clean': () => [
    'Clean the hub’s face to bare metal, edge and bore too; no grease on the face.',
    'Rust of a tenth of a millimetre at the hub is two tenths at the rim: that is what shakes.',
    'A straight edge lies flat on it.',
  ],
  'rotor measured': ({ rotorMinimum }) => [
    'Weigh both new rotors of the axle and measure their thickness at several points before one is fitted.',
    'One that is lighter runs hotter: the car pulls once they are warm.',
    rotorMinimum
      ? `Left and right alike; thickness over ${rotorMinimum}, the minimum that was entered.`
      : 'Left and right alike; thickness over the minimum cast into it: enter that under Workshop data.',
  ],
  'rotor hand': ({ side }) => [
    `Curved vanes: the ${side}-hand rotor belongs here. Seen from the wheel’s outside, the vanes lean back from the way the wheel turns, as drawn.`,
    'On the wrong side they pump far less air.',
    `Marked ${side}; the picture fits what you see through the vents.`,
  ],
  'rotor on': () => [
    'Rotor on; faces wiped with alcohol, seated without force.',
    'Protective oil and fingerprints contaminate the pads.',
    'It sits flat all round and does not rock.',
  ],
  'set screws': () => [
    'Set screws in, lightly: they only hold the rotor for fitting.',
    'The wheel clamps the rotor. Tightened hard, they tilt it and never come out again.',
    'Heads under the face.',
  ],
  'ring floats': () => [
    'Floating ring: move it on its bobbins by hand.',
    'A ring that is stuck cannot grow, cones and drags.',
    'It moves a little, everywhere, without a rattle of one bobbin alone.',
  ],
  runout: () => [
    'Rotor held by the wheel fastenings with plain nuts: runout by dial gauge, near the edge.',
    'Runout wears a thick and a thin place in a few hundred kilometres.',
    'Within the maker’s figure; else clean the hub again, or turn the rotor by one hole.',
  ],
  'caliper checked': () => [
    'New caliper compared with the old: side, piston sizes, mounting distance, inlet; plugs out only when the hose is at hand.',
    'Left and right differ only in where the screws and the large pistons are.',
    'It slips over the rotor without touching and stands in its middle.',
  ],
  'piston order': ({ pistons }) => [
    `Pistons of this caliper in the order in which the rotor passes them: ${pistons}. The larger trail.`,
    'The leading end of a pad is pulled into the rotor; a larger piston there makes it taper.',
    'An arrow on the body, or the larger bore, points the way the rotor leaves.',
  ],
  'screw at the top': ({ screws }) => [
    screws > 1 ? 'Both bleed screws are at the top, inside and outside.' : 'The bleed screw is at the top.',
    'A caliper on the wrong side has it below, and its air never leaves.',
    'Nothing of the bore lies higher than the screw.',
  ],
  'pads measured': ({ padMinimum }) => [
    'Measure the pads that go in and write down what is marked on them.',
    'Pads of the same name can be of different compounds.',
    padMinimum
      ? `Same marking left and right, all over ${padMinimum}.`
      : 'Same marking left and right; thickness written down.',
  ],
  'pads in': () => [
    'Pads in: they slide by hand; springs, pins and shims as the maker shows. No grease near the face.',
    'A pad that sticks does not come back, drags and glazes.',
    'Free over its whole way, clear of the rotor’s bell and edge.',
  ],
  'caliper on': ({ aluminium }) => [
    `Start both caliper bolts by hand before either is tightened${aluminium ? ', all the way by hand: they go into aluminium' : ''}; then both to the maker’s figure.`,
    aluminium
      ? 'A bolt that starts askew takes the thread of the upright along.'
      : 'With one tight the other cannot find its thread.',
    'Bolts new where the maker says so; caliper in the rotor’s middle.',
  ],
  'guide pins': () => [
    'Guide pins clean, a little of the grease the maker names, boots seated; tighten to the maker’s figure.',
    'With a stuck pin one pad does all the work.',
    'The caliper slides with one hand.',
  ],
  'union on': () => [
    'Hose to the caliper with new sealing washers, no twist, clear of everything at full lock.',
    'Used sealing washers leak.',
    'Tight to the maker’s figure, dry after the pedal was held.',
  ],
  'bracket on': () => [
    'Bracket of hose or line back on.',
    'A loose hose rubs on tyre or rim.',
    'No pull and no twist on the hose at full lock both ways.',
  ],
  'sensor tied': ({ sensorStays }) => [
    sensorStays
      ? 'Plug the wear sensor in, lead in its clips.'
      : 'Tie the sensor’s lead away where it can neither melt nor chafe, if the new pads have no place for it.',
    'A lead that touches the rotor melts within a lap; a broken one lights the warning lamp.',
    'Clear of rotor and tyre at full lock.',
  ],
  'duct on': () => [
    'Duct or its blanking as the change set says; hose held at both ends and in the middle.',
    'A loose duct rubs through on the tyre.',
    'Clear of tyre and rotor at full lock and full travel; mouth open as planned.',
  ],
  protect: ({ protections }) => [
    `Against the heat, on both sides of the car: ${protections}.`,
    'What is hot on one side is mostly hot on the other.',
    'Held by metal, not by plastic ties alone; a strip or paint is on it for the reading before and after. It keeps no air from rotor and caliper.',
  ],
  'drum adjusted': () => [
    'Adjust the shoes until they rub, then back until the drum just does not touch.',
    'Too far off, the pedal is long; too near, the drum heats up on its own.',
    'Turned by hand, it is free all round; the same clicks left and right.',
  ],
  'tyres on': () => [
    'Wheels with the new tyres: side, direction of rotation, pressures cold as planned.',
    'A tyre that runs the wrong way throws its water inwards.',
    'Arrows forward, valve caps on.',
  ],
  'clear of the spokes': () => [
    'Wheel on by hand, nuts finger tight: turn it and feel between caliper and spokes, and at the barrel. With worn pads a sliding caliper stands elsewhere: think of both.',
    'Thicker pads move a sliding caliper outwards; balancing weights stand inwards.',
    'Room all round, as computed under Checks, with new and with worn pads.',
  ],
  'wheel on': () => [
    'Wheel on at its mark, fastenings by hand.',
    'The faces of wheel and hub must touch, with nothing between them.',
    'Every fastening runs by hand over its whole thread.',
  ],
  'turns free': () => [
    'Turn the wheel by hand.',
    'A dragging brake overheats within a few kilometres.',
    'It turns with a light hiss at most, without a place that catches.',
  ],
} as const satisfies Readonly<Record<string, (f: StepFacts) => StepWords>>;
