/** What the menu of files makes the published schema with: half of Zod comes along. */
export { projectJsonSchema } from '../../model';
