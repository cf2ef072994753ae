import { crewPredicting, QUESTION } from '../../../compute';
import { siText, type UnitChoice } from '../../../model';
import { type NextReading, type NextReadings, nextReadings, type Outcome } from '../../../services';
import { INSTRUMENT_NAMES, LIMIT_TEXT, PLACE_NAMES, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/calibrate';
import { AnswerState } from '../../shared/AnswerState';
import { useBackground, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';
import { ScrollPanel } from '../../ui/ScrollPanel';

const QUIET = 500;

/** What to measure next, ranked by how much surer it makes the verdict. */
export function NextTab() {
  const setup = useSetup();
  const { crew } = useBackground();
  const settled = useSettled(setup, QUIET);
  const answer = useAnswer<NextReadings>(settled && QUESTION.nextReadings(settled), (signal) =>
    nextReadings(settled ?? setup, crewPredicting(crew, signal)),
  );
  const next = answer.data;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel px-4 py-3">
        <p className="max-w-[92ch]">{say.nextLead}</p>
        <AnswerState answer={answer} doing="Weighing what could be measured" />
        {next && <Outcomes next={next} />}
      </section>
      {next && (
        <ScrollPanel label="What to measure next" className={answer.behind ? 'opacity-60' : ''}>
          <Ranked next={next} />
          <p className="caption mt-2">{say.nextTook(next.runs)}</p>
        </ScrollPanel>
      )}
    </div>
  );
}

const AXLE = { front: 'Front', rear: 'Rear' } as const;
const outcomeName = ({ axle, part }: Outcome) => `${AXLE[axle]} ${LIMIT_TEXT[part].name}`;

function Outcomes({ next }: { readonly next: NextReadings }) {
  const units = useUnits();
  return (
    <ul className="mt-2 grid gap-x-5 gap-y-0.5 sm:grid-cols-2">
      {next.outcomes.map((own, i) => (
        <li key={outcomeName(own)} className={i === next.governs ? 'font-[620]' : ''}>
          {say.outcomeNow(
            outcomeName(own),
            siText(own.value, 'temperature', units),
            siText(own.spread, 'difference', units),
            siText(own.limit, 'temperature', units),
          )}
        </li>
      ))}
    </ul>
  );
}

function Ranked({ next }: { readonly next: NextReadings }) {
  const units = useUnits();
  const governing = next.outcomes[next.governs];
  const fluids = next.outcomes.findIndex(({ axle, part }) => axle === governing.axle && part === 'fluid');
  const shown = next.governs === fluids ? [next.governs] : [next.governs, fluids];
  return (
    <table className="w-full min-w-[660px] text-left" data-testid="next-readings">
      <thead>
        <tr className="caption border-b border-rule">
          <th className="py-1 font-normal">Reading</th>
          <th className="px-2 font-normal">With</th>
          <th className="px-2 text-right font-normal">Expected</th>
          {shown.map((i) => (
            <th key={i} className="px-2 text-right font-normal">
              {outcomeName(next.outcomes[i])}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {next.readings.map((own) => (
          <tr
            key={`${own.wheel} ${own.place} ${own.instrument} ${own.after}`}
            className="border-b border-rule/60 last:border-0"
          >
            <th className="py-1 font-[540]">{nameOf(own)}</th>
            <td className="px-2">{withWhat(own)}</td>
            <td className="px-2 text-right">
              {siText(own.expected, 'temperature', units)} ±{siText(own.spread, 'difference', units)}
            </td>
            {shown.map((i) => (
              <td key={i} className="px-2 text-right">
                {gainText(next.outcomes[i].spread, own.left[i], units)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const gainText = (before: number, after: number, units: UnitChoice) =>
  `±${siText(before, 'difference', units)} to ±${siText(after, 'difference', units)}`;

function nameOf({ wheel, place, after, kind }: NextReading): string {
  const what = `${WHEEL_NAMES[wheel]} ${PLACE_NAMES[place]}`;
  if (after !== null) return `${what}, within ${after} s of stopping`;
  return kind === 'sensor' ? `${what}, logged` : what;
}

function withWhat({ instrument }: NextReading): string {
  if (instrument === 'paint') return 'temperature paint';
  if (instrument === 'strip') return 'temperature strip';
  return instrument === 'thermocouple'
    ? INSTRUMENT_NAMES.thermocouple
    : `pyrometer, ${INSTRUMENT_NAMES[instrument]}`;
}
