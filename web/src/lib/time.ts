let twelve = false;

/** How times of day are written and typed from now on, as the account says. */
export function writeHours12(yes: boolean) {
  twelve = yes;
}

export const hours12 = () => twelve;

/** Formatters are slow to make: each is made once for a zone. */
function inZone(locale: string, options: Intl.DateTimeFormatOptions) {
  const made = new Map<string, Intl.DateTimeFormat>();
  return (zone: string): Intl.DateTimeFormat => {
    const key = `${zone} ${twelve}`;
    const known = made.get(key);
    if (known) return known;
    const hours = twelve && options.hour && !options.hourCycle;
    const format = new Intl.DateTimeFormat(locale, {
      ...options,
      ...(hours && { hour: 'numeric', hourCycle: 'h12' as const }),
      timeZone: zone,
    });
    made.set(key, format);
    return format;
  };
}

const MINUTE_MS = 60_000;
const CLOCK = { hour: '2-digit', minute: '2-digit' } as const;
const clock = inZone('en-GB', CLOCK);
const dayAndClock = inZone('en-GB', { ...CLOCK, weekday: 'short', day: 'numeric', month: 'short' });
const weekdayAndClock = inZone('en-GB', { ...CLOCK, weekday: 'short' });
const input = inZone('en-CA', {
  ...CLOCK,
  year: 'numeric',
  month: '2-digit',
  day: '2-digit',
  hourCycle: 'h23',
});
const full = inZone('en-GB', { dateStyle: 'full' });
const medium = inZone('en-GB', { dateStyle: 'medium' });
const short = inZone('en-GB', { day: 'numeric', month: 'short' });

/** The wall clock of a home, whatever the browser's own zone is. */
export const clockTime = (instant: string, zone: string) => clock(zone).format(new Date(instant));

const HOURS_24 = /\b([01]\d|2[0-3]):([0-5]\d)\b(?!:)/g;

/** A sentence of the server, which writes 24 hours, as the account reads times. */
export const timesIn = (sentence: string) =>
  twelve
    ? sentence.replace(HOURS_24, (_, hour: string, minute: string) => {
        const h = Number(hour);
        return `${((h + 11) % 12) + 1}:${minute} ${h < 12 ? 'am' : 'pm'}`;
      })
    : sentence;

/** The midnight with which a day ends, which a clock of 24 hours tells from the one with which it begins. */
export const endOfDay = () => (twelve ? '12:00 am' : '24:00');

export const dayAndTime = (instant: string, zone: string) =>
  dayAndClock(zone).format(new Date(instant));

/** For a handful of recent moments, where the weekday tells enough. */
export const weekdayAndTime = (instant: string, zone: string) =>
  weekdayAndClock(zone).format(new Date(instant));

/** What a datetime-local field holds for this instant in the home's zone. */
export function localInput(instant: Date, zone: string): string {
  const parts = input(zone).formatToParts(instant);
  const part = (type: Intl.DateTimeFormatPartTypes) =>
    parts.find((p) => p.type === type)?.value ?? '';
  return `${part('year')}-${part('month')}-${part('day')}T${part('hour')}:${part('minute')}`;
}

/** The local date of an instant. */
export const localDay = (ms: number, zone: string) => localInput(new Date(ms), zone).slice(0, 10);

/** By how much a zone's clocks are ahead of Greenwich then, milliseconds. */
export const clockOffset = (ms: number, zone: string) =>
  Date.parse(`${localInput(new Date(ms), zone)}Z`) - Math.floor(ms / MINUTE_MS) * MINUTE_MS;

/** When a local day begins, milliseconds. */
export function startOfDay(day: string, zone: string): number {
  const midnight = Date.parse(`${day}T00:00Z`);
  const off = (at: number) => clockOffset(at, zone);
  // As far off as the zone is at that very moment, not at midnight in Greenwich.
  return midnight - off(midnight - off(midnight));
}

/** The time alone when it is today in the home's zone, else with its day. */
export function shortTime(instant: string, zone: string, now: Date): string {
  const same =
    localInput(new Date(instant), zone).slice(0, 10) === localInput(now, zone).slice(0, 10);
  return same ? clockTime(instant, zone) : dayAndTime(instant, zone);
}

export function age(hours: number): string {
  if (hours < 0.2) return 'same time';
  if (hours < 1) return `${Math.round(hours * 60)} min earlier`;
  if (hours < 48) return `${Math.round(hours)} h before`;
  return `${Math.round(hours / 24)} days earlier`;
}

/** The day alone, for axes: 12 Nov. Its year in a sentence: {@link mediumDay}. */
export const shortDay = (at: Date | number, zone: string) => short(zone).format(at);

export const mediumDay = (at: Date | number, zone: string) => medium(zone).format(at);

const noon = (day: string) => new Date(`${day}T12:00:00Z`);

/** A local date in full: Thursday 12 November 2026. */
export const longDay = (day: string) => full('UTC').format(noon(day));

/** A local date in short: 12 Nov 2026. */
export const plainDay = (day: string) => medium('UTC').format(noon(day));

/** One of the last months': 12 Nov. */
export const dayOfMonth = (day: string) => short('UTC').format(noon(day));

/** The local date some days on. */
export function shiftDay(day: string, days: number): string {
  const date = noon(day);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}
