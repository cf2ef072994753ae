import './styles/index.css';
import { browserStore, currentSlot, slotStore } from '../storage';
import { say } from '../text/en/say/shell';
import { notice } from './shell/notice';
import { earlyTheme, showTheme } from './state/theme';

/** When, after the page was asked for, it is said that the browser's storage does not answer, ms. */
const SAID_AT = 1000;
/** What the storage has at least, however slow the page came, ms. */
const LEAST_PATIENCE = 300;

/**
 * The first thing that runs, small, so that a storage that keeps silent is said before the program itself has come. It
 * only asks; what is stored is read by the program.
 * @returns true once the storage has answered, false when the reader goes on without it
 */
function storageAnswers(root: HTMLElement): Promise<boolean> {
  return new Promise((resolve) => {
    const timer = setTimeout(
      () =>
        notice(root, say.browserSStorageDoes, say.yourProjectLiesAnother, [
          { title: 'Reload', act: () => window.location.reload() },
          { title: say.goDemoWithoutSaving, act: () => resolve(false) },
        ]),
      Math.max(LEAST_PATIENCE, SAID_AT - performance.now()),
    );
    const answered = () => {
      clearTimeout(timer);
      resolve(true);
    };
    // A refusal is an answer too, and said by who reads.
    slotStore(browserStore(), currentSlot()).getItem('project').then(answered, answered);
  });
}

async function begin(root: HTMLElement): Promise<void> {
  showTheme(earlyTheme());
  // Nothing else runs meanwhile: what a silent storage needs said is not to wait for a program being read.
  const answers = await storageAnswers(root);
  try {
    const { start } = await import('./application');
    await start(root, answers);
  } catch (error) {
    console.error(error);
    notice(root, say.programDoesNotStart, say.programSServerDoes, [
      { title: 'Reload', act: () => window.location.reload() },
    ]);
  }
}

const root = document.getElementById('root');
if (root) void begin(root);
