import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import {
  addCircuit,
  type Car,
  CHARACTER_IDS,
  type CircuitFacts,
  circuitFactsSchema,
  fieldInfo,
  planFromSentence,
  type Refused,
  type Setup,
  type UnitChoice,
} from '../../../model';
import type { MadeCircuit } from '../../../services';
import { clockText } from '../../../text/en';
import { say } from '../../../text/en/say/start';
import { FormRadio } from '../../shared/form/FormChoice';
import { FormNumber } from '../../shared/form/FormNumber';
import { FormText } from '../../shared/form/FormText';
import { typedName, typedNumber } from '../../shared/form/typed';
import { useEngine, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { toast } from '../../ui/toast';

const { shape } = circuitFactsSchema;
const NUMBERS = ['lengthM', 'longestStraightM', 'corners', 'lapTimeS'] as const;
const CHARACTERS = {
  'hard-stop': 'Hard stops',
  twisty: 'Twisty',
  'long-straight': 'One long straight',
} as const;

const formSchema = (units: UnitChoice) =>
  z.pipe(
    z.strictObject({
      name: typedName,
      lengthM: typedNumber(shape.lengthM, units),
      lapTimeS: typedNumber(shape.lapTimeS, units),
      corners: typedNumber(shape.corners, units),
      longestStraightM: typedNumber(shape.longestStraightM, units),
      character: shape.character,
    }),
    circuitFactsSchema,
  );
type Typed = z.input<ReturnType<typeof formSchema>>;

/** A circuit made up from what the programme says of it. */
export function FactsForm({
  car,
  onMade,
}: {
  readonly car: Car;
  readonly onMade: (circuitId: string) => void;
}) {
  const units = useUnits();
  const edit = useEdit();
  const engine = useEngine();
  const setup = useSetup();
  const schema = useMemo(() => formSchema(units), [units]);
  const form = useForm<Typed, unknown, CircuitFacts>({
    resolver: zodResolver(schema),
    defaultValues: {
      name: 'My circuit',
      lengthM: '',
      lapTimeS: '',
      corners: '',
      longestStraightM: '',
      character: 'hard-stop',
    },
  });
  const [wrong, setWrong] = useState<string | null>(null);
  const submit = form.handleSubmit(async (facts) => {
    const id = crypto.randomUUID();
    setWrong(null);
    try {
      const made = await engine.call(
        (remote) =>
          remote.circuitFromFacts(facts, drivenBy(setup, car), id) as Promise<MadeCircuit | Refused>,
      );
      if (!made.ok) {
        setWrong(made.problems[0].message);
        return;
      }
      if (!edit('New circuit', (project) => addCircuit(project, made.circuit))) return;
      toast.success(say.madeUp(clockText(Math.round(made.lapTime)), clockText(Math.round(facts.lapTimeS))));
      onMade(id);
    } catch (error) {
      setWrong(say.couldNotMake((error as Error).message));
    }
  });
  return (
    <FormProvider {...form}>
      <form onSubmit={submit} className="panel px-4 py-3" noValidate>
        <p className="caption max-w-[92ch]">{say.factsHow}</p>
        <div className="mt-2 grid gap-x-5 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
          <FormText<Typed> name="name" label="Name of the circuit" />
          {NUMBERS.map((key) => {
            const info = fieldInfo(shape[key]);
            return (
              <div key={key}>
                <FormNumber<Typed> name={key} label={info.title} quantity={info.quantity} />
                <p className="caption mt-0.5">{info.description}</p>
              </div>
            );
          })}
          <div>
            <p className="caption">Character</p>
            <FormRadio<Typed>
              name="character"
              label="Character"
              options={CHARACTER_IDS.map((id) => [id, CHARACTERS[id]] as const)}
            />
          </div>
        </div>
        {wrong && (
          <p role="alert" className="mt-2 text-over">
            {wrong}
          </p>
        )}
        <div className="mt-3 flex justify-end border-t border-rule/60 pt-2.5">
          <button type="submit" className="btn btn-main" disabled={form.formState.isSubmitting}>
            Next: the day
          </button>
        </div>
      </form>
    </FormProvider>
  );
}

/** A practised driver in the car: what the lap time is of. */
function drivenBy(setup: Setup, car: Car): Setup {
  const sentence = {
    name: car.name,
    carId: car.id,
    circuitId: setup.circuit.id,
    sessions: 1,
    each: 5,
    by: 'laps',
    ambientC: 20,
    date: null,
  } as const;
  return { ...setup, car, plan: planFromSentence(sentence, 5, 'facts'), begun: null };
}
