/** What inside says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  brakeCutOpenTemperature:
    'The brake cut open, with the temperature of every part and the heat between them; the table beside it has the numbers',
  whereHeatBrakingZone: 'Where the heat of the braking zone went; the table under it has the numbers',
  drivingLapHeatingBrakes: 'Driving the lap and heating the brakes …',
  whereHeatLapWent: (zone: string, numberInSession: number) =>
    `Where the heat of ${zone} on lap ${numberInSession} went, until the next braking zone`,
  oneWheelMadeAir: (made: string, toAir: string, kept: string, made2: string) =>
    `One wheel: made ${made}, to the air ${toAir}, kept in the brake ${kept}. Flows are summed over the steps; what they leave open is ${made2}.`,
  temperatureThroughPadRotor:
    "Temperature through pad and rotor, from the pad's backing plate to the inside of the rotor",
  arrowsHeatWattsPick: 'Arrows: heat in watts; pick one here or in the list.',
} as const;
