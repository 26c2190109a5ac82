import { readNumber } from '../../lib/number';
import { z } from '../../lib/zod';

export const number = (what: string) =>
  z.string().refine((text) => readNumber(text) !== null, `${what} must be a number.`);

export const numberOrNothing = (what: string) =>
  z
    .string()
    .refine(
      (text) => text.trim() === '' || readNumber(text) !== null,
      `${what} must be a number or empty.`,
    );

export const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 10:30.');
