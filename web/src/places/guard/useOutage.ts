import { useCallback, useEffect, useRef, useState } from 'react';
import { api, Problem, bodyOf } from '../../api/client';
import { serverNow } from '../../api/clock';
import type { NewNote, OutageView } from '../../api/types';
import {
  begun,
  keep,
  NOTHING,
  owes,
  readKept,
  readPlan,
  withWaiting,
  type Kept,
} from './outageLog';

const ASK_EVERY_MS = 15_000;

/** The home's outage: from the server while it answers, from this device while it does not. */
export function useOutage(homeId: string) {
  const [kept, setKept] = useState<Kept>(() => readKept(homeId));
  const [reached, setReached] = useState<boolean | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const latest = useRef(kept);
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const store = useCallback(
    (change: (before: Kept) => Kept) => {
      latest.current = change(latest.current);
      keep(homeId, latest.current);
      setKept(latest.current);
    },
    [homeId],
  );

  /** One call after the other: an answer that was asked for earlier must not cover a later one. */
  const inLine = useCallback(<T>(work: () => Promise<T>): Promise<T> => {
    const next = line.current.then(work, work);
    line.current = next.catch(() => undefined);
    return next;
  }, []);

  /** Sends what waits, else asks how things stand. */
  const refresh = useCallback(
    () =>
      inLine(async () => {
        const sent = latest.current;
        try {
          const view = await tellAndAsk(homeId, sent);
          const ids = new Set(sent.waiting.map((n) => n.id));
          store((before) => ({
            ...before,
            view,
            waiting: before.waiting.filter((n) => !ids.has(n.id)),
            began: before.began?.at === sent.began?.at ? null : before.began,
            ended: before.ended === sent.ended ? null : before.ended,
          }));
          setReached(true);
          setRefused(null);
        } catch (e) {
          const answered = e instanceof Problem && e.status >= 400 && e.status < 500;
          setReached(answered);
          setRefused(answered ? e.message : null);
        }
      }),
    [homeId, inLine, store],
  );

  useEffect(() => {
    const first = setTimeout(() => void refresh(), 0);
    const timer = setInterval(() => void refresh(), ASK_EVERY_MS);
    const back = () => void refresh();
    window.addEventListener('online', back);
    document.addEventListener('visibilitychange', back);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
      window.removeEventListener('online', back);
      document.removeEventListener('visibilitychange', back);
    };
  }, [refresh]);

  const note = (noted: Omit<NewNote, 'id' | 'at'>) => {
    const fresh: NewNote = { id: newId(), at: serverNow().toISOString(), ...noted };
    store((before) => ({ ...before, waiting: [...before.waiting, fresh] }));
    void refresh();
  };

  /** Begins at the server; without it, by the plan that was kept. */
  const start = () =>
    inLine(async () => {
      try {
        const view = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages', { params: { path: { homeId } }, body: {} }),
        );
        store(() => ({ ...NOTHING, view }));
      } catch (e) {
        const plan = readPlan(homeId);
        if (!(e instanceof Problem) || e.status !== 0 || !plan) throw e;
        const at = serverNow().toISOString();
        const began = { at, planAt: plan.at };
        store(() => ({ ...NOTHING, view: begun(plan.view, at), began }));
        setReached(false);
      }
    });

  const end = () => {
    const ended = serverNow().toISOString();
    store((before) => ({ ...before, ended }));
    void refresh();
  };

  /** It began before anybody noticed. */
  const beganEarlier = (minutes: number) =>
    inLine(async () => {
      const known = latest.current.view;
      if (!known) return;
      const at = new Date(Date.parse(known.startedAt) - minutes * 60_000).toISOString();
      try {
        const view = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages/{id}/began', {
            params: { path: { homeId, id: known.id } },
            body: { at },
          }),
        );
        store((before) => ({ ...before, view }));
      } catch (e) {
        setRefused(e instanceof Problem ? e.message : null);
      }
    });

  /** Brings a card's log in: the same card again changes nothing. */
  const bring = (card: { startedAt: string; endedAt: string | null; notes: NewNote[] }) =>
    inLine(async () => {
      let view = await bodyOf(
        api.POST('/api/v1/homes/{homeId}/outages', {
          params: { path: { homeId } },
          body: { at: card.startedAt },
        }),
      );
      const path = { homeId, id: view.id };
      if (card.notes.length > 0)
        view = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages/{id}/notes', {
            params: { path },
            body: { notes: card.notes },
          }),
        );
      if (card.endedAt)
        view = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages/{id}/end', {
            params: { path },
            body: { at: card.endedAt },
          }),
        );
      store((before) => ({ ...before, view }));
    });

  /** Leaves the page of an outage, once the server knows all of it or has refused to. */
  const close = () => store((before) => (owes(before) && refused === null ? before : NOTHING));

  return {
    view: kept.view && withWaiting(withEnd(kept.view, kept.ended), kept.waiting),
    waiting: kept.waiting.length + (kept.began ? 1 : 0) + (kept.ended ? 1 : 0),
    planAt: kept.began?.planAt,
    reached,
    refused,
    note,
    start,
    end,
    beganEarlier,
    bring,
    close,
  };
}

const withEnd = (view: OutageView, ended: string | null): OutageView =>
  ended ? { ...view, endedAt: ended } : view;

/** The outage as the server knows it, after what waits was sent to it, in the order in which it happened. */
async function tellAndAsk(
  homeId: string,
  { view: known, waiting, began, ended }: Kept,
): Promise<OutageView | null> {
  let view = began ? null : known;
  if (began) {
    view = await bodyOf(
      api.POST('/api/v1/homes/{homeId}/outages', {
        params: { path: { homeId } },
        body: { at: began.at },
      }),
    );
  }
  if (view && waiting.length > 0) {
    view = await bodyOf(
      api.POST('/api/v1/homes/{homeId}/outages/{id}/notes', {
        params: { path: { homeId, id: view.id } },
        body: { notes: waiting },
      }),
    );
  }
  if (view && ended) {
    return bodyOf(
      api.POST('/api/v1/homes/{homeId}/outages/{id}/end', {
        params: { path: { homeId, id: view.id } },
        body: { at: ended },
      }),
    );
  }
  if (view && (began || waiting.length > 0)) return view;
  const current = await bodyOf(
    api.GET('/api/v1/homes/{homeId}/outages/current', { params: { path: { homeId } } }),
  );
  // One that is over stays on the screen for its restart and report until it is closed.
  return current.outage ?? (known?.endedAt ? known : null);
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
