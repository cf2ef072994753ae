import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ListedTracks } from '../../../compute';
import { addCircuit, type Refused } from '../../../model';
import type { FoundCircuit, FoundLine } from '../../../services';
import { FileDoor } from '../../shared/FileDoor';
import { NumberField } from '../../shared/NumberField';
import { Refusal } from '../../shared/Refusal';
import { useBackground } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { CheckField } from '../../ui/CheckField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { FoundMap } from './FoundMap';
import { FoundSummary } from './FoundSummary';

const BOUND = {
  title: 'The line may move by',
  quantity: 'distance',
  min: 0.1,
  max: 50,
  usual: [0.5, 5],
  description: 'Farthest it may lie off any point. Left empty, the points’ own scatter decides.',
  step: 0.5,
} as const;
const KNOWN = {
  title: 'Length you know',
  quantity: 'distance',
  min: 100,
  max: 40_000,
  usual: [1500, 6000],
  description: 'To compare with; it changes nothing.',
  step: 10,
} as const;

const START = {
  title: 'Start line at',
  quantity: 'distance',
  min: 0,
  usual: [0, 6000],
  description: 'Along the line from where the file begins; or click the line on the map.',
  step: 10,
} as const;

/** Tells one opened file from the next, also after this tab was left: answers are kept under it for a while. */
let opened = 0;
const nextNumber = () => ++opened;

/** Makes a circuit of a GPX, KML, GeoJSON or CSV file. */
export function ImportTab() {
  const { files } = useBackground();
  const [chosen, setChosen] = useState<{ readonly file: File; readonly number: number } | null>(null);
  const listed = useQuery({
    queryKey: ['tracks', chosen?.number],
    enabled: chosen !== null,
    queryFn: () =>
      files.call(
        (remote) => remote.openTracks((chosen as { file: File }).file) as Promise<ListedTracks | Refused>,
      ),
  });
  return (
    <>
      <section className="panel px-4 py-3" aria-label="Circuit file">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <FileDoor
            kind="tracks"
            label="Choose a file"
            testId="circuit-file"
            onFile={(file) => setChosen({ file, number: nextNumber() })}
          />
          <p className="max-w-[80ch]">
            GPX, KML, GeoJSON, or a table of latitude and longitude or of x and y in metres. One lap or many:
            the laps in it are found and laid over each other. The file stays in this browser.
          </p>
        </div>
      </section>
      {chosen && listed.isPending && (
        <p className="panel px-4 py-4 text-dim" role="status">
          Reading {chosen.file.name} …
        </p>
      )}
      {chosen && listed.error && (
        <Refusal
          name={chosen.file.name}
          problems={[{ path: '', message: listed.error.message, severity: 'error' }]}
        />
      )}
      {chosen && listed.data && !listed.data.ok && (
        <Refusal name={chosen.file.name} problems={listed.data.problems} />
      )}
      {chosen && listed.data?.ok && (
        <Lines key={chosen.number} file={chosen.file} number={chosen.number} listed={listed.data} />
      )}
    </>
  );
}

function Lines({ file, number, listed }: { file: File; number: number; listed: ListedTracks }) {
  const { files } = useBackground();
  const longest = listed.tracks.reduce((best, t, i) => (t.points > listed.tracks[best].points ? i : best), 0);
  const [track, setTrack] = useState(longest);
  const [bound, setBound] = useState<number | null>(null);
  const found = useQuery({
    queryKey: ['line', number, track, bound],
    // The choices made so far stay while the line is laid anew.
    placeholderData: (last: FoundLine | Refused | undefined, before) =>
      before?.queryKey[1] === number && before.queryKey[2] === track ? last : undefined,
    queryFn: () => files.call((remote) => remote.findLine(track, bound) as Promise<FoundLine | Refused>),
  });
  return (
    <>
      {(listed.tracks.length > 1 || listed.notes.length > 0) && (
        <section className="panel grid gap-2 px-4 py-3" aria-label="Lines in the file">
          {listed.tracks.length > 1 && (
            <div className="w-[360px] max-w-full">
              <SelectField
                label={`The file holds ${listed.tracks.length} lines`}
                value={String(track)}
                options={listed.tracks.map((t, i) => [String(i), `${t.name} (${t.points} points)`] as const)}
                onChange={(value) => setTrack(Number(value))}
              />
            </div>
          )}
          {listed.notes.map((note) => (
            <p key={note} className="text-close">
              {note}
            </p>
          ))}
        </section>
      )}
      {found.isPending && (
        <p className="panel px-4 py-4 text-dim" role="status">
          Looking for the lap …
        </p>
      )}
      {found.error && (
        <Refusal
          name={file.name}
          problems={[{ path: '', message: found.error.message, severity: 'error' }]}
        />
      )}
      {found.data && !found.data.ok && <Refusal name={file.name} problems={found.data.problems} />}
      {found.data?.ok && (
        <Shape
          key={`${track}`}
          name={listed.tracks[track].name}
          file={file}
          id={`${number}/${track}/${bound}`}
          found={found.data}
          bound={bound}
          settled={!found.isPlaceholderData}
          onBound={setBound}
        />
      )}
    </>
  );
}

