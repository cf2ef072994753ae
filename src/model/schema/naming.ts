import * as z from 'zod/mini';
import { speakPlainly } from './complaints';

speakPlainly();

export const idSchema = z.string().check(z.minLength(1), z.maxLength(64));
export const nameSchema = z
  .string()
  .check(z.trim(), z.minLength(1), z.maxLength(80), z.meta({ title: 'Name' }));
