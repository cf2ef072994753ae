/** What model says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  mKmHM: (length: string, entryKmh: number, exitKmh: number, mean: string) =>
    `${length} m from ${entryKmh} to ${exitKmh} km/h is ${mean} m/s²; no car on wheels does that`,
  doesNotFitM: (toNextM: number, exitKmh: number, entryKmh: number, range: string) =>
    `does not fit: ${toNextM} m between ${exitKmh} and ${entryKmh} km/h takes ${range}`,
  lineDoesNotClose: (gap: string, turn: string, climb: string) =>
    `the line does not close: it ends ${gap} m from its start${turn}${climb}`,
  bodySLiftWould: (fromSi: string, fromSi2: string) =>
    `the body’s lift would leave less than a quarter of the weight on the tyres over ${fromSi} km/h, and the braking zones begin at up to ${fromSi2} km/h`,
  documentHoldsMoreThan: (most: number) => `The document holds more than ${most} values.`,
  keyNotAllowedFile: 'The key is not allowed in a file of ours.',
  thereNoPartShelf: (id: string) => `There is no part "${id}" on the shelf or among the project’s own.`,
  comparedTakeOutSetups: (list: string) => `Compared in ${list}: take it out of the setups there first.`,
  fittedFitAnotherPart: (list: string) => `Fitted to ${list}: fit another part there first.`,
  beginsChooseAnotherStart: (list: string) => `Begins ${list}: choose another start there first.`,
  projectKeepsLeastOne: (noun: string) => `A project keeps at least one ${noun}.`,
  usedChangeDeleteFirst: (list: string, which: string) => `Used by ${list}: change or delete ${which} first.`,
  changedHereAnotherPage: (shown: string, more: string) =>
    `Changed here and on another page at once: ${shown}${more}. What this page had was kept; Undo shows the other.`,
  endFileWasExpected: 'the end of the file was expected',
  numberNotWrittenJson: 'a number is not written as JSON writes it',
  textHasEscapeJson: 'a text has an escape that JSON does not know',
  fileEmptyWasExpected: (expected: string) => `The file is empty. ${expected} was expected.`,
  fileNestedMoreThan: (deepest: number, expected: string) =>
    `The file is nested more than ${deepest} levels deep. ${expected} was expected.`,
  somethingNoValueStands: 'something that is no value stands here',
  fileNotJsonWas: (why: string, expected: string) =>
    `The file is not JSON: ${why}. ${expected} was expected.`,
  jsonAnotherKindFormat: (format: string, ending: string) =>
    `This JSON is of another kind: "format" should be "${format}"${ending}.`,
  projectVersionProgramReads: (version: number, newest: number) =>
    `The project is of version ${version}; this program reads up to version ${newest}. A newer program is needed.`,
  projectHasNoComplete: (planId: string) => `The project has no complete plan "${planId}".`,
  solidTooThick: (mm: number, most: number) =>
    `A solid disc is ${most} mm thick at most, not ${mm}: look for a gap at its edge, or measure again.`,
  ventedTooThin: (mm: number, least: number) =>
    `A vented disc is at least ${least} mm thick, not ${mm}: measure over both cheeks.`,
  slidingHasFew: (pistons: number) =>
    `A sliding caliper has one or two pistons, rarely three, not ${pistons}: with more it is a fixed one.`,
  fixedHasPairs: 'The pistons of a fixed caliper come in pairs: count both sides.',
  rotorOutsideWheel: (barrel: number) =>
    `That does not go into a wheel of this kind of car, which is about ${barrel} mm inside.`,
  rearOverFront: (front: number) =>
    `That is much more than at the front (${front} mm): are the two swapped? There are no drums in front of discs.`,
  noDrumsOnRacer: 'This kind of car has discs at the rear: choose another kind, or discs.',
  powerOverMass: (mass: number) =>
    `That is over one kilowatt for each kilogram of ${mass} kg: one of the two is not right.`,
  meanSpeedOdd: (mean: string, least: number, most: number) =>
    `Over that length this is ${mean} km/h on average; between ${least} and ${most} is believed.`,
  cornersTooClose: (each: string, least: number) =>
    `That leaves ${each} m for each corner; at least ${least} m are needed.`,
  straightTooLong: (most: string) =>
    `It has to be under six tenths of the lap (${most} m): the lap has to come back.`,
  straightTooShort: (corners: number, most: string) =>
    `With ${corners} corners and no straight longer than that, a lap is about ${most} m at most.`,
  ofAnotherWork: (name: string) =>
    `The file is of another work, “${name}”: open that one here, or bring the project over first.`,
  neverMixFluids:
    'Glycol and silicone fluid must never meet, in this system or in a bottle: seals swell and the pedal goes soft. Take the fluid out of the changes, or have every part of the system stripped, dried and re-sealed by a qualified person first.',
  sameHandTwice: (axle: string, hand: string) =>
    `Both ${axle} rotors are marked ${hand}: curved vanes come in left and right. One of the two pumps no air; exchange it before the car is signed off.`,
  preparedTakeOutFirst: (names: string) =>
    `It is to be fitted or stands on the shelf: ${names}. Take it out there first.`,
} as const;
