export { localPlane } from './localPlane';
