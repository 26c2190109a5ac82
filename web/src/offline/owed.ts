import type { Queue } from 'workbox-background-sync';

/** Where an outage, its notes and its end are told. */
export const tellsOutage = (path: string) =>
  /^\/api\/v1\/homes\/[^/]+\/outages(\/[^/]+\/(notes|end))?$/.test(path);

type Waiting = Pick<Queue, 'getAll' | 'shiftRequest' | 'pushRequest'>;

/** What the page says when nothing of a home is owed any more: it was told, or taken back before it was. */
export interface NothingOwed {
  nothingOwedOf: string;
}

export async function drop(queue: Waiting, homeId: string) {
  const waiting = await queue.getAll();
  for (let i = 0; i < waiting.length; i++) await queue.shiftRequest();
  for (const entry of waiting)
    if (!entry.request.url.includes(`/homes/${homeId}/`)) await queue.pushRequest(entry);
}

/**
 * Keeps a request that met no server, at the place of the one before to the same address: the page tells all that it owes
 * there each time, and bears the same ids, so that sending it once more makes nothing twice.
 */
export async function wait(queue: Waiting, request: Request) {
  const waiting = await queue.getAll();
  const known = waiting.some((entry) => entry.request.url === request.url);
  const next = known
    ? waiting.map((entry) => (entry.request.url === request.url ? { request } : entry))
    : [...waiting, { request }];
  for (let i = 0; i < waiting.length; i++) await queue.shiftRequest();
  for (const entry of next) await queue.pushRequest(entry);
}
