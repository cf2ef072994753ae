import { lazy, memo, Suspense, useDeferredValue, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link } from 'react-router';
import { hottestLap, lapLength, WHEELS } from '../../../core';
import { keepWhatIf, toSi, type WhatIf } from '../../../model';
import { say } from '../../../text/en/say/workbench';
import { CircuitMap, mapZones } from '../../shared/CircuitMap';
import { Notices } from '../../shared/Notices';
import { useSetup } from '../../state/context';
import { usePicked } from '../../state/picked';
import { type Selection, stepLap, stepZone } from '../../state/selection';
import { useEdit } from '../../state/useEdit';
import { type Computed, useSession } from '../../state/useSession';
import { useSettled } from '../../state/useSettled';
import { KeepsHeight } from '../../ui/KeepsHeight';
import { PageTitle } from '../../ui/PageTitle';
import { StandsBack } from '../../ui/StandsBack';
import { Tip } from '../../ui/Tip';
import { useLatest } from '../../ui/useLatest';
import { asDrawn } from './asDrawn';
import { DemoNotice } from './DemoNotice';
import { EndPanel } from './EndPanel';
import { FirstPanel } from './FirstPanel';
import { LapChart } from './LapChart';
import { MarginBoard } from './MarginBoard';
import { OutlookPanel } from './OutlookPanel';
import { RotorPanel } from './RotorPanel';
import { SessionChart } from './SessionChart';
import { useAhead } from './useAhead';
import { VerdictBar } from './VerdictBar';
import { WhatIfPanel } from './WhatIfPanel';

const ZoneTable = lazy(() => import('./ZoneTable').then((m) => ({ default: m.ZoneTable })));

/** Time without a movement until what is out of sight follows, ms. */
const STILL = 300;
/** Time without a movement until the verdict may get lower, ms: what is computed for it when nothing moves is there. */
const RESTS = 3000;

/** The heart: one plan, its verdict, its lap, its braking zones and what could be changed. */
export function WorkbenchPage() {
  const setup = useSetup();
  // A what-if belongs to one plan; another plan starts without one.
  return <Workbench key={setup.plan.id} />;
}

function Workbench() {
  const edit = useEdit();
  const setup = useSetup();
  const [whatIf, setWhatIf] = useState<WhatIf>({});
  const view = useSession(setup, whatIf);
  useAhead(setup, whatIf, view.behind);
  // The verdict follows at once; everything drawn may come a moment later, so that a control never stutters.
  const computed = useDeferredValue(view.shown);
  const ghost = useDeferredValue(view.ghost);
  const moves = useDeferredValue(useSettled(whatIf, STILL, { atOnce: true }) === null);
  const rests = useSettled(whatIf, RESTS, { atOnce: true }) !== null;
  const drawn = computed && asDrawn(computed);
  const [picked, setPicked] = usePicked();
  const selection = useSelection(picked, computed);

  const latest = useLatest({ setup, whatIf });
  const keep = useMemo(
    () => () => {
      const now = latest.current;
      const made = edit('What-if kept', (project) => keepWhatIf(project, now.setup, now.whatIf), {
        done: say.keptCarPlan,
      });
      if (made) setWhatIf({});
    },
    [edit, latest],
  );

  const laps = computed?.result.laps.length ?? 0;
  const zones = computed && selection ? computed.result.laps[selection.lap - 1].trace.zones.length : 0;
  useHotkeys('period', () => selection && setPicked(stepZone(selection, 1, zones)), [selection, zones]);
  useHotkeys('comma', () => selection && setPicked(stepZone(selection, -1, zones)), [selection, zones]);
  useHotkeys('shift+period', () => selection && setPicked(stepLap(selection, 1, laps)), [selection, laps]);
  useHotkeys('shift+comma', () => selection && setPicked(stepLap(selection, -1, laps)), [selection, laps]);

  const ready = computed && drawn && selection;
  return (
    <div className="bench-areas grid gap-3">
      <PageTitle names={[setup.plan.name]} />
      <h1 className="sr-only">{setup.plan.name}</h1>
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-3 [grid-area:verdict]">
        <DemoNotice />
        <Notices view={view} />
        <KeepsHeight moves={!rests}>
          {view.shown && <VerdictBar behind={view.behind} computed={view.shown} />}
        </KeepsHeight>
        <FirstPanel />
      </div>
      <aside className="[grid-area:whatif] xl:sticky xl:top-[88px] xl:max-h-[calc(100vh-98px)] xl:self-start xl:overflow-y-auto">
        <WhatIfPanel setup={setup} whatIf={whatIf} onChange={setWhatIf} onKeep={keep} />
      </aside>
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-3 [grid-area:lap]">
        {ready ? (
          <>
            <div
              data-tour="lap"
              className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,1fr)_270px]"
            >
              <LapChart computed={drawn} ghost={ghost} selection={selection} onSelect={setPicked} />
              <MapPanel computed={drawn} selection={selection} onSelect={setPicked} />
            </div>
            <StandsBack moves={moves}>
              <Suspense fallback={<div className="panel h-40" />}>
                <ZoneTable computed={computed} selection={selection} onSelect={setPicked} />
              </Suspense>
            </StandsBack>
            <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,430px)]">
              <StandsBack moves={moves}>
                <SessionChart computed={drawn} ghost={ghost} selection={selection} onSelect={setPicked} />
              </StandsBack>
              <StandsBack moves={moves}>
                <MarginBoard computed={computed} ghost={ghost} onSelect={setPicked} />
              </StandsBack>
            </div>
            <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-2">
              <StandsBack moves={moves}>
                <OutlookPanel computed={computed} selection={selection} />
              </StandsBack>
              <StandsBack moves={moves}>
                <RotorPanel computed={computed} selection={selection} />
              </StandsBack>
            </div>
            <StandsBack moves={moves}>
              <EndPanel computed={computed} selection={selection} />
            </StandsBack>
            <Cautions />
          </>
        ) : (
          !view.error && view.obstacles.every((o) => o.severity !== 'error') && <Computing />
        )}
      </div>
    </div>
  );
}

