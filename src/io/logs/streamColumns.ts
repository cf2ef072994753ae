import { columnNamed } from './logMapping';
import { LOG_UNITS, type LogColumn, unitNamed } from './logUnits';

/** What a column of a live stream is: SI = value · scale + offset. */
export interface StreamColumn {
  readonly as: LogColumn;
  readonly scale: number;
  readonly offset: number;
}

/** What the columns of a stream are, from their headings; null where one is of no use. */
export function streamColumns(headings: readonly string[]): (StreamColumn | null)[] {
  const taken = new Set<LogColumn>();
  return headings.map((heading) => {
    const match = /^(.*?)\s*[[(]([^\])]*)[\])]\s*$/.exec(heading);
    const as = columnNamed(match ? match[1] : heading);
    if (!as || taken.has(as)) return null;
    taken.add(as);
    const unit = unitNamed(as, match?.[2] ?? '') ?? LOG_UNITS[as][0];
    return { as, scale: unit.scale, offset: unit.offset };
  });
}
