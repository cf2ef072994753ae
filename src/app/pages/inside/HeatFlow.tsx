import { type SankeyNode, sankey, sankeyLinkHorizontal } from 'd3-sankey';
import type { HeatBalance } from '../../../core';
import { say } from '../../../text/en/say/inside';
import { useUnits } from '../../state/preferences';
import { useWidth } from '../../ui/charts/useSize';
import { flowPicture, type Place, withoutReturns } from './flowPicture';
import { inWordsOf, jouleText } from './moments';

const HEIGHT = 330;
const COLOURS: Readonly<Record<Place['kind'], string>> = {
  source: 'var(--front)',
  part: 'var(--ink)',
  air: 'var(--act)',
  store: 'var(--rear)',
};

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
