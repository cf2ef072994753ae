import { Link } from 'react-router';

const STEPS = [
  ['car', 'Your car'],
  ['circuit', 'The circuit'],
  ['plan', 'The day'],
] as const;
export type Step = (typeof STEPS)[number][0];

/** Where in the three steps one is; those before can be gone back to. */
export function Steps({ step, search }: { readonly step: Step; readonly search: string }) {
  const now = STEPS.findIndex(([id]) => id === step);
  return (
    <ol className="flex flex-wrap gap-x-1 gap-y-1" aria-label="Steps">
      {STEPS.map(([id, name], i) => (
        <li key={id} className="flex items-center gap-1" aria-current={i === now ? 'step' : undefined}>
          <Link
            to={{ pathname: `/new/${id}`, search }}
            className={`btn ${i === now ? 'border-act! text-ink' : 'btn-bare text-dim'}`}
          >
            <span
              className={`grid size-5 place-items-center rounded-full text-[12px] ${i === now ? 'bg-act text-act-ink' : 'bg-sunk text-ink'}`}
            >
              {i + 1}
            </span>
            {name}
          </Link>
        </li>
      ))}
    </ol>
  );
}
