/** Something wrong with a project: where, what, and how grave. */
export interface Problem {
  /** Path in the document, "cars[0].massKg"; '' for the whole */
  readonly path: string;
  readonly message: string;
  readonly severity: 'error' | 'warning';
}

/** A path of names and indices as text, "cars[0].massKg". */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, part) =>
      typeof part === 'number' ? `${text}[${part}]` : `${text}${text ? '.' : ''}${String(part)}`,
    '',
  );
}
