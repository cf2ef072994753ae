export {
  browserLogStore,
  keepLog,
  type LogEntry,
  type LogStore,
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
