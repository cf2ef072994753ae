/** What garage says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  whatAnotherBalanceWould:
    'What another balance would do to temperature, and which one heats both axles alike, is under ',
  brakeBalanceFrontOver: 'Brake balance (% front) over deceleration, pads warm',
  lockedRearAxleTurns: ': a locked rear axle turns the car round.',
  carGoesStraight: ': the car goes straight on.',
  neitherAxleComesGrip: 'Neither axle comes to its grip in this range.',
  whereLinePartsRuns:
    ' Where the line of the parts runs over the tyres’ one, the front is nearer to locking.',
  idealShareBZ: 'Ideal share (b + z·h)/L with each axle’s downforce: Limpert, Brake Design and Safety.',
  noBrakingZoneLap: 'No braking zone on this lap.',
  brakeBalanceFrontBraking: (number: number) => `Brake balance (% front) by braking zone of lap ${number}`,
  withoutBalanceBarDriver:
    'Without a balance bar and a driver’s control the share cannot be changed from braking zone to braking zone.',
  brakeBalanceFrontAll:
    'Brake balance (% front) of all braking, motor included, with the friction there was at that moment: as both axles heat differently it moves within a braking zone and over the session.',
  leadingShoePressesItself:
    'A leading shoe presses itself on: its brake factor grows faster than the friction does.',
  materialsCoolingHeatCar: 'Materials, cooling and heat are on the Car page.',
  valuesGoIntoFields: 'Its values go into the fields; change them to yours.',
  brakeSystemPedalTyres: 'Brake system from pedal to tyres; each station leads to its fields',
  brakeBalanceFront: 'Brake balance (% front) ',
  idealAxleNearerLocking: (ideal: string, first: string, use: string, ending: string) =>
    `, ideal ${ideal} %: the ${first} axle is nearer to locking and asks ${use} of its tyres${ending}. `,
  pedalReachesFloorSpent: (fromSi: string) =>
    `The pedal reaches the floor: its ${fromSi} are spent before there is pressure enough.`,
  padsWarmFootUp: 'Pads warm, the foot up to the driver’s limit.',
  engineStoppedHoseOff: 'Engine stopped or hose off: the foot is alone.',
  onlyRearBrakes: 'Only the rear brakes.',
  onlyFrontBrakes: 'Only the front brakes.',
  oneFrontOppositeRear: 'One front and the opposite rear brake; it pulls.',
  nothingBrakesButHand: 'Nothing brakes but the hand brake.',
  straightLevelRoadPads: (limitN: string, name: string, fastest: string) =>
    `Straight, level road, pads warm, braked up to where the first axle would lock or the driver’s ${limitN} are spent. The fastest place of ${name} is ${fastest}.`,
  couldNotComputed: (message: string) => `It could not be computed. ${message}`,
  emptyChamberTandemCylinder: (gentle: string) =>
    `An empty chamber of a tandem cylinder takes half the stroke; a balance bar comes to its stop and passes on only its own share (own assumptions). ${gentle} is what UN R13-H wants of a secondary brake (from memory). With a leak, a soft or a sinking pedal: do not drive. A prediction is no proof that the brakes will hold.`,
  sectionThroughWheelCaliper:
    'Section through wheel, caliper, pads and rotor; the clearances stand in the list below',
  caliperSpokesPadsThey: 'Caliper to the spokes, pads as they are',
  simpleCheckMeasuresMm:
    'A simple check of measures, 3 mm (0.12 in) wanted to a turning wheel (common practice). Turn the wheel by hand with the car lifted, steering at both ends, before driving. Thicker pads push a sliding caliper outwards; spacers need longer studs and load the bearing. Fit and torque to the maker’s data, by someone qualified.',
  drumStandsInsideWheel: 'A drum stands inside its wheel’s barrel; there is no caliper to clear.',
  padsPressMeanLeading: (leadingEdge: string, trailingEdge: string, which: string) =>
    `Pads press ${leadingEdge} of the mean at the leading edge and ${trailingEdge} at the trailing one: ${which}`,
  frictionOverSurfaceTemperature: 'Friction over surface temperature; the points stand in the table',
  garageHasNoChoose: (slice: string) => `The garage has no “${slice}”. Choose one of the above.`,
  everythingListedFrontAxle: (mass: string, frontWeight: string, fromSi: string) =>
    `With everything listed ${mass}, ${frontWeight} % on the front axle, centre of gravity ${fromSi} high. Own mass, weight share and height are on the Car page.`,
  rigidCarEachAxle: 'A rigid car: each axle takes the roll moment by its load.',
  cannotFittedLike: (problem: string) => `It cannot be fitted like this. ${problem}`,
  coldBestWindowFades: (
    family: string,
    mu: string,
    most: string,
    t: string,
    t2: string,
    t3: string,
    trades: string,
  ) => `${family}; µ ${mu} cold, ${most} at best; window ${t} to ${t2}, fades over ${t3}; ${trades}`,
  genericPartsOurOwn:
    'Generic parts of our own, none a maker’s. Copy one and give it the values of yours; take them from its maker’s data. Price classes run from 1 cheapest to 5 dearest of a kind.',
  thereNoPartsYour: 'There are no parts of your own yet',
  forceFirstBiteBraking: 'force at first bite, for the braking zone’s mean braking',
  deratingCaption: 'Derating over the energy taken in a session',
  deratingNote:
    'A full battery takes little at first, warm windings less in the end. Between points in a line; without points it keeps its power.',
  topPedalLighterBalance:
    'On top, the pedal is lighter and the balance moves to the motor’s axle while it brakes.',
  helpsUpKneeBeyond: 'Helps up to its knee; beyond, the foot is alone.',
  oneCircuitLeakLeaves: 'With one circuit a leak leaves no brakes at all.',
  tallerStifferRearSpring: 'A taller or stiffer rear spring blinds a load valve: set what it misses.',
  nothingBrakedSession: 'Nothing is braked in this session.',
  minimumBrakeReserve: 'Minimum brake reserve: ',
  onLap: ' on lap ',
  brakingZone: (zone: number) => ` at braking zone ${zone}`,
  limitedWorstCar: (limit: string) => `, limited by ${limit}. At worst the car `,
  driverBrakesEarlierNext: 'The driver brakes earlier on the next lap',
  whereBrakesCouldNot:
    'Where the brakes could not make a braking zone, the next lap is solved again with what they had.',
  carWhoseTyresLimit:
    'A car whose tyres are the limit does not stop shorter with more brake; one limited by the pedal or by fade does. Vapour is drawn from the fluid’s temperature over its boiling point, 0.4 cm³ per °C and wheel (own estimate); glazed pads stay weaker until bedded again.',
  travelKnockBack: 'Part of the travel that closes what the corners before have knocked back',
  greatestPedalForceBraking: 'Greatest pedal force the braking zone needs',
  pedalForceBrakingZone: 'Pedal force for the braking zone’s mean braking with the friction at first touch',
  sameFrictionLeftEnd: 'The same with the friction that is left at its end',
  leastFrictionFrontPads: 'Least friction of the front pads in the braking zone',
  leastFrictionRearPads: 'Least friction of the rear pads in the braking zone',
  brakingAvailableDriverS: 'Braking available at the driver’s limit over braking needed, minus one',
  distanceWhichBrakingOvershoots: 'Distance by which braking overshoots its point',
  whatWouldHaveGive: 'What would have to give more for a shorter braking zone',
  morePistonsDoNot:
    'More pistons do not brake harder: with the same total area the torque is the same and so is the pedal’s travel, but for what pads and body give; the pressure on a larger pad is less and its wear more even. A larger rotor gives more torque for the same pressure.',
  pistonsMadeSameTotal: 'its pistons made to the same total area',
  pressureLeadingEdgeOver: 'Pressure at the leading edge over the mean',
  pressureTrailingEdgeOver: 'Pressure at the trailing edge over the mean',
  cmSideAreaMakes: (area: string) => `${area} a side. It is the area that makes torque, not the count.`,
  brakeBalanceFrontPedal: 'Brake balance (% front) as the pedal goes down',
  brakeBalanceFrontOverWork: 'Brake balance (% front) over the work of the braking zone',
  brakeBalanceFrontPedalComes: 'Brake balance (% front) as the pedal comes up',
  idealBalanceOverWork: 'Ideal balance over the work of the braking zone',
  shareLessIdealOver: 'Share less ideal: over 0 the front does too much',
  axleNearerLockingHardest: 'Axle that is nearer to locking at the hardest instant',
  clicksSetBrakingZone: 'Clicks set at this braking zone, + to the front; the session is driven with them',
  moreThanTheyHave: (grip: number) => `, more than the ${grip} they have before downforce and load`,
  theyShouldWearAbout: 'they should wear about evenly along their length.',
  leadingEndWearsSooner: 'the leading end wears sooner; smaller pistons there take it back.',
  trailingEndWearsSooner:
    'the trailing end wears sooner; the leading pistons are smaller than they need to be.',
  moreThanDriver: (limit: string) => `More than the driver’s ${limit}.`,
} as const;
