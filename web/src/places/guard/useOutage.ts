import { useEffect, useSyncExternalStore } from 'react';
import { api, bodyOf } from '../../api/client';
import { serverNow } from '../../api/clock';
import type { NewNote, OutageView } from '../../api/types';
import { newId } from '../../lib/newId';
import { readPlan, shown } from './outageLog';
import { outageQueue } from './outageQueue';

const ASK_EVERY_MS = 15_000;

/** What a queue of outages shows, without asking anything. */
function useStanding(homeId: string) {
  const queue = outageQueue(homeId);
  const standing = useSyncExternalStore(queue.subscribe, queue.read);
  return { queue, ...standing };
}

/** The home's outage: from the server while it answers, from this device while it does not. */
export function useOutage(homeId: string, askEveryMs = ASK_EVERY_MS) {
  const { queue, kept, reached } = useStanding(homeId);
  useEffect(() => {
    const ask = () => void queue.refresh();
    const looked = () => document.visibilityState === 'visible' && ask();
    const first = setTimeout(ask, 0);
    const timer = setInterval(ask, askEveryMs);
    window.addEventListener('online', ask);
    document.addEventListener('visibilitychange', looked);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
      window.removeEventListener('online', ask);
      document.removeEventListener('visibilitychange', looked);
    };
  }, [queue, askEveryMs]);

  const note = (noted: Omit<NewNote, 'id' | 'at'>) => {
    queue.happen({
      kind: 'noted',
      note: { id: newId(), at: serverNow().toISOString(), ...noted },
    });
    void queue.refresh();
  };

  /** Begins on this device at once, whatever the server says, by the plan that was kept. */
  const begin = (rehearsal: boolean) => {
    queue.happen({
      kind: 'began',
      id: newId(),
      at: serverNow().toISOString(),
      homeId,
      plan: readPlan(homeId),
      rehearsal,
    });
    void queue.refresh();
  };

  /** What changes the outage at the server alone: it takes a server that answers. */
  const atServer = (ask: (known: OutageView) => Promise<OutageView | null>) =>
    queue.inLine(async () => {
      const known = queue.read().kept.view;
      if (known) queue.happen({ kind: 'asked', view: await ask(known) });
    });

  const path = (id: string) => ({ params: { path: { homeId, id } } });

  /** It began at another time. */
  const beganAt = (at: string) =>
    atServer((known) =>
      bodyOf(
        api.POST('/api/v1/homes/{homeId}/outages/{id}/began', { ...path(known.id), body: { at } }),
      ),
    );

  const end = (at = serverNow().toISOString()) => {
    queue.happen({ kind: 'ended', at });
    void queue.refresh();
  };

  /** The power was not back after all. */
  const goesOn = async () => {
    const told = queue.read().kept.ended === null;
    queue.happen({ kind: 'goes on' });
    if (!told || queue.read().kept.rehearsal) return;
    await atServer((known) =>
      bodyOf(api.POST('/api/v1/homes/{homeId}/outages/{id}/goes-on', path(known.id))),
    );
  };

  /** It never was. Gives what brings it back. */
  const remove = async () => {
    const { view: known, began } = queue.read().kept;
    if (!known) return () => Promise.resolve();
    if (began) {
      // The server has never heard of it.
      const before = queue.read().kept;
      queue.happen({ kind: 'removed' });
      return () => {
        queue.happen({ kind: 'brought back', kept: before });
        return queue.refresh();
      };
    }
    await queue.inLine(() =>
      bodyOf(api.DELETE('/api/v1/homes/{homeId}/outages/{id}', path(known.id))),
    );
    queue.happen({ kind: 'removed' });
    return () =>
      queue.inLine(async () => {
        const view = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages/{id}/restore', path(known.id)),
        );
        queue.happen({ kind: 'asked', view });
      });
  };

  /** Brings a card's log in: the same card again changes nothing. */
  const bring = (card: { startedAt: string; endedAt: string | null; notes: NewNote[] }) =>
    queue.inLine(async () => {
      let view = await bodyOf(
        api.POST('/api/v1/homes/{homeId}/outages', {
          params: { path: { homeId } },
          body: { at: card.startedAt, until: card.endedAt ?? undefined },
        }),
      );
      if (card.notes.length > 0) {
        const answer = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages/{id}/notes', {
            ...path(view.id),
            body: { notes: card.notes },
          }),
        );
        view = answer.outage;
        const refused = answer.refused.map((r) => ({ what: 'Card note', why: r.message }));
        queue.happen({ kind: 'notes told', ids: [], refused, view });
      }
      queue.happen({ kind: 'asked', view });
    });

  return {
    view: shown(kept),
    waiting: kept.waiting.length + (kept.began ? 1 : 0) + (kept.ended ? 1 : 0),
    planAt: kept.began?.planAt ?? undefined,
    rehearsal: kept.rehearsal,
    reached,
    refused: kept.refused,
    note,
    start: () => begin(false),
    rehearse: () => begin(true),
    end,
    goesOn,
    beganAt,
    remove,
    bring,
    read: () => queue.happen({ kind: 'read' }),
    close: () => queue.happen({ kind: 'closed' }),
  };
}
