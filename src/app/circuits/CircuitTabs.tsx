import { NavLink } from 'react-router';

const TABS = [
  { to: '/circuit', name: 'Straights and corners' },
  { to: '/circuits/map', name: 'Map' },
  { to: '/circuits/severity', name: 'How hard on brakes' },
  { to: '/circuits/import', name: 'From a file' },
] as const;

/** The ways to look at circuits. */
export function CircuitTabs() {
  return (
    <nav aria-label="Circuits" className="flex gap-0.5 overflow-x-auto border-b border-rule">
      {TABS.map(({ to, name }) => (
        <NavLink
          key={to}
          to={to}
          className={({ isActive }) =>
            `-mb-px whitespace-nowrap border-b-2 px-2.5 py-1.5 font-[540] ${
              isActive ? 'border-act text-ink' : 'border-transparent text-dim hover:text-ink'
            }`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
