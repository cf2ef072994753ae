/** What the first hour says: sentences only; the labels of its fields stand with them. */
export const say = {
  carLead:
    'Choose the kind of car that is nearest to yours, then tell what you know. Whatever you leave open is typical for the kind, is marked as assumed, and can be changed later.',
  circuitLead:
    'What the brakes feel of a circuit is its braking zones: from what speed to what, and how far to the next one. Three ways to tell it.',
  planLead:
    'One sentence is enough for a first verdict. Everything else can be changed later on the plan’s page.',
  leaveEmpty: 'Leave a field empty where you do not know.',
  unknown: 'Don’t know',
  answered: (told: number, all: number, kind: string) =>
    told === 0
      ? `Nothing told yet: this would be a typical ${kind}.`
      : `${told} of ${all} told; the rest is typical for a ${kind}.`,
  massWhere:
    'Registration papers: mass in running order has a driver of 75 kg (165 lb) in it. Add passenger, gear and half a tank; best of all weigh it.',
  powerWhere:
    'As the registration papers have it. About a tenth less arrives at the wheels; that is taken off for you.',
  drivenWhere: 'Which wheels the engine or motor turns.',
  tyresWhere: 'On the sidewall and the bill: road, sporty road, road-legal track tyre, or slick.',
  rotorWhere:
    'Tape measure over the friction ring through the wheel, or the parts list. Thickness with a caliper at the edge, over both cheeks; “MIN TH” cast into it is the least it may have.',
  ventedWhere: 'Look at the edge: an air gap between two cheeks is vented.',
  mountingWhere: 'A floating ring sits on pins or bobbins on a bell of another colour.',
  caliperWhere:
    'Pistons on both sides of the disc: fixed. On the inside only, with a frame that slides: sliding. Count all pistons.',
  rearWhere: 'Through the rear wheel: a disc, or a closed drum. Measure its outer diameter.',
  padsWhere: 'On the box, or the pad backing plate. If nobody changed them, they are standard road pads.',
  fluidWhere:
    'Cap of the reservoir says what may go in; the last bill says what is in. Age since it was last changed.',
  tablePaste:
    'Copy the rows in a spreadsheet and paste them into any cell: from, to and the distance to the next; headings, units and other columns are sorted out.',
  tableHow:
    'Speed at which the brakes go on, speed at which they come off, and how far it is from there to the next braking. Enter in the last cell adds a row.',
  tableRead: (zones: number) =>
    `${zones} ${zones === 1 ? 'braking zone was' : 'braking zones were'} read from what was pasted.`,
  tableLeftOut: (row: number, reason: string) => `Row ${row} was left out: ${reason}.`,
  tableTooFew: 'At least one braking zone is needed.',
  beyondTyres: (g: string, most: string) =>
    `That is ${g} g: more than these tyres can hold (about ${most} g). Look at the speeds or the length again; it is taken as typed.`,
  beyondPower: (asked: string, has: string) =>
    `From there to the next takes about ${asked}; the car has ${has} at the wheels. Look at the speeds or the way again; it is taken as typed.`,
  mustSlow: 'It must be under the speed it begins with.',
  gpsHow:
    'A GPX, KML or GeoJSON file of a lap, or a table of points. It shows what was found before anything is added, and then leads on to the day.',
  factsHow:
    'For a circuit nobody has driven yet: a line of this character is made up, its corners as tight as the lap time takes with your car. It is marked as made up until you have something better.',
  madeUp: (time: string, asked: string) =>
    time === asked
      ? `Made up: a lap takes ${time}.`
      : `Made up: a lap takes ${time} with this car, ${asked} was asked for.`,
  couldNotMake: (why: string) => `The circuit could not be made: ${why}`,
  couldNotPlan: (why: string) => `The plan could not be made: ${why}`,
  oneYouHave: 'Or take one that is there already:',
  stepsNote: 'Your car goes beside those that are there: nothing is replaced, and each step can be undone.',
} as const;
