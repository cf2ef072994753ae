/** What the page of what happened says: sentences only; the labels of its fields stand with them. */
export const say = {
  lead: 'Say what was noticed and on which lap. The causes are ranked with what this drive’s own temperatures were by then.',
  neverSafe:
    'A guess at a cause is no repair. A soft, long or sinking pedal, a leak, or a crack to the edge or between holes: do not drive. Have it looked at by someone qualified, to the maker’s data.',
  evidence: (part: string, value: string, spread: string, limit: string, when: string, chance: string) =>
    `${part} ${value} ±${spread} of ${limit} ${when}: ${chance} over.`,
  doNotDrive: 'Do not drive on with this.',
  notedIn: (drive: string) => `Written into “${drive}”.`,
  noDrive: 'There is no drive of this car yet: add one under Calibrate, Readings, to write it down.',
  offered: 'It counts for the calibration of this car, too.',
  cannotBeComputed: (why: string) => `This plan cannot be computed: ${why}`,
} as const;
