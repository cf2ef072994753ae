import {
  type DayInput,
  driveLap,
  ductDragArea,
  lapTime,
  moistAirDensity,
  prepareCircuit,
  pressureOf,
} from '../../core';
import { COOL_PACE, dayInput, type LapTimes, OUT_PACE, type Setup, toSi } from '../../model';

/** One lap of a day's circuit, as it is driven before anything fades. @param pace share of the hot lap's forces, 0 to 1 */
export function solvedLap(
  input: DayInput,
  pace: number,
  circuit = prepareCircuit(input.circuit, undefined, input.wind),
) {
  const airDensity = moistAirDensity(pressureOf(input), input.sessions[0].ambient, input.humidity);
  const trackGrip = input.sessions[0].trackGrip;
  return driveLap(
    circuit,
    input.vehicle,
    { ...input.driver, pace, trackGrip },
    { airDensity, ductDragArea: ductDragArea(input) },
  );
}

/** How long the laps of a session take, s. */
export function lapTimes(setup: Setup): LapTimes {
  const input = dayInput(setup);
  const circuit = prepareCircuit(input.circuit, undefined, input.wind);
  const time = (percent: number) => lapTime(solvedLap(input, toSi(percent, 'percent'), circuit));
  return { out: time(OUT_PACE), hot: time(100), cool: time(COOL_PACE) };
}
