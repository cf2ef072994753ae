import { useState } from 'react';
import { LOG_COLUMN_NAMES } from '../../../io';
import { siText, type UnitChoice } from '../../../model';
import type { LogAnalysis, MeasuredZone } from '../../../services';
import { say } from '../../../text/en/say/log';
import { useUnits } from '../../state/preferences';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { SelectField } from '../../ui/SelectField';

/** What was measured in each braking zone of a lap, beside what was predicted: temperatures and line pressures. */
export function MeasuredZones({ analysis }: { readonly analysis: LogAnalysis }) {
  const units = useUnits();
  const laps = [...new Set(analysis.zones.map(({ lap }) => lap))];
  const typical = analysis.typical === null ? undefined : analysis.pieces[analysis.typical].lap;
  const [picked, setPicked] = useState<number | null>(null);
  const lap = picked ?? typical ?? laps[0];
  const zones = analysis.zones.filter((own) => own.lap === lap);
  const [first] = zones;
  if (!first || (first.sensors.length === 0 && first.pressures.length === 0)) return null;
  return (
    <ScrollPanel label="Measured in each braking zone">
      <div className="w-[170px]">
        <SelectField
          label="Lap"
          value={String(lap)}
          options={laps.map((own) => [String(own), `Lap ${own + 1}`] as const)}
          onChange={(own) => setPicked(Number(own))}
        />
      </div>
      <div className="mt-2">
        <Zones zones={zones} units={units} />
      </div>
      <p className="caption mt-1">{say.zonesMeasured}</p>
    </ScrollPanel>
  );
}

function Zones({ zones, units }: { readonly zones: readonly MeasuredZone[]; readonly units: UnitChoice }) {
  const [{ sensors, pressures }] = zones;
  const kelvin = (value: number) => (Number.isFinite(value) ? siText(value, 'temperature', units) : '–');
  const bar = (value: number) => (Number.isFinite(value) ? siText(value, 'pressure', units) : '–');
  return (
    <table className="w-full text-left narrow" data-testid="measured-zones">
      <thead>
        <tr className="caption align-bottom">
          <th className="py-1 font-normal">Braking zone</th>
          {sensors.map(({ channel }) => (
            <th key={channel} className="px-2 text-right font-normal">
              {LOG_COLUMN_NAMES[channel]}
              <br />
              before, highest (predicted)
            </th>
          ))}
          {pressures.map(({ axle }) => (
            <th key={axle} className="px-2 text-right font-normal">
              Line pressure, {axle}
              <br />
              highest (predicted)
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {zones.map((zone) => (
          <tr key={zone.zone} className="border-t border-rule/60 tabular-nums">
            <th className="py-1 font-[520]">
              {zone.zone + 1} {zone.name}
            </th>
            {sensors.map(({ channel }) => {
              const own = zone.sensors.find((one) => one.channel === channel);
              return (
                <td key={channel} className="px-2 text-right">
                  {own ? `${kelvin(own.before)}, ${kelvin(own.peak)} (${kelvin(own.predictedPeak)})` : '–'}
                </td>
              );
            })}
            {pressures.map(({ axle }) => {
              const own = zone.pressures.find((one) => one.axle === axle);
              return (
                <td key={axle} className="px-2 text-right">
                  {own ? `${bar(own.logged)} (${bar(own.predicted)})` : '–'}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
