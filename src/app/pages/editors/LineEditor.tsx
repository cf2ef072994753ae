import { useState } from 'react';
import {
  type CircuitSegment,
  circuitClosing,
  circuitProblems,
  closeCircuit,
  cornerSchema,
  fieldInfo,
  formatQuantity,
  straightSchema,
  type UnitChoice,
} from '../../../model';
import { say } from '../../../text/en/say/editors';
import { CircuitMap } from '../../shared/CircuitMap';
import { FieldNotes } from '../../shared/FieldNotes';
import { NumberField } from '../../shared/NumberField';
import { useUnits } from '../../state/preferences';
import type { Editing } from '../../state/useItem';
import { Choice } from '../../ui/Choice';
import { Sortable, SortableRow } from '../../ui/Sortable';
import { TextField } from '../../ui/TextField';
import { toast } from '../../ui/toast';
import { moved } from './listEdits';
import { RowTools } from './RowTools';
import { ZonesFromLap } from './ZonesFromLap';

const HANDS = [
  ['left', 'left'],
  ['right', 'right'],
] as const;

const INFO = {
  lengthM: fieldInfo(straightSchema.shape.lengthM),
  radiusM: fieldInfo(cornerSchema.shape.radiusM),
  angleDeg: fieldInfo(cornerSchema.shape.angleDeg),
  gradePercent: fieldInfo(cornerSchema.shape.gradePercent),
};
const STRAIGHT: CircuitSegment = { kind: 'straight', lengthM: 200, gradePercent: 0 };
const CORNER: CircuitSegment = {
  kind: 'corner',
  name: '',
  radiusM: 50,
  angleDeg: 60,
  hand: 'right',
  gradePercent: 0,
};

const lengthOf = (s: CircuitSegment) =>
  s.kind === 'straight' ? s.lengthM : (s.radiusM * s.angleDeg * Math.PI) / 180;

/** Straights and corners one after the other, with the map and the closing error as one types. */
export function LineEditor({ editing }: { editing: Editing<'circuits'> }) {
  const units = useUnits();
  const [focused, setFocused] = useState<number | null>(null);
  const circuit = editing.item;
  if (circuit.layout.kind !== 'line') return null;
  const { segments } = circuit.layout;
  const put = (next: readonly CircuitSegment[], label: string) =>
    editing.set(['layout', 'segments'], next, label);
  const starts = [0];
  for (const segment of segments) starts.push(starts[starts.length - 1] + lengthOf(segment));
  let corner = 0;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-[minmax(0,1fr)_360px]">
      <section className="panel relative overflow-x-auto px-3 py-2" aria-label="Straights and corners">
        <Sortable
          count={segments.length}
          onMove={(from, to) => put(moved(segments, from, to), `Moved row ${from + 1}`)}
        >
          <table className="w-full min-w-[720px] text-left">
            <LineHead />
            <tbody>
              {segments.map((segment, i) => {
                if (segment.kind === 'corner') corner += 1;
                const name =
                  segment.kind === 'corner' ? segment.name || `corner ${corner}` : `straight ${i + 1}`;
                return (
                  <SegmentRow
                    // biome-ignore lint/suspicious/noArrayIndexKey: pieces have no name of their own but their place
                    key={i}
                    i={i}
                    setFocused={setFocused}
                    segment={segment}
                    corner={corner}
                    editing={editing}
                    name={name}
                    segments={segments}
                    put={put}
                  />
                );
              })}
            </tbody>
          </table>
        </Sortable>
        <div className="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            className="btn"
            onClick={() => put([...segments, STRAIGHT], 'Added a straight')}
          >
            Add a straight
          </button>
          <button type="button" className="btn" onClick={() => put([...segments, CORNER], 'Added a corner')}>
            Add a corner
          </button>
        </div>
        <FieldNotes fields={Object.values(INFO)} />
      </section>
      <aside className="grid grid-cols-[minmax(0,1fr)] content-start gap-3 xl:sticky xl:top-[58px] xl:self-start">
        <section className="panel px-2 py-2" aria-label="Map">
          <CircuitMap
            circuit={circuit}
            lapLength={starts[segments.length]}
            zones={[]}
            selected={null}
            height={300}
            highlight={
              focused !== null && focused < segments.length ? [starts[focused], starts[focused + 1]] : null
            }
          />
        </section>
        <Closing editing={editing} units={units} />
        <ZonesFromLap circuit={circuit} />
      </aside>
    </div>
  );
}

