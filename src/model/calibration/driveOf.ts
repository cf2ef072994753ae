import type { StoredDrive } from '../schema/drive';
import type { Part } from '../schema/part';
import type { Setup } from '../toCore/toCore';

const referred = ({ car }: Setup): readonly string[] => [car.front.pad, car.rear.pad, car.fluid.kind];

/**
 * A setup as it was driven: car, circuit, plan and own parts are copied, so that what is changed later changes nothing of it.
 * @param date ISO 8601
 * @param log it was driven by; null as planned
 */
export function driveOf(
  setup: Setup,
  { id, name, date, log }: Pick<StoredDrive, 'id' | 'name' | 'date' | 'log'>,
): StoredDrive {
  const { car, circuit, plan, begun, parts } = setup;
  const used = parts.filter((part: Part) => referred(setup).includes(part.id));
  return {
    id,
    name: name.slice(0, 80),
    date,
    car,
    circuit,
    // What was compared and wished for is not part of what was driven.
    plan: { ...plan, compare: { setups: [], referenceId: null }, date },
    begun,
    parts: [...used],
    log,
    observations: [],
    symptoms: [],
  };
}
