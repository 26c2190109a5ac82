import { readNumber } from './number';
import { z } from './zod';

export const number = (what: string) =>
  z.string().refine((text) => readNumber(text) !== null, `${what} must be a number.`);

export const numberOrNothing = (what: string) =>
  z
    .string()
    .refine(
      (text) => text.trim() === '' || readNumber(text) !== null,
      `${what} must be a number or empty.`,
    );

export const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Enter a time such as 10:30.');

/** Words that must not be missing. */
export const words = (missing: string, most: number) =>
  z.string().trim().min(1, missing).max(most, `Use at most ${most} characters.`);

/** A wall-clock time as the browser's own field gives it. */
export const localTime = z.string().min(1, 'Enter the time.');
