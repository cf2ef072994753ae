export {
  browserJournal,
  clearJournal,
  type JournalEntry,
  type JournalStore,
  journalKey,
  readJournals,
  writeJournal,
} from './journal';
export { deleteKept, type KeptText, keepAside, keptTexts } from './keptAside';
export {
  browserLogStore,
  keepLog,
  type LogEntry,
  listLogs,
  openKeptLog,
  relistLog,
  rememberedMapping,
  rememberMapping,
  renameLog,
  sweepLogs,
  unlistLog,
} from './logStorage';
export { browserStore, type Found, type KeyValueStore, openProject, saveProject } from './projectStorage';
export {
  beginWork,
  browserRunStore,
  forgetWork,
  keepPiece,
  keptPieces,
} from './runStorage';
