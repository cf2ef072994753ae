import { zodResolver } from '@hookform/resolvers/zod';
import { format, parseISO } from 'date-fns';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import * as z from 'zod/mini';
import type { AxleName, BeddingPlan } from '../../../core';
import { keepBedding, outcomeSchema, type Preparation, storedBrakesOf, toSi } from '../../../model';
import { type BeddingQuestion, beddedAfterCards, beddingCards } from '../../../services';
import { say } from '../../../text/en/say/prepare';
import { FormNumber } from '../../shared/form/FormNumber';
import { FormText } from '../../shared/form/FormText';
import { typedNumber } from '../../shared/form/typed';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import type { PrepareTabProps } from './tabProps';
import { cardPlace } from './useCardPlace';
import { doneBy } from './worker';

interface Typed {
  warmUps: string;
  snubs: string;
  note: string;
}

/** Applications that the card has come past. */
function counted(plan: BeddingPlan, preparation: string): { warmUps: number; snubs: number } {
  const place = cardPlace(preparation);
  const done = place === 0 ? beddingCards(plan) : beddingCards(plan).slice(0, place);
  const of = (phase: string) => done.filter((card) => card.phase === phase && card.does === 'brake').length;
  return { warmUps: of('warm-up'), snubs: of('snubs') };
}

/** What was written down of a run that was driven. */
export function OutcomeLine({ preparation }: { readonly preparation: Preparation }) {
  const { outcome } = preparation.bed;
  if (!outcome) return null;
  return (
    <p className="mt-1" role="status" data-testid="outcome">
      {say.outcomeOf(
        format(parseISO(outcome.done.at), 'd MMM yyyy, HH:mm'),
        outcome.done.by,
        outcome.warmUps,
        outcome.snubs,
        outcome.frontPercent,
        outcome.rearPercent,
      )}{' '}
      {outcome.note}
    </p>
  );
}

/** What was driven of the run: into the car, its brakes and the work's record. */
export function BedOutcome({
  plan,
  prepared,
  question,
}: PrepareTabProps & { readonly plan: BeddingPlan; readonly question: BeddingQuestion }) {
  const { preparation, car } = prepared;
  const units = useUnits();
  const edit = useEdit();
  const needsSign = !preparation.signed && preparation.changes.length > 0;
  const { warmUps, snubs } = counted(plan, preparation.id);
  const schema = z.object({
    warmUps: typedNumber(outcomeSchema.shape.warmUps, units),
    snubs: typedNumber(outcomeSchema.shape.snubs, units),
    note: z.string().check(z.trim(), z.maxLength(300)),
  });
  const form = useForm<Typed, unknown, z.infer<typeof schema>>({
    resolver: zodResolver(schema) as never,
    defaultValues: { warmUps: String(warmUps), snubs: String(snubs), note: '' },
  });
  const typed = useWatch({ control: form.control });
  const shareOf = (axle: AxleName, driven: { warmUps: number; snubs: number }) => {
    const before = toSi(question.setup.car[axle].beddedPercent, 'percent');
    return question.axles.includes(axle) ? beddedAfterCards(plan, axle, driven, before) : before;
  };
  const percent = (axle: AxleName, driven: { warmUps: number; snubs: number }) =>
    Math.round(100 * shareOf(axle, driven));
  const now = { warmUps: Number(typed.warmUps) || 0, snubs: Number(typed.snubs) || 0 };
  const keep = form.handleSubmit((read) => {
    const done = doneBy();
    const frontPercent = percent('front', read);
    const rearPercent = percent('rear', read);
    const brakes = storedBrakesOf(plan.state);
    const of = (wheel: keyof typeof brakes) => ({
      ...brakes[wheel],
      beddedPercent: wheel.startsWith('front') ? frontPercent : rearPercent,
    });
    const state = {
      id: crypto.randomUUID(),
      name: say.stateAfter(preparation.name).slice(0, 80),
      carId: car.id,
      keptAt: done.at,
      brakes: {
        frontLeft: of('frontLeft'),
        frontRight: of('frontRight'),
        rearLeft: of('rearLeft'),
        rearRight: of('rearRight'),
      },
    };
    edit(
      'Bedding written down',
      (p) => keepBedding(p, preparation.id, { done, ...read, frontPercent, rearPercent }, state),
      { done: say.beddedNow(frontPercent, rearPercent) },
    );
  });
  return (
    <section className="panel px-4 py-3" aria-label="What was driven">
      <h2 className="text-[15px]">What was driven of it</h2>
      <OutcomeLine preparation={preparation} />
      {needsSign && <p className="mt-1">{say.signBefore}</p>}
      <FormProvider {...form}>
        <form noValidate className="mt-1.5 flex flex-wrap items-start gap-3" onSubmit={(e) => void keep(e)}>
          <FormNumber<Typed> name="warmUps" label="Warm-ups driven" quantity="count" className="w-[130px]" />
          <FormNumber<Typed> name="snubs" label="Hard snubs driven" quantity="count" className="w-[130px]" />
          <div className="w-[300px] max-w-full">
            <FormText<Typed> name="note" label="How faces and pedal are" />
          </div>
          <button type="submit" className="btn btn-main mt-[18px] min-h-[36px]" disabled={needsSign}>
            Write it down
          </button>
        </form>
      </FormProvider>
      <p className="caption mt-1.5">{say.outcomeMeans(percent('front', now), percent('rear', now))}</p>
    </section>
  );
}
