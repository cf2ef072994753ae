import type { ReactNode } from 'react';
import type { HeatBalance, PartFlow } from '../../../core';
import type { WhatIf } from '../../../model';
import { zoneText } from '../../../text/en';
import { say } from '../../../text/en/say/inside';
import { Notices } from '../../shared/Notices';
import { useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { type Computed, useSession } from '../../state/useSession';
import { PageTitle } from '../../ui/PageTitle';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { BrakeSection, flowKey } from './BrakeSection';
import { HeatFlow } from './HeatFlow';
import { MomentBar } from './MomentBar';
import { inWordsOf, jouleText, wattText } from './moments';
import { ProfileChart } from './ProfileChart';
import { Ramp } from './Ramp';
import { SidesPanel } from './SidesPanel';
import { useInside } from './useInside';
import { useMoment } from './useMoment';

const NOTHING: WhatIf = {};

/** One wheel's brake at one moment: its whole chain of parts, what flows between them, and where a braking zone's heat went. */
export function InsidePage() {
  const setup = useSetup();
  const view = useSession(setup, NOTHING);
  const { inside, error, retry } = useInside(view.shown?.setup ?? null);
  const found = {
    ...view,
    shown: inside,
    error: view.error ?? error,
    retry: () => {
      if (view.error) view.retry();
      if (error) retry();
    },
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={['Inside', setup.car.name]} />
      <Notices view={found} />
      {inside ? (
        <Inside key={inside.setup.plan.id} computed={inside} />
      ) : (
        !found.error &&
        view.obstacles.every((o) => o.severity !== 'error') && (
          <div className="panel grid h-64 place-items-center text-dim" role="status">
            {say.drivingLapHeatingBrakes}
          </div>
        )
      )}
    </div>
  );
}

function Inside({ computed }: { computed: Computed }) {
  const { result, setup } = computed;
  const moment = useMoment(result, setup);
  const { wheel, picked, setPicked, values, input, layout, sample, span } = moment;
  const { temperatures, flows, balance, scale, drum } = moment;

  return (
    <>
      <MomentBar setup={setup} moment={moment} />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-[minmax(0,1.55fr)_minmax(0,1fr)]">
        <section className="panel self-start px-3 py-2" aria-label="Section of the brake">
          <Scrolled label="The section, drawn">
            <BrakeSection
              layout={layout}
              drum={drum}
              temperatures={temperatures}
              flows={flows}
              scale={scale}
              picked={picked}
              onPick={setPicked}
            />
          </Scrolled>
          <Ramp scale={scale} bulk={values.rotorBulk[sample]} seal={values.seal[sample]} />
        </section>
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3">
          <section className="panel px-3 py-2" aria-label="Profile through pad and rotor">
            <h2 className="text-[15px]">Through pad and rotor</h2>
            <ProfileChart
              layout={layout}
              padThickness={input[wheel.startsWith('front') ? 'front' : 'rear'].left.pad.thickness}
              temperatures={temperatures}
              top={scale[1]}
            />
          </section>
          <ScrollPanel label="Heat flows" className="max-h-[214px] overflow-y-auto">
            <h2 className="text-[15px]">Heat flows at this moment</h2>
            <FlowTable flows={flows} picked={picked} setPicked={setPicked} drum={drum} />
          </ScrollPanel>
        </div>
      </div>
      <SidesPanel setup={setup} />
      {balance && span && <ZoneHeat balance={balance} drum={drum} title={zoneTitle(computed, span)} />}
    </>
  );
}

/** The flows of the moment, largest first. */
function FlowTable({
  flows,
  picked,
  setPicked,
  drum,
}: {
  flows: PartFlow[];
  picked: string | null;
  setPicked: (value: string | null) => void;
  drum: boolean;
}) {
  const units = useUnits();
  return (
    <table className="mt-1 w-full text-[13px]">
      <tbody>
        {[...flows]
          .filter((flow) => Math.abs(flow.heat) >= 0.05)
          .sort((a, b) => Math.abs(b.heat) - Math.abs(a.heat))
          .map((flow) => {
            const key = flowKey(flow);
            const [from, to] = flow.heat >= 0 ? [flow.from, flow.to] : [flow.to, flow.from];
            return (
              <tr key={key} className={`border-t border-rule/60 ${key === picked ? 'bg-act/15' : ''}`}>
                <td>
                  <button
                    type="button"
                    className="min-h-[24px] text-left hover:underline"
                    aria-pressed={key === picked}
                    onClick={() => setPicked(key === picked ? null : key)}
                  >
                    {inWordsOf(drum, `${from} to ${to}`)}
                  </button>
                </td>
                <td className="text-dim">{PATHS[flow.path]}</td>
                <td className="text-right font-[560]">{wattText(Math.abs(flow.heat), units)}</td>
              </tr>
            );
          })}
      </tbody>
    </table>
  );
}

const PATHS = {
  conduction: 'through metal',
  contact: 'by contact',
  radiation: 'by radiation',
  faces: 'off the surfaces',
  vanes: 'through the vanes',
  air: 'by air',
} as const;

function zoneTitle({ result }: Computed, span: { lap: number; zone: number }): string {
  const lap = result.laps[span.lap - 1];
  const { name } = lap.trace.zones[span.zone];
  return say.whereHeatLapWent(zoneText(span.zone, name), lap.numberInSession);
}

function ZoneHeat({ balance, drum, title }: { balance: HeatBalance; drum: boolean; title: string }) {
  const units = useUnits();
  const made = balance.intoRotor + balance.intoPads;
  const toAir = balance.flows.reduce((sum, flow) => sum + (flow.to === 'air' ? flow.heat : 0), 0);
  const kept = Object.values(balance.stored).reduce((sum, heat) => sum + heat, 0);
  return (
    <section className="panel px-3 py-2.5" aria-label="Where the heat went">
      <h2 className="text-[15px]">{title}</h2>
      <p className="caption">
        {say.oneWheelMadeAir(
          jouleText(made, units),
          jouleText(toAir, units),
          jouleText(kept, units),
          jouleText(Math.abs(made - toAir - kept), units),
        )}
      </p>
      <Scrolled label="The heat’s ways, drawn">
        <div className="min-w-[640px]">
          <HeatFlow balance={balance} drum={drum} />
        </div>
      </Scrolled>
    </section>
  );
}

/** A drawing that may be wider than the page, reached by keyboard. */
function Scrolled({ label, children }: { label: string; children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keyboard
    <section className="relative overflow-x-auto" aria-label={label} tabIndex={0}>
      {children}
    </section>
  );
}
