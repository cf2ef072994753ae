import { Link } from 'react-router';
import type { PlanStart } from '../../../model';
import { say } from '../../../text/en/say/editors';
import { Field, Section } from '../../shared/Section';
import { useProject } from '../../state/context';
import type { Editing } from '../../state/useItem';
import { SelectField } from '../../ui/SelectField';

/** How the brakes begin the first session: cold, warm, or as they were kept. */
export function StartSection({ editing }: { editing: Editing<'plans'> }) {
  const { states } = useProject();
  const { start, carId } = editing.item;
  const own = states.filter((state) => state.carId === carId);
  const options: [string, string][] = [
    ['cold', 'As cold as the air'],
    ['warm', 'Still warm: one temperature'],
    ...own.map((state): [string, string] => [state.id, `Kept state: ${state.name}`]),
  ];
  const choose = (chosen: string) => {
    const next: PlanStart =
      chosen === 'cold'
        ? { kind: 'cold' }
        : chosen === 'warm'
          ? { kind: 'warm', temperatureC: 80 }
          : { kind: 'state', stateId: chosen };
    editing.set(['start'], next, 'Brakes at the start');
  };
  return (
    <Section title="Brakes at the start" note={say.howWarmTheyWhen}>
      <SelectField
        label="Brakes begin"
        value={start.kind === 'state' ? start.stateId : start.kind}
        options={options}
        onChange={choose}
        note={
          own.length === 0 ? (
            <>
              {say.stateKeptUnderBrakes}
              <Link className="underline" to="/">
                workbench
              </Link>
              .
            </>
          ) : undefined
        }
      />
      {start.kind === 'warm' && <Field shelf="plans" editing={editing} path={['start', 'temperatureC']} />}
    </Section>
  );
}
