import type { LucideIcon } from 'lucide-react';
import { type ComponentType, lazy, Suspense, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { whenIdle } from '../ui/whenIdle';
import { FILES, type MenuProps, SETTINGS } from './menuNames';

const load = () => import('./Menus');
const Files = lazy(() => load().then((m) => ({ default: m.FilesMenu })));
const Settings = lazy(() => load().then((m) => ({ default: m.SettingsMenu })));

/** A menu's button at once, the menu itself once the page has come to rest, or the button is asked for it. */
function Later({
  id,
  name,
  icon: Icon,
  menu: Menu,
}: {
  id: string;
  name: string;
  icon: LucideIcon;
  menu: ComponentType<MenuProps>;
}) {
  const [wanted, setWanted] = useState<'not yet' | 'idle' | 'asked'>('not yet');
  useEffect(() => whenIdle(() => setWanted((now) => (now === 'not yet' ? 'idle' : now))), []);
  const button = (
    <button
      id={id}
      type="button"
      className="btn btn-bare px-2"
      aria-label={name}
      aria-haspopup="menu"
      aria-expanded={false}
      onClick={() => setWanted('asked')}
    >
      <Icon size={16} aria-hidden="true" />
      <span className="hidden lg:inline">{name}</span>
    </button>
  );
  if (wanted === 'not yet') return button;
  return (
    <ErrorBoundary fallback={button}>
      <Suspense fallback={button}>
        <Menu open={wanted === 'asked'} />
      </Suspense>
    </ErrorBoundary>
  );
}

export const FilesMenu = () => <Later {...FILES} menu={Files} />;
export const SettingsMenu = () => <Later {...SETTINGS} menu={Settings} />;
