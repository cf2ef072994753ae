import { useState } from 'react';
import { QUESTION } from '../../../compute';
import type { AxleName, AxleNeed, CoolingNeed } from '../../../core';
import { AXLES } from '../../../core';
import {
  type Change,
  ductPrice,
  fitChanges,
  formatQuantity,
  fromSi,
  partOf,
  type Setup,
  siText,
  type UnitChoice,
} from '../../../model';
import { ductShapes } from '../../../services';
import {
  AXLE_WORDS,
  explainDuctDrag,
  explainNeed,
  marginWords,
  moneyText,
  noDuctWords,
  signedSeconds,
} from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { How } from '../../shared/How';
import { Field } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { addSetup } from '../../state/addSetup';
import { useBackground, useProject, useSetup, useStore } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useEdit } from '../../state/useEdit';
import { useItem } from '../../state/useItem';
import { useSettled } from '../../state/useSettled';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { DuctCurve } from './DuctCurve';
import { WaysPanel } from './WaysPanel';

const QUIET = 500;

/** How much air each axle needs to keep a margin, what it costs, and what else would do. */
export function CoolingTab() {
  const setup = useSetup();
  const { decide } = useBackground();
  const editing = useItem('plans', setup.plan.id);
  const settled = useSettled(setup, QUIET);
  const answer = useAnswer<{ need: CoolingNeed; setup: Setup }>(
    settled && QUESTION.need(settled),
    async (signal) => {
      const asked = settled ?? setup;
      return { need: await decide.call((remote) => remote.coolingNeed(asked), signal), setup: asked };
    },
  );
  const { data } = answer;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel grid gap-x-6 gap-y-3 px-4 py-3 md:grid-cols-[240px_minmax(0,1fr)]">
        {editing && <Field shelf="plans" editing={editing} path={['targetMarginK']} />}
        <div>
          <p>{say.smallestDuctEachWheel}</p>
          <div className="mt-2">
            <AnswerState answer={answer} doing={say.drivingDayEverBetter} />
          </div>
        </div>
      </section>
      {data && (
        <div
          className={`grid grid-cols-[minmax(0,1fr)] gap-3 ${answer.behind ? 'opacity-60' : ''}`}
          aria-busy={answer.behind}
        >
          <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-2">
            {AXLES.map((axle) => (
              <NeedPanel key={axle} axle={axle} need={data.need} setup={data.setup} />
            ))}
          </div>
          <CostPanel need={data.need} setup={data.setup} />
          <Curves need={data.need} />
          <TapePanel need={data.need} />
          {!answer.behind && <WaysPanel need={data.need} setup={data.setup} />}
          <p className="caption px-1">{say.predictionNoProofBrakes}</p>
        </div>
      )}
    </div>
  );
}

const STATE: Record<AxleNeed['kind'], 'within-limits' | 'close' | 'over-limit'> = {
  none: 'within-limits',
  found: 'close',
  impossible: 'over-limit',
};

function NeedPanel({ axle, need, setup }: { axle: AxleName; need: CoolingNeed; setup: Setup }) {
  const units = useUnits();
  const own = need[axle];
  const other = axle === 'front' ? 'rear' : 'front';
  const now = setup.car[axle].ductAreaCm2;
  const area = (m2: number) => siText(m2, 'area', units, 1);
  return (
    <section className="panel px-4 py-3" aria-label={`${AXLE_WORDS[axle]} cooling need`}>
      <h2 className="flex items-center gap-2 text-[15px]">
        <StateMark kind={STATE[own.kind]} className="h-[15px] w-[15px]" />
        {AXLE_WORDS[axle]}:{' '}
        {own.kind === 'none'
          ? 'no duct needed'
          : own.kind === 'found'
            ? `${area(own.area)} to each wheel`
            : 'no duct does it'}{' '}
        <How name={`the ${axle} cooling need`} told={() => explainNeed(need, axle, setup, units)} />
      </h2>
      <p className="mt-1">
        {own.kind === 'impossible'
          ? noDuctWords(own, need.wish, units)
          : say.withTheClosestIs(
              own.kind === 'none' ? 'none' : 'it',
              marginWords({ axle, part: own.at.part, margin: own.at.margin }, units),
            )}{' '}
        {own.at.guessed.margin < need.wish &&
          `${say.guessSetsNoDuct(marginWords({ axle, ...own.at.guessed }, units))} `}
        {need[other].kind === 'impossible' && say.reckonedLargestDuct(other)}{' '}
        {now > 0
          ? say.carHas(
              formatQuantity(now, 'area', units, 1),
              setup.car[axle].blankedOffPercent > 0
                ? `, ${setup.car[axle].blankedOffPercent} % blanked off`
                : '',
            )
          : say.carHasNone}
      </p>
      {own.at.bite !== null && (
        <p className={`mt-1 ${own.at.bite < 0 ? 'text-over' : ''}`}>
          Coldest braking point:{' '}
          {own.at.bite < 0
            ? say.underPadSWindow(formatQuantity(-own.at.bite, 'difference', units))
            : say.aboveLowEndPad(formatQuantity(own.at.bite, 'difference', units))}
        </p>
      )}
      {own.kind === 'found' && (
        <Shapes area={own.area} flowPercent={setup.car[axle].ductCoefficientPercent} units={units} />
      )}
    </section>
  );
}

