import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { addCar, CAR_KINDS, type CarAnswers, carFromAnswers } from '../../../model';
import { say } from '../../../text/en/say/start';
import { FormText } from '../../shared/form/FormText';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { carFormSchema, NOTHING_TYPED, type CarTyped as Typed } from './carForm';
import { KindPicker } from './KindPicker';
import { Questions } from './Questions';

const myName = (kind: CarAnswers['kind']) => `My ${CAR_KINDS[kind].name.toLowerCase()}`;

/** A car from its kind and what a driver can tell of it. */
export function CarStep() {
  const units = useUnits();
  const edit = useEdit();
  const navigate = useNavigate();
  const schema = useMemo(() => carFormSchema(units), [units]);
  const form = useForm<Typed, unknown, CarAnswers>({
    resolver: zodResolver(schema),
    defaultValues: NOTHING_TYPED,
  });
  const submit = form.handleSubmit((answers) => {
    const id = crypto.randomUUID();
    const made = edit('New car', (project) => addCar(project, carFromAnswers(answers, id)));
    if (made) navigate(`/new/circuit?car=${id}`);
  });
  return (
    <FormProvider {...form}>
      <form onSubmit={submit} className="grid grid-cols-[minmax(0,1fr)] gap-3" noValidate>
        <section className="panel px-4 py-3" aria-label="Kind of car">
          <KindPicker
            onPicked={(kind, before) => {
              // A name that nobody typed goes with the kind.
              if (form.getValues('name') === myName(before)) form.setValue('name', myName(kind));
            }}
          />
          <div className="mt-2 max-w-[320px]">
            <FormText<Typed> name="name" label="Its name" />
          </div>
        </section>
        <Questions />
        <footer className="panel sticky bottom-[62px] z-10 sm:bottom-2 flex flex-wrap items-center justify-between gap-3 px-4 py-2.5">
          <Told />
          <div className="flex flex-wrap items-center gap-3">
            <span className="caption hidden max-w-[60ch] sm:inline">{say.stepsNote}</span>
            <button type="submit" className="btn btn-main">
              Next: the circuit
            </button>
          </div>
        </footer>
      </form>
    </FormProvider>
  );
}

/** How much has been told so far. */
function Told() {
  const { name: _name, kind, ...answers } = useWatch<Typed>() as Typed;
  const told = Object.values(answers).filter((answer) => answer.trim() !== '').length;
  return (
    <p role="status">{say.answered(told, Object.keys(answers).length, CAR_KINDS[kind].name.toLowerCase())}</p>
  );
}
