import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import * as z from 'zod/mini';
import {
  addPlan,
  hotLapsIn,
  type LapTimes,
  type PlanSentence,
  type Project,
  planFromSentence,
  planSentenceSchema,
  type Setup,
  setupOf,
  toShown,
  type UnitChoice,
  unitOf,
} from '../../../model';
import { say } from '../../../text/en/say/start';
import { FormRadio, FormSelect } from '../../shared/form/FormChoice';
import { FormDate } from '../../shared/form/FormDate';
import { FormNumber } from '../../shared/form/FormNumber';
import { FormText } from '../../shared/form/FormText';
import { typedName, typedNumber } from '../../shared/form/typed';
import { useEngine, useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';

const { shape } = planSentenceSchema;
const formSchema = (units: UnitChoice) =>
  z.pipe(
    z.strictObject({
      name: typedName,
      carId: z.string(),
      circuitId: z.string(),
      sessions: typedNumber(shape.sessions, units),
      each: typedNumber(shape.each, units),
      by: shape.by,
      ambientC: typedNumber(shape.ambientC, units),
      date: z.pipe(
        z.string(),
        z.transform((day) => (day === '' ? null : day)),
      ),
    }),
    planSentenceSchema,
  );
type Typed = z.input<ReturnType<typeof formSchema>>;

const named = (list: readonly { readonly id: string; readonly name: string }[]) =>
  list.map(({ id, name }) => [id, name] as const);

/** A plan said in a sentence; it goes to the workbench with its verdict. */
export function PlanStep() {
  const project = useProject();
  const setup = useSetup();
  const units = useUnits();
  const edit = useEdit();
  const engine = useEngine();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const schema = useMemo(() => formSchema(units), [units]);
  const [wrong, setWrong] = useState<string | null>(null);
  const pick = (list: Project['cars'] | Project['circuits'], id: string | null, fallback: string) =>
    list.some((item) => item.id === id) ? (id as string) : fallback;
  const carId = pick(project.cars, search.get('car'), setup.car.id);
  const circuitId = pick(project.circuits, search.get('circuit'), setup.circuit.id);
  const nameOf = (list: Project['cars'] | Project['circuits'], id: string) =>
    list.find((item) => item.id === id)?.name ?? '';
  const form = useForm<Typed, unknown, PlanSentence>({
    resolver: zodResolver(schema),
    defaultValues: {
      name: `${nameOf(project.cars, carId)}, ${nameOf(project.circuits, circuitId)}`.slice(0, 80),
      carId,
      circuitId,
      sessions: '1',
      each: '20',
      by: 'minutes',
      ambientC: String(Math.round(toShown(22, unitOf('temperature', units)))),
      date: '',
    },
  });
  const submit = form.handleSubmit(async (sentence) => {
    setWrong(null);
    const id = crypto.randomUUID();
    try {
      const laps =
        sentence.by === 'laps'
          ? sentence.each
          : hotLapsIn(
              sentence.each,
              await engine.call((remote) => remote.lapTimes(trial(project, sentence)) as Promise<LapTimes>),
            );
      if (edit('New plan', (p) => addPlan(p, planFromSentence(sentence, laps, id)))) navigate('/');
    } catch (error) {
      setWrong(say.couldNotPlan((error as Error).message));
    }
  });
  return (
    <FormProvider {...form}>
      <form onSubmit={submit} className="panel px-4 py-4" noValidate>
        <div className="flex flex-wrap items-start gap-x-2 gap-y-3 text-[16px] leading-[30px]">
          <span>Drive</span>
          <FormSelect<Typed>
            name="carId"
            label="Car"
            className="w-[220px] max-w-full"
            options={named(project.cars)}
          />
          <span>at</span>
          <FormSelect<Typed>
            name="circuitId"
            label="Circuit"
            className="w-[220px] max-w-full"
            options={named(project.circuits)}
          />
          <span>in</span>
          <FormNumber<Typed> hidden name="sessions" label="Sessions" quantity="count" className="w-[64px]" />
          <span>sessions of</span>
          <FormNumber<Typed> hidden name="each" label="Each of" quantity="count" className="w-[72px]" />
          <FormRadio<Typed>
            name="by"
            label="Counted in"
            options={[
              ['minutes', 'minutes'],
              ['laps', 'hot laps'],
            ]}
          />
          <span>on</span>
          <div className="w-[160px]">
            <FormDate<Typed> name="date" label="Date" />
          </div>
          <span>in air of</span>
          <FormNumber<Typed>
            hidden
            name="ambientC"
            label="Air temperature"
            quantity="temperature"
            className="w-[92px]"
          />
        </div>
        <div className="mt-3 max-w-[420px]">
          <FormText<Typed> name="name" label="Name of the plan" />
        </div>
        {wrong && (
          <p role="alert" className="mt-2 text-over">
            {wrong}
          </p>
        )}
        <div className="mt-3 flex justify-end border-t border-rule/60 pt-2.5">
          <button type="submit" className="btn btn-main" disabled={form.formState.isSubmitting}>
            To the verdict
          </button>
        </div>
      </form>
    </FormProvider>
  );
}

/** The plan's setup before it has a number of laps. */
function trial(project: Project, sentence: PlanSentence): Setup {
  const plan = planFromSentence(sentence, 1, 'trial');
  return setupOf({ ...project, plans: [plan], selectedPlanId: plan.id });
}
