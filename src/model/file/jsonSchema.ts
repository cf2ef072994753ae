import * as z from 'zod/mini';
import { partsFileSchema } from '../schema/part';
import { projectSchema } from '../schema/project';

/** The published JSON Schema of a file of parts. */
export function partsJsonSchema(): object {
  return {
    title: 'Fervent Kettle parts',
    ...z.toJSONSchema(partsFileSchema, { target: 'draft-2020-12', unrepresentable: 'any' }),
  };
}

/** The published JSON Schema of the project file, made from the same source that checks it. */
export function projectJsonSchema(): object {
  return {
    title: 'Fervent Kettle project',
    ...z.toJSONSchema(projectSchema, { target: 'draft-2020-12', unrepresentable: 'any' }),
  };
}
