import { useParams } from 'react-router';
import type { PlanStart } from '../../../model';
import { say } from '../../../text/en/say/editors';
import { Field, Section } from '../../shared/Section';
import { useFieldOfHash } from '../../shared/useFieldOfHash';
import { useProject, useSetup } from '../../state/context';
import { useItem } from '../../state/useItem';
import { CaptionedDay } from '../../ui/DayField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { DayEditor } from './DayEditor';
import { Missing, PageHead } from './PageHead';
import { StartSection } from './StartSection';
import { WeatherPanel } from './WeatherPanel';

/** What is driven, where, in which weather, how hard. */
export function PlanPage() {
  const setup = useSetup();
  const project = useProject();
  const { id = setup.plan.id } = useParams();
  useFieldOfHash();
  const editing = useItem('plans', id);
  if (!editing) return <Missing what="plan" id={id} />;
  const plan = editing.item;
  const circuit = project.circuits.find((one) => one.id === plan.circuitId);
  const field = (key: string) => <Field key={key} shelf="plans" editing={editing} path={[key]} />;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3" key={id}>
      <PageHead shelf="plans" item={plan} />
      <Section title="Who and where">
        <TextField
          label="Name"
          value={plan.name}
          longest={80}
          required
          onCommit={(name) => editing.set(['name'], name, 'Name of the plan')}
        />
        <SelectField
          label="Car"
          value={plan.carId}
          options={project.cars.map((car) => [car.id, car.name] as const)}
          onChange={(carId) => {
            // What one car's brakes were like says nothing of another's.
            const start: PlanStart = plan.start.kind === 'state' ? { kind: 'cold' } : plan.start;
            editing.replace({ ...plan, carId, start }, 'Car of the plan');
          }}
        />
        <SelectField
          label="Circuit"
          value={plan.circuitId}
          options={project.circuits.map((circuit) => [circuit.id, circuit.name] as const)}
          onChange={(circuitId) => editing.set(['circuitId'], circuitId, 'Circuit of the plan')}
        />
        <CaptionedDay
          label="Day"
          value={plan.date ?? ''}
          onChange={(day) => editing.set(['date'], day === '' ? null : day, 'Day of the plan')}
        />
      </Section>
      <Section title="The driver and the air">
        {[
          'brakingGripUsedPercent',
          'corneringGripUsedPercent',
          'brakeBuildUpS',
          'humidityPercent',
          'pressureHpa',
          'windKmh',
          'windFromDeg',
        ].map(field)}
        {plan.windKmh > 0 && (
          <p className="caption sm:col-span-2 lg:col-span-3">
            {circuit?.place && circuit.layout.kind === 'line' ? say.windTaken : say.windNeedsPlace}
          </p>
        )}
        <WeatherPanel plan={plan} />
      </Section>
      <StartSection editing={editing} />
      <DayEditor editing={editing} />
    </div>
  );
}
