import { Download, Megaphone } from 'lucide-react';
import { useMemo } from 'react';
import type { BeddingPlan } from '../../../core';
import { type Preparation, siText } from '../../../model';
import { benchCsv } from '../../../report';
import { type BeddingQuestion, beddingCards } from '../../../services';
import { cardText } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { download } from '../../shell/files';
import { useUnits } from '../../state/preferences';
import { Disclosure } from '../../ui/Disclosure';
import { ScrollPanel } from '../../ui/ScrollPanel';

/** What is driven, one after the other, with what it comes to. */
export function BedSteps({
  plan,
  question,
  preparation,
  onCard,
}: {
  readonly plan: BeddingPlan;
  readonly question: BeddingQuestion;
  readonly preparation: Preparation;
  readonly onCard: () => void;
}) {
  const units = useUnits();
  const cards = useMemo(() => beddingCards(plan), [plan]);
  const t = (kelvin: number) => siText(kelvin, 'temperature', units);
  return (
    <section className="panel px-4 py-3">
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-main min-h-[40px]" onClick={onCard}>
          <Megaphone size={16} aria-hidden="true" /> Card to drive by
        </button>
        {preparation.bed.version === 'bench' && (
          <button
            type="button"
            className="btn min-h-[40px]"
            onClick={() => download('table', preparation.name, benchCsv(question, plan), '-bench')}
          >
            <Download size={16} aria-hidden="true" /> Bench schedule
          </button>
        )}
      </div>
      <Disclosure className="mt-2" summary={say.stepByStep(cards.length)}>
        <ScrollPanel label="Bedding run, step by step" className="mt-1 border-0! p-0!">
          <table className="w-full min-w-[620px] max-w-[1000px] text-left">
            <thead>
              <tr className="caption border-b border-rule">
                <th className="py-0.5">What</th>
                {question.axles.flatMap((axle) =>
                  ['pad highest', 'rotor', 'bedded'].map((what) => (
                    <th key={`${axle} ${what}`} className="text-right">
                      {axle} {what}
                    </th>
                  )),
                )}
              </tr>
            </thead>
            <tbody>
              {cards.map((card) => (
                <tr key={card.start} className="border-t border-rule/60">
                  <th className="py-0.5 font-[520]">{cardText(card, units).says}</th>
                  {question.axles.flatMap((axle) => {
                    const at = card.at[axle];
                    return [
                      <td key={`${axle} pad`} className="text-right">
                        {t(at.padPeak)}
                      </td>,
                      <td key={`${axle} rotor`} className="text-right">
                        {t(at.rotorBulk)}
                      </td>,
                      <td key={`${axle} bedded`} className="text-right">
                        {Math.round(100 * at.bedded)} %
                      </td>,
                    ];
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </ScrollPanel>
      </Disclosure>
    </section>
  );
}