function Shapes({ area, flowPercent, units }: { area: number; flowPercent: number; units: UnitChoice }) {
  const project = useProject();
  const hose = ductPrice(project, fromSi(area, 'area'), flowPercent);
  const mm = (metres: number) => siText(metres, 'smallLength', units, units.smallLength === 'us' ? 2 : 0);
  return (
    <>
      <table className="mt-2 text-right">
        <thead>
          <tr className="caption">
            <th className="pr-3 text-left font-normal">Ducts a wheel</th>
            <th className="px-3 font-normal">round, across</th>
            <th className="px-3 font-normal">flat oval, wide × high</th>
          </tr>
        </thead>
        <tbody>
          {ductShapes(area).map(({ count, diameter, width, height }) => (
            <tr key={count} className="border-t border-rule/60">
              <td className="pr-3 text-left">{count}</td>
              <td className="px-3 font-[620]">{mm(diameter)}</td>
              <td className="px-3">
                {mm(width).replace(/ .*/, '')} × {mm(height)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {hose && (
        <p className="caption mt-1.5">
          {say.fromTheShelf}
          {hose.count > 1 && `${hose.count} × `}
          {say.wheelAxleCountedAir(
            partOf(hose.key, project.parts).name.toLowerCase(),
            moneyText(hose.price, project.currency),
          )}
        </p>
      )}
    </>
  );
}

function changesOf(need: CoolingNeed, setup: Setup): Change[] {
  return AXLES.filter((axle) => need[axle].kind === 'found').flatMap((axle): Change[] => [
    { kind: 'duct', axle, areaCm2: Math.ceil(10 * fromSi(need[axle].area, 'area')) / 10 },
    ...(setup.car[axle].blankedOffPercent > 0 ? [{ kind: 'tape', axle, percent: 0 } as const] : []),
  ]);
}

function CostPanel({ need, setup }: { need: CoolingNeed; setup: Setup }) {
  const units = useUnits();
  const store = useStore();
  const edit = useEdit();
  const [problem, setProblem] = useState<string | null>(null);
  const changes = changesOf(need, setup);
  if (need.dragArea === 0) return null;
  const { lapTimes } = need;
  const fit = () => {
    edit('Ducts found', (p) => fitChanges(p, setup.car.id, changes), {
      done: `Put into “${setup.car.name}”`,
    });
  };
  return (
    <section
      className="panel flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3"
      aria-label="What it costs"
    >
      <p className="min-w-[280px] flex-1">
        {say.allThemTake}
        <strong className="font-[640]">{formatQuantity(need.dragForce, 'force', units)}</strong>
        {say.dragCda(
          siText(need.topSpeed, 'speed', units),
          formatQuantity(need.dragArea, 'bigArea', units, 4),
          lapTimes
            ? say.solvedHotLapGoes(
                lapTimes.without.toFixed(2),
                lapTimes.with.toFixed(2),
                signedSeconds(lapTimes.with - lapTimes.without),
              )
            : say.whatCostsLapTime,
        )}
        <How name="the drag of the ducts" told={() => explainDuctDrag(need, setup, units)} />
        {problem && <span role="alert"> {problem}</span>}
      </p>
      {changes.length > 0 && (
        <>
          <button type="button" className="btn btn-main" onClick={fit}>
            Put into the car
          </button>
          <button
            type="button"
            className="btn"
            onClick={() =>
              setProblem(addSetup(store, setup, `Ducts for ${Math.round(need.wish)} °C`, changes))
            }
          >
            Compare as a setup
          </button>
        </>
      )}
    </section>
  );
}

function Curves({ need }: { need: CoolingNeed }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-2">
      {AXLES.map((axle) => (
        <DuctCurve key={axle} axle={axle} need={need[axle]} />
      ))}
    </div>
  );
}

function TapePanel({ need }: { need: CoolingNeed }) {
  const units = useUnits();
  if (need.tape.length === 0) return null;
  const kelvin = (value: number | null) =>
    value === null ? '—' : formatQuantity(value, 'difference', units).replace('-', '−');
  const cold = (value: number | null) => (value !== null && value < 0 ? 'text-over font-[620]' : '');
  return (
    <ScrollPanel label="Blanking steps">
      <h2 className="text-[15px]">Blanking for a colder day</h2>
      <p className="caption mt-0.5">{say.ductsFoundShareEvery}</p>
      <table className="mt-1.5 w-full max-w-[760px] text-right">
        <thead>
          <tr className="caption">
            <th className="text-left font-normal">Blanked off</th>
            <th className="px-2 font-normal">Front, least margin</th>
            <th className="px-2 font-normal">Rear, least margin</th>
            <th className="px-2 font-normal">Front, cold bite</th>
            <th className="px-2 font-normal">Rear, cold bite</th>
            <th className="px-2 font-normal">Hot lap</th>
          </tr>
        </thead>
        <tbody>
          {need.tape.map((step) => (
            <tr key={step.tape} className="border-t border-rule/60">
              <th className="text-left font-[520]">{Math.round(100 * step.tape)} %</th>
              <td className={`px-2 ${step.front.margin < 0 ? 'text-over font-[620]' : ''}`}>
                {kelvin(step.front.margin)}
              </td>
              <td className={`px-2 ${step.rear.margin < 0 ? 'text-over font-[620]' : ''}`}>
                {kelvin(step.rear.margin)}
              </td>
              <td className={`px-2 ${cold(step.front.bite)}`}>{kelvin(step.front.bite)}</td>
              <td className={`px-2 ${cold(step.rear.bite)}`}>{kelvin(step.rear.bite)}</td>
              <td className="px-2">{step.lapTime.toFixed(2)} s</td>
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollPanel>
  );
}
