import type { LapResult } from '../../../core';
import { type Setup, siText, type UnitChoice } from '../../../model';
import { clockText, fadeText, pedalText } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import type { Computed } from '../../state/useSession';

const ZONES = 6;
const clicksText = (clicks: number) => (clicks === 0 ? '0' : `${clicks > 0 ? '+' : '−'}${Math.abs(clicks)}`);

/** Braking zones of the session's last hot lap that count: hottest, most energy, least reserve. */
export function ZonesThatMatter({
  computed,
  session,
  units,
}: {
  computed: Computed;
  session: number;
  units: UnitChoice;
}) {
  const { result, setup } = computed;
  const hot = result.laps.filter((lap) => lap.kind === 'hot' && lap.session === session);
  const lap: LapResult | undefined = hot[hot.length - 1];
  if (!lap) return <p className="mt-2">{say.noHotLapSession}</p>;
  const face = (k: number, axle: 'front' | 'rear') =>
    Math.max(lap.wheels[`${axle}Left`][k].facePeak, lap.wheels[`${axle}Right`][k].facePeak);
  const weight = (k: number) => {
    const zone = lap.trace.zones[k];
    const hottest = Math.max(...lap.trace.zones.map((_, i) => face(i, 'front')));
    const most = Math.max(...lap.trace.zones.map((s) => s.energy));
    return face(k, 'front') / hottest + zone.energy / most - 0.2 * Math.min(2, lap.forces[k].fadeMargin);
  };
  const chosen = lap.trace.zones
    .map((_, k) => k)
    .sort((a, b) => weight(b) - weight(a))
    .slice(0, ZONES)
    .sort((a, b) => a - b);
  const temperature = (kelvin: number) => siText(kelvin, 'temperature', units).replace(/ .*/, '');
  const bar = (pascal: number) => siText(pascal, 'pressure', units, 0).replace(/ .*/, '');
  const others = lap.trace.zones.flatMap((zone, k) => {
    const clicks = setup.plan.clicks[k] ?? 0;
    return clicks === 0 || chosen.includes(k) ? [] : [{ name: `${k + 1} ${zone.name}`, clicks }];
  });
  const clicked = setup.plan.clicks.some((c) => c !== 0);
  const degree = units.temperature === 'us' ? '°F' : '°C';
  return (
    <section className="mt-2.5">
      <h3 className="text-[13.5px]">
        Braking zones that matter, lap {lap.numberInSession} ({clockText(lap.lapTime)} min)
      </h3>
      <Zones
        units={units}
        degree={degree}
        chosen={chosen}
        lap={lap}
        setup={setup}
        temperature={temperature}
        face={face}
        bar={bar}
        clicked={clicked}
      />
      <p className="text-[12.5px]">
        <strong className="font-[620]">Balance.</strong>{' '}
        {!clicked
          ? say.noClicksSetStays
          : others.length > 0
            ? say.clicksOtherZonesNone(
                others.map(({ name, clicks }) => `${name} ${clicksText(clicks)}`).join(', '),
              )
            : say.clicksListedNoneOther}
      </p>
    </section>
  );
}

/** The braking zones, hardest first. */
function Zones({
  units,
  degree,
  chosen,
  lap,
  setup,
  temperature,
  face,
  bar,
  clicked,
}: {
  units: UnitChoice;
  degree: '°C' | '°F';
  chosen: number[];
  lap: LapResult;
  setup: Setup;
  temperature: (kelvin: number) => string;
  face: (k: number, axle: 'front' | 'rear') => number;
  bar: (pascal: number) => string;
  clicked: boolean;
}) {
  return (
    <table className="narrow w-full text-right text-[12.5px]">
      <thead>
        <tr className="caption border-b border-ink align-bottom">
          <th className="text-left font-normal">Zone</th>
          <th className="font-normal">from · to {units.speed === 'us' ? 'mph' : 'km/h'}</th>
          <th className="font-normal">front surface {degree}</th>
          <th className="font-normal">rear surface {degree}</th>
          <th className="font-normal">pedal</th>
          <th className="font-normal">line pressure {units.pressure === 'us' ? 'psi' : 'bar'}</th>
          <th className="font-normal">reserve</th>
          <th className="font-normal">clicks</th>
        </tr>
      </thead>
      <tbody>
        {chosen.map((k) => {
          const zone = lap.trace.zones[k];
          const force = lap.forces[k];
          const clicks = setup.plan.clicks[k] ?? 0;
          return (
            <tr key={k} className="border-b border-rule">
              <th className="text-left font-[540]">
                {k + 1} {zone.name}
              </th>
              <td>
                {siText(zone.entrySpeed, 'speed', units).replace(/ .*/, '')} ·{' '}
                {siText(zone.exitSpeed, 'speed', units).replace(/ .*/, '')}
              </td>
              <td>{temperature(face(k, 'front'))}</td>
              <td>{temperature(face(k, 'rear'))}</td>
              <td>{pedalText(force.pedal, units)}</td>
              <td>
                {bar(force.frontPressure)} · {bar(force.rearPressure)}
              </td>
              <td>{fadeText(force.fadeMargin)}</td>
              <td>{clicked ? clicksText(clicks) : '—'}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