/** x */
function LineHead() {
  return (
    <thead>
      <tr className="caption">
        <th className="w-7 py-1 font-normal">No.</th>
        <th className="font-normal">Piece and name</th>
        <th className="w-[128px] font-normal">Length or radius</th>
        <th className="w-[104px] font-normal">Angle</th>
        <th className="w-[88px] font-normal">Hand</th>
        <th className="w-[96px] font-normal">Grade</th>
        <th className="w-[112px] font-normal">
          <span className="sr-only">Tools</span>
        </th>
      </tr>
    </thead>
  );
}

/** A straight or a corner. */
function SegmentRow({
  i,
  setFocused,
  segment,
  corner,
  editing,
  name,
  segments,
  put,
}: {
  i: number;
  setFocused: (value: number | null) => void;
  segment: CircuitSegment;
  corner: number;
  editing: Editing<'circuits'>;
  name: string;
  segments: readonly CircuitSegment[];
  put: (next: readonly CircuitSegment[], label: string) => void;
}) {
  const number = (key: keyof typeof INFO) => (
    <NumberField
      compact
      label={`${INFO[key].title} of ${name}`}
      info={INFO[key]}
      value={(segment as unknown as Record<string, number>)[key]}
      onCommit={(value) =>
        editing.set(['layout', 'segments', i, key], value, `${INFO[key].title} of ${name}`)
      }
    />
  );
  return (
    <SortableRow
      as="tr"
      index={i}
      className="border-t border-rule/60 align-top"
      onFocus={() => setFocused(i)}
    >
      <td className="py-1.5 text-dim">{segment.kind === 'corner' ? corner : '–'}</td>
      <td className="py-1 pr-2">
        {segment.kind === 'straight' ? (
          <p className="py-1.5 text-dim">Straight</p>
        ) : (
          <TextField
            compact
            label={`Name of corner ${corner}`}
            value={segment.name}
            longest={60}
            required={false}
            onCommit={(value) => editing.set(['layout', 'segments', i, 'name'], value, 'Corner name')}
          />
        )}
      </td>
      <td className="py-1 pr-2">{number(segment.kind === 'straight' ? 'lengthM' : 'radiusM')}</td>
      <td className="py-1 pr-2">{segment.kind === 'corner' && number('angleDeg')}</td>
      <td className="py-1 pr-2">
        {segment.kind === 'corner' && (
          <Choice
            name={`Hand of ${name}`}
            value={segment.hand}
            options={HANDS}
            onChange={(hand) => editing.set(['layout', 'segments', i, 'hand'], hand, `Hand of ${name}`)}
          />
        )}
      </td>
      <td className="py-1 pr-2">{number('gradePercent')}</td>
      <td className="py-1">
        <RowTools name={name} rows={segments} index={i} least={2} onPut={put} />
      </td>
    </SortableRow>
  );
}

function Closing({ editing, units }: { editing: Editing<'circuits'>; units: UnitChoice }) {
  const circuit = editing.item;
  const closing = circuitClosing(circuit);
  if (!closing) return null;
  const problems = circuitProblems(circuit);
  return (
    <section className="panel px-3 py-2.5" aria-label="Closing error">
      <dl className="grid grid-cols-[1fr_auto] gap-x-3">
        <dt>Length of the lap</dt>
        <dd className="text-right font-[560]">{formatQuantity(closing.length, 'distance', units)}</dd>
        <dt>Closure error</dt>
        <dd className="text-right font-[560]" data-testid="closing-gap">
          {formatQuantity(closing.gap, 'distance', units, 1)}
        </dd>
        <dt>Heading misses by</dt>
        <dd className="text-right font-[560]">
          {formatQuantity((closing.heading * 180) / Math.PI, 'angle', units, 1)}
        </dd>
        <dt>Height misses by</dt>
        <dd className="text-right font-[560]">{formatQuantity(closing.height, 'distance', units, 1)}</dd>
      </dl>
      {problems.map((problem) => (
        <p
          key={problem.message}
          role={problem.severity === 'error' ? 'alert' : 'status'}
          className={`mt-2 ${problem.severity === 'error' ? 'text-over' : 'text-close'}`}
        >
          {problem.message.charAt(0).toUpperCase()}
          {problem.message.slice(1)}.{problem.severity === 'error' && say.cannotDrivenLapLike}
        </p>
      ))}
      {problems.length > 0 && (
        <button
          type="button"
          className="btn btn-main mt-2"
          onClick={() => {
            const closed = closeCircuit(circuit);
            const problem = closed ? editing.replace(closed, 'Closed the lap') : say.noChangeStraightsCloses;
            if (problem) toast.error(say.cannotClosedItselfAdd(problem));
          }}
        >
          Close the lap
        </button>
      )}
      <p className="caption mt-2">{say.closingTurnsAllCorners}</p>
    </section>
  );
}
