export {
  browserLogStore,
  keepLog,
  type LogEntry,
  type LogStore,
  listLogs,
  openKeptLog,
  rememberedMapping,
  rememberMapping,
  removeLog,
  renameLog,
} from './logStorage';
export { browserStore, type KeyValueStore, openProject, saveProject } from './projectStorage';
