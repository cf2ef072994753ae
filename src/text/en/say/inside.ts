/** What inside says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  drivingSides: 'Driving the day with each side on its own …',
  sidesNotDriven: (message: string) => `The sides could not be driven on their own: ${message}`,
  noDiscs: 'Drums have no inner and outer side.',
  sidesDiffer: (most: string) => `Peaks of inner and outer side differ by up to ${most}.`,
  whatSidesAre:
    'The same day with each cheek and pad on its own: dust shield and duct before the inner face, the wheel before the outer one, the pistons of a sliding caliper on the inner pad. Shares of the air are from memory.',
  judgeBySide: (axle: string) => `Judge the ${axle} by its hotter side`,
  judgeAsOne: (axle: string) => `Take both sides of the ${axle} as one`,
  brakeCutOpenTemperature:
    'The brake cut open, with the temperature of every part and the heat between them; the table beside it has the numbers',
  whereHeatBrakingZone: 'Where the heat of the braking zone went; the table under it has the numbers',
  drivingLapHeatingBrakes: 'Driving the lap and heating the brakes …',
  whereHeatLapWent: (zone: string, numberInSession: number) =>
    `Where the heat of ${zone} on lap ${numberInSession} went, until the next braking zone`,
  oneWheelMadeAir: (made: string, toAir: string, kept: string, made2: string) =>
    `One wheel: made ${made}, to the air ${toAir}, kept in the brake ${kept}. Flows are summed over the steps; what they leave open is ${made2}.`,
  temperatureThroughPadRotor:
    'Temperature through pad and rotor, from the pad backing plate to the inside of the rotor',
  arrowsHeatWattsPick: 'Arrows: heat in watts; pick one here or in the list.',
} as const;
