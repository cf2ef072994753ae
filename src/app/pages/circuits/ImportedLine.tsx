import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { addCircuit, type Refused } from '../../../model';
import type { FoundCircuit, FoundLine } from '../../../services';
import { say } from '../../../text/en/say/circuits';
import { NumberField } from '../../shared/NumberField';
import { useBackground } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { CheckField } from '../../ui/CheckField';
import { TextField } from '../../ui/TextField';
import { FoundMap } from './FoundMap';
import { FoundSummary } from './FoundSummary';
import { RecordedPanel, useRecorded } from './RecordedPanel';
import { useAfterImport } from './useAfterImport';

export function Shape({
  name,
  file,
  id,
  track,
  found,
  bound,
  settled,
  onBound,
}: {
  name: string;
  file: File;
  id: string;
  /** Which of the file's lines it is */
  track: number;
  found: FoundLine;
  bound: number | null;
  /** False while the line is laid anew and an older one is shown */
  settled: boolean;
  onBound: (bound: number | null) => void;
}) {
  const edit = useEdit();
  const goOn = useAfterImport();
  const [start, setStart] = useState<number | null>(null);
  const [reverse, setReverse] = useState(false);
  const [known, setKnown] = useState<number | null>(null);
  const [title, setTitle] = useState(() => {
    const plain = /^(line|table)( \d+)?$/.test(name) || name === '' ? file.name.replace(/\.\w+$/, '') : name;
    return plain.slice(0, 80);
  });
  const from = Math.round(Math.min(start ?? found.suggestedStart, found.line.length));
  const { good, wrong, ready } = useMade(id, { bound, start: from, reverse }, settled);
  const recorded = useRecorded(id, track, { bound, start: from, reverse }, ready);
  const add = () => {
    if (!good) return;
    const circuit = { ...good.circuit, id: crypto.randomUUID(), name: title.trim() || 'Circuit from a file' };
    const made = edit(`Imported ${file.name}`, (p) => addCircuit(p, circuit), {
      done: `Added the circuit “${circuit.name}”`,
    });
    if (made) goOn(circuit.id);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-[minmax(0,1fr)_380px]">
      <section className="panel px-3 py-2" aria-label="The line that was found">
        <FoundMap
          found={found}
          circuit={good?.circuit ?? null}
          start={from}
          reverse={reverse}
          onStart={setStart}
        />
        <p className="caption mt-1">
          {say.pointsTheyCameLine(start === null ? say.middleLongestStraight : 'where you clicked')}
        </p>
      </section>
      <aside className="grid content-start gap-3">
        <FoundSummary found={found} good={good} known={known} />
        {recorded && <RecordedPanel lap={recorded} title={title} />}
        <Choices
          title={title}
          setTitle={setTitle}
          bound={bound}
          onBound={onBound}
          known={known}
          setKnown={setKnown}
          found={found}
          from={from}
          setStart={setStart}
          reverse={reverse}
          setReverse={setReverse}
          wrong={wrong}
          ready={ready}
          tame={recorded?.tame ?? false}
          add={add}
        />
      </aside>
    </div>
  );
}

/** What is chosen about the line before it becomes a circuit. */
export function Choices({
  title,
  setTitle,
  bound,
  onBound,
  known,
  setKnown,
  found,
  from,
  setStart,
  reverse,
  setReverse,
  wrong,
  ready,
  tame,
  add,
}: {
  title: string;
  setTitle: (value: string) => void;
  bound: number | null;
  onBound: (bound: number | null) => void;
  known: number | null;
  setKnown: (value: number | null) => void;
  found: FoundLine;
  from: number;
  setStart: (value: number | null) => void;
  reverse: boolean;
  setReverse: (value: boolean) => void;
  wrong: string | null;
  ready: boolean;
  /** The file's own times show that this line is too easy on the brakes */
  tame: boolean;
  add: () => void;
}) {
  return (
    <section className="panel grid gap-3 px-4 py-3" aria-label="Choices">
      <TextField label="Name" value={title} longest={80} required onCommit={setTitle} />
      <NumberField info={BOUND} nullable value={bound} onCommit={taking(onBound)} />
      <NumberField info={KNOWN} nullable value={known} onCommit={taking(setKnown)} />
      <NumberField info={{ ...START, max: found.line.length }} value={from} onCommit={taking(setStart)} />
      <CheckField checked={reverse} onChange={setReverse}>
        Driven the other way round
      </CheckField>
      {wrong && (
        <p className="text-over" role="alert">
          {wrong}
        </p>
      )}
      <button
        type="button"
        className={`btn justify-self-start ${tame ? '' : 'btn-main'}`}
        disabled={!ready}
        onClick={add}
      >
        {tame ? 'Add the line all the same' : 'Add the circuit'}
      </button>
    </section>
  );
}

/** A choice that any number of its field can be. */
export const taking = (set: (value: number | null) => void) => (value: number | null) => {
  set(value);
  return null;
};

export const BOUND = {
  title: 'The line may move by',
  quantity: 'distance',
  min: 0.1,
  max: 50,
  usual: [0.5, 5],
  description: say.farthestMayLieOff,
  step: 0.5,
} as const;

export const KNOWN = {
  title: 'Length you know',
  quantity: 'distance',
  min: 100,
  max: 40_000,
  usual: [1500, 6000],
  description: say.compareChangesNothing,
  step: 10,
} as const;

export const START = {
  title: 'Start line at',
  quantity: 'distance',
  min: 0,
  usual: [0, 6000],
  description: say.alongLineWhereFile,
  step: 10,
} as const;

/** The circuit that is made of the line as chosen; an older one stays while it is made anew. */
function useMade(
  id: string,
  choices: { bound: number | null; start: number; reverse: boolean },
  settled: boolean,
) {
  const { files } = useBackground();
  const made = useQuery({
    queryKey: ['corners', id, choices],
    enabled: settled,
    placeholderData: (last: FoundCircuit | Refused | undefined) => last,
    queryFn: () =>
      files.call(
        (remote) => remote.circuit(choices, 'circuit', 'circuit') as Promise<FoundCircuit | Refused>,
      ),
  });
  const good = made.data?.ok ? made.data : null;
  const wrong = made.error?.message ?? (made.data && !made.data.ok ? made.data.problems[0].message : null);
  const ready = good !== null && settled && !made.isFetching;
  return { good, wrong, ready };
}
