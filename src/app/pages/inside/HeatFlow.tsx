import { type SankeyNode, sankey, sankeyLinkHorizontal } from 'd3-sankey';
import type { HeatBalance, PartFlow } from '../../../core';
import { say } from '../../../text/en/say/inside';
import { useUnits } from '../../state/preferences';
import { useWidth } from '../../ui/charts/useSize';
import { inWordsOf, jouleText } from './moments';

interface Place {
  readonly name: string;
  readonly kind: 'source' | 'part' | 'air' | 'store';
}
interface Flow {
  readonly source: number;
  readonly target: number;
  readonly value: number;
}
const HEIGHT = 330;
const COLOURS: Readonly<Record<Place['kind'], string>> = {
  source: 'var(--front)',
  part: 'var(--ink)',
  air: 'var(--act)',
  store: 'var(--rear)',
};

/** Which way heat takes from a part to the air. */
function airName(part: string, path: PartFlow['path']): string {
  if (part === 'bell and hub') return 'air at bell and hub';
  if (part !== 'rotor') return 'air at pads and caliper';
  const ways: Partial<Record<PartFlow['path'], string>> = {
    faces: 'air at the surfaces',
    vanes: 'air in the vanes',
    radiation: 'radiation',
  };
  return ways[path] ?? 'air outside';
}

/** What a balance says, as places and flows: friction on the left, air and stores on the right. */
export function flowPicture(balance: HeatBalance): { places: Place[]; flows: Flow[] } {
  const places: Place[] = [];
  const flows: Flow[] = [];
  const place = (name: string, kind: Place['kind']) => {
    const known = places.findIndex((p) => p.name === name);
    return known >= 0 ? known : places.push({ name, kind }) - 1;
  };
  const add = (source: number, target: number, value: number) => {
    if (value > 0) flows.push({ source, target, value });
  };
  const part = (of: string) =>
    of === 'rotor' ? 'rotor' : of === 'hat' || of === 'hub' ? 'bell and hub' : 'pads and caliper';
  add(place('friction in the rotor', 'source'), place('rotor', 'part'), balance.intoRotor);
  add(place('friction in the pads', 'source'), place('pads and caliper', 'part'), balance.intoPads);
  const between = new Map<string, number>();
  for (const { from, to, path, heat } of balance.flows) {
    const a = part(from);
    const b = to === 'air' ? airName(a, path) : part(to);
    if (a !== b) between.set(`${a}>${b}`, (between.get(`${a}>${b}`) ?? 0) + heat);
  }
  for (const [key, heat] of between) {
    const [a, b] = key.split('>');
    const target = place(b, b.startsWith('air') || b === 'radiation' ? 'air' : 'part');
    const source = place(a, 'part');
    if (heat >= 0) add(source, target, heat);
    else add(target, source, -heat);
  }
  const stores = new Map<string, number>();
  for (const [group, heat] of Object.entries(balance.stored)) {
    stores.set(part(group), (stores.get(part(group)) ?? 0) + heat);
  }
  for (const [name, heat] of stores) {
    if (heat >= 0) add(place(name, 'part'), place(`kept in ${name}`, 'store'), heat);
    else add(place(`left from before in ${name}`, 'source'), place(name, 'part'), -heat);
  }
  return { places, flows };
}

/** Where each joule of a braking zone and the way to the next went. */
export function HeatFlow({ balance, drum }: { balance: HeatBalance; drum: boolean }) {
  const units = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(600);
  const { places, flows } = flowPicture(balance);
  const made = balance.intoRotor + balance.intoPads;
  const acyclic = withoutReturns(flows);
  const used = places.map((_, i) => acyclic.some((f) => f.source === i || f.target === i));
  const index = places.map((_, i) => used.slice(0, i).filter(Boolean).length);
  const label = Math.min(170, width * 0.28);
  const graph = sankey<Place, object>()
    .nodeWidth(12)
    .nodePadding(14)
    .extent([
      [label, 8],
      [Math.max(label + 80, width - label), HEIGHT - 8],
    ])({
    nodes: places.filter((_, i) => used[i]).map((p) => ({ ...p })),
    links: acyclic.map((f) => ({ source: index[f.source], target: index[f.target], value: f.value })),
  });
  const path = sankeyLinkHorizontal<Place, object>();
  const share = (value: number) => (made > 0 ? ` (${((100 * value) / made).toFixed(0)} %)` : '');
  return (
    <div ref={ref}>
      <svg width={width} height={HEIGHT} className="block" role="img" aria-label={say.whereHeatBrakingZone}>
        {graph.links.map((link) => {
          const source = link.source as unknown as Place & { index: number };
          const target = link.target as unknown as Place & { index: number };
          return (
            <path
              key={`${source.index}-${target.index}`}
              d={path(link) ?? ''}
              fill="none"
              stroke={COLOURS[target.kind === 'part' ? source.kind : target.kind]}
              strokeOpacity={0.3}
              strokeWidth={Math.max(0.7, link.width ?? 0)}
            >
              <title>
                {inWordsOf(drum, `${source.name} to ${target.name}: ${jouleText(link.value, units)}`)}
              </title>
            </path>
          );
        })}
        {graph.nodes.map((node) => {
          const left = (node.x0 ?? 0) < width / 2;
          const middle = node.kind === 'part';
          return (
            <PlaceLabel key={node.name} node={node} middle={middle} left={left} drum={drum} share={share} />
          );
        })}
      </svg>
    </div>
  );
}

/** A place heat goes to, with its share. */
function PlaceLabel({
  node,
  middle,
  left,
  drum,
  share,
}: {
  node: SankeyNode<Place, object>;
  middle: boolean;
  left: boolean;
  drum: boolean;
  share: (value: number) => string;
}) {
  const units = useUnits();
  return (
    <g>
      <rect
        x={node.x0}
        y={node.y0}
        width={(node.x1 ?? 0) - (node.x0 ?? 0)}
        height={Math.max(1, (node.y1 ?? 0) - (node.y0 ?? 0))}
        fill={COLOURS[node.kind]}
      />
      <text
        x={middle ? ((node.x0 ?? 0) + (node.x1 ?? 0)) / 2 : left ? (node.x0 ?? 0) - 6 : (node.x1 ?? 0) + 6}
        y={middle ? (node.y0 ?? 0) - 3 : ((node.y0 ?? 0) + (node.y1 ?? 0)) / 2 + 4}
        textAnchor={middle ? 'middle' : left ? 'end' : 'start'}
        fontSize={11.5}
        fill="var(--ink)"
        className="narrow halo"
      >
        {inWordsOf(drum, node.name)}{' '}
        <tspan fill="var(--dim)">{`${jouleText(node.value ?? 0, units)}${middle ? '' : share(node.value ?? 0)}`}</tspan>
      </text>
    </g>
  );
}

/** Flows that go there and back between two parts, netted, so that the picture runs from left to right. */
function withoutReturns(flows: readonly Flow[]): Flow[] {
  const kept: Flow[] = [];
  for (const flow of flows) {
    const back = kept.findIndex((k) => k.source === flow.target && k.target === flow.source);
    if (back < 0) kept.push(flow);
    else {
      const net = kept[back].value - flow.value;
      kept.splice(back, 1);
      if (net > 0) kept.push({ source: flow.target, target: flow.source, value: net });
      else if (net < 0) kept.push({ ...flow, value: -net });
    }
  }
  return kept;
}
