import { Key } from './Key';
import type { ChartLine } from './LineChart';

/** What the lines of a chart are. */
export function Keys({ lines }: { readonly lines: readonly Pick<ChartLine, 'name' | 'color' | 'dash'>[] }) {
  return (
    <p className="caption flex flex-wrap gap-x-4 gap-y-0.5">
      {lines.map(({ name, color, dash }) => (
        <Key key={name} color={color} {...(dash && { dashed: dash })}>
          {name}
        </Key>
      ))}
    </p>
  );
}
