export { browserStore, type Found, type KeyValueStore, openProject, saveProject } from './projectStorage';
