import type { Editing } from '../state/useItem';
import { OriginMark } from './OriginMark';
import { Field } from './Section';

export type Axle = 'front' | 'rear';
/** One axle of the car that is edited. */
export interface AxleProps {
  readonly editing: Editing<'cars'>;
  readonly axle: Axle;
}

/** Entries of a catalogue as options of a list. */
export const names = <T extends string>(entries: Readonly<Record<T, { name: string }>>) =>
  (Object.keys(entries) as T[]).map((id) => [id, entries[id].name] as const);

export const title = (axle: Axle) => (axle === 'front' ? 'Front' : 'Rear');
/** The field at a path of the axle. */
export const fieldsOf =
  ({ editing, axle }: AxleProps) =>
  (...path: string[]) => <Field key={path.join('.')} shelf="cars" editing={editing} path={[axle, ...path]} />;

/** How a choice of the axle is known, and its address. */
export const told = (editing: Editing<'cars'>, axle: Axle, path: string) => ({
  place: `${axle}.${path}`,
  mark: <OriginMark shelf="cars" editing={editing} path={[axle, ...path.split('.')]} />,
});
