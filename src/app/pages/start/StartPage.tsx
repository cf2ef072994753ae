import { useParams, useSearchParams } from 'react-router';
import { say } from '../../../text/en/say/start';
import { PageTitle } from '../../ui/PageTitle';
import { CarStep } from './CarStep';
import { CircuitStep } from './CircuitStep';
import { PlanStep } from './PlanStep';
import { type Step, Steps } from './Steps';

const VIEWS = {
  car: { title: 'Enter my car', lead: say.carLead, view: CarStep },
  circuit: { title: 'Where it is driven', lead: say.circuitLead, view: CircuitStep },
  plan: { title: 'What is driven', lead: say.planLead, view: PlanStep },
} as const satisfies Readonly<Record<Step, unknown>>;

/** From nothing to a verdict on an own car: three short forms. */
export function StartPage() {
  const { step } = useParams();
  const [search] = useSearchParams();
  const now: Step = step && Object.hasOwn(VIEWS, step) ? (step as Step) : 'car';
  const { title, lead, view: View } = VIEWS[now];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[title]} />
      <header className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
        <div className="min-w-0 max-w-[78ch]">
          <h1 className="text-[22px] leading-tight">{title}</h1>
          <p className="mt-0.5 text-dim">{lead}</p>
        </div>
        <Steps step={now} search={search.toString()} />
      </header>
      <View key={now} />
    </div>
  );
}
