import { memo, type ReactNode } from 'react';
import { AXLES, coldestBite, leastMargin } from '../../../core';
import { formatQuantity, formatValue, siText, type UnitChoice, unitOf } from '../../../model';
import {
  AXLE_WORDS,
  changeText,
  explainComparison,
  fadeText,
  marginWords,
  moneyText,
  signedKelvin,
  signedSeconds,
  verdictText,
} from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { How } from '../../shared/How';
import { StateMark } from '../../shared/StateMark';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { Tip } from '../../ui/Tip';
import type { Compared } from './compared';
import { SetupMark } from './SetupMark';

interface Row {
  readonly name: string;
  readonly cell: (c: Compared) => ReactNode;
  /** Difference against the reference, in words */
  readonly against?: (c: Compared, reference: Compared) => string | null;
}

/** Verdicts, margins, energy, mass, lap time, money and wear side by side, differences against the pinned one. */
export const CompareTable = memo(function CompareTable({
  compared,
  reference,
}: {
  compared: readonly Compared[];
  reference: Compared;
}) {
  const units = useUnits();
  const { currency } = useProject();
  const rows = rowsOf(units, currency, reference);
  return (
    <ScrollPanel label="Comparison">
      <p className="caption">
        {say.differencesSmallPrintAgainst(reference.name)}
        <How
          name="the comparison"
          told={() => explainComparison(reference.name, reference.assessed, units)}
        />
      </p>
      <table className="mt-1.5 w-full border-collapse text-left text-[13px]">
        <caption className="sr-only">Setups compared, differences against {reference.name}</caption>
        <thead>
          <tr className="border-b border-rule align-bottom">
            <th className="caption w-[150px] py-1.5 pr-2 font-normal">What</th>
            {compared.map((c, i) => (
              <th key={c.id ?? 'plan'} className="min-w-[150px] px-2 py-1.5 font-[620]">
                <SetupMark index={i} />
                <Tip text={c.name}>
                  <span className="line-clamp-2 break-words">{c.name}</span>
                </Tip>
                {c === reference && <span className="caption block font-normal">reference</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className="border-b border-rule/60 align-top last:border-0">
              <th className="py-1 pr-2 font-[520]">{row.name}</th>
              {compared.map((c) => {
                const against = c === reference ? null : row.against?.(c, reference);
                return (
                  <td key={c.id ?? 'plan'} className="px-2 py-1">
                    {row.cell(c)}
                    {against && <span className="caption block">{against}</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollPanel>
  );
});

function rowsOf(units: UnitChoice, currency: string, reference: Compared): Row[] {
  return [
    verdictRow(units),
    ...heatRows(units),
    ...lapRows(units, reference.name),
    ...lifeRows(units, reference.name),
    ...moneyRows(currency, reference),
  ];
}

const verdictRow = (units: UnitChoice): Row => ({
  name: 'Verdict',
  cell: (c) => {
    const text = verdictText(c.assessed.summary, units);
    return (
      <span className="flex items-start gap-1.5">
        <StateMark kind={c.assessed.summary.verdict.kind} className="mt-[2px] h-[14px] w-[14px]" />
        <span>
          <strong className="font-[640]">{text.state}.</strong> {text.sentence}
        </span>
      </span>
    );
  },
});

/** Margins, cold bite and peaks, the brake reserve. */
function heatRows(units: UnitChoice): Row[] {
  const temperature = (kelvin: number) => siText(kelvin, 'temperature', units);
  const hottest = (
    c: Compared,
    axle: 'front' | 'rear',
    part: 'rotorFace' | 'rotorBulk' | 'padFace' | 'fluid',
  ) =>
    Math.max(c.assessed.summary.peaks[`${axle}Left`][part], c.assessed.summary.peaks[`${axle}Right`][part]);
  const peak = (part: 'rotorFace' | 'rotorBulk' | 'padFace' | 'fluid', name: string): Row => ({
    name: `${name}, front · rear`,
    cell: (c) => AXLES.map((axle) => temperature(hottest(c, axle, part))).join(' · '),
    against: (c, r) =>
      AXLES.map((axle) => signedKelvin(hottest(c, axle, part) - hottest(r, axle, part), units)).join(' · '),
  });
  const margin = (axle: 'front' | 'rear'): Row => ({
    name: `${AXLE_WORDS[axle]}, smallest margin`,
    cell: (c) => marginWords(leastMargin(c.assessed.summary, axle), units).replace(`${axle} `, ''),
    against: (c, r) =>
      signedKelvin(
        leastMargin(c.assessed.summary, axle).margin - leastMargin(r.assessed.summary, axle).margin,
        units,
      ),
  });
  return [
    margin('front'),
    margin('rear'),
    {
      name: 'Cold bite, front · rear',
      cell: (c) =>
        AXLES.map((axle) => {
          const bite = coldestBite(c.assessed.summary, axle);
          return bite ? signedKelvin(bite.margin, units) : '—';
        }).join(' · '),
    },
    peak('rotorFace', 'Rotor surface'),
    peak('rotorBulk', 'Rotor core (bulk)'),
    peak('fluid', 'Fluid'),
    {
      name: 'Brake reserve',
      cell: (c) => (c.assessed.summary.fade ? fadeText(c.assessed.summary.fade.margin) : '—'),
    },
  ];
}

/** What a lap asks, and the car that drives it. */
function lapRows(units: UnitChoice, against: string): Row[] {
  return [
    {
      name: 'Brake energy per lap',
      cell: (c) => siText(c.assessed.summary.lapHeat, 'energy', units),
      against: (c, r) =>
        changeText(r.assessed.summary.lapHeat, c.assessed.summary.lapHeat, `in “${against}”`),
    },
    {
      name: 'Mean brake power',
      cell: (c) => siText(c.assessed.summary.lapPower, 'power', units, 1),
    },
    {
      name: 'Hot lap',
      cell: (c) => `${c.assessed.summary.lapTime.toFixed(2)} s`,
      against: (c, r) => signedSeconds(c.assessed.summary.lapTime - r.assessed.summary.lapTime),
    },
    {
      name: 'Car · a rotor, front · rear',
      cell: (c) =>
        `${formatQuantity(c.assessed.summary.mass, 'mass', units, 0)} · ${AXLES.map((axle) => formatQuantity(c.assessed.rotorMass[axle], 'mass', units)).join(' · ')}`,
    },
    {
      name: 'Brake balance (% front), warm pads',
      cell: (c) => `${(100 * c.assessed.frontShare).toFixed(1)} %`,
      against: (c, r) => {
        const points = 100 * (c.assessed.frontShare - r.assessed.frontShare);
        return Math.abs(points) < 0.05
          ? null
          : `${points > 0 ? '+' : '−'}${Math.abs(points).toFixed(1)} points`;
      },
    },
  ];
}

/** What a day takes from pads and rotors. */
function lifeRows(units: UnitChoice, against: string): Row[] {
  const worn = (c: Compared, axle: 'front' | 'rear') =>
    1000 * Math.max(c.assessed.summary.padWear[`${axle}Left`], c.assessed.summary.padWear[`${axle}Right`]);
  const crack = (c: Compared, axle: 'front' | 'rear') =>
    c.assessed.summary.strain[`${axle}Left`].fatigueDamage;
  return [
    {
      name: 'Pad wear a day (index)',
      cell: (c) =>
        AXLES.map((axle) =>
          formatQuantity(worn(c, axle), 'smallLength', units, units.smallLength === 'us' ? 4 : 2),
        ).join(' · '),
      against: (c, r) => changeText(worn(r, 'front'), worn(c, 'front'), `at the front of “${against}”`),
    },
    {
      name: 'Fatigue damage (index)',
      cell: (c) =>
        AXLES.map((axle) => {
          const share = crack(c, axle);
          return share === null ? '—' : `${formatValue(100 * share, unitOf('percent', {}), 2)} %`;
        }).join(' · '),
    },
  ];
}

function moneyRows(currency: string, reference: Compared): Row[] {
  const least = (c: Compared) => leastMargin(c.assessed.summary).margin;
  return [
    {
      name: 'Money',
      cell: (c) =>
        c.id === null ? '—' : c.priced ? moneyText(c.price, currency) : 'another car, not priced',
    },
    {
      name: 'Cost per °C gained',
      cell: (c) => {
        const gain = least(c) - least(reference);
        const paid = c.price - reference.price;
        if (c === reference || !c.priced || !reference.priced) return '—';
        if (gain < 0.5) return 'gains none';
        return paid <= 0 ? 'free' : moneyText(Number((paid / gain).toFixed(2)), currency);
      },
    },
  ];
}