const MapPanel = memo(function MapPanel({
  computed,
  selection,
  onSelect,
}: {
  computed: Computed;
  selection: Selection;
  onSelect: (selection: Selection) => void;
}) {
  const { result, setup } = computed;
  const lap = result.laps[selection.lap - 1];
  const zones = useMemo(() => {
    const top = Math.max(...WHEELS.map((wheel) => result.peaks[wheel].rotorFace));
    const cold = toSi(setup.plan.sessions[lap.session].ambientC, 'temperature');
    return mapZones(
      lap.trace,
      (k) => (Math.max(...WHEELS.map((wheel) => lap.wheels[wheel][k].facePeak)) - cold) / (top - cold || 1),
    );
  }, [result, setup, lap]);
  return (
    <section className="panel flex flex-col px-2 py-2" aria-label="Circuit">
      <Tip text={setup.circuit.name}>
        <h2 className="truncate px-1 text-[15px]">{setup.circuit.name}</h2>
      </Tip>
      <Tip text={setup.car.name}>
        <p className="caption truncate px-1">
          {setup.car.name}
          {setup.circuit.source === 'made-up' && <span className="text-close"> · made-up circuit</span>}
        </p>
      </Tip>
      <div className="my-auto">
        <CircuitMap
          circuit={setup.circuit}
          lapLength={lapLength(lap.trace)}
          zones={zones}
          selected={selection.zone}
          onSelect={(zone) => onSelect({ ...selection, zone })}
          height={310}
        />
      </div>
      <p className="caption px-1">
        {say.discsHeatBrakingZone}
        <kbd>,</kbd> <kbd>.</kbd>
        {say.stepThroughBrakingZones}
      </p>
    </section>
  );
});

/** What is picked, within the laps and braking zones there are; the same object while it is the same. */
function useSelection(picked: Partial<Selection>, computed: Computed | null): Selection | null {
  const result = computed?.result;
  const laps = result?.laps ?? [];
  const hottest = useMemo(() => (result ? hottestLap(result) : 0), [result]);
  const lap = Math.min(laps.length, picked.lap ?? hottest);
  const zones = laps[lap - 1]?.trace.zones.length ?? 0;
  const zone = Math.max(0, Math.min(zones - 1, picked.zone ?? 0));
  const side = picked.side ?? 'hotter';
  return useMemo(() => (lap === 0 ? null : { lap, zone, side }), [lap, zone, side]);
}

function Computing() {
  return (
    <div className="panel grid h-64 place-items-center text-dim" role="status">
      {say.drivingLapHeatingBrakes}
    </div>
  );
}

const Cautions = memo(function Cautions() {
  return (
    <p className="caption px-1 pb-2">
      {say.brakePartsSafetyParts}
      <Link className="underline" to="/car">
        car
      </Link>
      ,{' '}
      <Link className="underline" to="/circuit">
        circuit
      </Link>
      {say.and}
      <Link className="underline" to="/plan">
        plan
      </Link>
      .
    </p>
  );
});
