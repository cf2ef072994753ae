export type Options<T extends string> = readonly (readonly [value: T, text: string])[];

/** Options under headings of their own. */
export type OptionGroups<T extends string> = readonly {
  readonly title: string;
  readonly options: Options<T>;
}[];

export interface ChoiceProps<T extends string> {
  readonly id?: string;
  readonly name?: string;
  readonly value: T;
  readonly options?: Options<T>;
  readonly groups?: OptionGroups<T>;
  readonly className?: string;
  readonly onChange: (value: T) => void;
}

/** How the button of a choice looks. */
export const BUTTON = 'field flex items-center justify-between gap-1.5 text-left';

/** What a choice is called that is made. */
export function textOf<T extends string>(value: T, options: Options<T>, groups: OptionGroups<T>): string {
  const all = [...options, ...groups.flatMap((group) => group.options)];
  return all.find(([option]) => option === value)?.[1] ?? value;
}
