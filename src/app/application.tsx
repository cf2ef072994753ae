import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Route, Routes } from 'react-router';
import {
  browserJournal,
  browserNotes,
  browserStore,
  currentSlot,
  holdPage,
  PROJECTS,
  pageOf,
  slotJournals,
  slotStore,
  whenGone,
} from '../storage';
import { PAGE_GROUPS, PAGES } from './pageList';
import { download } from './shell/files';
import { NotFound } from './shell/PageError';
import { Shell } from './shell/Shell';
import { Unreadable } from './shell/Unreadable';
import { Providers } from './state/context';
import { openStore } from './state/openStore';
import { TipLayer } from './ui/Tip';

/**
 * Opens what is stored and shows the pages.
 * @param answers whether the browser's storage answers; false when the reader goes on without it
 */
export async function start(root: HTMLElement, answers: boolean): Promise<void> {
  const slot = currentSlot();
  const storage = slotStore(browserStore(), slot);
  const journals = slotJournals({ kept: browserJournal(), sent: browserNotes() }, slot);
  const page = pageOf(crypto.randomUUID(), slot);
  holdPage(page);
  const { store, found } = await openStore(
    {
      storage,
      journals,
      page,
      neighbours:
        'BroadcastChannel' in window ? new BroadcastChannel(`fervent-kettle${slot && `/${slot}`}`) : null,
    },
    answers,
  );
  // Never while it is blocked: there is nothing that could go.
  if (found.kind !== 'blocked') whenGone(PROJECTS, () => void store.storeIfGone());
  // The titles of the pages take its place.
  document.querySelector('title')?.remove();
  const application = (
    <Providers store={store}>
      <BrowserRouter basename={import.meta.env.BASE_URL}>
        <Routes>
          <Route element={<Shell groups={PAGE_GROUPS} />}>
            {PAGES.map(({ path, element }) => (
              <Route key={path} path={path} element={element} />
            ))}
            <Route path="*" element={<NotFound />} />
          </Route>
        </Routes>
      </BrowserRouter>
      <TipLayer />
    </Providers>
  );
  createRoot(root).render(
    <StrictMode>
      {found.kind === 'unreadable' ? (
        <Unreadable
          problems={found.problems}
          kept={found.keptAs !== null}
          onExport={() => download('project', 'unreadable project', found.text)}
        >
          {application}
        </Unreadable>
      ) : (
        application
      )}
    </StrictMode>,
  );
}
