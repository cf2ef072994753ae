/** What the preparation says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  noView: (slice: string) => `There is no view “${slice}” of the preparation. Choose one of the above.`,
  nothingPrepared: (car: string) =>
    `Nothing is being prepared on ${car}. Choose a setup under Decide and prepare it: the job list, the fluid and the bedding are made from what actually changes. Or begin with bleeding and looking the car over.`,
  stepsOpen: (open: number, all: number) =>
    open === 0 ? `All ${all} steps done` : `${open} of ${all} steps open`,
  signedOff: (by: string, on: string, open: number) =>
    `Signed off by ${by} on ${on}${open > 0 ? `, ${open} ${open === 1 ? 'step' : 'steps'} left open` : ''}`,
  noChange: 'Nothing is exchanged: the car is bled and looked over.',
  notAdded: (why: string) => `Not added: ${why}.`,
  fittedSince: 'What is on the car now, and since when',
  signMeans:
    'Signing off makes the car what was wanted: its parts, their days, pads that are not bedded yet. Until then everything is computed with the car as it was.',
  signWithOpen: (open: number) => `Sign off with ${open} ${open === 1 ? 'step' : 'steps'} open?`,
  signWarning:
    'The car then has the new parts, and their counters begin. Steps that are open stay open, and the run sheet shows them. Somebody qualified has looked it over.',
  signedNow: (car: string) => `${car} is as wanted`,
  readyBefore: 'Ready before anything is taken apart',
  figuresMissing: (count: number) =>
    `${count} ${count === 1 ? 'joint has' : 'joints have'} no torque yet: nothing is put in for it. Read it in the maker’s data and enter it at its step, once.`,
  otherDevice:
    'Two devices with this project: hand over what was done on one, join it on the other. Every tick of either stays.',
  joined: (added: number, file: string) =>
    added === 0 ? `Nothing new in ${file}` : `${added} ${added === 1 ? 'entry' : 'entries'} from ${file}`,
  foundOtherwise: (list: string) =>
    `Found otherwise on the two devices; what this one has stays: ${list}. Look again at the part.`,
  tickedBy: (by: string, when: string) => `${by}, ${when}`,
  torqueMeans:
    'Exactly as the maker’s data of this car or part have it; it is kept with the car, with who read it and when.',
  whoRead: 'Who has read it there is needed',
  safety:
    'Brake parts are safety parts. The maker’s data, the event’s rules and local law come before this list; someone qualified does the work or looks it over. A crack to the edge, a leak, a soft or sinking pedal: do not drive.',
  handsEach:
    'Curved vanes: left-hand rotor on the left, right-hand rotor on the right; outer ends lag behind as the wheel turns.',
  padAndRotor: 'pad left / rotor thickness',
  vanesOf: (side: string) => `Vanes of the rotor on the ${side}, seen from outside`,
  vanesLag: (kind: string) =>
    `Vanes ${kind}: the outer end lags behind, so that the turning rotor throws the air out. The arrow is the way the wheel turns driving forward. Makers differ: their arrow or part number counts.`,
  nothingToCheck: 'Nothing is exchanged that could be checked.',
  checksAre:
    'Computed from the measures and areas of this car as they are entered; values nobody has measured are guesses. They do not replace looking and measuring.',
  foundAt: 'What was found, wheel by wheel',
  nothingBled:
    'Nothing is bled in this work. Change that above if the pedal was soft, fluid was hot, or a line is opened.',
  makersOrder: 'Screw by screw, in the maker’s order',
  farthestFirst: 'Screw by screw, the farthest wheel first',
  counterMeans: (tap: number) =>
    `Each tap is ${tap} cm³ on the bottle’s scale. Clutch and control unit where they are fed by the same reservoir; the maker’s order comes first and is set under Workshop data.`,
  stillOld: (colour: string) => `still ${colour}`,
  nowNew: (colour: string) => `${colour}, no bubbles?`,
  turns: 'the colour turns',
  aboutStrokes: (count: number) => `, about ${count} strokes`,
  sameColour: 'Old and new fluid look alike: count the volume, the eye will not tell.',
  volumesAre:
    'From the lengths and bores of the lines, cylinder, control unit and calipers as entered; a caliper is a stirred tank of which a twentieth of the old may stay. Colour and bubbles decide when to stop, not the figure.',
  pressureOf: (most: string) => `about ${most} (common practice: 1 bar, 15 psi)`,
  vacuumOf: (low: string, high: string) => `${low} to ${high} below the air (common practice: 15 to 20 inHg)`,
  strokesOr: (strokes: number, volume: string) => `${strokes} strokes (${volume})`,
  after: {
    level: 'Level between the marks, cap closed, spilt fluid washed off with water',
    leaks:
      'Every screw closed to the maker’s figure, caps on, dry after the pedal was held hard for half a minute',
    firm: 'Pedal firm and high, the same on the second push; it does not sink',
  },
  bledNow: (car: string) => `${car} has new fluid`,
  bledOn: (when: string, by: string, dry: string) =>
    `Bled on ${when} by ${by}. New fluid, boiling point ${dry} dry by its class or label; what a test measures goes into the car’s values and overrides it.`,
  lookFirst: (open: number) =>
    `${open} of the three looks ${open === 1 ? 'is' : 'are'} still open. Writing it down makes the car’s fluid new and takes it off the shelf.`,
  writesDown: 'Makes the car’s fluid new and takes what was used off the shelf.',
  neverMixed: 'Refused: glycol and silicone would meet.',
  nothingToBed:
    'No pad or rotor of this work is new, and those on the car are bedded. For pads that came bedded, or are glazed, say so above.',
  recoveryOff:
    'Computed without energy recovery: switch it off or to its least, or the motor does the braking and the pads stay cold.',
  bedMeans: (note: string, error: string) =>
    `${note} Energy balance error ${error} %. Bands and times of the pad’s family are from memory; what came with the pads goes before.`,
  whatCameWith: 'What came with the pads',
  padBeds: (axle: string, low: string, high: string, seconds: number, source: string) =>
    `The ${axle} pads bed at ${low} to ${high} of their surface, over about ${seconds} s of braking ${source === 'typed' ? '(as typed)' : source}.`,
  bedChart: 'Temperatures of pads and rotors over the bedding run',
  stepByStep: (count: number) => `Step by step (${count})`,
  bedSafety:
    'Test and bed only where nobody is put at risk: a closed course with run-off is better than any road. The brakes may bite late and pull until they are bedded. No standing on the brakes: hot pads print themselves onto the rotor. Hot parts burn for half an hour.',
  cardPlace: (at: number, of: number) => `${at} of ${of}`,
  cardOver: 'That was the run',
  cardOverThen: 'Tap to write down what was driven.',
  cardExpects: (axle: string, pad: string, rotor: string) =>
    `${axle === 'front' ? 'Front' : 'Rear'}: pad about ${pad}, rotor ${rotor}`,
  cardSafety:
    'Read by a passenger, or aloud; the driver’s eyes stay on the road. Smoke, a shake or a soft pedal: stop the run and roll on.',
  stateAfter: (name: string) => `After bedding, ${name}`,
  beddedNow: (front: number, rear: number) => `Written down: front ${front} %, rear ${rear} % bedded`,
  outcomeOf: (when: string, by: string, warmUps: number, snubs: number, front: number, rear: number) =>
    `${when}, ${by}: ${warmUps} warm-ups, ${snubs} hard snubs; front ${front} %, rear ${rear} % bedded.`,
  outcomeMeans: (front: number, rear: number) =>
    `By the prediction these leave the front ${front} % and the rear ${rear} % bedded. It is written into the car and into a kept state of its brakes, which a plan can begin from.`,
  signBefore: 'Sign the work off first: the car does not have the new parts yet.',
  heatLead: (plan: string) =>
    `Over the day “${plan}”: parts that come over their rating on one side or the other, and what each protection brings. Chosen ones are steps of the job list, on both sides of the car, with a reading before and after.`,
  nothingExposed: 'No part near something hot is listed for this car.',
  noneOver: (count: number) =>
    count === 1
      ? 'The one part listed stays under its rating.'
      : `All ${count} parts listed stay under their ratings.`,
  chosenAnyway: (part: string, what: string) =>
    `${part}: ${what} is on the job list; by this day it is not needed.`,
  heatIs: (peak: string, rating: string, side: string, other: string) =>
    `${peak} of ${rating} on the ${side}’s side, ${other} on the other.`,
  stillOver: ', still over',
  heatSafety:
    'Shield, sleeve and wrap are held by metal, keep clear of everything that moves, and take no air from rotor and caliper. Read a strip or paint on the part before and after: the figures are predictions.',
  workshopLead:
    'Data for work on the car; no lap time or temperature depends on them. Values are usual ones (from memory) until somebody has measured or read them; minimum thicknesses and torques are the maker’s alone.',
  flags: {
    clutchOnReservoir: 'Clutch fed by the same reservoir',
    unitNeedsTool: 'Control unit is bled with a diagnostic tool',
    oldCylinder: 'Old master cylinder: never to the floor',
    padsFromTop: 'Pads come out with the caliper in place',
    padSensor: 'Wear sensor in a pad',
    setScrews: 'Set screws hold the rotor on the hub',
    lineBracket: 'Bracket holds hose or line',
    aluminiumUpright: 'Caliper bolts go into aluminium',
  },
  parkingBrakes: {
    none: 'none here',
    shoes: 'shoes in the bell, or the drum',
    caliper: 'in the caliper, by cable',
    electric: 'electric',
  },
} as const;
