import { useParams } from 'react-router';
import { say } from '../../../text/en/say/editors';
import { CircuitTabs } from '../../shared/CircuitTabs';
import { Field, Section } from '../../shared/Section';
import { useSetup } from '../../state/context';
import { useItem } from '../../state/useItem';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

import { LineEditor } from './LineEditor';
import { Missing, PageHead } from './PageHead';
import { PlaceSection } from './PlaceSection';
import { ZonesEditor } from './ZonesEditor';

/** A circuit, as straights and corners or as a list of braking zones. */
export function CircuitPage() {
  const setup = useSetup();
  const { id = setup.circuit.id } = useParams();
  const editing = useItem('circuits', id);
  if (!editing) return <Missing what="circuit" id={id} />;
  const circuit = editing.item;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3" key={id}>
      <PageHead shelf="circuits" item={circuit} />
      <CircuitTabs />
      <Section title="The place">
        <TextField
          label="Name"
          value={circuit.name}
          longest={80}
          required
          onCommit={(name) => editing.set(['name'], name, 'Name of the circuit')}
        />
        <Field shelf="circuits" editing={editing} path={['altitudeM']} />
        <Field shelf="circuits" editing={editing} path={['trackWidthM']} />
        <SelectField
          label="Comes from"
          value={circuit.source}
          options={[
            ['typed', 'Typed'],
            ['recorded', 'A recording'],
            ['made-up', 'Made up from a few facts'],
          ]}
          onChange={(source) => editing.set(['source'], source, 'Where the circuit comes from')}
          note={circuit.source === 'made-up' ? say.circuitMadeUp : undefined}
        />
      </Section>
      <PlaceSection editing={editing} />
      {circuit.layout.kind === 'line' ? <LineEditor editing={editing} /> : <ZonesEditor editing={editing} />}
    </div>
  );
}
