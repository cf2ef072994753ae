import { CircleQuestionMark, LibraryBig, Redo2, Undo2 } from 'lucide-react';
import { Suspense, useEffect, useRef } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useHotkeys } from 'react-hotkeys-hook';
import { NavLink, Outlet, useLocation } from 'react-router';
import { selectPlan } from '../../model';
import { useProject, useProjectState, useStore } from '../state/context';
import { useEdit } from '../state/useEdit';
import { Choice } from '../ui/Choice';
import { IconButton } from '../ui/IconButton';
import { ownAddress } from '../ui/ownAddress';
import { whenIdle } from '../ui/whenIdle';
import { fetchRest } from './fetchRest';
import { ImportTarget } from './ImportTarget';
import { KernelNotice } from './KernelNotice';
import { FilesMenu, SettingsMenu } from './MenusLater';
import { PageError } from './PageError';
import { BottomNav, type PageGroup, PageNav, SubNav } from './PageNav';
import { Palette } from './Palette';
import { ReplaceProject } from './ReplaceProject';
import { SaveNotice } from './SaveNotice';
import { ScrollPlace } from './ScrollPlace';
import { Shortcuts } from './Shortcuts';
import { Toasts } from './Toasts';
import { Tour } from './Tour';
import { UpdateNotice } from './UpdateNotice';

/** What stands round every page. */
export function Shell({ groups }: { groups: readonly PageGroup[] }) {
  const store = useStore();
  const { pathname } = useLocation();
  // A page that was left takes along what had the focus; the next one begins at its top.
  const before = useRef(pathname);
  useEffect(() => {
    if (before.current === pathname) return;
    before.current = pathname;
    if (document.activeElement === document.body) {
      document.getElementById('page')?.focus({ preventScroll: true });
    }
  }, [pathname]);
  // What does not come is asked for again when it is wanted, and said then.
  useEffect(() => whenIdle(() => void fetchRest().catch(() => {})), []);
  useHotkeys('mod+z', () => store.undo(), { preventDefault: true, enableOnFormTags: true });
  useHotkeys(['mod+shift+z', 'mod+y'], () => store.redo(), { preventDefault: true, enableOnFormTags: true });
  useEffect(() => {
    const leave = () => {
      const kept = store.leave();
      // What is written down is there; the saving begun beside it is usually done too.
      if (store.unsaved) void store.saveNow();
      return kept;
    };
    const warn = (event: BeforeUnloadEvent) => {
      if (!leave()) event.preventDefault();
    };
    const hide = () => {
      // Its clocks go slowly from now on.
      if (document.visibilityState === 'hidden' && store.unsaved) void store.saveNow();
    };
    window.addEventListener('beforeunload', warn);
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', hide);
    return () => {
      window.removeEventListener('beforeunload', warn);
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', hide);
    };
  }, [store]);
  return (
    <ReplaceProject>
      <ImportTarget>
        <a
          href="#page"
          className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-panel focus:p-2"
        >
          Skip to the page
        </a>
        <Header groups={groups} pathname={pathname} />
        <main
          id="page"
          tabIndex={-1}
          className="mx-auto max-w-[1680px] px-3 pt-3 pb-[72px] outline-none sm:pb-3"
        >
          <SaveNotice />
          <UpdateNotice />
          <KernelNotice />
          <ErrorBoundary FallbackComponent={PageError} resetKeys={[pathname]}>
            <Suspense fallback={<div className="panel h-64" role="status" aria-label="Loading the page" />}>
              <Outlet />
              <ScrollPlace />
            </Suspense>
          </ErrorBoundary>
        </main>
        <BottomNav groups={groups} pathname={pathname} />
        <Shortcuts />
        <Tour />
        <Toasts />
      </ImportTarget>
    </ReplaceProject>
  );
}

/** The mark, the pages, the plan, undo, files and settings. */
function Header({ groups, pathname }: { groups: readonly PageGroup[]; pathname: string }) {
  return (
    <header className="sticky top-0 z-30 border-b border-rule bg-ground">
      <div className="mx-auto flex max-w-[1680px] flex-wrap items-center gap-x-2 gap-y-1 px-3 py-1.5">
        <NavLink
          to="/"
          aria-label="Fervent Kettle"
          className="flex items-center gap-2 font-[680] sm:pr-2"
          style={{ fontStretch: '84%' }}
        >
          <img src={ownAddress('kettle.svg')} alt="" width={24} height={24} />
          <span className="hidden sm:inline">Fervent Kettle</span>
        </NavLink>
        <PageNav groups={groups} pathname={pathname} />
        <div className="ml-auto flex min-w-0 items-center gap-0 max-sm:[&_.btn-bare]:px-1.5 sm:gap-0.5">
          <PlanPicker />
          <NavLink to="/library" className="btn btn-bare px-2" aria-label="Library">
            <LibraryBig size={16} aria-hidden="true" />
            <span className="hidden lg:inline">Library</span>
          </NavLink>
          <Palette groups={groups} />
          <UndoRedo />
          <FilesMenu />
          <SettingsMenu />
          <NavLink to="/help" className="btn btn-bare px-2" aria-label="Help">
            <CircleQuestionMark size={16} aria-hidden="true" />
          </NavLink>
        </div>
      </div>
      <SubNav groups={groups} pathname={pathname} />
    </header>
  );
}

function PlanPicker() {
  const project = useProject();
  const edit = useEdit();
  return (
    <>
      <label htmlFor="plan" className="sr-only">
        Plan on the workbench
      </label>
      <Choice
        id="plan"
        className="w-[clamp(96px,16vw,280px)]!"
        value={project.selectedPlanId}
        options={project.plans.map((plan) => [plan.id, plan.name])}
        onChange={(id) => edit('Selected a plan', (p) => selectPlan(p, id))}
      />
    </>
  );
}

function UndoRedo() {
  const store = useStore();
  const { history } = useProjectState();
  const last = history.past[history.past.length - 1];
  const next = history.future[0];
  return (
    <>
      <IconButton
        icon={Undo2}
        disabled={!last}
        name={last ? `Undo: ${last.label}` : 'Nothing to undo'}
        title={last ? `Undo: ${last.label} (Ctrl+Z)` : 'Nothing to undo'}
        onClick={() => store.undo()}
      />
      <IconButton
        icon={Redo2}
        disabled={!next}
        name={next ? `Redo: ${next.label}` : 'Nothing to redo'}
        title={next ? `Redo: ${next.label} (Ctrl+Shift+Z)` : 'Nothing to redo'}
        onClick={() => store.redo()}
      />
    </>
  );
}
