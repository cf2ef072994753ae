import { Plus, X } from 'lucide-react';
import { CRACK_PLACES, type Crack, crackSchema, fieldInfo } from '../../../model';
import { NumberField } from '../../shared/NumberField';
import { CheckField } from '../../ui/CheckField';
import { Choice } from '../../ui/Choice';
import { IconButton } from '../../ui/IconButton';

const INFO = fieldInfo(crackSchema.shape.lengthMm);
const MOST = 6;

/** Cracks of a rotor, the longest of each place. */
export function Cracks({
  wheel,
  cracks,
  onChange,
}: {
  readonly wheel: string;
  readonly cracks: readonly Crack[];
  readonly onChange: (cracks: Crack[]) => string | null;
}) {
  const put = (i: number, change: Partial<Crack>) => onChange(cracks.with(i, { ...cracks[i], ...change }));
  return (
    <fieldset className="mt-3">
      <legend className="font-[540]">Cracks</legend>
      <div className="mt-0.5 grid gap-1.5">
        {cracks.map((crack, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a crack has no name of its own
          <div key={i} className="flex flex-wrap items-center gap-3">
            <div className="w-[120px]">
              <Choice
                name={`Where, crack ${i + 1}, ${wheel}`}
                value={crack.place}
                options={CRACK_PLACES.map((place) => [place, place] as const)}
                onChange={(place) => put(i, { place })}
              />
            </div>
            <div className="w-[120px]">
              <NumberField
                compact
                info={INFO}
                label={`Length, crack ${i + 1}, ${wheel}`}
                value={crack.lengthMm}
                onCommit={(lengthMm) => (lengthMm === null ? null : put(i, { lengthMm }))}
              />
            </div>
            <CheckField checked={crack.toEdge} onChange={(toEdge) => put(i, { toEdge })}>
              reaches the edge
            </CheckField>
            <CheckField checked={crack.joins} onChange={(joins) => put(i, { joins })}>
              joins two holes
            </CheckField>
            <IconButton
              icon={X}
              name={`Remove crack ${i + 1}, ${wheel}`}
              title="Remove"
              onClick={() => onChange(cracks.filter((_, k) => k !== i))}
            />
          </div>
        ))}
        {cracks.length < MOST && (
          <button
            type="button"
            className="btn justify-self-start"
            aria-label={`A crack, ${wheel}`}
            onClick={() => onChange([...cracks, { place: 'face', lengthMm: 3, toEdge: false, joins: false }])}
          >
            <Plus size={14} aria-hidden="true" /> A crack
          </button>
        )}
      </div>
    </fieldset>
  );
}
