import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { WheelName } from '../../../core';
import type { JobStep } from '../../../services';
import { stepTexts, TOOL_TEXT, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { useUnits } from '../../state/preferences';
import { CheckField } from '../../ui/CheckField';
import { ChangeSet } from './ChangeSet';
import { JobSheet } from './JobSheet';
import { JobStepRow } from './JobStepRow';
import { OtherDevice } from './OtherDevice';
import type { PrepareTabProps } from './tabProps';
import { useTick } from './usePrepared';
import { VaneDrawing } from './VaneDrawing';

/** Steps of one place, in their order. */
interface Block {
  readonly key: string;
  readonly wheel: WheelName | null;
  readonly steps: readonly JobStep[];
}

function blocksOf(steps: readonly JobStep[]): Block[] {
  const blocks: { key: string; wheel: WheelName | null; steps: JobStep[] }[] = [];
  for (const step of steps) {
    const last = blocks[blocks.length - 1];
    if (last && last.wheel === step.wheel) last.steps.push(step);
    else blocks.push({ key: `${blocks.length}`, wheel: step.wheel, steps: [step] });
  }
  return blocks;
}

const nameOf = ({ wheel, key }: Block) =>
  wheel ? WHEEL_NAMES[wheel] : key === '0' ? 'Before the wheels come off' : 'On its wheels again';

/** The job list, ticked with a thumb or printed. */
export function JobsTab({ prepared }: PrepareTabProps) {
  const units = useUnits();
  const { list, work, preparation } = prepared;
  const tick = useTick(preparation.id);
  const [openOnly, setOpenOnly] = useState(false);
  const words = useMemo(() => stepTexts(work, units), [work, units]);
  const blocks = blocksOf(list.steps);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <ChangeSet prepared={prepared} />
      <section className="panel px-4 py-3 print:hidden">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h2 className="mr-auto text-[15px]">{say.readyBefore}</h2>
          <CheckField checked={openOnly} onChange={setOpenOnly}>
            only what is open
          </CheckField>
          <button type="button" className="btn" onClick={() => window.print()}>
            <Printer size={15} aria-hidden="true" /> Print one page
          </button>
        </div>
        <ul className="mt-1 columns-1 gap-x-6 sm:columns-2 lg:columns-3">
          {list.tools.map((tool) => (
            <li key={tool} className="break-inside-avoid">
              {TOOL_TEXT[tool]}
            </li>
          ))}
        </ul>
        <OtherDevice preparation={preparation} />
        {list.missing.length > 0 && <p className="mt-2">{say.figuresMissing(list.missing.length)}</p>}
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 print:hidden" data-testid="jobs">
        {blocks.map((block) => {
          const open = block.steps.filter(({ done }) => !done).length;
          const shown = openOnly ? block.steps.filter(({ done }) => !done) : block.steps;
          if (shown.length === 0) return null;
          return (
            <section key={block.key} className="panel px-3 py-2.5 sm:px-4" aria-label={nameOf(block)}>
              <h2 className="flex items-baseline gap-3 text-[16px]">
                {nameOf(block)}
                <span className="caption">
                  {open === 0 ? 'done' : `${open} of ${block.steps.length} open`}
                </span>
              </h2>
              {block.wheel && block.steps.some(({ code }) => code === 'rotor hand') && (
                <VaneDrawing rotor={work.car[block.wheel.startsWith('front') ? 'front' : 'rear'].rotor} />
              )}
              <ol className="mt-1">
                {shown.map((step) => (
                  <JobStepRow
                    key={step.id}
                    step={step}
                    words={words(step)}
                    prepared={prepared}
                    onTick={(on) => tick(step.id, on)}
                  />
                ))}
              </ol>
            </section>
          );
        })}
      </div>
      <p className="caption px-1 print:hidden">{say.safety}</p>
      <JobSheet prepared={prepared} words={words} />
    </div>
  );
}
