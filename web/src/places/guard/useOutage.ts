import { useCallback, useEffect, useState } from 'react';
import { api, told } from '../../api/client';
import type { NewNote, OutageView } from '../../api/types';
import { keep, readKept, withWaiting, type Kept } from './outageLog';

const ASK_EVERY_MS = 15_000;

/** The home's outage: from the server while it answers, from this device while it does not. */
export function useOutage(homeId: string) {
  const [kept, setKept] = useState<Kept>(() => readKept(homeId));
  const [reached, setReached] = useState<boolean | null>(null);
  const store = useCallback(
    (change: (before: Kept) => Kept) =>
      setKept((before) => {
        const next = change(before);
        keep(homeId, next);
        return next;
      }),
    [homeId],
  );

  const refresh = useCallback(async () => {
    const { view, waiting } = readKept(homeId);
    try {
      let now: OutageView | null;
      if (view && waiting.length > 0) {
        now = await told(
          api.POST('/api/v1/homes/{homeId}/outages/{id}/notes', {
            params: { path: { homeId, id: view.id } },
            body: { notes: waiting },
          }),
        );
      } else if (view?.endedAt) {
        now = view;
        const current = await told(
          api.GET('/api/v1/homes/{homeId}/outages/current', { params: { path: { homeId } } }),
        );
        now = current.outage ?? view;
      } else {
        const current = await told(
          api.GET('/api/v1/homes/{homeId}/outages/current', { params: { path: { homeId } } }),
        );
        now = current.outage ?? null;
      }
      setReached(true);
      store((before) => ({
        view: now,
        waiting: before.waiting.filter((n) => !waiting.some((sent) => sent.id === n.id)),
      }));
    } catch {
      setReached(false);
    }
  }, [homeId, store]);

  useEffect(() => {
    const first = setTimeout(() => void refresh(), 0);
    const timer = setInterval(() => void refresh(), ASK_EVERY_MS);
    const back = () => void refresh();
    window.addEventListener('online', back);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
      window.removeEventListener('online', back);
    };
  }, [refresh]);

  const note = (told: Omit<NewNote, 'id' | 'at'>) => {
    const fresh: NewNote = { id: newId(), at: new Date().toISOString(), ...told };
    store((before) => ({ ...before, waiting: [...before.waiting, fresh] }));
    void refresh();
  };

  const start = (at?: string) =>
    told(
      api.POST('/api/v1/homes/{homeId}/outages', { params: { path: { homeId } }, body: { at } }),
    ).then((view) => {
      store((before) => ({ ...before, view }));
      return view;
    });

  const end = () =>
    kept.view
      ? told(
          api.POST('/api/v1/homes/{homeId}/outages/{id}/end', {
            params: { path: { homeId, id: kept.view.id } },
            body: {},
          }),
        ).then((view) => store((before) => ({ ...before, view })))
      : Promise.resolve();

  const close = () => store(() => ({ view: null, waiting: [] }));

  return {
    view: kept.view && withWaiting(kept.view, kept.waiting),
    waiting: kept.waiting.length,
    reached,
    note,
    start,
    end,
    close,
    refresh,
  };
}

/** Over plain HTTP browsers make no random UUIDs themselves. */
function newId(): string {
  if (window.isSecureContext) return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
