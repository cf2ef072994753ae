export {
  type BackupMode,
  type BackupPreview,
  collectBackup,
  previewBackup,
  restoreBackup,
  type Stores,
} from './backup';
export { keepHistory, openHistory, type PastStep } from './historyStorage';
export {
  browserJournal,
  clearJournals,
  holdPage,
  type JournalEntry,
  type Journals,
  openPages,
  readJournals,
  readWhole,
  setJournalsAside,
  writeJournal,
} from './journal';
export { deleteKept, keepAside, keptTexts } from './keptAside';
export { browserStore, type KeyValueStore, PROJECTS } from './keyValueStore';
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
export { browserNotes } from './noteStore';
export { browserPhotoStore, keepPhoto, openPhoto } from './photoStorage';
export {
  addProject,
  chooseSlot,
  currentSlot,
  type ListedProject,
  listProjects,
  pageOf,
  removeProject,
  slotJournals,
  slotStore,
} from './projectSlots';
export {
  type EditsOf,
  type Found,
  laterEdits,
  openProject,
  type StoredProject,
  saveProject,
} from './projectStorage';
export { beginWork, browserRunStore, forgetWork, keepPiece, keptPieces } from './runStorage';
export { whenGone } from './whenGone';
