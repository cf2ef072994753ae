import type { LucideIcon } from 'lucide-react';
import { type ComponentType, lazy, useEffect, useState } from 'react';
import { Asked } from '../ui/Asked';
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
  useEffect(
    () =>
      whenIdle(() => {
        // What has the focus is not taken away from under it.
        if (document.activeElement?.id !== id) setWanted((now) => (now === 'not yet' ? 'idle' : now));
      }),
    [id],
  );
  const button = (onClick: () => void) => (
    <button
      id={id}
      type="button"
      className="btn btn-bare px-2"
      aria-label={name}
      aria-haspopup="menu"
      aria-expanded={false}
      onClick={onClick}
    >
      <Icon size={16} aria-hidden="true" />
      <span className="hidden lg:inline">{name}</span>
    </button>
  );
  if (wanted === 'not yet') return button(() => setWanted('asked'));
  return (
    <Asked button={button} onAsk={() => setWanted('asked')}>
      <Menu open={wanted === 'asked'} />
    </Asked>
  );
}

export const FilesMenu = () => <Later {...FILES} menu={Files} />;
export const SettingsMenu = () => <Later {...SETTINGS} menu={Settings} />;
