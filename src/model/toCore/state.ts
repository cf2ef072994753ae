import {
  type AxleInput,
  type AxleName,
  type BrakeState,
  type CarState,
  cornerNetwork,
  cornerOfWheel,
  refitted,
  stateFault,
  WHEELS,
  ZERO_CELSIUS,
} from '../../core';
import { toSi } from '../quantity/units';
import type { KeptState, WheelState } from '../schema/state';

/** Brakes as stored. */
export type StoredBrakes = KeptState['brakes'];

/** Kept brakes in SI. */
function carStateOf(brakes: StoredBrakes): CarState {
  return Object.fromEntries(
    WHEELS.map((wheel): [string, BrakeState] => {
      const stored = brakes[wheel];
      const temperatures = Object.entries(stored.temperaturesC).map(([node, c]) => [node, c + ZERO_CELSIUS]);
      return [
        wheel,
        {
          temperatures: Object.fromEntries(temperatures),
          radial: stored.radialK,
          glaze: toSi(stored.glazedPercent, 'percent'),
          bedded: toSi(stored.beddedPercent, 'percent'),
          padThickness: {
            inner: toSi(stored.innerPadMm, 'smallLength'),
            outer: toSi(stored.outerPadMm, 'smallLength'),
          },
          rotorThickness: toSi(stored.rotorMm, 'smallLength'),
          water: stored.waterPercent,
          damage: stored.fatigue,
        },
      ];
    }),
  ) as CarState;
}

/**
 * Kept brakes in SI for a car to begin from. Where it has other parts by now, or those of a comparison, each new part
 * begins as warm as the one in its place was.
 * @param pressure of the air, Pa
 */
export function startFrom(
  brakes: StoredBrakes,
  axles: Readonly<Record<AxleName, AxleInput>>,
  ambient: number,
  pressure: number,
): CarState {
  const kept = carStateOf(brakes);
  return Object.fromEntries(
    WHEELS.map((wheel) => {
      const layout = cornerNetwork(cornerOfWheel(axles, wheel), ambient, pressure);
      const state = kept[wheel];
      return [wheel, stateFault(layout, state) ? refitted(state, layout) : state];
    }),
  ) as CarState;
}

/** Brakes in SI as they are stored, to nine digits. */
export function storedBrakesOf(state: CarState): StoredBrakes {
  const nine = (value: number) => Number(value.toPrecision(9));
  return Object.fromEntries(
    WHEELS.map((wheel): [string, WheelState] => {
      const { temperatures, radial, glaze, bedded, padThickness, rotorThickness, water, damage } =
        state[wheel];
      return [
        wheel,
        {
          temperaturesC: Object.fromEntries(
            Object.entries(temperatures).map(([node, kelvin]) => [node, nine(kelvin - ZERO_CELSIUS)]),
          ),
          radialK: radial.map(nine),
          glazedPercent: nine(100 * glaze),
          beddedPercent: nine(100 * bedded),
          innerPadMm: nine(1000 * padThickness.inner),
          outerPadMm: nine(1000 * padThickness.outer),
          rotorMm: nine(1000 * rotorThickness),
          waterPercent: nine(water),
          fatigue: nine(damage),
        },
      ];
    }),
  ) as StoredBrakes;
}
