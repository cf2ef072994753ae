/** What decide says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  whatAnotherBalanceWould: 'What another balance would do to temperature',
  brakeBalanceFrontWritten: 'Brake balance (% front) written into the car',
  whatBestTemperatureNot:
    'What is best for temperature is not what is best for grip: a rear that locks first turns the car round.',
  clickDirection: ' A click with + moves braking to the front, one with − to the rear.',
  rearLocksFirst: 'The rear locks first with this balance',
  rearLocksFirstWarning: (rear: number, zones: number) =>
    `At ${rear} of ${zones} hot braking zones the rear is nearer to locking. A rear that locks first turns the car round. Try it step by step, on a closed course with run-off.`,
  withinBalancesTriedBoth:
    ' Within the balances tried both axles never get equally hot; the nearest is shown.',
  noHotLapBraked: 'No hot lap is braked, so there is no balance by braking zone.',
  brakingZoneLastHot: 'By braking zone, as the last hot lap is driven now, where it asks most of the tyres',
  equallyHotShareWhich:
    'Equally hot: the share with which both axles’ faces would peak at the same part of their limits’ rise over the air, the braking zone begun as hot as it is now. At 0 or 100 % even all of the braking on one axle would not bring it there. A click picks a braking zone on every page; the keys , and . step through them.',
  setupsDriven: (comparedCount: number) => `${comparedCount} setups driven in `,
  sAllSetupsDrive:
    ' s. All setups drive the plan’s laps in its air; each solves its own lap, so that drag and mass count. Wear and fatigue damage are indices to compare by, no life. A prediction is no proof that brakes will hold.',
  differencesSmallPrintAgainst: (name: string) =>
    `Differences in small print are against “${name}”; percentages are of its value. `,
  smallestDuctEachWheel:
    'The smallest duct to each wheel that keeps this margin at every temperature limit over the whole plan, paddock included, with both axles’ ducts in place. Tape is taken off; the share of air that gets through is the car’s own.',
  drivingDayEverBetter: 'Driving the day with ever better ducts',
  predictionNoProofBrakes:
    'A prediction is no proof that brakes will hold. How far cooling is uncertain stands at the verdict: see “Uncertainty”. Ducts and hoses must clear wheel, steering and hot parts at full lock and full travel, and stay clear of moving parts; fit them to the rules of your event.',
  withTheClosestIs: (which: string, value: string) =>
    which === 'none'
      ? `Without one the closest is the ${value}.`
      : `Set by what is closest with it: the ${value}.`,
  guessSetsNoDuct: (value: string) => `The ${value}; the way of its heat is a guess, so it sets no duct.`,
  reckonedLargestDuct: (other: string) => `Computed with the largest duct at the ${other}.`,
  carHas: (now: string, ending: string) => `The car has ${now}${ending}.`,
  carHasNone: 'The car has none.',
  underPadSWindow: (value: string) =>
    `${value} under the pad’s window. The first push there bites late; blank some of it off, or choose a pad for the cold.`,
  aboveLowEndPad: (bite: string) => `${bite} above the low end of the pad’s window.`,
  fromTheShelf: 'From the shelf: ',
  wheelAxleCountedAir: (name: string, price: string) =>
    `${name} a wheel, ${price} the axle; counted by the air it lets through.`,
  allThemTake: 'All of them take ',
  dragCda: (topSpeed: string, dragArea: string, which: string) =>
    ` of drag at ${topSpeed} (CdA ${dragArea}). ${which} `,
  ductsFoundShareEvery:
    'The ducts found, with a share of every mouth blanked off. Under 0 the margin is over its limit; a bite under 0 is under the pad’s window.',
  thereNothingCalledHere: (slice: string) =>
    `There is nothing called “${slice}” here. Choose one of the above.`,
  circuitCannotDrivenYet: (message: string) => `The circuit cannot be driven yet: ${message}.`,
  highestTemperaturesOverDuct: (axle: string) =>
    `${axle}: highest temperatures over the duct area of each wheel`,
  overRatingDay: (over: number) => `; over its rating for ${over} % of the day`,
  temperatureOverDayEach: 'Temperature over the day, as it is and with each protection',
  highestTemperatureEachProtection: 'Highest temperature as it is and with each protection',
  nothingListedCarSensor:
    'Nothing is listed for this car. Sensor leads, hoses and boots near a disc are what melts first: add what you can see from the wheel.',
  shieldsSleevesMustNot:
    'Shields and sleeves must not rub, come loose or keep water in; nothing may touch wheel or tyre at full lock and full travel. Hot parts burn for half an hour. Ratings are the maker’s to give.',
  radiationPartViewHot:
    'Radiation by the part of its view that the hot face fills, r²/(r² + x²), warmed air, what it is fixed to, and the air that passes. Materials and surfaces are typical ones, from memory.',
  padsThenTooCold: (tooCold: string) =>
    ` ${tooCold} pads then below working temperature at some braking point`,
  oneStepTodayS: 'One step from today’s car, most margin for the money first ',
  allStepsAlsoThose: (rungsCount: number) => `all ${rungsCount} steps, also those ruled out or of no use`,
  whatDoesNotDo: 'What it does not do.',
  whereStepDiffersSays: (common: string) => ` ${common} Where a step differs, it says so.`,
  nothingShelfGainsMargin: 'Nothing of the shelf gains margin here without standing in its own way.',
  pricesUsualOnesEach:
    'Prices are usual ones of each class, from memory: type your own. They are for both wheels of an axle, or for the car. Steps that are ruled out stay in the list with the reason when all are shown. Brake parts are safety parts: what fits here must still fit on the car; fit and torque to the maker’s data, by someone qualified, under the event’s rules and local law.',
  noSingleStepShelf: 'No single step of the shelf gains anything here.',
  firstStepMoney: (useful: string, gain: string, price: string) =>
    `First step for the money: ${useful}, ${gain} for ${price}.`,
  stepsRankedMarginEach: 'Steps ranked by margin for each 100 of money',
  outLapHotLaps:
    'An out lap, hot laps, cool-down laps where they are needed, one at the end, then standing as planned: the fluid must keep its margin there too. Fastest is what goes furthest in these minutes.',
  flatOutAllTime: 'Flat out all the time keeps every margin.',
  flatOutPassesNo: (flatOut: string) => `Flat out passes no limit, but leaves only ${flatOut}.`,
  flatOutLimitPassed: (lapsBefore: number, ending: string, flatOut: string) =>
    `Flat out a limit is passed after ${lapsBefore} hot lap${ending}: ${flatOut}.`,
  minClosest: (best: string, distance: string, time: string, best2: string) =>
    ` ${best}. ${distance} in ${time} min; closest is the ${best2}.`,
  noPaceKeepsEvery: 'No pace keeps every margin.',
  notEvenHalfForces: ' Not even half of the forces does. Change the car first, or ask for a smaller margin.',
  fourHoursPaddockNot: 'Four hours in the paddock are not enough to drive the same again.',
  beforeSameAgainLeast: (minutes: number) => `Before the same again: at least ${minutes} min in the paddock.`,
  predictionNoProofBrakesWill: 'A prediction is no proof that brakes will hold. ',
  waysThroughSessionFurthest: 'Ways through the session, the furthest first',
  overSessionWhatClosest: (which: string, name: string) =>
    `${which} ${name} over the session: what is closest flat out`,
  partClosestFlatOut: 'The part that is closest flat out, over the session',
  hotLapsRowMore: (laps: number) => `${laps} hot laps in a row and more keep every limit.`,
  notOneHotLap: 'Not one hot lap keeps every limit: change the car or the pace first.',
  mostHotLapRow: (stint: number, ending: string) => `At most ${stint} hot lap${ending} in a row.`,
  notEnoughAfterCool: ' Not enough after 8 cool-down laps: come in.',
  thenCoolDownLap: (coolDownLaps: number, ending: string, again: number) =>
    ` Then ${coolDownLaps} cool-down lap${ending} before ${again} more.`,
  fourHoursPaddockNotEnough: ' Four hours in the paddock are not enough for the same again.',
  paddockBeforeSameAgain: (minutes: string) => ` Paddock before the same again: ${minutes}.`,
  padLeftRotorThickness:
    'Pad left and rotor thickness over their least; no crack to the edge or between holes',
  fluidLevelColourHoses: 'Fluid level, colour, hoses, no leak; leads and hoses tied away',
  wheelBoltsMakerS: 'Wheel bolts to the maker’s torque; wheel clears caliper and ducts at full lock',
  pumpPedalUntilFirm: 'Pump the pedal until it is firm, before the car moves',
  padsBeddedWarmedTwo: 'Pads bedded and warmed: two firm stops on the out lap',
  coolDownLapNo: 'Cool-down lap, no handbrake, roll the car on after a minute',
  paintBandsPyrometerRead: 'Paint bands or pyrometer read, with the time since stopping: ______',
  pedalTravelAfterTen: 'Pedal travel after ten minutes, when the fluid is hottest: ______',
  brakePartsSafetyParts: (note: string) =>
    `${note} Brake parts are safety parts: fit and torque to the maker’s data, by someone qualified, under the event’s rules and local law. A soft or sinking pedal, a leak, a crack: do not drive. Hot parts burn for half an hour. Fluid harms paint, skin and eyes; never mix glycol and silicone. No compressed air on brake dust. Test only on a closed course with run-off.`,
  setupsLapsPlan: 'Setups on the laps of this plan',
  sixSetupsMostRemove: 'Six setups are the most; remove one to add another.',
  brakeBalancesFrontBraking: 'Brake balances (% front) by braking zone; the table has the figures',
  howLongLastsCould: (message: string) => `How long it lasts could not be computed. ${message} `,
  rotorSurfaceHottestBraking: 'Rotor surface, hottest in the braking zone',
  rotorCoreBulkAfter: 'Rotor core (bulk) after the braking zone',
  zoneZoneEachSetup: 'Zone by zone, each setup’s hottest lap',
  clickPicksBrakingZone:
    'A click picks a braking zone, here and on every page; the keys , and . step through them.',
  pictureNotDrawnYet: 'The picture is not drawn yet.',
  nothingWasExported: (message: string) => `Nothing was exported. ${message}`,
  noHotLapSession: 'No hot lap in this session.',
  noClicksSetStays: 'No clicks are set: it stays in its middle all lap.',
  clicksOtherZonesNone: (list: string) =>
    `Clicks at the other braking zones: ${list}; none where none are named.`,
  clicksListedNoneOther: 'Clicks as listed; none at the other braking zones.',
  daysSomethingPassesLimit: (chance: string, runs: number) =>
    `In ${chance} of ${runs} simulation runs something passes a limit.`,
  chancesModelTheseRanges:
    'Chances of this model with these ranges, not of your car: what the model leaves out is not in them. No chance makes a brake safe. ',
  whatMattersMost: (title: string) => `What matters most for it: ${title}.`,
  chanceLimitHasBeen: 'Chance that a limit has been passed by the end of each lap',
  noLimitPassedAny: 'No limit is passed in any of them.',
  temperatureSpreadOverLaps: 'Temperature with its spread, over the laps',
  hottestWithinEachPiece:
    'The hottest within each piece of a lap, hotter side; dark: half of the runs, light: nine of ten. Standing follows its lap, a quarter of an hour as wide as a lap.',
  marginOverDayDays: (list: string) => `Margin over the day: ${list} of the runs have less.`,
  partMarginSVariance: (rest: number) =>
    `Part of the margin’s variance that each explains by itself (first-order index). Acting together, or beyond what so many runs can tell: ${rest} %. Measuring what stands first narrows the answer most.`,
  evenEveryValueWithin:
    'Even: every value within is as likely. Bell: most in the middle, 95 of 100 within. Usual ranges are from memory, for a car that has not been measured.',
  lowerEndLastGood: (title: string, message: string) =>
    `${title}: the lower end ${message}. The last good range stays in use.`,
  fewerSpareLaptopBattery: 'Fewer spare a laptop on its battery; the answer is the same.',
  nothingUncertainChooseLeast: 'Nothing is uncertain: choose at least one input.',
  stoppedDaysKept: (message: string, value: number, runs: number) =>
    `It stopped: ${message} ${value} of ${runs} runs are kept.`,
  cancelledDaysKept: (value: number, runs: number) => `Cancelled; ${value} of ${runs} runs are kept.`,
  daysKeptBefore: (value: number, runs: number) => `${value} of ${runs} runs are kept from before.`,
  notDrivenYetThese: 'Not run yet with these ranges.',
  simulationRuns: (runs: number) => `${runs} simulation runs`,
  seed: (seed: number) => `, seed ${seed}.`,
  nowWarmPadsIdeal: (now: string) => `Now ${now} with warm pads; ideal `,
  overHotLaps: (which: string) => ` for the hot laps, driven with the friction there is then. ${which}`,
  leastMarginBothAxles: 'Least margin of both axles over the brake balance',
  noChangeYet: 'No change yet.',
  theseChangesDoNot: (standing: string) => `These changes do not go together: ${standing}.`,
  tryingDuctsVanesIron: 'Trying ducts, vanes, iron, pads, cool-down laps and pace',
  planKeepsMarginNothing: 'The plan keeps this margin as it is; nothing has to be changed.',
  cheapestMoney: (way: string, what: string) => `Cheapest in money: ${way}, ${what}.`,
  noneThemDoesWithout:
    'None of them does it without something against it, told below: choose others, or ask for less.',
  noneThemDoesItself: 'None of them does it by itself: join two, or ask for less.',
  leastLostTrackDay: (way: string, price: string, time: string) =>
    ` Least lost on the track: ${way}, ${price} and ${time} a day.`,
  pricesUsualOnesMemory:
    'Prices are usual ones from memory, or your own: change them under “What to buy next”. Only axles that miss the margin are changed.',
  waysKeepMarginCheapest: 'Ways to keep the margin, the cheapest first',
  pairRotorsOtherVanes: (currency: string) => `A pair of rotors with other vanes or more iron, ${currency}`,
  padsTooColdSome: (tooCold: string) => `; ${tooCold} pads below working temperature at some braking point`,
  solvedHotLapGoes: (without: string, ducts: string, signedSeconds: string) =>
    `The simulated hot lap goes from ${without} s without ducts to ${ducts} s: ${signedSeconds} a lap.`,
  whatCostsLapTime:
    'What that costs in lap time is not known: the speeds of this circuit are typed and do not follow the drag.',
  rangeFrontRearNever:
    'In this range the front and the rear never keep alike: one axle is always the nearer to its limits.',
  bothAxlesKeepSame: (even: string) => `Both axles keep the same share of their rise at ${even}.`,
  todayTheClosest: (margin: string) => `Today the closest is the ${margin}.`,
  findOutLead: (assumed: number, all: number) =>
    `${assumed} of ${all} values of this car are assumed: typical for its kind, not yours. Each that is usually off was driven at both ends of what it may be, on this very plan. What moves the verdict most is worth finding out first.`,
  findOutNothing:
    'Nothing that matters is assumed any more: what is left of the doubt is cooling, which a measured temperature settles.',
  findOutDecides: 'decides: the verdict turns on it',
  findOutBy: {
    weigh: 'Weigh it.',
    tape: 'Measure it with a tape.',
    caliper: 'Measure it with a caliper.',
    papers: 'Look into the papers or the last bill.',
    box: 'Read it on the box, the bottle or the part.',
    'boil-test': 'Have the fluid in the car boil-tested.',
    temperatures: 'Measure a temperature after a session: paint, strip or pyrometer.',
    look: 'Look at the part, or ask its maker.',
    driver: 'Compare with a logged lap.',
    log: 'Log a lap and fit it.',
  },
  findOutTook: (runs: number) => `From ${runs} simulated days, each with one value moved.`,
  measuredInstead: (date: string) =>
    `Measured on this car (${date}): drawn about the measured value with its own spread, together with what was measured besides.`,
  workOpen: (name: string, open: number, all: number, signed: boolean) =>
    `“${name}”: ${open} of ${all} steps open${signed ? ', signed off' : ', not signed off: computed with the car as it is now'}.`,
  notBedded: (axle: string, percent: number) =>
    `The ${axle} pads are ${percent} % bedded: they bite less until they are.`,
  beforeItDrives: 'Before it drives.',
  partsWearOut: 'Parts that wear out soon, days like this one:',
} as const;
