import { ChevronLeft, Volume2, VolumeX, X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { AxleName, BeddingPlan } from '../../../core';
import { type Preparation, siText } from '../../../model';
import { beddingCards } from '../../../services';
import { cardText } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { useUnits } from '../../state/preferences';
import { useCardPlace } from './useCardPlace';

const speaks = () => 'speechSynthesis' in window && 'SpeechSynthesisUtterance' in window;

/** Reads a sentence aloud where the browser can; what was being read is broken off. */
function speak(text: string): void {
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}

/** One instruction at a time in large type: next by one tap or key, read aloud where the browser can. */
export function BedCard({
  plan,
  axle,
  preparation,
  onClose,
}: {
  readonly plan: BeddingPlan;
  /** Whose temperatures are told */
  readonly axle: AxleName;
  readonly preparation: Preparation;
  readonly onClose: () => void;
}) {
  const units = useUnits();
  const cards = useMemo(() => beddingCards(plan), [plan]);
  const [place, setPlace] = useCardPlace(preparation.id, cards.length);
  const [voice, setVoice] = useState(false);
  const over = place >= cards.length;
  const card = cards[Math.min(place, cards.length - 1)];
  const { says, after } = cardText(card, units);
  useEffect(() => {
    if (voice && !over) speak(`${says}. ${after}`);
  }, [voice, over, says, after]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey || event.ctrlKey || event.metaKey) return;
      const next = ['ArrowRight', 'PageDown'].includes(event.key) ? 1 : 0;
      const back = ['ArrowLeft', 'PageUp'].includes(event.key) ? -1 : 0;
      if (next + back !== 0) setPlace((now) => now + next + back);
      if (event.key === 'Escape') onClose();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [setPlace, onClose]);
  return (
    <section
      className="fixed inset-0 z-40 grid grid-rows-[auto_minmax(0,1fr)_auto] bg-ground"
      aria-label="Card to drive by"
      data-testid="card"
    >
      <div className="flex items-center gap-2 px-3 py-2">
        <p className="mr-auto text-dim" role="status">
          {over ? 'Done' : say.cardPlace(place + 1, cards.length)}
        </p>
        {speaks() && (
          <button
            type="button"
            className="btn min-h-[44px]"
            aria-pressed={voice}
            onClick={() => {
              if (voice) window.speechSynthesis.cancel();
              setVoice(!voice);
            }}
          >
            {voice ? <Volume2 size={18} aria-hidden="true" /> : <VolumeX size={18} aria-hidden="true" />}
            Voice
          </button>
        )}
        <button type="button" className="btn min-h-[44px]" onClick={onClose}>
          <X size={18} aria-hidden="true" /> Close
        </button>
      </div>
      <button
        type="button"
        // biome-ignore lint/a11y/noAutofocus: the one thing on the screen; Space and Enter go on from there
        autoFocus
        className="grid place-content-center gap-4 overflow-auto px-4 text-center"
        onClick={() => (over ? onClose() : setPlace((now) => now + 1))}
      >
        <span className="text-[clamp(30px,7vw,72px)] font-[680] leading-[1.08]" aria-live="polite">
          {over ? say.cardOver : says}
        </span>
        <span className="text-[clamp(17px,2.6vw,28px)] text-dim">{over ? say.cardOverThen : after}</span>
        {!over && card.does === 'brake' && (
          <span className="text-[clamp(15px,2vw,22px)]">
            {say.cardExpects(
              axle,
              siText(card.at[axle].padPeak, 'temperature', units),
              siText(card.at[axle].rotorBulk, 'temperature', units),
            )}
          </span>
        )}
      </button>
      <div className="flex flex-wrap items-center gap-3 border-t border-rule px-3 py-2">
        <button
          type="button"
          className="btn min-h-[48px]"
          disabled={place === 0}
          onClick={() => setPlace((now) => now - 1)}
        >
          <ChevronLeft size={20} aria-hidden="true" /> Back
        </button>
        <p className="caption flex-1">{say.cardSafety}</p>
      </div>
    </section>
  );
}
