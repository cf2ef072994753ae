export { browserStore, type KeyValueStore, openProject, saveProject } from './projectStorage';
