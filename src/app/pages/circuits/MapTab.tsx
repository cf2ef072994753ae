import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { type AxleName, sampleLine } from '../../../core';
import { circuitGeoJson, circuitGpx } from '../../../io';
import { type Circuit, circuitInput, formatQuantity, siText, toShown, unitOf } from '../../../model';
import { celsius, windText } from '../../../text/en';
import { LapPicker, lastHotLap } from '../../shared/LapPicker';
import { WithSession } from '../../shared/WithSession';
import { download } from '../../shell/files';
import { useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { heatColor, heatGradient } from '../../ui/charts/heatColor';
import { pictureOf, standaloneSvg } from '../../ui/charts/picture';
import { SelectField } from '../../ui/SelectField';
import { GroundMap } from './GroundMap';
import { turned } from './ground';
import { HeightProfile } from './HeightProfile';
import { heatAlong } from './heatAlong';

/** The selected circuit on the ground, with what the brakes go through along it. */
export function MapTab() {
  const { circuit } = useSetup();
  if (circuit.layout.kind !== 'line') {
    return (
      <p className="panel px-4 py-6">
        {circuit.name} is a list of braking zones and has no line to draw. A circuit of straights and corners,
        or one{' '}
        <Link className="underline" to="/circuits/import">
          from a file
        </Link>
        , has.
      </p>
    );
  }
  return <WithSession>{(computed) => <MapOf computed={computed} />}</WithSession>;
}

/** Where an export is put on Earth when the circuit is nowhere: on the equator, in the sea. */
const NOWHERE = { latitudeDeg: 0, longitudeDeg: 0, bearingDeg: 90, heightM: 0 };

const TYPES = {
  geojson: 'application/geo+json',
  gpx: 'application/gpx+xml',
  svg: 'image/svg+xml',
  png: 'image/png',
} as const;
type Export = keyof typeof TYPES;
const EXPORTS: readonly (readonly [Export, string])[] = [
  ['geojson', 'GeoJSON'],
  ['gpx', 'GPX'],
  ['svg', 'Picture (SVG)'],
  ['png', 'Picture (PNG)'],
];

function MapOf({ computed }: { computed: Computed }) {
  const units = useUnits();
  const { setup, result } = computed;
  const { circuit, plan } = setup;
  const [lap, setLap] = useState(() => lastHotLap(computed));
  const [axle, setAxle] = useState<AxleName>('front');
  const [stop, setStop] = useState<number | null>(null);
  const svg = useRef<SVGSVGElement | null>(null);
  const line = useMemo(() => lineOf(circuit), [circuit]);
  const ground = useMemo(() => turned(line, (circuit.place ?? NOWHERE).bearingDeg), [line, circuit.place]);
  const heat = useMemo(
    () => heatAlong(result, Math.min(lap, result.laps.length), axle, line.length),
    [result, lap, axle, line.length],
  );
  const { trace } = result.laps[Math.min(lap, result.laps.length) - 1];
  const cells = line.distance.length - 1;
  const index = (distance: number) => Math.round((distance / line.length) * cells) % cells;
  const stops = trace.stops.map((s) => ({
    name: s.name,
    from: trace.distance[s.startIndex],
    to: trace.distance[s.endIndex],
    energy: s.energy,
    entrySpeed: s.entrySpeed,
    exitSpeed: s.exitSpeed,
  }));
  const largest = Math.max(1, ...stops.map((s) => s.energy));
  const degree = unitOf('temperature', units);
  const shown = (k: number) => `${Math.round(toShown(celsius(k), degree))} ${degree.label}`;
  const share = (k: number) => (heat.high > heat.low ? (k - heat.low) / (heat.high - heat.low) : 0.5);
  const place = circuit.place ?? NOWHERE;
  const content = async (kind: Export): Promise<string | Blob> => {
    if (kind === 'geojson') return circuitGeoJson(circuit.name, line, place, stops);
    if (kind === 'gpx') return circuitGpx(circuit.name, line, place, stops);
    if (!svg.current) throw new Error('The map is not drawn yet.');
    return kind === 'svg' ? standaloneSvg(svg.current) : pictureOf(svg.current);
  };
  const save = async (kind: Export) => {
    try {
      download(kind, circuit.name, await content(kind));
    } catch (error) {
      toast.error(`Nothing was exported. ${(error as Error).message}`);
    }
  };
  const picked = stop === null ? null : stops[stop];
  return (
    <section className="panel px-3 py-2.5" aria-label="Map of the circuit">
      <div className="flex flex-wrap items-end gap-3">
        <LapPicker computed={computed} lap={Math.min(lap, result.laps.length)} onChange={setLap} />
        <div className="w-[150px]">
          <SelectField
            label="Rotors"
            value={axle}
            options={[
              ['front', 'front, hotter side'],
              ['rear', 'rear, hotter side'],
            ]}
            onChange={setAxle}
          />
        </div>
        <div className="ml-auto flex flex-wrap gap-1.5">
          {EXPORTS.map(([kind, name]) => (
            <button key={kind} type="button" className="btn" onClick={() => void save(kind)}>
              {name}
            </button>
          ))}
        </div>
      </div>
      {!circuit.place && (
        <p className="caption mt-1">
          This circuit has no place on Earth. Exported files put its start at 0°, 0°, in the sea; give it one
          under Straights and corners.
        </p>
      )}
      <div className="mt-2">
        <GroundMap
          label={`Map of ${circuit.name}, coloured by rotor temperature`}
          east={ground.x}
          north={ground.y}
          height={430}
          svgRef={svg}
          wind={
            plan.windKmh > 0
              ? { fromDeg: plan.windFromDeg, text: `wind ${formatQuantity(plan.windKmh, 'speed', units)}` }
              : null
          }
        >
          {({ x, y, zoom }) => {
            const piece = (a: number, b: number) => {
              let d = '';
              for (let i = a; i <= b; i++) {
                const k = i % cells;
                d += `${i === a ? 'M' : 'L'}${x(ground.x[k]).toFixed(1)},${y(ground.y[k]).toFixed(1)}`;
              }
              return d;
            };
            const size = 1 / Math.sqrt(zoom);
            return (
              <>
                <path
                  d={piece(0, cells)}
                  fill="none"
                  stroke="var(--rule)"
                  strokeWidth={15 * size}
                  strokeLinejoin="round"
                />
                {heat.pieces.map((p) => (
                  <path
                    key={p.from}
                    d={piece(
                      index(p.from),
                      Math.max(
                        index(p.from) + 1,
                        index(p.from) + Math.ceil((p.length / line.length) * cells),
                      ),
                    )}
                    fill="none"
                    stroke={heatColor(share(p.kelvin))}
                    strokeWidth={8 * size}
                  />
                ))}
                <g
                  transform={`translate(${x(ground.x[0])},${y(ground.y[0])}) rotate(${place.bearingDeg - 90}) scale(${size})`}
                >
                  <line y1={-12} y2={12} stroke="var(--ink)" strokeWidth={2.5} />
                  <path d="M5,-17 L15,-12 L5,-7 Z" fill="var(--ink)" />
                </g>
                {stops.map((s, k) => {
                  const at = index(s.to);
                  const radius = 8 + 10 * Math.sqrt(s.energy / largest);
                  const chosen = k === stop;
                  return (
                    // biome-ignore lint/a11y/noStaticElementInteractions: the list of stops is the keyboard's way
                    <g
                      key={s.from}
                      transform={`translate(${x(ground.x[at])},${y(ground.y[at])}) scale(${size})`}
                      onClick={() => setStop(chosen ? null : k)}
                      className="cursor-pointer"
                    >
                      <title>{`Braking zone ${k + 1}${s.name ? `, ${s.name}` : ''}`}</title>
                      <circle
                        r={radius}
                        fill="var(--panel)"
                        stroke={chosen ? 'var(--act)' : 'var(--ink)'}
                        strokeWidth={chosen ? 3.5 : 1.6}
                      />
                      <text textAnchor="middle" dy="0.35em" fontSize={12} fontWeight={680} fill="var(--ink)">
                        {k + 1}
                      </text>
                    </g>
                  );
                })}
              </>
            );
          }}
        </GroundMap>
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="caption">
          {axle === 'front' ? 'Front' : 'Rear'} rotor, mean through its thickness:
        </span>
        <span>{shown(heat.low)}</span>
        <span
          className="h-2.5 w-[160px] rounded-full"
          style={{ background: heatGradient() }}
          aria-hidden="true"
        />
        <span>{shown(heat.high)}</span>
      </div>
      <ol className="mt-2 flex flex-wrap gap-1" aria-label="Braking zones">
        {stops.map((s, k) => (
          <li key={s.from}>
            <button
              type="button"
              className={`btn px-2 py-0.5 ${k === stop ? 'border-act!' : ''}`}
              aria-pressed={k === stop}
              onClick={() => setStop(k === stop ? null : k)}
            >
              {k + 1} {s.name}
            </button>
          </li>
        ))}
      </ol>
      {picked && (
        <p className="mt-1.5" role="status">
          {picked.name || `Braking zone ${(stop ?? 0) + 1}`}: {siText(picked.entrySpeed, 'speed', units)} to{' '}
          {siText(picked.exitSpeed, 'speed', units)}, {siText(picked.energy, 'energy', units)}
          {plan.windKmh > 0 && `, ${windText(ground, index(picked.from), plan.windFromDeg)}`}.
        </p>
      )}
      <HeightProfile line={line} base={place.heightM} stops={stops} picked={stop} />
    </section>
  );
}

function lineOf(circuit: Circuit) {
  const input = circuitInput(circuit);
  if (input.kind !== 'line') throw new Error('A circuit of straights and corners was expected.');
  return sampleLine(input.segments, 4);
}