function Shape({
  name,
  file,
  id,
  found,
  bound,
  settled,
  onBound,
}: {
  name: string;
  file: File;
  id: string;
  found: FoundLine;
  bound: number | null;
  /** False while the line is laid anew and an older one is shown */
  settled: boolean;
  onBound: (bound: number | null) => void;
}) {
  const { files } = useBackground();
  const edit = useEdit();
  const navigate = useNavigate();
  const [start, setStart] = useState<number | null>(null);
  const [reverse, setReverse] = useState(false);
  const [known, setKnown] = useState<number | null>(null);
  const [title, setTitle] = useState(() => {
    const plain = /^(line|table)( \d+)?$/.test(name) || name === '' ? file.name.replace(/\.\w+$/, '') : name;
    return plain.slice(0, 80);
  });
  const from = Math.round(Math.min(start ?? found.suggestedStart, found.line.length));
  const made = useQuery({
    queryKey: ['corners', id, from, reverse],
    enabled: settled,
    placeholderData: (last: FoundCircuit | Refused | undefined) => last,
    queryFn: () =>
      files.call(
        (remote) =>
          remote.circuit({ bound, start: from, reverse }, 'circuit', 'circuit') as Promise<
            FoundCircuit | Refused
          >,
      ),
  });
  const good = made.data?.ok ? made.data : null;
  const add = () => {
    if (!good) return;
    const circuit = { ...good.circuit, id: crypto.randomUUID(), name: title.trim() || 'Circuit from a file' };
    const made = edit(`Imported ${file.name}`, (p) => addCircuit(p, circuit), {
      done: `Added the circuit “${circuit.name}”`,
    });
    if (made) navigate(`/circuit/${circuit.id}`);
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
          Points as they came, and the line laid through them. Click the line where the start line is; now it
          is {start === null ? 'in the middle of the longest straight' : 'where you clicked'}.
        </p>
      </section>
      <aside className="grid content-start gap-3">
        <FoundSummary found={found} good={good} known={known} />
        <section className="panel grid gap-3 px-4 py-3" aria-label="Choices">
          <TextField label="Name" value={title} longest={80} required onCommit={setTitle} />
          <NumberField
            info={BOUND}
            nullable
            value={bound}
            onCommit={(value) => {
              onBound(value);
              return null;
            }}
          />
          <NumberField
            info={KNOWN}
            nullable
            value={known}
            onCommit={(value) => {
              setKnown(value);
              return null;
            }}
          />
          <NumberField
            info={{ ...START, max: found.line.length }}
            value={from}
            onCommit={(value) => {
              setStart(value);
              return null;
            }}
          />
          <CheckField checked={reverse} onChange={setReverse}>
            Driven the other way round
          </CheckField>
          {made.data && !made.data.ok && (
            <p className="text-over" role="alert">
              {made.data.problems[0].message}
            </p>
          )}
          {made.error && (
            <p className="text-over" role="alert">
              {made.error.message}
            </p>
          )}
          <button
            type="button"
            className="btn btn-main justify-self-start"
            disabled={!good || !settled || made.isFetching}
            onClick={add}
          >
            Add the circuit
          </button>
        </section>
      </aside>
    </div>
  );
}
