import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { newSet, placeOf, putSet, SET_PLACES, type SetPlace, type StoredLoad } from '../../../model';
import {
  drivenSetup,
  fittedOn,
  placeKey,
  remainingSessions,
  type SetWear,
  sessionsToCome,
  setupOfPlanned,
} from '../../../services';
import { PLACE_TEXT, pieceText, remainingText, thicknessText } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { AnswerState } from '../../shared/AnswerState';
import { useLoads } from '../../shared/useKept';
import { useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { FitForm } from './FitForm';
import { SetCard } from './SetCard';
import { type KeepTabProps, today } from './tabProps';

/** A session as it is usually driven at a circuit, with what it takes. */
export interface UsualSession {
  readonly circuitId: string;
  readonly circuit: string;
  readonly load: StoredLoad;
}

/** Sets as individual things: where they are, what they took, what they have left at each circuit to come. */
export function WearTab({ kept }: KeepTabProps) {
  const project = useProject();
  const { plan } = useSetup();
  const units = useUnits();
  const edit = useEdit();
  const [open, setOpen] = useState<string | null>(null);
  const season = project.seasons.find(({ carId }) => carId === kept.car.id) ?? null;
  const asked = useMemo(() => {
    const planned = season ? sessionsToCome(project, season, today()) : [];
    return project.circuits.flatMap((circuit) => {
      const own = planned.filter(({ event }) => event.circuitId === circuit.id);
      const longest =
        own.length > 0 ? own.reduce((a, b) => (b.session.hotLaps > a.session.hotLaps ? b : a)) : null;
      if (season && !longest) return [];
      const setup =
        season && longest
          ? setupOfPlanned(project, season, longest.event, longest.session, {})
          : drivenSetup(project, {
              carId: kept.car.id,
              planId: plan.id,
              circuitId: circuit.id,
              name: circuit.name,
              outLaps: 2,
              hotLaps: 8,
              airC: 20,
              track: 'dry',
              sets: {},
            });
      return setup ? [{ circuit, setup }] : [];
    });
  }, [project, season, kept.car.id, plan.id]);
  const answer = useLoads(useMemo(() => asked.map(({ setup }) => setup), [asked]));
  const usual = asked.flatMap(({ circuit }, i): UsualSession[] => {
    const load = answer.behind ? undefined : answer.data?.[i];
    return load ? [{ circuitId: circuit.id, circuit: circuit.name, load }] : [];
  });
  const fitted = fittedOn(kept.entries);
  const add = (place: SetPlace) => {
    const [axle, kind] = place.split(' ') as ['front' | 'rear', 'pads' | 'rotors'];
    const letters = `${axle.slice(0, 1)}${kind.slice(0, 1)}`.toUpperCase();
    // One more than the highest number there is: a number that was given out is never given again.
    const numbers = project.sets.flatMap(({ name }) =>
      name.startsWith(`${letters}-`) ? [Number.parseInt(name.slice(letters.length + 1), 10) || 0] : [],
    );
    const set = newSet(kept.car, {
      id: crypto.randomUUID(),
      name: `${letters}-${Math.max(0, ...numbers) + 1}`,
      axle,
      kind,
    });
    if (edit('Added a set', (p) => putSet(p, set))) setOpen(set.id);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <p className="panel max-w-[110ch] px-4 py-3">{say.wearMeans}</p>
      <AnswerState answer={answer} doing={say.sessionsDriven} />
      <FitForm kept={kept} />
      {SET_PLACES.map((place) => {
        const own = kept.wear.filter(({ set }) => placeOf(set) === place);
        return (
          <section key={place} className="panel px-4 py-3" aria-label={PLACE_TEXT[place]}>
            <div className="flex flex-wrap items-center justify-between gap-2">
              <h2 className="text-[15px]">{PLACE_TEXT[place]}</h2>
              <button
                type="button"
                className="btn"
                aria-label={`Add a set of ${place}`}
                onClick={() => add(place)}
              >
                <Plus size={14} aria-hidden="true" /> A set
              </button>
            </div>
            {own.length === 0 && <p className="mt-1 text-dim">{say.noSets}</p>}
            <div className="mt-2 grid gap-2 lg:grid-cols-2">
              {own.map((wear) => (
                <SetCard
                  key={wear.set.id}
                  wear={wear}
                  onCar={fitted[place] === wear.set.id}
                  open={open === wear.set.id}
                  onOpen={() => setOpen((now) => (now === wear.set.id ? null : wear.set.id))}
                >
                  <Pieces wear={wear} length={(mm) => thicknessText(mm, units)} />
                  <ul className="mt-2 grid gap-0.5">
                    {usual.map(({ circuitId, circuit, load }) => {
                      const left = remainingSessions(wear, load);
                      return (
                        <li key={circuitId}>
                          <span className="font-[540]">{circuit}:</span> {remainingText(left)}
                          <span className="caption"> {pieceText(left.by)}</span>
                        </li>
                      );
                    })}
                  </ul>
                </SetCard>
              ))}
            </div>
          </section>
        );
      })}
    </div>
  );
}

/** What each piece of a set has left, as measured and driven since. */
function Pieces({ wear, length }: { readonly wear: SetWear; readonly length: (mm: number) => string }) {
  const wearable = wear.set.newMm - wear.set.minimumMm;
  return (
    <table className="w-full text-[13px]">
      <caption className="sr-only">{say.piecesOf(wear.set.name)}</caption>
      <thead>
        <tr className="caption text-left">
          <th className="font-normal">Piece</th>
          <th className="px-2 text-right font-normal">measured</th>
          <th className="px-2 text-right font-normal">now</th>
          <th className="px-2 text-right font-normal">left</th>
          <th className="font-normal">
            <span className="sr-only">Share left</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {wear.pieces.map((piece) => {
          const share = Math.max(0, Math.min(1, piece.leftMm / wearable));
          return (
            <tr key={placeKey(piece)} className="border-t border-rule/60">
              <th scope="row" className="py-0.5 text-left font-[520]">
                {pieceText(piece)}
              </th>
              <td className="px-2 text-right">{length(piece.measuredMm)}</td>
              <td className="px-2 text-right">
                {length(piece.nowMm.median)}
                <span className="caption"> ± {length((piece.nowMm.high - piece.nowMm.low) / 2)}</span>
              </td>
              <td className={`px-2 text-right ${piece.leftMm <= 0 ? 'text-over' : ''}`}>
                {length(piece.leftMm)}
              </td>
              <td className="w-[90px]">
                <span className="block h-[6px] rounded bg-sunk" aria-hidden="true">
                  <span
                    className={`block h-full rounded ${share < 0.2 ? 'bg-over' : 'bg-act'}`}
                    style={{ width: `${100 * share}%` }}
                  />
                </span>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
