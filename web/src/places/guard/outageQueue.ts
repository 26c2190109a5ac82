import { api, bodyOf, Problem } from '../../api/client';
import type { NewNote, OutageView } from '../../api/types';
import type { NothingOwed } from '../../offline/owed';
import {
  happened,
  keep,
  keptHomes,
  owes,
  readKept,
  type Happened,
  type Kept,
  type Refused,
} from './outageLog';

/** How the server stood when it was last asked. */
export type Reached = 'yes' | 'gone' | 'signed out' | null;

export interface Standing {
  kept: Kept;
  reached: Reached;
}

const TRY_EVERY_MS = 20_000;

/**
 * The outage of one home on this device: what happened is kept at once, and sent in its order as soon as the server takes
 * it. There is one for each home, whatever screen is open.
 */
export class OutageQueue {
  private standing: Standing;
  private readonly listeners = new Set<() => void>();
  private line: Promise<unknown> = Promise.resolve();

  constructor(private readonly homeId: string) {
    this.standing = { kept: readKept(homeId), reached: null };
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly read = (): Standing => this.standing;

  private set(standing: Standing) {
    this.standing = standing;
    this.listeners.forEach((listener) => listener());
  }

  /** Another tab may have kept something since: what is kept is read, changed and kept again in one go. */
  readonly happen = (event: Happened) => {
    const before = readKept(this.homeId);
    const kept = happened(before, event);
    keep(this.homeId, kept);
    if (owes(before) && !owes(kept)) nothingOwed(this.homeId);
    this.set({ ...this.standing, kept });
  };

  /** What another tab has kept. */
  readonly lookAgain = () => this.set({ ...this.standing, kept: readKept(this.homeId) });

  /** One call after the other: an answer that was asked for earlier must not cover a later one. */
  readonly inLine = <T>(work: () => Promise<T>): Promise<T> => {
    const next = this.line.then(work, work);
    this.line = next.catch(() => undefined);
    return next;
  };

  /** Sends what waits, then asks how things stand. */
  readonly refresh = () =>
    this.inLine(async () => {
      this.lookAgain();
      if (this.standing.kept.rehearsal) return;
      try {
        await this.tell();
        if (!owes(this.standing.kept)) {
          const now = await this.current();
          this.happen({ kind: 'asked', view: now.outage ?? null });
        }
        this.set({ ...this.standing, reached: 'yes' });
      } catch (e) {
        const status = e instanceof Problem ? e.status : 0;
        const reached = status === 401 || status === 403 ? 'signed out' : 'gone';
        this.set({ ...this.standing, reached });
      }
    });

  private async tell() {
    const { began, ended } = this.standing.kept;
    if (began) {
      try {
        const view = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages', {
            params: { path: { homeId: this.homeId } },
            body: { id: began.id, at: began.at, until: ended ?? undefined },
          }),
        );
        this.happen({ kind: 'began told', id: began.id, ended, view });
      } catch (e) {
        const { message } = await this.final(e);
        // A time that the server cannot take must not stop the clock: then it counts from now.
        const view = await bodyOf(
          api.POST('/api/v1/homes/{homeId}/outages', {
            params: { path: { homeId: this.homeId } },
            body: { id: began.id },
          }),
        );
        this.happen({ kind: 'began told', id: began.id, ended: null, view });
        this.happen({ kind: 'refused', refused: { what: 'Start', why: message } });
      }
    }
    await this.tellNotes();
    await this.tellEnd();
  }

  private async tellNotes() {
    const { waiting, view } = this.standing.kept;
    if (waiting.length === 0 || !view) return;
    try {
      await this.tellSome(view.id, waiting);
    } catch (e) {
      await this.final(e);
      // Refused as a whole: each is told by itself, so that one holds back no other.
      for (const note of waiting) {
        try {
          await this.tellSome(view.id, [note]);
        } catch (alone) {
          const { message } = await this.final(alone);
          this.happen({
            kind: 'notes told',
            ids: [note.id],
            refused: [{ what: inWords(note), why: message }],
            view: null,
          });
        }
      }
    }
  }

  private async tellSome(outageId: string, notes: NewNote[]) {
    const answer = await bodyOf(
      api.POST('/api/v1/homes/{homeId}/outages/{id}/notes', {
        params: { path: { homeId: this.homeId, id: outageId } },
        body: { notes },
      }),
    );
    const why = new Map(answer.refused.map((r) => [r.id, r.message]));
    const refused: Refused[] = notes
      .filter((n) => why.has(n.id))
      .map((n) => ({ what: inWords(n), why: why.get(n.id) ?? '' }));
    this.happen({ kind: 'notes told', ids: notes.map((n) => n.id), refused, view: answer.outage });
  }

  private async tellEnd() {
    const { ended, view } = this.standing.kept;
    if (!ended || !view) return;
    try {
      const told: OutageView = await bodyOf(
        api.POST('/api/v1/homes/{homeId}/outages/{id}/end', {
          params: { path: { homeId: this.homeId, id: view.id } },
          body: { at: ended },
        }),
      );
      this.happen({ kind: 'end told', at: ended, view: told });
    } catch (e) {
      const { message } = await this.final(e);
      this.happen({ kind: 'end refused', refused: { what: 'Power is back', why: message } });
    }
  }

  /**
   * The refusal that asking again will not change; anything else is thrown on. Signed out, too many at once, a server in
   * trouble: all of these pass. What is not there is gone only where the home itself can be seen.
   */
  private async final(e: unknown): Promise<Problem> {
    if (e instanceof Problem && REFUSED.includes(e.status)) return e;
    if (e instanceof Problem && e.status === 404) {
      await this.current();
      return e;
    }
    throw e;
  }

  private readonly current = () =>
    bodyOf(
      api.GET('/api/v1/homes/{homeId}/outages/current', {
        params: { path: { homeId: this.homeId } },
      }),
    );
}

const REFUSED: readonly number[] = [400, 409, 413, 422];

const inWords = (note: NewNote) =>
  note.text ??
  `${note.kind.toLowerCase().replace('_', ' ')}${note.value === undefined ? '' : ` ${note.value}`}`;

/** What the worker still holds of it must not be sent: it was told, or taken back before it was. */
function nothingOwed(homeId: string) {
  const said: NothingOwed = { nothingOwedOf: homeId };
  if ('serviceWorker' in navigator) navigator.serviceWorker.controller?.postMessage(said);
}

const queues = new Map<string, OutageQueue>();

export function outageQueue(homeId: string): OutageQueue {
  const known = queues.get(homeId) ?? new OutageQueue(homeId);
  queues.set(homeId, known);
  return known;
}

/** For tests: as after a reload of the page. */
export const forgetQueues = () => queues.clear();

/** Sends what any home owes: from every screen, at the start, when the network returns, when the page is looked at. */
export function sendOwed() {
  const send = () => {
    for (const homeId of keptHomes()) {
      if (owes(readKept(homeId))) void outageQueue(homeId).refresh();
    }
  };
  const looked = () => document.visibilityState === 'visible' && send();
  const other = (e: StorageEvent) => queues.get(e.key?.replace(/^outage-/, '') ?? '')?.lookAgain();
  send();
  const timer = setInterval(send, TRY_EVERY_MS);
  window.addEventListener('online', send);
  window.addEventListener('storage', other);
  document.addEventListener('visibilitychange', looked);
  return () => {
    clearInterval(timer);
    window.removeEventListener('online', send);
    window.removeEventListener('storage', other);
    document.removeEventListener('visibilitychange', looked);
  };
}
