import { lapName } from '../../text/en';
import type { Computed } from '../state/useSession';
import { SelectField } from '../ui/SelectField';

/** Chooses a lap of the day. */
export function LapPicker({
  computed,
  lap,
  onChange,
}: {
  computed: Computed;
  lap: number;
  onChange: (lap: number) => void;
}) {
  const { result } = computed;
  return (
    <div className="w-[230px]">
      <SelectField
        label="Lap"
        value={String(lap)}
        options={result.laps.map(({ number }) => [
          String(number),
          lapName(number, result).replace('lap', 'Lap'),
        ])}
        onChange={(value) => onChange(Number(value))}
      />
    </div>
  );
}

/** The last hot lap of a day, or its last lap. */
export function lastHotLap({ result }: Computed): number {
  const hot = result.laps.filter((lap) => lap.kind === 'hot');
  return (hot[hot.length - 1] ?? result.laps[result.laps.length - 1]).number;
}
