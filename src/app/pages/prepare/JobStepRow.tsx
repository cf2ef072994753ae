import { format, parseISO } from 'date-fns';
import { Check, TriangleAlert } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import { useId } from 'react';
import type { JobStep } from '../../../services';
import { CAUTION_TEXT, STOP_TEXT, torqueText } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { useUnits } from '../../state/preferences';
import { Disclosure } from '../../ui/Disclosure';
import { TorqueEntry } from './TorqueEntry';
import type { PrepareTabProps } from './tabProps';

/** One step: a key that a glove can hit, what is done, why, and how one sees that it is right. */
export function JobStepRow({
  step,
  words: [does, why, check],
  prepared,
  onTick,
}: PrepareTabProps & {
  readonly step: JobStep;
  readonly words: readonly [string, string, string];
  readonly onTick: (on: boolean) => void;
}) {
  const id = useId();
  const units = useUnits();
  const { done, torque } = step;
  return (
    <li className="flex gap-3 border-t border-rule/60 py-2 first:border-0" data-step={step.id}>
      <Checkbox.Root
        id={id}
        checked={done !== null}
        onCheckedChange={(next) => onTick(next === true)}
        className="grid h-[44px] w-[44px] shrink-0 place-items-center rounded-[6px] border border-dim bg-ground data-[state=checked]:border-act data-[state=checked]:bg-act data-[state=checked]:text-act-ink"
      >
        <Checkbox.Indicator>
          <Check size={26} strokeWidth={3} aria-hidden="true" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <div className="min-w-0 flex-1">
        <label htmlFor={id} className={`block text-[15px] leading-snug ${done ? 'text-dim' : 'font-[560]'}`}>
          {does}
        </label>
        {!done && (
          <>
            <p className="text-dim">{why}</p>
            <p>
              <span className="caption">Right when</span> {check}
            </p>
          </>
        )}
        {torque && (
          <div className="mt-0.5 flex flex-wrap items-center gap-2">
            <span className={torque.torqueNm === null ? 'text-close-ink' : 'font-[620]'}>
              {torqueText(step, units)}
            </span>
            <TorqueEntry prepared={prepared} torqueKey={torque.key} torqueNm={torque.torqueNm} />
          </div>
        )}
        {!done && step.cautions.length > 0 && (
          <p className="mt-0.5 flex items-start gap-1.5 text-[13px]">
            <TriangleAlert size={15} aria-hidden="true" className="mt-[2px] shrink-0 text-close" />
            {step.cautions.map((caution) => CAUTION_TEXT[caution]).join(' ')}
          </p>
        )}
        {!done && step.stops.length > 0 && (
          <Disclosure className="text-[13px]" summary="What to stop for">
            <ul className="list-disc pl-5">
              {step.stops.map((stop) => (
                <li key={stop}>{STOP_TEXT[stop]}</li>
              ))}
            </ul>
          </Disclosure>
        )}
        {done && (
          <p className="caption">{say.tickedBy(done.by, format(parseISO(done.at), 'd MMM, HH:mm'))}</p>
        )}
      </div>
    </li>
  );
}
