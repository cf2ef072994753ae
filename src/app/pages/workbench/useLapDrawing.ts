import { useMemo } from 'react';
import { useUnits } from '../../state/preferences';
import type { ChartProps } from '../../state/useSession';
import { linearScale } from '../../ui/charts/linearScale';
import { heatLines, LEFT, lapScales, lapTops, limitLine, powerAreas, RIGHT, speedLine } from './lapDrawing';

/**
 * The lap of the state and of its ghost, over one axis of distance: of each only what is another is drawn anew.
 * @param ends first and last distance, m
 * @param width of the whole drawing, px
 * @returns paths in px, the scales they lie on, and the nearest limit
 */
export function useLapDrawing(
  {
    computed: { result },
    ghost,
    selection: { lap, side },
  }: Pick<ChartProps, 'computed' | 'ghost' | 'selection'>,
  [first, last]: readonly [number, number],
  width: number,
) {
  const units = useUnits();
  const x = useMemo(() => linearScale([first, last], [LEFT, width - RIGHT]), [first, last, width]);
  const top = lapTops(result, ghost?.result);
  const speed = useMemo(() => lapScales.speed(top.speed, units), [top.speed, units]);
  const power = useMemo(() => lapScales.power(top.power, units), [top.power, units]);
  const heat = useMemo(() => lapScales.heat(top.heat, units), [top.heat, units]);
  const speedPath = useMemo(
    () => speedLine(result.laps[lap - 1], x, speed, units),
    [result, lap, x, speed, units],
  );
  const powers = useMemo(() => powerAreas(result, lap, x, power, units), [result, lap, x, power, units]);
  const [bulk, face] = useMemo(
    () =>
      (['rotorBulk', 'rotorFace'] as const).map((part) =>
        heatLines(result, [lap, side, part], x, heat, units),
      ),
    [result, lap, side, x, heat, units],
  );
  const saved = ghost?.result;
  const savedLap = Math.min(lap, saved?.laps.length ?? lap);
  const savedSpeed = useMemo(
    () => saved && speedLine(saved.laps[savedLap - 1], x, speed, units),
    [saved, savedLap, x, speed, units],
  );
  const savedBulk = useMemo(
    () => saved && heatLines(saved, [savedLap, side, 'rotorBulk'], x, heat, units),
    [saved, savedLap, side, x, heat, units],
  );
  const shadow = savedSpeed && savedBulk ? { speedPath: savedSpeed, bulk: savedBulk } : null;
  return {
    x,
    scales: { speed, power, heat },
    speedPath,
    powers,
    bulk,
    face,
    limit: limitLine(result, heat, units),
    shadow,
  };
}
