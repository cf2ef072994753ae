import { Collapsible } from 'radix-ui';
import type * as z from 'zod/mini';
import { FLUID_SCHOOLS, fieldInfo, SET_PLACES, type Season, seasonRulesSchema } from '../../../model';
import { PLACE_TEXT, SCHOOL_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { NumberField } from '../../shared/NumberField';
import { Field } from '../../shared/Section';
import { useProject } from '../../state/context';
import { useItem } from '../../state/useItem';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

const NUMBERS = ['confidencePercent', 'riskCost', 'changeCost', 'valueLeftPercent', 'orderDays'] as const;
const PRICE = fieldInfo(
  (seasonRulesSchema.shape.prices as unknown as z.ZodMiniRecord<z.ZodMiniString, z.ZodMiniType<number>>).def
    .valueType,
);

/** What the choice of sets goes by. */
export function RulesPanel({ season }: { readonly season: Season }) {
  const { plans } = useProject();
  const editing = useItem('seasons', season.id);
  if (!editing) return null;
  return (
    <Collapsible.Root className="panel px-4 py-2.5 print:hidden">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-[240px] max-w-full">
          <TextField
            label="Name"
            value={season.name}
            longest={80}
            required
            onCommit={(name) => editing.set(['name'], name, 'Name')}
          />
        </div>
        <div className="w-[260px] max-w-full">
          <SelectField
            label="Driven like"
            value={season.planId}
            options={plans
              .filter(({ carId }) => carId === season.carId)
              .map(({ id, name }) => [id, name] as const)}
            onChange={(planId) => editing.set(['planId'], planId, 'Driven like')}
          />
        </div>
        <div className="w-[260px] max-w-full">
          <SelectField
            label="Fluid is renewed"
            value={season.rules.fluid}
            options={FLUID_SCHOOLS.map((school) => [school, SCHOOL_TEXT[school]] as const)}
            onChange={(school) => editing.set(['rules', 'fluid'], school, 'Fluid is renewed')}
          />
        </div>
        <Collapsible.Trigger className="btn">Rules and prices</Collapsible.Trigger>
      </div>
      <Collapsible.Content className="mt-2 border-t border-rule/60 pt-3">
        <p className="caption max-w-[100ch]">{say.rulesMean}</p>
        <div className="mt-2 grid gap-x-4 gap-y-3 sm:grid-cols-3 lg:grid-cols-5">
          {NUMBERS.map((key) => (
            <Field key={key} shelf="seasons" editing={editing} path={['rules', key]} />
          ))}
        </div>
        <div className="mt-3 grid gap-x-4 gap-y-3 sm:grid-cols-4">
          {SET_PLACES.map((place) => (
            <NumberField
              key={place}
              info={PRICE}
              nullable
              label={`${PLACE_TEXT[place]}, a set`}
              value={season.rules.prices[place] ?? null}
              onCommit={(price) => {
                const { [place]: _old, ...others } = season.rules.prices;
                return editing.set(
                  ['rules', 'prices'],
                  price === null ? others : { ...others, [place]: price },
                  'Price of a set',
                );
              }}
            />
          ))}
        </div>
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
