import { useSyncExternalStore } from 'react';
import * as z from 'zod/mini';
import { type Quantity, SWITCHABLE, type UnitChoice } from '../../model';
import { onMachineTheme, PREFERENCES, showTheme } from './theme';

const preferencesSchema = z.object({
  theme: z.catch(z.enum(['system', 'light', 'dark']), 'system'),
  decimals: z.catch(z.enum(['system', 'point', 'comma']), 'system'),
  us: z.catch(z.array(z.enum(SWITCHABLE as [Quantity, ...Quantity[]])), []),
});
type Preferences = z.infer<typeof preferencesSchema>;

function read(): Preferences {
  try {
    return preferencesSchema.parse(JSON.parse(localStorage.getItem(PREFERENCES) ?? '{}'));
  } catch {
    // Blocked or garbled: preferences are worth no message.
    return preferencesSchema.parse({});
  }
}

let current = read();
let units: UnitChoice = unitsOf(current);
const listeners = new Set<() => void>();

function unitsOf(preferences: Preferences): UnitChoice {
  return Object.fromEntries(preferences.us.map((q) => [q, 'us' as const]));
}

function write(next: Preferences): void {
  current = next;
  units = unitsOf(next);
  try {
    localStorage.setItem(PREFERENCES, JSON.stringify(next));
  } catch {
    // Kept for this visit only.
  }
  showTheme(next.theme);
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

onMachineTheme(() => showTheme(current.theme));

/** What stands before the decimals in this browser's language. */
const LOCAL_MARK =
  new Intl.NumberFormat().formatToParts(0.5).find(({ type }) => type === 'decimal')?.value === ','
    ? ','
    : '.';

/** What stands before the decimals in fields: as it was chosen, else as the browser's language has it. */
export function useDecimalMark(): '.' | ',' {
  const { decimals } = useSyncExternalStore(subscribe, () => current);
  return decimals === 'system' ? LOCAL_MARK : decimals === 'comma' ? ',' : '.';
}

export const useDecimals = (): Preferences['decimals'] =>
  useSyncExternalStore(subscribe, () => current.decimals);
export const setDecimals = (decimals: Preferences['decimals']) => write({ ...current, decimals });

/** The units numbers are shown in. */
export function useUnits(): UnitChoice {
  return useSyncExternalStore(subscribe, () => units);
}

export function useTheme(): Preferences['theme'] {
  return useSyncExternalStore(subscribe, () => current.theme);
}

export const setTheme = (theme: Preferences['theme']) => write({ ...current, theme });

/** Shows quantities in US units or not. */
export function setUs(quantities: readonly Quantity[], us: boolean): void {
  const rest = current.us.filter((q) => !quantities.includes(q));
  write({ ...current, us: us ? [...rest, ...quantities] : rest });
}

/** Preferences as a backup has them. */
export const preferencesText = (): unknown => current;

/** Takes preferences from a backup; what is none of them is left alone. */
export function givenPreferences(value: unknown): void {
  const read = preferencesSchema.safeParse(value);
  if (read.success) write(read.data);
}
