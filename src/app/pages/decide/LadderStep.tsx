import { useState } from 'react';
import {
  changeWords,
  fitChanges,
  formatQuantity,
  partOf,
  partPrice,
  priceInfo,
  type Setup,
  withPrice,
} from '../../../model';
import { type Assessed, type Check, isFreshFill, type Rung, zonesText } from '../../../services';
import { checkText, marginWords, moneyText, signedKelvin } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { NumberField } from '../../shared/NumberField';
import { StateMark } from '../../shared/StateMark';
import { addSetup } from '../../state/addSetup';
import { useProject, useStore } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { ProjectStore } from '../../state/projectStore';
import { useEdit } from '../../state/useEdit';

/** All steps from a setup's car, driven. */
export interface Ladder {
  readonly setup: Setup;
  readonly base: Assessed;
  readonly rungs: readonly Rung[];
  /** Steps and pairs driven */
  readonly tried: number;
}

/** What a step changes, in words. */
export function stepWords(rung: Rung, setup: Setup, units: Parameters<typeof changeWords>[2]): string {
  return rung.changes
    .map((change) => {
      const words = changeWords(change, setup.parts, units);
      return isFreshFill(setup, change) ? `a fresh fill of ${words}` : words;
    })
    .join(' and ');
}

const CHECK_STATE: Record<Check['state'], 'within-limits' | 'close' | 'over-limit'> = {
  yes: 'within-limits',
  look: 'close',
  no: 'over-limit',
};

/** One step of the ladder. */
export function LadderStep({ rung, ladder, common }: { rung: Rung; ladder: Ladder; common: string | null }) {
  const units = useUnits();
  const project = useProject();
  const store = useStore();
  const edit = useEdit();
  const { setup, base } = ladder;
  const [problem, setProblem] = useState<string | null>(null);
  const words = stepWords(rung, setup, units);
  const zones = zonesText(base, rung.assessed, units);
  const [only] = rung.changes;
  const part = rung.changes.length === 1 && only.kind === 'part' ? partOf(only.part, setup.parts) : null;
  const fit = () => {
    edit(`Fitted ${words}`, (p) => fitChanges(p, setup.car.id, rung.changes), {
      done: `Fitted to “${setup.car.name}”: ${words}`,
    });
  };
  const worth = rung.checks.filter((check) => check.state !== 'yes');
  return (
    <tr className="border-b border-rule/60 align-top last:border-0">
      <th className="max-w-[300px] py-1.5 font-[560]">
        {words.charAt(0).toUpperCase() + words.slice(1)}
        {zones !== common && <span className="caption block font-normal">{zones}</span>}
      </th>
      <td className="px-2 py-1.5 text-right font-[620]">{signedKelvin(rung.gain, units)}</td>
      <td className="px-2 py-1.5 text-right">
        {part ? (
          <NumberField
            compact
            label={`Price of ${words}`}
            info={priceInfo}
            value={partPrice(project, part)}
            onCommit={(price) => {
              const edited = store.edit('Price', (p) => withPrice(p, part.id, price), `price/${part.id}`);
              return edited.made ? null : edited.message;
            }}
          />
        ) : (
          moneyText(rung.price, project.currency)
        )}
      </td>
      <td className="px-2 py-1.5 text-right">
        {rung.gain < 0.5
          ? '—'
          : Number.isFinite(rung.perHundred)
            ? formatQuantity(rung.perHundred, 'difference', units)
            : 'free'}
      </td>
      <td className="px-2 py-1.5">{marginWords(rung.after, units)}</td>
      <td className="max-w-[270px] px-2 py-1.5">
        {worth.length === 0 && rung.tooCold.length === 0 && (
          <span className="flex items-start gap-1.5">
            <StateMark kind="within-limits" className="mt-[2px] h-[13px] w-[13px]" />{' '}
            {rung.checks.map((c) => checkText(c, units)).join('; ')}
          </span>
        )}
        {worth.map((check) => (
          <span key={check.kind} className="flex items-start gap-1.5">
            <StateMark kind={CHECK_STATE[check.state]} className="mt-[2px] h-[13px] w-[13px]" />{' '}
            {checkText(check, units)}
          </span>
        ))}
        {rung.tooCold.length > 0 && (
          <span className="flex items-start gap-1.5">
            <StateMark kind="below-working" className="mt-[2px] h-[13px] w-[13px]" />
            {say.padsThenTooCold(rung.tooCold.join(' and '))}
          </span>
        )}
      </td>
      <Fitting
        words={words}
        setProblem={setProblem}
        store={store}
        setup={setup}
        rung={rung}
        fit={fit}
        problem={problem}
      />
    </tr>
  );
}

/** Compares the step, or fits it. */
function Fitting({
  words,
  setProblem,
  store,
  setup,
  rung,
  fit,
  problem,
}: {
  words: string;
  setProblem: (value: string | null) => void;
  store: ProjectStore;
  setup: Setup;
  rung: Rung;
  fit: () => void;
  problem: string | null;
}) {
  return (
    <td className="whitespace-nowrap py-1.5 text-right">
      <button
        type="button"
        className="btn"
        aria-label={`Compare ${words}`}
        onClick={() =>
          setProblem(addSetup(store, setup, words.charAt(0).toUpperCase() + words.slice(1), rung.changes))
        }
      >
        Compare
      </button>{' '}
      {rung.possible && (
        <button type="button" className="btn" aria-label={`Fit ${words}`} onClick={fit}>
          Fit
        </button>
      )}
      {problem && (
        <span role="alert" className="block whitespace-normal">
          {problem}
        </span>
      )}
    </td>
  );
}
