import { memo } from 'react';
import { Link } from 'react-router';
import { lapHeat, lapTime } from '../../../core';
import { formatValue, siText, type UnitChoice, unitOf } from '../../../model';
import { clockText, doubtNote, type Topic, verdictText } from '../../../text/en';
import { Glossed } from '../../shared/Glossed';
import { StateMark } from '../../shared/StateMark';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { CoolingBand } from './CoolingBand';
import { HowResult } from './HowResult';
import { SidesLine } from './SidesLine';

/** The sentence everything ends in, and the few figures behind it. */
export function VerdictBar({
  behind,
  computed,
}: {
  /** A newer input is being computed */
  behind: boolean;
  computed: Computed;
}) {
  return (
    <section
      className="panel flex flex-wrap items-start gap-x-5 gap-y-2 px-4 py-3"
      aria-label="Verdict"
      data-behind={behind}
    >
      <Told computed={computed} />
    </section>
  );
}

const Told = memo(function Told({ computed }: { computed: Computed }) {
  const units = useUnits();
  const { result } = computed;
  const text = verdictText(result, units);
  return (
    <>
      <div className="min-w-0 flex-1 basis-[min(420px,100%)]">
        <p
          className="flex items-start gap-2.5 text-[17px] leading-snug"
          aria-live="polite"
          data-testid="verdict"
        >
          <StateMark kind={result.verdict.kind} className="mt-[3px]" />
          <span>
            <strong className="font-[680]">{text.state}.</strong> {text.sentence}
          </span>
        </p>
        {text.notes.map((note) => (
          <p key={note} className="mt-1 text-dim">
            <Glossed>{note}</Glossed>
          </p>
        ))}
        <p className="caption mt-1.5">
          {doubtNote(result.doubt)}{' '}
          <Link className="underline" to="/calibrate">
            Calibrate
          </Link>
        </p>
        <CoolingBand computed={computed} />
        <SidesLine computed={computed} />
      </div>
      <dl className="grid grid-cols-[auto_auto] gap-x-3 gap-y-0.5 text-right sm:grid-cols-[auto_auto_auto_auto]">
        {figures(computed, units).map(([name, value, topic]) => (
          <div key={name} className="contents">
            <dt className="caption text-left">
              {name} {topic && <HowResult topic={topic} computed={computed} name={name.toLowerCase()} />}
            </dt>
            <dd className="font-[560]">{value}</dd>
          </div>
        ))}
      </dl>
    </>
  );
});

function figures({ result }: Computed, units: UnitChoice): [string, string, Topic?][] {
  const time = lapTime(result.trace);
  const heat = lapHeat(result.trace);
  const residual = 100 * result.audit.residual;
  return [
    ['Hot lap', `${clockText(Math.floor(time))}.${Math.floor((time % 1) * 10)} min`, 'lap'],
    ['Braking zones', String(result.trace.zones.length)],
    ['Brake energy per lap', siText(heat, 'energy', units), 'energy'],
    ['Mean brake power', siText(heat / time, 'power', units, 1)],
    ['Driving', `${clockText(result.drivingTime)} min`],
    [
      'Energy balance error',
      `${residual < 0.0001 ? '< 0.0001' : formatValue(residual, unitOf('percent', units), 4)} %`,
      'audit',
    ],
  ];
}
