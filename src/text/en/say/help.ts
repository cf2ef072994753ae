/** What the help page says: sentences only; its headings stand with them. */
export const say = {
  lead: 'Everything here works without a network and without an account; what you type stays in this browser and in the files you export.',
  tourAgain: 'Show the tour again',
  noticesLead: 'Packages and fonts that come with the program:',
  samplesLead: 'Invented files to try each way in with. Save one, then open it where it says.',
  conceptsLead: 'Ten lines that carry the rest.',
  concepts: [
    'A car, a circuit and a day make a plan; a plan has a verdict.',
    'Every braking zone turns speed into heat; how much, follows from mass and speeds alone.',
    'The rotor stores the heat, air and radiation carry it off between the zones; the pads and the fluid get their share.',
    'The core follows the laps; the surface follows each braking. Pads and rotors fail by the surface, fluid by the core and by standing.',
    'Each limit (pads, rotor, pad backing plate, seals, fluid, bearing, the foot) has its own margin; the verdict leads with what ends the drive.',
    'What is drawn faintly behind is the saved state; what moves is a what-if until you keep it.',
    'Values you did not type are typical ones, marked assumed. Which of them matter, the program works out for your plan.',
    'Until a temperature was measured on your car, cooling is uncertain by about 30 percent, and the margins are shown for both ends.',
    'Every figure opens to its relation, its inputs and its source.',
    'A prediction is no proof that brakes will hold: the maker’s data, the event’s rules and a qualified person decide.',
  ],
} as const;
