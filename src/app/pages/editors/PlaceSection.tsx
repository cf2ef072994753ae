import { say } from '../../../text/en/say/editors';
import { Field, Section } from '../../shared/Section';
import type { Editing } from '../../state/useItem';

/** Where a circuit lies on Earth, if anywhere. */
export function PlaceSection({ editing }: { editing: Editing<'circuits'> }) {
  const { place, altitudeM } = editing.item;
  if (!place) {
    return (
      <p className="panel flex flex-wrap items-center justify-between gap-2 px-4 py-2.5">
        <span className="text-dim">{say.noPlaceEarthYet}</span>
        <button
          type="button"
          className="btn"
          onClick={() =>
            editing.set(
              ['place'],
              { latitudeDeg: 0, longitudeDeg: 0, bearingDeg: 0, heightM: altitudeM },
              'Gave the circuit a place',
            )
          }
        >
          Give it a place
        </button>
      </p>
    );
  }
  const field = (key: keyof typeof place) => (
    <Field key={key} shelf="circuits" editing={editing} path={['place', key]} />
  );
  return (
    <Section title="On Earth" note={say.startLineWhereLogs}>
      {field('latitudeDeg')}
      {field('longitudeDeg')}
      {field('bearingDeg')}
      <button
        type="button"
        className="btn justify-self-start"
        onClick={() => editing.set(['place'], null, 'Took the circuit off the map')}
      >
        Take it off the map
      </button>
    </Section>
  );
}
