import { useMemo } from 'react';
import { WHEELS, type WheelName } from '../../../core';
import type { Found } from '../../../model';
import { type PrepareCheck, prepareChecks } from '../../../services';
import { prepareCheckText, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { Field } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useUnits } from '../../state/preferences';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import type { PrepareTabProps } from './tabProps';

const MARK = { no: 'over-limit', look: 'close', yes: 'within-limits' } as const;
const WORD = { no: 'Put right first', look: 'Look', yes: 'Fits' } as const;

/** What is computed before a spanner is taken up, and what was found at each wheel. */
export function ChecksTab({ prepared }: PrepareTabProps) {
  const units = useUnits();
  const { work } = prepared;
  const checks = useMemo(() => prepareChecks(work), [work]);
  const keyOf = (check: PrepareCheck) => prepareCheckText(check, units).join(' ');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel px-4 py-3" aria-label="Computed checks" data-testid="checks">
        <h2 className="text-[15px]">Computed for this car</h2>
        {checks.length === 0 && <p className="mt-1 text-dim">{say.nothingToCheck}</p>}
        <ul className="mt-1">
          {checks.map((check) => {
            const [title, says] = prepareCheckText(check, units);
            return (
              <li key={keyOf(check)} className="flex items-start gap-2 border-t border-rule/60 py-1">
                <StateMark kind={MARK[check.state]} className="mt-[2px] h-[15px] w-[15px]" />
                <span className="w-[104px] shrink-0 font-[600]">{WORD[check.state]}</span>
                <span className="min-w-0">
                  <strong className="font-[600]">{title}.</strong> {says}
                </span>
              </li>
            );
          })}
        </ul>
        <p className="caption mt-2 max-w-[90ch]">{say.checksAre}</p>
      </section>
      <h2 className="px-1 text-[15px]">{say.foundAt}</h2>
      <div className="grid gap-3 md:grid-cols-2">
        {WHEELS.map((wheel) => (
          <FoundAt key={wheel} wheel={wheel} prepared={prepared} />
        ))}
      </div>
    </div>
  );
}

const NUMBERS = ['rotorMm', 'padMm', 'rotorKg'] as const satisfies readonly (keyof Found)[];

function FoundAt({ wheel, prepared }: PrepareTabProps & { readonly wheel: WheelName }) {
  const { editing, preparation, work } = prepared;
  const found = preparation.found[wheel];
  const axle = wheel.startsWith('front') ? 'front' : 'rear';
  const curved = !work.car[axle].drum && work.car[axle].rotor.vaneType.startsWith('curved');
  const at = (key: keyof Found) => ['found', wheel, key] as const;
  return (
    <section className="panel big-field px-4 py-3" aria-label={WHEEL_NAMES[wheel]}>
      <h3 className="text-[15px]">{WHEEL_NAMES[wheel]}</h3>
      <div className="mt-1.5 grid gap-x-4 gap-y-2.5 sm:grid-cols-2">
        {NUMBERS.map((key) => (
          <Field key={key} shelf="preparations" editing={editing} path={at(key)} />
        ))}
        <TextField
          label="Marking on the pads"
          value={found.padMark}
          longest={40}
          required={false}
          onCommit={(mark) => editing.set(at('padMark'), mark, 'Marking on pads')}
        />
        {curved && (
          <SelectField
            label="Hand marked on the rotor"
            value={found.rotorHand ?? ''}
            options={[
              ['', 'not looked at'],
              ['left', 'left'],
              ['right', 'right'],
            ]}
            onChange={(hand) => editing.set(at('rotorHand'), hand === '' ? null : hand, 'Hand of a rotor')}
          />
        )}
      </div>
    </section>
  );
}
