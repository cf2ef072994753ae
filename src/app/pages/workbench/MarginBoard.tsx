import { memo } from 'react';
import {
  AXLES,
  type AxleName,
  type ForceMargin,
  HEAT_LIMITS,
  type LimitedPart,
  type Margin,
} from '../../../core';
import { formatQuantity, type UnitChoice } from '../../../model';
import {
  celsius,
  fadeText,
  LIMIT_TEXT,
  LIMIT_WORDS,
  marginText,
  momentText,
  overrunText,
  temperatureText,
  worstText,
} from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { marginState, StateMark } from '../../shared/StateMark';
import { useUnits } from '../../state/preferences';
import type { Selection } from '../../state/selection';
import type { Computed } from '../../state/useSession';
import { Tip } from '../../ui/Tip';
import { HowResult } from './HowResult';

/** What is left to each limit, part by part, front and rear. */
export const MarginBoard = memo(function MarginBoard({
  computed,
  ghost,
  onSelect,
}: {
  computed: Computed;
  ghost: Computed | null;
  onSelect: (selection: Selection) => void;
}) {
  const units = useUnits();
  return (
    <section className="panel relative overflow-x-auto px-3 py-2" aria-label="Margins">
      <table className="w-full text-[13px]">
        <caption className="sr-only">{say.worstTemperatureEachPart}</caption>
        <thead>
          <tr className="text-left">
            <th className="caption w-[96px] py-1 font-normal">Margin at the worst instant</th>
            <th className="py-1 pl-1 font-[620]">Front</th>
            <th className="py-1 pl-1 font-[620]">Rear</th>
          </tr>
        </thead>
        <tbody>
          {HEAT_LIMITS.map(({ part, end }) => (
            <tr key={part} className="border-t border-rule/60 align-top">
              <th className="py-1.5 pr-2 text-left font-[520] narrow">
                <Tip text={LIMIT_TEXT[part].means}>
                  <span>{LIMIT_TEXT[part].title}</span>
                </Tip>{' '}
                <HowResult topic={part} computed={computed} name={LIMIT_TEXT[part].title.toLowerCase()} />
                {end === 'cold' && <span className="caption block font-normal">should pass its mark</span>}
              </th>
              {AXLES.map((axle) => (
                <td key={axle} className="py-1.5 pl-1">
                  <Gauge
                    margin={find(computed, axle, part)}
                    before={ghost && find(ghost, axle, part)}
                    computed={computed}
                    units={units}
                    onSelect={onSelect}
                  />
                </td>
              ))}
            </tr>
          ))}
          {computed.result.forceMargins.map((margin) => (
            <tr key={margin.part} className="border-t border-rule/60 align-top">
              <th className="py-1.5 pr-2 text-left font-[520] narrow">
                <Tip text={LIMIT_TEXT[margin.part].means}>
                  <span>{margin.part === 'pedal' ? 'Pedal force' : 'Pedal travel'}</span>
                </Tip>{' '}
                <HowResult topic={margin.part} computed={computed} name={`the pedal ${margin.part}`} />
              </th>
              <td className="py-1.5 pl-1" colSpan={2}>
                <FootGauge margin={margin} computed={computed} units={units} onSelect={onSelect} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
});

/** What is left of the driver's force or the pedal's travel, with the brake reserve beside the force. */
function FootGauge({
  margin,
  computed,
  units,
  onSelect,
}: {
  margin: ForceMargin;
  computed: Computed;
  units: UnitChoice;
  onSelect: (selection: Selection) => void;
}) {
  const { fade } = computed.result;
  const state = marginState(margin);
  const fill = state === 'over-limit' ? 'bg-over' : state === 'close' ? 'bg-close' : 'bg-act/70';
  const width = Math.min(100, Math.max(0, (margin.worst / margin.limit) * BAR));
  return (
    <button
      type="button"
      className="block w-full text-left"
      onClick={() => onSelect({ lap: margin.at.lap ?? 1, zone: Math.max(0, margin.at.zone), side: 'hotter' })}
    >
      <span className="flex items-center gap-1.5">
        <StateMark kind={state} className="h-[13px] w-[13px]" />
        <span className="relative h-[9px] flex-1 rounded-[2px] bg-sunk">
          <span
            className={`absolute inset-y-0 left-0 rounded-[2px] ${fill}`}
            style={{ width: `${width}%` }}
          />
          <span className="absolute -inset-y-[3px] w-[1.5px] bg-ink" style={{ left: `${BAR}%` }} />
        </span>
      </span>
      <span className="caption mt-0.5 block">
        <span className="text-ink">{worstText(margin, units)}</span>, {marginText(margin, units)},{' '}
        {momentText(margin.at, computed.result)}
        {margin.part === 'pedal' && fade && (
          <span className="block text-ink">
            Minimum brake reserve {fadeText(fade.margin)} {momentText(fade.at, computed.result)}
            {fade.margin < 0 &&
              `, limited by ${LIMIT_WORDS[fade.limit]}: the braking zone ${overrunText(fade.extraDistance, units)}`}
          </span>
        )}
      </span>
    </button>
  );
}

/** The smaller margin of an axle's two wheels. */
function find(computed: Computed, axle: AxleName, part: LimitedPart): Margin | null {
  const both = computed.result.margins.filter((m) => m.axle === axle && m.part === part);
  return both.length === 0 ? null : both.reduce((a, b) => (b.share < a.share ? b : a));
}

const BAR = 74; // % of the width at which the limit stands

function Gauge({
  margin,
  before,
  computed,
  units,
  onSelect,
}: {
  margin: Margin | null;
  before: Margin | null;
  computed: Computed;
  units: UnitChoice;
  onSelect: (selection: Selection) => void;
}) {
  if (!margin) return <span className="text-dim">no hot lap braked</span>;
  const ambient = computed.setup.plan.sessions[margin.at.session].ambientC;
  const reach = (m: Margin) => {
    const share = (celsius(m.worst) - ambient) / Math.max(1, celsius(m.limit) - ambient);
    return Math.min(100, Math.max(0, share * BAR));
  };
  const state = marginState(margin);
  const when = momentText(margin.at, computed.result);
  const change = before ? margin.margin - before.margin : 0;
  const go = () => {
    if (margin.at.lap !== null)
      onSelect({ lap: margin.at.lap, zone: Math.max(0, margin.at.zone), side: 'hotter' });
  };
  const fill = state === 'over-limit' ? 'bg-over' : state === 'close' ? 'bg-close' : 'bg-act/70';
  const tip = `${temperatureText(margin.worst, units)} ${when}; limit ${temperatureText(margin.limit, units)}`;
  return (
    <Tip text={tip}>
      <button
        type="button"
        onClick={go}
        disabled={margin.at.lap === null}
        className="block w-full min-w-[150px] text-left disabled:cursor-default"
      >
        <span className="flex items-center gap-1.5">
          <StateMark kind={state} className="h-[13px] w-[13px]" />
          <span className="relative h-[9px] flex-1 rounded-[2px] bg-sunk">
            <span
              className={`absolute inset-y-0 left-0 rounded-[2px] ${fill}`}
              style={{ width: `${reach(margin)}%` }}
            />
            {before && (
              <span
                className="absolute -inset-y-[2px] w-[2px] bg-ghost"
                style={{ left: `${reach(before)}%` }}
              />
            )}
            <span className="absolute -inset-y-[3px] w-[1.5px] bg-ink" style={{ left: `${BAR}%` }} />
          </span>
        </span>
        <span className="caption mt-0.5 block">
          {margin.side !== 'both' && `${margin.side}, `}
          <span className="text-ink">{temperatureText(margin.worst, units)}</span> of{' '}
          {temperatureText(margin.limit, units)},{' '}
          {marginText(margin, units).replace('above the window’s low end', 'above')}
          {margin.at.stand && `, ${when}`}
          {Math.abs(change) >= 0.5 && (
            <span className="text-ink">
              {' '}
              ({change > 0 ? '+' : '−'}
              {formatQuantity(Math.abs(change), 'difference', units)})
            </span>
          )}
        </span>
      </button>
    </Tip>
  );
}
