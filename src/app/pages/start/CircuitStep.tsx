import { zodResolver } from '@hookform/resolvers/zod';
import { Tabs } from 'radix-ui';
import { useMemo } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type * as z from 'zod/mini';
import { addCircuit, type Car, zoneFromTyped } from '../../../model';
import { say } from '../../../text/en/say/start';
import { FormText } from '../../shared/form/FormText';
import { useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { FactsForm } from './FactsForm';
import { ZoneRows, type ZonesTyped } from './ZoneRows';
import { EMPTY_ROW, zonesFormSchema } from './zonesForm';

const WAYS = [
  ['table', 'Braking zones, typed or pasted'],
  ['facts', 'A few facts'],
  ['file', 'A GPS file'],
] as const;

/** Goes on to the plan with a circuit. */
function useGoOn() {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  return (circuitId: string) => {
    const next = new URLSearchParams(search);
    next.set('circuit', circuitId);
    navigate(`/new/plan?${next}`);
  };
}

/** A circuit as a table, from a few facts, from a file, or one that is there. */
export function CircuitStep() {
  const project = useProject();
  const setup = useSetup();
  const [search] = useSearchParams();
  const goOn = useGoOn();
  const car = project.cars.find(({ id }) => id === search.get('car')) ?? setup.car;
  return (
    <Tabs.Root defaultValue="table" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <Tabs.List aria-label="Ways to tell a circuit" className="flex flex-wrap gap-1">
        {WAYS.map(([value, name]) => (
          <Tabs.Trigger
            key={value}
            value={value}
            className="btn data-[state=active]:border-act data-[state=active]:bg-act data-[state=active]:text-act-ink"
          >
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value="table">
        <ZonesForm car={car} onMade={goOn} />
      </Tabs.Content>
      <Tabs.Content value="facts">
        <FactsForm car={car} onMade={goOn} />
      </Tabs.Content>
      <Tabs.Content value="file" className="panel px-4 py-3">
        <p className="max-w-[80ch]">{say.gpsHow}</p>
        <Link className="btn mt-2" to={{ pathname: '/circuits/import', search: `?car=${car.id}` }}>
          Open a GPS file
        </Link>
      </Tabs.Content>
      <section
        className="panel flex flex-wrap items-center gap-2 px-4 py-2.5"
        aria-label="Circuits that are there"
      >
        <span className="text-dim">{say.oneYouHave}</span>
        {project.circuits.slice(-6).map(({ id, name }) => (
          <button key={id} type="button" className="btn max-w-[260px]" onClick={() => goOn(id)}>
            <span className="truncate">{name}</span>
          </button>
        ))}
      </section>
    </Tabs.Root>
  );
}

function ZonesForm({ car, onMade }: { readonly car: Car; readonly onMade: (circuitId: string) => void }) {
  const units = useUnits();
  const edit = useEdit();
  const schema = useMemo(() => zonesFormSchema(units), [units]);
  const form = useForm<ZonesTyped, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: { name: 'My circuit', rows: [EMPTY_ROW, EMPTY_ROW, EMPTY_ROW] },
  });
  const submit = form.handleSubmit(({ name, rows }) => {
    const id = crypto.randomUUID();
    const made = edit('New circuit', (project) =>
      addCircuit(project, {
        id,
        name,
        altitudeM: 0,
        trackWidthM: 12,
        place: null,
        source: 'typed',
        layout: { kind: 'zones', zones: rows.map((row, i) => zoneFromTyped(car, row, i + 1)) },
      }),
    );
    if (made) onMade(id);
  });
  return (
    <FormProvider {...form}>
      <form onSubmit={submit} className="panel px-4 py-3" noValidate>
        <div className="mb-2 max-w-[320px]">
          <FormText<ZonesTyped> name="name" label="Name of the circuit" />
        </div>
        <ZoneRows car={car} />
        <div className="mt-3 flex justify-end border-t border-rule/60 pt-2.5">
          <button type="submit" className="btn btn-main">
            Next: the day
          </button>
        </div>
      </form>
    </FormProvider>
  );
}
