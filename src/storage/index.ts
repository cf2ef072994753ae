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
export { browserStore, type KeyValueStore, openProject, saveProject } from './projectStorage';
export {
  beginWork,
  browserRunStore,
  forgetWork,
  keepPiece,
  keptPieces,
} from './runStorage';
