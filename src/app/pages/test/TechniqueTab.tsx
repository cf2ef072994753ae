import { FromLaps } from './FromLaps';
import { Modulation } from './Modulation';
import type { TestTabProps } from './tabProps';

/** How finely the brakes can be metered, and how a driver meters them. */
export function TechniqueTab({ tested }: TestTabProps) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <FromLaps tested={tested} />
      <Modulation tested={tested} />
    </div>
  );
}
