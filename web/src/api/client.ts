import createClient, { type Middleware } from 'openapi-fetch';
import { hearClock } from './clock';
import { sentOnce } from './sentOnce';
import { spoken, type FieldProblem } from '../lib/spoken';
import { timesIn } from '../lib/time';
import type { paths } from './schema';

/** A problem document (RFC 9457) as the server sends it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: FieldProblem[] = [],
    readonly extra: Record<string, unknown> = {},
  ) {
    super(message);
  }

  /** What is wrong with the field whose path ends so. */
  at(field: string): string | undefined {
    return this.errors.find((e) => e.field === field)?.message;
  }
}

const forgeryToken: Middleware = {
  onRequest({ request }) {
    const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
    if (token) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token));
    return request;
  },
};

const serverClock: Middleware = {
  onResponse({ response, schemaPath }) {
    // Only answers that never come from this device's cache.
    if (schemaPath.includes('/outages')) hearClock(response.headers.get('Date'), Date.now());
  },
};

export const api = createClient<paths>({ baseUrl: '/' });
api.use(forgeryToken, sentOnce(), serverClock);

/** The data of an answer, or the problem thrown. */
export async function bodyOf<T>(
  answer: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let settled;
  try {
    settled = await answer;
  } catch {
    throw new Problem(0, 'The server does not answer. Nothing was saved. Try again in a moment.');
  }
  if (settled.response.ok) return settled.data as T;
  const body = (settled.error ?? {}) as Record<string, unknown>;
  const errors = (Array.isArray(body.errors) ? (body.errors as FieldProblem[]) : []).map((e) => ({
    ...e,
    message: timesIn(spoken(e)),
  }));
  const detail =
    errors.length > 0
      ? errors.map((e) => e.message).join(' ')
      : typeof body.detail === 'string'
        ? body.detail
        : `The server answered with ${settled.response.status}.`;
  throw new Problem(settled.response.status, timesIn(detail), errors, body);
}
