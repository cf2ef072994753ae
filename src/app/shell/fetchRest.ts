import { fetchList } from '../ui/Choice';

/** Fetches what a page shows only when it is asked: it is there at once then, also where the server has gone by then. */
export async function fetchRest(): Promise<void> {
  await Promise.all([
    fetchList(),
    import('../ui/TipBubble'),
    import('../shared/HowSheet'),
    import('../shared/Meaning'),
    import('./RefusedDialog'),
    import('./ReplaceDialog'),
    import('./ShortcutsDialog'),
  ]);
}
