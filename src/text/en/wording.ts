import type {
  AxleName,
  CoolingDoubt,
  DayResult,
  ForceMargin,
  ForcePart,
  LapKind,
  LimitedPart,
  Margin,
  Moment,
  Side,
  Unbraked,
  ZoneLimit,
} from '../../core';
import { ZERO_CELSIUS } from '../../core';
import { formatQuantity, fromSi, siText, type UnitChoice } from '../../model';
import { liftNotes, unbeddedNotes, wornNotes } from './dayNotes';
import { lessText } from './doubt';
import { LIMIT_TEXT } from './parts';

/** "front", or "front left" where the sides differ. */
export const wheelWords = (axle: AxleName, side: Side | 'both') =>
  side === 'both' ? axle : `${axle} ${side}`;

export const celsius = (kelvin: number) => kelvin - ZERO_CELSIUS;

/** A temperature in K as text in the chosen unit. */
export function temperatureText(kelvin: number, units: UnitChoice): string {
  return siText(kelvin, 'temperature', units);
}

/** Seconds as minutes and seconds, "3:05". */
export function clockText(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** As much of a day as words need: a whole result, or a summary of it. */
export interface Told
  extends Pick<DayResult, 'doubt' | 'verdict' | 'fade' | 'heldByLift' | 'padLeft' | 'bedded'>,
    ToldPlaces {}
/** As much of it as names a place. */
export interface ToldPlaces {
  readonly legs: readonly { readonly session: number }[];
  readonly laps: readonly {
    readonly kind: LapKind;
    readonly session: number;
    readonly numberInSession: number;
    readonly trace: { readonly zones: readonly { readonly name: string }[] };
  }[];
}

const severalSessions = (result: ToldPlaces) => result.legs.some((leg) => leg.session > 0);

/** A braking zone by its number and, where it says more than that, its name: "braking zone 4 (Quench)". @param zone from 0 */
export function zoneText(zone: number, name = ''): string {
  const numbered = `braking zone ${zone + 1}`;
  return name === '' || name.trim().toLowerCase() === numbered ? numbered : `${numbered} (${name})`;
}

/** Where in a day a moment lies: "on lap 5 at braking zone 1 (Hammer)". */
export function momentText(moment: Moment, result: ToldPlaces): string {
  const of = severalSessions(result) ? ` of session ${moment.session + 1}` : '';
  if (moment.lap === null) {
    const where = moment.stand === 'pit' ? 'into the pit stop' : 'after parking';
    const session = severalSessions(result) ? `, session ${moment.session + 1}` : '';
    return moment.standingTime > 0
      ? `${clockText(moment.standingTime)} min ${where}${session}`
      : `at the start${of}`;
  }
  const lap = result.laps[moment.lap - 1];
  if (moment.zone < 0) return `on ${lapName(moment.lap, result)} before the first braking zone`;
  return `on ${lapName(moment.lap, result)} at ${zoneText(moment.zone, lap.trace.zones[moment.zone]?.name)}`;
}

/** A lap within its session: "lap 5 (cool-down) of session 2". @param number from 1, through the day */
export function lapName(number: number, result: ToldPlaces): string {
  const { kind, numberInSession, session } = result.laps[number - 1];
  const word = kind === 'hot' ? '' : kind === 'out' ? ' (out lap)' : ' (cool-down)';
  return `lap ${numberInSession}${word}${severalSessions(result) ? ` of session ${session + 1}` : ''}`;
}

/** A limit or a worst value of any part as text: a temperature, a force or a travel. */
export function limitText(part: LimitedPart | ForcePart, value: number, units: UnitChoice): string {
  if (part === 'pedal') return pedalText(value, units);
  if (part === 'travel') return lengthText(fromSi(value, 'smallLength'), units);
  return temperatureText(value, units);
}

/** A length of some centimetres in whole mm, or in hundredths of an inch. */
export const lengthText = (mm: number, units: UnitChoice) =>
  formatQuantity(mm, 'smallLength', units, units.smallLength === 'us' ? 2 : 0);

/** Pedal force over which a figure says no more than that nobody presses as hard, N. */
export const ANY_DRIVER = 5000;

/** A pedal force in N; beyond what makes sense it is said in words. */
export function pedalText(newton: number, units: UnitChoice): string {
  return newton > ANY_DRIVER ? 'beyond the driver’s limit' : formatQuantity(newton, 'force', units);
}

/** A worst value against a limit. */
export type Judged = Pick<Margin | ForceMargin, 'part' | 'worst' | 'limit'>;

/** A temperature so far over its limit only says that the part has gone: what it would come to never happens, K. */
const FAR_OVER = 150;

/** Whether a worst value only says "failed": a pedal past the floor, a force that nobody has, a part long gone. */
export const beyondSense = ({ part, worst, limit }: Judged): boolean => {
  if (part === 'travel') return worst > limit;
  if (part === 'pedal') return worst > ANY_DRIVER;
  return part !== 'bite' && worst > limit + FAR_OVER;
};

/** A worst value against its limit, "735 °C of 700 °C"; what is past sense as a sentence. */
export function worstText(margin: Judged, units: UnitChoice): string {
  if (beyondSense(margin)) {
    if (margin.part === 'travel') return 'the pedal reaches the floor';
    if (margin.part === 'pedal') return 'no driver presses that hard';
    return `far over ${limitText(margin.part, margin.limit, units)}`;
  }
  return `${limitText(margin.part, margin.worst, units)} of ${limitText(margin.part, margin.limit, units)}`;
}

/** What is left to a limit, or how far it was passed, as text. */
export function marginText(margin: Margin | ForceMargin, units: UnitChoice): string {
  if (beyondSense(margin)) {
    if (margin.part === 'travel') return 'on the floor';
    if (margin.part === 'pedal') return 'beyond the driver’s limit';
    return `more than ${formatQuantity(FAR_OVER, 'difference', units)} over limit`;
  }
  if (margin.part === 'pedal' || margin.part === 'travel') {
    const text = limitText(margin.part, Math.abs(margin.margin), units);
    return margin.margin < 0 ? `${text} over limit` : `${text} below limit`;
  }
  const amount = formatQuantity(Math.abs(margin.margin), 'difference', units);
  if (margin.part === 'bite')
    return margin.margin < 0 ? `${amount} below working temperature` : `${amount} above working temperature`;
  return margin.margin < 0 ? `${amount} over limit` : `${amount} below limit`;
}

/** How much is left to a limit, as text. */
const amountText = (margin: Margin | ForceMargin, units: UnitChoice): string =>
  margin.part === 'pedal' || margin.part === 'travel'
    ? limitText(margin.part, Math.abs(margin.margin), units)
    : formatQuantity(Math.abs(margin.margin), 'difference', units);

/** What limits a braking zone, in words. */
export const LIMIT_WORDS: Readonly<Record<ZoneLimit, string>> = {
  tyres: 'tyres',
  pedal: 'driver’s force',
  travel: 'pedal travel',
  fade: 'fade',
  cold: 'cold pads',
};

/** A brake reserve as text; the brakes of a light tap could do hundreds of times as much. */
export function fadeText(margin: number): string {
  if (margin > 9.99) return 'over 999 %';
  return `${(100 * margin).toFixed(0).replace('-', '−')} %`;
}

/** What a braking zone does that the brakes cannot make: "overshoots by 12 m". @param metres null where the car does not stop */
export function overrunText(metres: number | null, units: UnitChoice): string {
  return metres === null ? 'does not stop' : `overshoots by ${formatQuantity(metres, 'distance', units)}`;
}

function fadeNotes({ fade, ...result }: Told, units: UnitChoice): string[] {
  if (!fade) return [];
  const where = momentText(fade.at, result);
  if (fade.margin >= 0) return [`Minimum brake reserve ${fadeText(fade.margin)} ${where}.`];
  if (fade.extraDistance === null) return [`The car does not stop ${momentText(fade.longest, result)}.`];
  return [
    `The brakes fall short: brake reserve ${fadeText(fade.margin)} ${where}, limited by ${LIMIT_WORDS[fade.limit]}; the car ${overrunText(fade.extraDistance, units)} ${momentText(fade.longest, result)}.`,
  ];
}

export interface VerdictText {
  /** One word or two, never colour alone */
  readonly state: string;
  readonly sentence: string;
  /** Further sentences */
  readonly notes: readonly string[];
}

const laps = (n: number) => `${n} hot lap${n === 1 ? '' : 's'}`;

const UNBRAKED_WORDS: Readonly<Record<Unbraked, string>> = {
  'no hot laps': 'The plan has no hot laps, so there is nothing to judge the brakes by.',
  'no braking': 'No hot lap brakes anywhere: drag and the engine slow the car enough.',
  motor: 'The motor does all the braking of the hot laps: the friction brakes stay as they are.',
};

/** Who and what passed a limit: "the front pads past their limit of 700 °C". */
function partWords(margin: Margin | ForceMargin, units: UnitChoice) {
  const words = LIMIT_TEXT[margin.part];
  const its = margin.part === 'pedal' ? '' : words.plural ? 'their ' : 'its ';
  return {
    words,
    part: 'axle' in margin ? `${wheelWords(margin.axle, margin.side)} ${words.name}` : words.name,
    limit: `${its}${words.limit} of ${limitText(margin.part, margin.limit, units)}`,
  };
}

/** What happens when a limit is passed, as the beginning of a sentence. */
function passedText(margin: Margin | ForceMargin, { fade }: Told, units: UnitChoice): string {
  const { part, limit, words } = partWords(margin, units);
  if (margin.part === 'travel') return 'The pedal reaches the floor';
  if (margin.part === 'fluid' || margin.part === 'fluidWall') return `The ${part} boils: over ${limit}`;
  if (margin.part === 'pedal' && fade?.extraDistance === null && fade.longest.time === margin.passed?.time) {
    return `The car does not stop with all the driver’s ${limitText('pedal', margin.limit, units)}:`;
  }
  if (margin.part === 'pedal') return `The pedal force runs out first: over ${limit}`;
  return `The ${part} ${words.plural ? 'overheat' : 'overheats'} first: over ${limitText(margin.part, margin.limit, units)}`;
}

/** What was past its limit before what ends the drive, as a sentence; '' for nothing. */
function beforeText(result: Told, units: UnitChoice): string {
  const { margin, also } = result.verdict;
  const earlier = also.filter((m) => m.passed && margin.passed && m.passed.time < margin.passed.time);
  const [first] = earlier;
  if (!first?.passed) return '';
  const { part, limit, words } = partWords(first, units);
  const others = earlier.length - 1;
  const more = others === 0 ? '' : `; ${others} more limit${others === 1 ? ' is' : 's are'} passed as well`;
  return ` Before that, the ${part} ${words.plural ? 'go' : 'goes'} over ${limit} ${momentText(first.passed, result)}${more}.`;
}

/** The verdict as sentences. A prediction is never called safe. */
export function verdictText(result: Told, units: UnitChoice): VerdictText {
  const { verdict } = result;
  const { margin } = verdict;
  const { words, part, limit } = partWords(margin, units);
  const hot = result.laps.filter((lap) => lap.kind === 'hot').length;
  const notes = [
    ...fadeNotes(result, units),
    ...liftNotes(result, units),
    ...unbeddedNotes(result),
    ...wornNotes(result, units),
  ];
  if (verdict.coldBite && verdict.kind !== 'below-working') {
    const cold = verdict.coldBite;
    notes.push(
      `Cold bite (initial friction): ${momentText(cold.at, result)} the ${wheelWords(cold.axle, cold.side)} pads are at ${temperatureText(cold.worst, units)}, below working temperature (${temperatureText(cold.limit, units)}); the first push there bites late.`,
    );
  }
  if (verdict.kind === 'below-working') {
    return {
      state: 'Below working temperature',
      sentence: `The ${part} are below working temperature ${momentText(margin.at, result)}: ${temperatureText(margin.worst, units)}, working from ${temperatureText(margin.limit, units)}.`,
      notes: [
        `${words.means} No temperature is over its limit in ${laps(hot)}.`,
        ...liftNotes(result, units),
      ],
    };
  }
  const reason = verdict.unbraked ? [UNBRAKED_WORDS[verdict.unbraked]] : [];
  if (margin.passed) {
    const done = verdict.hotLapsBefore ?? 0;
    const after = done === 0 ? 'before one hot lap is done' : `after ${laps(done)}`;
    const worst = beyondSense(margin)
      ? ''
      : ` Driven on all the same, it would come to ${limitText(margin.part, margin.worst, units)} ${momentText(margin.at, result)}.`;
    return {
      state: 'Over limit',
      sentence: `${passedText(margin, result, units)} ${momentText(margin.passed, result)}, ${after}.${beforeText(result, units)}`,
      notes: [`${words.means}${worst}`, ...reason, ...notes],
    };
  }
  if (verdict.kind === 'not-judged')
    return { state: 'Not judged', sentence: reason[0], notes: liftNotes(result, units) };
  const closest = `the ${part}, ${amountText(margin, units)} below ${limit} ${momentText(margin.at, result)}`;
  return verdict.kind === 'close'
    ? {
        state: 'Close to a limit',
        sentence: `Everything stays within its limit in ${laps(hot)}, but it is close: ${closest}${lessCoolingText(margin, result.doubt, units)}.`,
        notes,
      }
    : {
        state: 'Within limits',
        sentence: `Everything stays within its limit in ${laps(hot)}. Closest: ${closest}.`,
        notes,
      };
}

/** How far a limit is passed at the worse end of the cooling, as the rest of a sentence. */
function lessCoolingText(margin: Margin | ForceMargin, doubt: CoolingDoubt, units: UnitChoice): string {
  const { lessCooling } = margin;
  if (lessCooling === null || lessCooling >= 0) return '';
  return `, and ${amountText({ ...margin, margin: lessCooling }, units)} over it with ${lessText(doubt)}`;
}
