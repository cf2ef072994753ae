import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { QUESTION } from '../../../compute';
import { type Failure, type FailureCase, MODEST } from '../../../core';
import { dayInput, formatQuantity, fromSi, siText, toSi, type UnitChoice } from '../../../model';
import { pedalText } from '../../../text/en';
import { say } from '../../../text/en/say/garage';
import { WithSession } from '../../shared/WithSession';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { SliderField } from '../../ui/SliderField';

const WORDS: Record<Failure, { name: string; means: string }> = {
  none: { name: 'All in order', means: say.padsWarmFootUp },
  booster: { name: 'Booster lost', means: say.engineStoppedHoseOff },
  'front-circuit': { name: 'Front circuit lost', means: say.onlyRearBrakes },
  'rear-circuit': { name: 'Rear circuit lost', means: say.onlyFrontBrakes },
  'one-diagonal': { name: 'One diagonal lost', means: say.oneFrontOppositeRear },
  'only-circuit': { name: 'The one circuit lost', means: say.nothingBrakesButHand },
};
const HELD: Record<FailureCase['heldBy'], string> = {
  asked: 'the target',
  tyres: 'the tyres',
  pedal: 'the driver’s force',
  travel: 'the pedal’s travel',
  'nothing brakes': '—',
};

/** What is left with something lost, from the fastest straight of the circuit. */
export function FailureTab() {
  return <WithSession>{(computed) => <Failures computed={computed} />}</WithSession>;
}

function Failures({ computed }: { computed: Computed }) {
  const units = useUnits();
  const { tries } = useBackground();
  const input = useMemo(() => dayInput(computed.setup), [computed.setup]);
  const fastest = Math.max(...computed.result.trace.speed);
  const [picked, setPicked] = useState<number | null>(null);
  const speed = picked ?? toSi(Math.round(fromSi(fastest, 'speed')), 'speed');
  const query = useQuery({
    // All that is asked, so that nothing of it can change unseen.
    queryKey: QUESTION.failures(computed.setup, speed),
    queryFn: ({ signal }) =>
      tries.ask((remote) => remote.failures(input, speed) as Promise<FailureCase[]>, signal),
    placeholderData: (before) => before,
  });
  const whole = query.data?.[0];
  return (
    <section className="panel px-4 py-3" aria-label="If something fails">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div className="max-w-[64ch]">
          <h2 className="text-[15px]">What is left if something fails</h2>
          <p className="mt-1">
            {say.straightLevelRoadPads(
              formatQuantity(computed.setup.car.pedal.limitN, 'force', units),
              computed.setup.circuit.name,
              siText(fastest, 'speed', units),
            )}
          </p>
        </div>
        <div className="w-[280px]">
          <SliderField
            label="From"
            value={Math.round(fromSi(speed, 'speed'))}
            min={30}
            max={Math.max(350, Math.ceil(fromSi(fastest, 'speed')))}
            step={1}
            text={siText(speed, 'speed', units)}
            onChange={(kmh) => setPicked(toSi(kmh, 'speed'))}
          />
        </div>
      </div>
      {query.isError ? (
        <p className="mt-2" role="alert">
          {say.couldNotComputed(query.error.message)}
        </p>
      ) : !query.data ? (
        <p className="mt-2 text-dim" role="status">
          Computing …
        </p>
      ) : (
        <div className="mt-2 overflow-x-auto">
          <CaseTable units={units} cases={query.data} whole={whole} />
        </div>
      )}
      <p className="caption mt-2 max-w-[100ch]">
        {say.emptyChamberTandemCylinder(formatQuantity(MODEST, 'deceleration', units, 2))}
      </p>
    </section>
  );
}

/** Each failure with what is left. */
function CaseTable({
  units,
  cases,
  whole,
}: {
  units: UnitChoice;
  cases: readonly FailureCase[];
  whole: FailureCase | undefined;
}) {
  return (
    <table className="w-full text-right">
      <caption className="sr-only">Failures and what is left</caption>
      <thead>
        <tr className="caption">
          <th className="text-left font-normal">What is lost</th>
          <th className="px-2 font-normal">stopping distance</th>
          <th className="px-2 font-normal">of the intact one</th>
          <th className="px-2 font-normal">mean deceleration</th>
          <th className="px-2 font-normal">pedal used</th>
          <th className="px-2 font-normal">pedal for {formatQuantity(MODEST, 'deceleration', units, 2)}</th>
          <th className="pl-2 text-left font-normal">held back by</th>
        </tr>
      </thead>
      <tbody>
        {cases.map((c) => (
          <tr key={c.failure} className="border-t border-rule/60 align-top">
            <th className="py-1.5 text-left font-[600]">
              {WORDS[c.failure].name}
              <span className="caption block font-normal">{WORDS[c.failure].means}</span>
            </th>
            <td className="px-2 py-1.5 text-[16px] font-[640]">
              {Number.isFinite(c.distance) ? formatQuantity(c.distance, 'distance', units) : 'does not stop'}
            </td>
            <td className="px-2 py-1.5">
              {whole && Number.isFinite(c.distance) ? `${(c.distance / whole.distance).toFixed(2)} ×` : '—'}
            </td>
            <td className="px-2 py-1.5">{formatQuantity(c.deceleration, 'deceleration', units)}</td>
            <td className="px-2 py-1.5">{pedalText(c.pedal, units)}</td>
            <td className="px-2 py-1.5">
              {Number.isFinite(c.pedalForModest) ? pedalText(c.pedalForModest, units) : 'out of reach'}
            </td>
            <td className="py-1.5 pl-2 text-left">{HELD[c.heldBy]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
