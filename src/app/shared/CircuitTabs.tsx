import { useLocation } from 'react-router';
import { TabNav } from '../ui/TabNav';

const TABS = [
  { to: '/circuit', name: 'Straights and corners' },
  { to: '/circuits/map', name: 'Map' },
  { to: '/circuits/severity', name: 'How hard on brakes' },
  { to: '/circuits/import', name: 'From a file' },
] as const;

/** The ways to look at circuits. */
export function CircuitTabs() {
  const { pathname } = useLocation();
  const open = (to: string) => pathname === to || pathname.startsWith(`${to}/`);
  return <TabNav label="Circuits" tabs={TABS.map((tab) => ({ ...tab, open: open(tab.to) }))} />;
}
