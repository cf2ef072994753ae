import * as z from 'zod/mini';
import { numberField } from './field';
import { idSchema } from './naming';

export const speed = (title: string, description: string, min = 5) =>
  numberField({ title, quantity: 'speed', min, max: 350, usual: [min, 200], step: 5, description });

export const seconds = (title: string, max: number, usual: readonly [number, number], description: string) =>
  numberField({ title, quantity: 'seconds', min: 0, max, usual, step: 1, description });

export const count = (
  title: string,
  min: number,
  max: number,
  usual: readonly [number, number],
  description: string,
) => numberField({ title, quantity: 'count', min, max, integer: true, usual, step: 1, description });

export const rate = (title: string, description: string) =>
  numberField({ title, quantity: 'deceleration', min: 0.5, max: 25, usual: [3, 11], step: 0.1, description });

export const metres = (title: string, description: string) =>
  numberField({ title, quantity: 'distance', min: 0.1, max: 2000, usual: [10, 150], step: 0.1, description });

export const keyed = <T extends z.ZodMiniType>(item: T, most: number, what: string) =>
  z.record(idSchema, item).check((ctx) => {
    if (Object.keys(ctx.value).length <= most) return;
    ctx.issues.push({ code: 'custom', input: ctx.value, message: `must have at most ${most} ${what}` });
  });
