import { Fragment, lazy, type ReactNode, useState } from 'react';
import { GLOSSARY, type Term } from '../../text/en';
import { Asked } from '../ui/Asked';

const Meaning = lazy(async () => ({ default: (await import('./Meaning')).Meaning }));

/** Every way each term is written, the longest first, so that none takes a part of another. */
const WAYS = GLOSSARY.flatMap((entry) =>
  [entry.term, ...(entry.also ?? [])].map((way) => [way, entry] as const),
).sort(([a], [b]) => b.length - a.length);
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const TERMS = new RegExp(
  `(?<![\\p{L}-])(${WAYS.map(([way]) => escaped(way)).join('|')})(?![\\p{L}-])`,
  'giu',
);

/** A text in which each term opens its meaning where it stands first. */
export function Glossed({ children }: { readonly children: string }) {
  const parts: ReactNode[] = [];
  const seen = new Set<Term>();
  let from = 0;
  for (const match of children.matchAll(TERMS)) {
    const entry = WAYS.find(([way]) => way.toLowerCase() === match[0].toLowerCase())?.[1];
    if (!entry || seen.has(entry)) continue;
    seen.add(entry);
    parts.push(
      <Fragment key={match.index}>
        {children.slice(from, match.index)}
        <Dotted entry={entry}>{match[0]}</Dotted>
      </Fragment>,
    );
    from = match.index + match[0].length;
  }
  return (
    <>
      {parts}
      {children.slice(from)}
    </>
  );
}

/** A dotted word that opens its meaning; what opens it is fetched when it is first asked for. */
function Dotted({ entry, children }: { readonly entry: Term; readonly children: string }) {
  const [asked, setAsked] = useState(false);
  const button = (onClick: () => void) => (
    <button type="button" aria-haspopup="dialog" aria-expanded={false} className={DOTTED} onClick={onClick}>
      {children}
    </button>
  );
  if (!asked) return button(() => setAsked(true));
  return (
    <Asked button={button}>
      <Meaning entry={entry} className={DOTTED}>
        {children}
      </Meaning>
    </Asked>
  );
}

const DOTTED = 'inline cursor-help border-b border-dotted border-dim text-left text-inherit hover:border-ink';
