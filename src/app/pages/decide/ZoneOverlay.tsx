import { memo, type RefObject, useRef, useState } from 'react';
import type { AxleName, SummaryZone } from '../../../core';
import { siText } from '../../../model';
import { comparisonCsv } from '../../../report';
import { say } from '../../../text/en/say/decide';
import { AxleField } from '../../shared/AxleField';
import { download } from '../../shell/files';
import { useSetup } from '../../state/context';
import { usePickedZone } from '../../state/picked';
import { useUnits } from '../../state/preferences';
import { pictureOf, standaloneSvg } from '../../ui/charts/picture';
import { useWidth } from '../../ui/charts/useSize';
import { Disclosure } from '../../ui/Disclosure';
import { SelectField } from '../../ui/SelectField';
import { toast } from '../../ui/toast';
import type { Compared } from './compared';
import { OverlayChart } from './OverlayChart';
import { SetupMark } from './SetupMark';

type Quantity = keyof SummaryZone['front'];
const QUANTITIES: readonly (readonly [Quantity, string])[] = [
  ['facePeak', say.rotorSurfaceHottestBraking],
  ['faceBefore', 'Rotor surface before the braking zone'],
  ['bulkAfter', say.rotorCoreBulkAfter],
  ['padFaceBefore', 'Pad surface at first bite'],
  ['fluidAfter', 'Fluid after the braking zone'],
];

/** Temperatures zone by zone of each setup's hottest lap, one over the other. */
export const ZoneOverlay = memo(function ZoneOverlay({ compared }: { compared: readonly Compared[] }) {
  const units = useUnits();
  const setup = useSetup();
  const [axle, setAxle] = useState<AxleName>('front');
  const [quantity, setQuantity] = useState<Quantity>('facePeak');
  const [box, width] = useWidth<HTMLDivElement>(1100);
  const svg = useRef<SVGSVGElement>(null);
  const title = `${axle === 'front' ? 'Front' : 'Rear'}: ${QUANTITIES.find(([q]) => q === quantity)?.[1] ?? ''}`;
  // Setups on another circuit list may have fewer.
  const zones = compared.reduce((a, b) =>
    b.assessed.summary.zones.length > a.assessed.summary.zones.length ? b : a,
  ).assessed.summary.zones;
  const [zone, pick] = usePickedZone(zones.length);
  const kelvin = (own: SummaryZone) => own[axle][quantity];
  const save = useExport(`${setup.plan.name} setups`, compared, svg);
  return (
    <section className="panel px-4 py-3" aria-label="Braking zones of all setups">
      <div className="flex flex-wrap items-end gap-3">
        <h2 className="mr-auto text-[15px]">{say.zoneZoneEachSetup}</h2>
        <div className="w-[110px]">
          <AxleField value={axle} onChange={setAxle} />
        </div>
        <div className="w-[250px]">
          <SelectField label="Temperature" value={quantity} options={QUANTITIES} onChange={setQuantity} />
        </div>
        <button type="button" className="btn" onClick={() => void save('png')}>
          Picture (PNG)
        </button>
        <button type="button" className="btn" onClick={() => void save('svg')}>
          SVG
        </button>
        <button type="button" className="btn" onClick={() => void save('csv')}>
          Table (CSV)
        </button>
      </div>
      <div ref={box} className="mt-2 overflow-x-auto">
        <OverlayChart
          svgRef={svg}
          title={title}
          place={setup.circuit.name}
          width={width}
          compared={compared}
          zones={zones.map(({ name }) => name)}
          kelvin={kelvin}
          picked={zone}
          onPick={pick}
        />
      </div>
      <p className="caption" aria-live="polite">
        {zone === null
          ? say.clickPicksBrakingZone
          : `Picked: ${zone + 1} ${zones[zone]?.name ?? ''}: ${compared
              .flatMap((c) => {
                const own = c.assessed.summary.zones[zone];
                return own ? [`${c.name} ${siText(kelvin(own), 'temperature', units)}`] : [];
              })
              .join(', ')}.`}
      </p>
      <Disclosure className="mt-1" quiet summary="The same as a table">
        <div className="overflow-x-auto">
          <OverlayTable
            title={title}
            compared={compared}
            zones={zones.map(({ name }) => name)}
            kelvin={kelvin}
          />
        </div>
      </Disclosure>
    </section>
  );
});

/** Saves the drawing as a picture, or all figures as a table. */
function useExport(name: string, compared: readonly Compared[], svg: RefObject<SVGSVGElement | null>) {
  const units = useUnits();
  return async (kind: 'svg' | 'png' | 'csv') => {
    try {
      if (kind === 'csv') {
        download('table', name, comparisonCsv(compared, units));
        return;
      }
      if (!svg.current) throw new Error(say.pictureNotDrawnYet);
      const content = kind === 'svg' ? standaloneSvg(svg.current) : await pictureOf(svg.current);
      download(kind, name, content);
    } catch (error) {
      toast.error(say.nothingWasExported((error as Error).message));
    }
  };
}

function OverlayTable({
  title,
  compared,
  zones,
  kelvin,
}: {
  title: string;
  compared: readonly Compared[];
  zones: readonly string[];
  kelvin: (own: SummaryZone) => number;
}) {
  const units = useUnits();
  return (
    <table className="mt-1 text-right text-[13px]">
      <caption className="sr-only">{title}, by braking zone and setup</caption>
      <thead>
        <tr className="caption">
          <th className="px-2 text-left font-normal">Braking zone</th>
          {compared.map((c, i) => (
            <th key={c.id ?? 'plan'} className="px-2 font-normal">
              <SetupMark index={i} /> {c.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {zones.map((zone, k) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its place in the lap
          <tr key={k} className="border-t border-rule/60">
            <th className="px-2 text-left font-[520]">
              {k + 1} {zone}
            </th>
            {compared.map((c) => {
              const own = c.assessed.summary.zones[k];
              return (
                <td key={c.id ?? 'plan'} className="px-2">
                  {own ? siText(kelvin(own), 'temperature', units) : '—'}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
