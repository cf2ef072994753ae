import { useLocation } from 'react-router';
import { TabNav } from '../ui/TabNav';
import { PAGE_TABS } from './pageTabs';

const TABS = [
  { to: '/circuit', name: 'Straights and corners' },
  ...PAGE_TABS.circuits.map(({ path, name }) => ({ to: `/circuits/${path}`, name })),
];

/** The ways to look at circuits. */
export function CircuitTabs() {
  const { pathname } = useLocation();
  const open = (to: string) => pathname === to || pathname.startsWith(`${to}/`);
  return <TabNav label="Circuits" tabs={TABS.map((tab) => ({ ...tab, open: open(tab.to) }))} />;
}
