import { Link, type To } from 'react-router';

/** Views beside each other, one of them open. */
export function TabNav({
  label,
  tabs,
}: {
  label: string;
  tabs: readonly { readonly to: To; readonly name: string; readonly open: boolean }[];
}) {
  return (
    <nav aria-label={label} className="flex gap-0.5 overflow-x-auto border-b border-rule">
      {tabs.map(({ to, name, open }) => (
        <Link
          key={name}
          to={to}
          className={`-mb-px whitespace-nowrap border-b-2 px-2.5 py-1.5 font-[540] ${
            open ? 'border-act text-ink' : 'border-transparent text-dim hover:text-ink'
          }`}
          aria-current={open ? 'page' : undefined}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
