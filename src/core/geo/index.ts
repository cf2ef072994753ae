export { type Geographic, type LocalPlane, localPlane } from './localPlane';
