import type { Middleware } from 'openapi-fetch';
import { newId } from '../lib/newId';

/** A server that is away says so, or somebody between says it for the server: nobody knows what became of the request. */
const AWAY = new Set([502, 503, 504]);

/**
 * Each request to make something names itself. One whose answer was lost bears the same name when it is sent again, so that
 * what was saved already is not saved twice; so do two presses at once.
 */
export function sentOnce(): Middleware {
  const names = new Map<string, string>();
  const asked = new Map<string, string>();
  return {
    async onRequest({ request, id }) {
      const json = request.headers.get('Content-Type')?.includes('json') ?? false;
      if (request.method !== 'POST' || !json) return undefined;
      const what = `${request.url}\n${await request.clone().text()}`;
      const name = names.get(what) ?? newId();
      names.set(what, name);
      asked.set(id, what);
      request.headers.set('Idempotency-Key', name);
      return request;
    },
    onResponse({ response, id }) {
      const what = asked.get(id);
      asked.delete(id);
      if (what !== undefined && !AWAY.has(response.status)) names.delete(what);
      return undefined;
    },
    onError({ id }) {
      asked.delete(id);
      return undefined;
    },
  };
}
