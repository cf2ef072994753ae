import { type RefObject, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { type AxleName, type DayResult, type LapTrace, sampleLine } from '../../../core';
import { circuitGeoJson, circuitGpx } from '../../../io';
import { type Circuit, circuitInput, formatQuantity, siText, toShown, unitOf } from '../../../model';
import { celsius, windText } from '../../../text/en';
import { say } from '../../../text/en/say/circuits';
import { LapPicker, lastHotLap } from '../../shared/LapPicker';
import { WithSession } from '../../shared/WithSession';
import { download } from '../../shell/files';
import { useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { heatGradient } from '../../ui/charts/heatColor';
import { pictureOf, standaloneSvg } from '../../ui/charts/picture';
import { SelectField } from '../../ui/SelectField';
import { toast } from '../../ui/toast';
import { GroundMap } from './GroundMap';
import { turned } from './ground';
import { HeightProfile } from './HeightProfile';
import { heatAlong } from './heatAlong';
import { indexOf, MapLayers, type Zone } from './MapLayers';

/** The selected circuit on the ground, with what the brakes go through along it. */
export function MapTab() {
  const { circuit } = useSetup();
  if (circuit.layout.kind !== 'line') {
    return (
      <p className="panel px-4 py-6">
        {say.listBrakingZonesHas(circuit.name)}
        <Link className="underline" to="/circuits/import">
          from a file
        </Link>
        {say.has}
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
  const [zone, setZone] = useState<number | null>(null);
  const svg = useRef<SVGSVGElement | null>(null);
  const line = useMemo(() => lineOf(circuit), [circuit]);
  const ground = useMemo(() => turned(line, (circuit.place ?? NOWHERE).bearingDeg), [line, circuit.place]);
  const heat = useMemo(
    () => heatAlong(result, Math.min(lap, result.laps.length), axle, line.length),
    [result, lap, axle, line.length],
  );
  const { trace } = result.laps[Math.min(lap, result.laps.length) - 1];
  const zones = zonesOf(trace);
  const degree = unitOf('temperature', units);
  const shown = (k: number) => `${Math.round(toShown(celsius(k), degree))} ${degree.label}`;
  const place = circuit.place ?? NOWHERE;
  const save = useExport(circuit.name, { line, place, zones }, svg);
  const picked = zone === null ? null : zones[zone];
  return (
    <section className="panel px-3 py-2.5" aria-label="Map of the circuit">
      <MapHead
        computed={computed}
        lap={lap}
        result={result}
        setLap={setLap}
        axle={axle}
        setAxle={setAxle}
        save={save}
      />
      {!circuit.place && <p className="caption mt-1">{say.circuitHasNoPlace}</p>}
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
          {(map) => (
            <MapLayers
              map={map}
              line={line}
              ground={ground}
              bearingDeg={place.bearingDeg}
              heat={heat}
              zones={zones}
              picked={zone}
              onPick={setZone}
            />
          )}
        </GroundMap>
      </div>
      <HeatScale axle={axle} shown={shown} heat={heat} />
      <ZoneList zones={zones} zone={zone} setZone={setZone} />
      {picked && (
        <p className="mt-1.5" role="status">
          {picked.name || `Braking zone ${(zone ?? 0) + 1}`}: {siText(picked.entrySpeed, 'speed', units)} to{' '}
          {siText(picked.exitSpeed, 'speed', units)}, {siText(picked.energy, 'energy', units)}
          {plan.windKmh > 0 && `, ${windText(ground, indexOf(line, picked.from), plan.windFromDeg)}`}.
        </p>
      )}
      <HeightProfile line={line} base={place.heightM} zones={zones} picked={zone} />
    </section>
  );
}

/** What is shown, and the files it can be saved as. */
function MapHead({
  computed,
  lap,
  result,
  setLap,
  axle,
  setAxle,
  save,
}: {
  computed: Computed;
  lap: number;
  result: DayResult;
  setLap: (value: number) => void;
  axle: AxleName;
  setAxle: (value: AxleName) => void;
  save: (kind: Export) => Promise<void>;
}) {
  return (
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
  );
}

/** What the colours of the line mean. */
function HeatScale({
  axle,
  shown,
  heat,
}: {
  axle: AxleName;
  shown: (k: number) => string;
  heat: ReturnType<typeof heatAlong>;
}) {
  return (
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
  );
}

/** The braking zones by name: the keyboard’s way to pick one. */
function ZoneList({
  zones,
  zone,
  setZone,
}: {
  zones: readonly Zone[];
  zone: number | null;
  setZone: (value: number | null) => void;
}) {
  return (
    <ol className="mt-2 flex flex-wrap gap-1" aria-label="Braking zones">
      {zones.map((s, k) => (
        <li key={s.from}>
          <button
            type="button"
            className={`btn px-2 py-0.5 ${k === zone ? 'border-act!' : ''}`}
            aria-pressed={k === zone}
            onClick={() => setZone(k === zone ? null : k)}
          >
            {k + 1} {s.name}
          </button>
        </li>
      ))}
    </ol>
  );
}

/** Saves the circuit as a file of one of the kinds. */
function useExport(
  name: string,
  { line, place, zones }: { line: ReturnType<typeof lineOf>; place: typeof NOWHERE; zones: readonly Zone[] },
  svg: RefObject<SVGSVGElement | null>,
) {
  const content = async (kind: Export): Promise<string | Blob> => {
    if (kind === 'geojson') return circuitGeoJson(name, line, place, zones);
    if (kind === 'gpx') return circuitGpx(name, line, place, zones);
    if (!svg.current) throw new Error(say.mapNotDrawnYet);
    return kind === 'svg' ? standaloneSvg(svg.current) : pictureOf(svg.current);
  };
  return async (kind: Export) => {
    try {
      download(kind, name, await content(kind));
    } catch (error) {
      toast.error(say.nothingWasExported((error as Error).message));
    }
  };
}

/** The braking zones of a lap, as the map and its exports need them. */
function zonesOf(trace: LapTrace): Zone[] {
  return trace.zones.map((s) => ({
    name: s.name,
    from: trace.distance[s.startIndex],
    to: trace.distance[s.endIndex],
    energy: s.energy,
    entrySpeed: s.entrySpeed,
    exitSpeed: s.exitSpeed,
  }));
}

function lineOf(circuit: Circuit) {
  const input = circuitInput(circuit);
  if (input.kind !== 'line') throw new Error(say.circuitStraightsCornersWas);
  return sampleLine(input.segments, 4);
}
