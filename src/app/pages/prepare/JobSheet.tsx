import { changeWords } from '../../../model';
import type { JobStep } from '../../../services';
import { TOOL_TEXT, torqueText, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { useUnits } from '../../state/preferences';
import type { PrepareTabProps } from './tabProps';

/** Wheels whose steps are the same but for the side: printed once, with a box for each. */
interface Line {
  readonly code: string;
  readonly axle: string | null;
  readonly steps: readonly JobStep[];
}

/** Left and right of an axle on one line, so that the list fits a page. */
function linesOf(steps: readonly JobStep[]): Line[] {
  const lines: { code: string; axle: string | null; steps: JobStep[] }[] = [];
  for (const step of steps) {
    const axle = step.wheel ? (step.wheel.startsWith('front') ? 'Front' : 'Rear') : null;
    const same = axle && lines.find((line) => line.axle === axle && line.code === step.code);
    if (same) same.steps.push(step);
    else lines.push({ code: step.code, axle, steps: [step] });
  }
  // One walks round the car; on paper left stands before right.
  const left = ({ wheel }: JobStep) => (wheel?.endsWith('Left') ? 0 : 1);
  return lines.map((line) => ({ ...line, steps: line.steps.toSorted((a, b) => left(a) - left(b)) }));
}

/** The job list as it prints: one page, black on white, a box for each wheel. */
export function JobSheet({
  prepared,
  words,
}: PrepareTabProps & { readonly words: (step: JobStep) => readonly [string, string, string] }) {
  const units = useUnits();
  const { preparation, work, list, car } = prepared;
  let axle: string | null = '';
  return (
    <article className="panel print hidden text-[9.5px] leading-[1.2] print:block" aria-label="Job sheet">
      <header className="flex justify-between gap-3 border-b-2 border-ink pb-1">
        <h2 className="text-[15px]">
          {preparation.name} · {car.name}
        </h2>
        <p>{preparation.date} · Done by ____________ Checked by ____________</p>
      </header>
      <p className="mt-1">
        {preparation.changes.map((change) => changeWords(change, work.parts, units)).join('; ') ||
          say.noChange}
      </p>
      <p>
        {say.readyBefore}: {list.tools.map((tool) => TOOL_TEXT[tool]).join('; ')}.
      </p>
      <ol className="mt-1 columns-2 gap-4">
        {linesOf(list.steps).map((line) => {
          const [first] = words(line.steps[0]);
          const does = line.code === 'rotor hand' ? say.handsEach : first;
          const head = line.axle !== axle;
          axle = line.axle;
          return (
            <li
              key={`${line.axle} ${line.code}`}
              className="break-inside-avoid border-t border-rule py-[1px]"
            >
              {head && <strong className="block">{line.axle ? `${line.axle} wheels` : 'Car'}</strong>}
              {line.steps.map((step) => (
                <span key={step.id} className="mr-1 whitespace-nowrap">
                  {step.done ? '☒' : '☐'}
                  {step.wheel && (step.wheel.endsWith('Left') ? ' L' : ' R')}
                </span>
              ))}{' '}
              {does}
              {line.steps[0].torque && <em> {torqueText(line.steps[0], units)}.</em>}
            </li>
          );
        })}
      </ol>
      <p className="mt-1 border-t-2 border-ink pt-1">
        {WHEEL_NAMES.frontLeft} ____ / ____ {WHEEL_NAMES.frontRight} ____ / ____ {WHEEL_NAMES.rearLeft} ____ /
        ____ {WHEEL_NAMES.rearRight} ____ / ____ ({say.padAndRotor})
      </p>
      <p>{say.safety}</p>
    </article>
  );
}
