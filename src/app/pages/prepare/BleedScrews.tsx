import { Minus, Plus } from 'lucide-react';
import { drawAt, fromSi } from '../../../model';
import type { BleedPlan, BleedStep } from '../../../services';
import { drawText, screwName } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { StateMark } from '../../shared/StateMark';
import { useEdit } from '../../state/useEdit';
import type { PrepareTabProps } from './tabProps';

/** What one tap adds, cm³. */
const TAP = 10;

/** Screw by screw, with a counter of what has been drawn. */
export function BleedScrews({ prepared, plan }: PrepareTabProps & { readonly plan: BleedPlan }) {
  const { drawn } = prepared.preparation.bleed;
  const current = plan.steps.find(({ id, draw }) => (drawn[id] ?? 0) < Math.round(fromSi(draw, 'volume')));
  return (
    <section className="panel px-4 py-3" aria-label="Screws in their order" data-testid="screws">
      <h2 className="text-[15px]">
        {prepared.car.workshop.bleedOrder ? say.makersOrder : say.farthestFirst}
      </h2>
      <ol className="mt-1">
        {plan.steps.map((step, i) => (
          <Screw key={step.id} step={step} n={i + 1} prepared={prepared} current={step === current} />
        ))}
      </ol>
      <p className="caption mt-1.5">{say.counterMeans(TAP)}</p>
    </section>
  );
}

function Screw({
  step,
  n,
  prepared,
  current,
}: PrepareTabProps & { readonly step: BleedStep; readonly n: number; readonly current: boolean }) {
  const edit = useEdit();
  const { id, bleed } = prepared.preparation;
  const drawn = bleed.drawn[step.id] ?? 0;
  const wanted = Math.round(fromSi(step.draw, 'volume'));
  const shows = Math.round(fromSi(step.arrives, 'volume'));
  const done = drawn >= wanted;
  const name = screwName(step);
  const add = (cm3: number) =>
    edit('Drawn at a screw', (p) => drawAt(p, id, step.id, drawn + cm3), { key: `${id}/${step.id}` });
  const colour =
    drawn === 0
      ? ''
      : drawn < shows
        ? say.stillOld(bleed.oldColour)
        : done
          ? say.nowNew(bleed.newColour)
          : say.turns;
  return (
    <li
      className={`flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule/60 py-2 first:border-0 ${current ? 'bg-sunk' : ''}`}
      aria-current={current ? 'step' : undefined}
    >
      <span className="w-[20px] text-right font-[650]">{n}</span>
      <div className="min-w-[180px] flex-1">
        <p className="flex items-center gap-2 font-[600]">
          {name}
          {done && <StateMark kind="within-limits" className="h-[14px] w-[14px]" />}
        </p>
        <p className="text-dim">
          {drawText(step)}
          {bleed.way === 'pedal' && step.strokes > 0 && say.aboutStrokes(step.strokes)}
        </p>
      </div>
      <p className="w-[150px] text-right tabular-nums">
        <strong className="text-[17px]">{Math.round(drawn)}</strong> of {wanted} cm³
        {colour && <span className="caption block">{colour}</span>}
      </p>
      <span className="flex gap-1.5">
        <button
          type="button"
          className="btn min-h-[44px] w-[44px] justify-center"
          aria-label={`Less at ${name}`}
          disabled={drawn === 0}
          onClick={() => add(-Math.min(TAP, drawn))}
        >
          <Minus size={18} aria-hidden="true" />
        </button>
        <button
          type="button"
          className="btn min-h-[44px] w-[56px] justify-center"
          aria-label={`${TAP} cm³ more at ${name}`}
          onClick={() => add(TAP)}
        >
          <Plus size={18} aria-hidden="true" />
          {TAP}
        </button>
        <button
          type="button"
          className="btn min-h-[44px]"
          disabled={done}
          aria-label={`All drawn at ${name}`}
          onClick={() => add(wanted - drawn)}
        >
          All
        </button>
      </span>
    </li>
  );
}
