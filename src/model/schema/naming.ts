import { z } from 'zod';

export const idSchema = z.string().min(1).max(64);
export const nameSchema = z.string().trim().min(1).max(80).meta({ title: 'Name' });
