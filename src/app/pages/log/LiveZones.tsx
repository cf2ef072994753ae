import { useMemo } from 'react';
import type { Analysed } from '../../../compute';
import { siText } from '../../../model';
import { useUnits } from '../../state/preferences';

/** The newest braking zones of a recording. */
export function LiveZones({ result }: { result: Analysed | null }) {
  const units = useUnits();
  const zones = useMemo(() => {
    const laps = result?.analysis.day.laps ?? [];
    return laps
      .flatMap((lap) => lap.trace.zones.map((zone, k) => ({ lap: lap.number, k, zone })))
      .slice(-8)
      .reverse();
  }, [result]);
  return (
    <section className="panel overflow-x-auto px-4 py-3" aria-label="Braking zones as they come">
      <table className="w-full text-left">
        <thead>
          <tr className="caption">
            <th className="py-1 font-normal">Braking zone, newest first</th>
            <th className="px-2 text-right font-normal">From and to</th>
            <th className="px-2 text-right font-normal">Energy</th>
          </tr>
        </thead>
        <tbody>
          {zones.length === 0 && (
            <tr>
              <td colSpan={3} className="py-1 text-dim">
                None yet.
              </td>
            </tr>
          )}
          {zones.map(({ lap, k, zone }) => (
            <tr key={`${lap}/${k}`} className="border-t border-rule/60 tabular-nums">
              <td className="py-0.5">
                Lap {lap}: {zone.name || `braking zone ${k + 1}`}
              </td>
              <td className="px-2 text-right">
                {siText(zone.entrySpeed, 'speed', units)} → {siText(zone.exitSpeed, 'speed', units)}
              </td>
              <td className="px-2 text-right">{siText(zone.energy, 'energy', units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
