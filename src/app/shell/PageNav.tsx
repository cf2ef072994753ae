import type { LucideIcon } from 'lucide-react';
import { Link } from 'react-router';

/** Pages of one part of the work, under one entry of the navigation. */
export interface PageGroup {
  readonly name: string;
  readonly icon: LucideIcon;
  readonly pages: readonly {
    readonly to: string;
    readonly name: string;
    /** Where its other addresses begin */
    readonly also?: string;
  }[];
}

interface NavProps {
  readonly groups: readonly PageGroup[];
  readonly pathname: string;
}

const under = (pathname: string, address: string) =>
  address === '/' ? pathname === '/' : pathname === address || pathname.startsWith(`${address}/`);
const isOpen = ({ to, also }: PageGroup['pages'][number], pathname: string) =>
  under(pathname, to) || (also !== undefined && under(pathname, also));
const groupOf = ({ groups, pathname }: NavProps) =>
  groups.find(({ pages }) => pages.some((page) => isOpen(page, pathname)));

/** The parts of the work beside each other. */
export function PageNav(props: NavProps) {
  const open = groupOf(props);
  return (
    <nav aria-label="Pages" className="hidden gap-0.5 sm:flex">
      {props.groups.map((group) => (
        <Link
          key={group.name}
          to={group.pages[0].to}
          aria-current={group === open ? 'page' : undefined}
          className={`btn btn-bare px-2 sm:px-2.5 ${group === open ? 'bg-ink! text-ground!' : ''}`}
        >
          <group.icon size={16} aria-hidden="true" className="hidden min-[1360px]:block" />
          <span>{group.name}</span>
        </Link>
      ))}
    </nav>
  );
}

/** The same at the bottom of a phone, where a thumb reaches it. */
export function BottomNav(props: NavProps) {
  const open = groupOf(props);
  return (
    <nav
      aria-label="Pages"
      className="fixed inset-x-0 bottom-0 z-30 grid auto-cols-fr grid-flow-col border-t border-rule bg-ground pb-[env(safe-area-inset-bottom)] sm:hidden print:hidden"
    >
      {props.groups.map((group) => (
        <Link
          key={group.name}
          to={group.pages[0].to}
          aria-current={group === open ? 'page' : undefined}
          className={`grid min-h-[54px] place-items-center content-center gap-0.5 px-1 ${group === open ? 'text-act' : 'text-dim'}`}
        >
          <group.icon size={20} aria-hidden="true" />
          <span className="narrow text-center text-[11.5px] leading-tight">{group.name}</span>
        </Link>
      ))}
    </nav>
  );
}

/** The pages of the part that is open, where it has more than one. */
export function SubNav(props: NavProps) {
  const open = groupOf(props);
  if (!open || open.pages.length < 2) return null;
  return (
    <nav
      aria-label={`Within ${open.name}`}
      className="mx-auto flex max-w-[1680px] gap-0.5 overflow-x-auto border-t border-rule/60 px-3 py-0.5"
    >
      {open.pages.map((page) => {
        const here = isOpen(page, props.pathname);
        return (
          <Link
            key={page.to}
            to={page.to}
            aria-current={here ? 'page' : undefined}
            className={`rounded-[4px] px-2 py-0.5 leading-[24px] ${here ? 'bg-sunk font-[600] text-ink' : 'text-dim hover:text-ink'}`}
          >
            {page.name}
          </Link>
        );
      })}
    </nav>
  );
}
