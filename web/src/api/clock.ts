const KEY = 'clock-ahead-ms';
/** Smaller differences are those of any two clocks, and of the way between them. */
const CLOCKS_MAY_DIFFER_MS = 60_000;

/** What the server's clock said in an answer, when this device's said `now`. */
export function hearClock(said: string | null, now: number) {
  const ahead = Date.parse(said ?? '') - now;
  if (Number.isNaN(ahead)) return;
  if (Math.abs(ahead) > CLOCKS_MAY_DIFFER_MS) localStorage.setItem(KEY, String(ahead));
  else localStorage.removeItem(KEY);
}

/** The time by the server's clock, as far as it is known: a phone's own may be hours off. */
export const serverNow = () => new Date(Date.now() + Number(localStorage.getItem(KEY) ?? 0));
