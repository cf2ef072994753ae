import { RadioGroup } from 'radix-ui';
import { Controller, useFormContext } from 'react-hook-form';
import { CAR_KIND_IDS, CAR_KINDS, type CarKindId, formatQuantity } from '../../../model';
import { useUnits } from '../../state/preferences';

/** The ten kinds of car, each with what is typical for it. */
export function KindPicker({
  onPicked,
}: {
  readonly onPicked: (kind: CarKindId, before: CarKindId) => void;
}) {
  const { control } = useFormContext<{ kind: CarKindId }>();
  const units = useUnits();
  return (
    <Controller
      control={control}
      name="kind"
      render={({ field }) => (
        <RadioGroup.Root
          aria-label="Kind of car"
          value={field.value}
          onValueChange={(kind) => {
            onPicked(kind as CarKindId, field.value);
            field.onChange(kind);
          }}
          className="grid grid-cols-2 gap-1.5 sm:grid-cols-3 lg:grid-cols-5"
        >
          {CAR_KIND_IDS.map((id) => {
            const { name, massKg, powerKw } = CAR_KINDS[id];
            return (
              <RadioGroup.Item
                key={id}
                value={id}
                data-value={id}
                className="min-w-0 rounded-[5px] border border-rule bg-panel px-2.5 py-1.5 text-left hover:border-dim data-[state=checked]:border-act data-[state=checked]:shadow-[inset_0_0_0_1px_var(--act)]"
              >
                <span className="block truncate font-[600]">{name}</span>
                <span className="caption">
                  {formatQuantity(massKg, 'mass', units, 0)}, {formatQuantity(powerKw, 'power', units, 0)}
                </span>
              </RadioGroup.Item>
            );
          })}
        </RadioGroup.Root>
      )}
    />
  );
}
