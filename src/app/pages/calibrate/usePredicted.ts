import { useQuery } from '@tanstack/react-query';
import { crewPredicting } from '../../../compute';
import { type Reading, ZERO_CELSIUS } from '../../../core';
import { fromSi, type Observation, toSi, toStored, US, unitOf } from '../../../model';
import { type CalibrationCase, observationsOf } from '../../../services';
import { useBackground } from '../../state/context';

/** A reading with what was predicted for it, uncalibrated; K or µm. */
export interface Predicted {
  readonly reading: Reading;
  readonly value: number;
}

/** What is predicted for a drive's readings before anything was fitted, by observation; empty while it is computed. */
export function usePredicted(ready: CalibrationCase | null): ReadonlyMap<string, Predicted> {
  const { crew } = useBackground();
  const query = useQuery({
    queryKey: ['predicted readings', ready?.stored.id, ready?.stored.plan.sessions, ready?.readings],
    enabled: ready !== null && ready.readings.length > 0,
    queryFn: async ({ signal }) => {
      const { day, readings } = ready as CalibrationCase;
      const [values] = await crewPredicting(crew, signal)([{ day, readings }], [], [[]]);
      const by = new Map<string, Predicted>();
      readings.forEach((reading, i) => {
        for (const id of observationsOf(reading.id)) by.set(id, { reading, value: values[i] });
      });
      return by;
    },
  });
  return query.data ?? NONE;
}
const NONE: ReadonlyMap<string, Predicted> = new Map();

/** So far off, K, that the unit is asked about; and so near in the other one. */
const FAR = 110;
const NEAR = 70;

/** A temperature that would be near the prediction were it typed in the other unit, °C; null where it would not. */
export function inOtherUnit(own: Observation, predicted: Predicted | null): number | null {
  if (own.kind !== 'spot' || !predicted) return null;
  const expected = fromSi(predicted.value, 'temperature');
  if (Math.abs(own.valueC - expected) < FAR) return null;
  // As it would have been read in °F, and typed as °C.
  const meant = toStored(own.valueC, unitOf('temperature', US));
  return Math.abs(meant - expected) < NEAR && toSi(meant, 'temperature') > ZERO_CELSIUS ? meant : null;
}
