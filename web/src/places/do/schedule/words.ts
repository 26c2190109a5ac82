import type {
  Lane,
  LaneClaim,
  LaneDay,
  LanePiece,
  LaneRule,
  LaneState,
  LaneWindow,
  ScheduleDay,
  RunOfSchedule,
  WindowEdge,
} from '../../../api/types';
import { range } from '../../../lib/number';
import { clockTime, dayOfMonth } from '../../../lib/time';

export const KIND: Record<Lane['kind'], string> = {
  LAMPS: 'display light',
  REFUGIUM: 'refugium light',
  RETURN_PUMP: 'return pump',
  FLOW_PUMP: 'flow pump',
  SKIMMER: 'skimmer',
  AIR_PUMP: 'air pump with a stone',
  AIR_PATH: 'skimmer air path',
  DOSER: 'doser',
  FAN: 'fan or ventilator',
};

const percent = (share = 0) => `${Math.round(100 * share)} %`;

/** Seconds as people say them: 30 s, 5 min, 1 min 30 s, 2 h. */
export function lasting(seconds: number): string {
  const s = Math.round(seconds);
  const parts = [
    [Math.floor(s / 3600), 'h'],
    [Math.floor((s % 3600) / 60), 'min'],
    [s % 60, 's'],
  ] as const;
  const said = parts.filter(([n]) => n > 0).map(([n, unit]) => `${n} ${unit}`);
  return said.length > 0 ? said.join(' ') : '0 s';
}

/** What a lane is set to do. */
export function stateWords(state: LaneState, kind: Lane['kind']): string {
  switch (state.does) {
    case 'OFF':
      return kind === 'DOSER' ? 'no doses' : 'off';
    case 'ON':
      return kind === 'DOSER' ? 'dosing allowed' : 'on';
    case 'SHARE':
      return `${percent(state.share)} of full power`;
    case 'WAVE':
      return `${lasting(state.onS ?? 0)} on, ${lasting(state.offS ?? 0)} off`;
    case 'FRESH':
      return 'fresh air';
    case 'MEDIA':
      return 'through media';
    case 'RECIRCULATED':
      return `recirculated through media, ${percent(state.share)} fresh`;
  }
}

/** The piece of a lane's day in which a moment lies. */
export const pieceAt = (lane: LaneDay, ms: number): LanePiece | undefined =>
  lane.pieces.find((p) => Date.parse(p.from) <= ms && ms < Date.parse(p.until));

/** Where a wave stands at a moment. */
export function waveAt(
  claim: LaneClaim,
  ms: number,
): { on: boolean; leftS: number; ofS: number } | undefined {
  const { does, onS = 0, offS = 0 } = claim.state;
  if (does !== 'WAVE' || onS + offS === 0) return undefined;
  const turn = onS + offS;
  const since = Math.floor((ms - Date.parse(claim.since)) / 1000);
  const phase = ((since % turn) + turn) % turn;
  const on = phase < onS;
  return { on, leftS: (on ? onS : turn) - phase, ofS: on ? onS : offS };
}

/** What a lane does at a moment. */
export function doesWords(lane: LaneDay, piece: LanePiece, ms: number, zone: string): string {
  const wave = waveAt(piece.winner, ms);
  if (wave) {
    return `${wave.on ? 'on' : 'off'}, ${lasting(wave.leftS)} left of ${lasting(wave.ofS)}`;
  }
  const words = stateWords(piece.winner.state, lane.kind);
  if (lane.kind !== 'DOSER' || piece.winner.state.does === 'OFF') return words;
  const next = lane.doses.find((dose) => Date.parse(dose) >= ms && mayDose(lane, dose));
  return next === undefined ? words : `${words}, next ${clockTime(next, zone)}`;
}

export function mayDose(lane: LaneDay, dose: string): boolean {
  const does = pieceAt(lane, Date.parse(dose))?.winner.state.does;
  return does !== undefined && does !== 'OFF';
}

/** Why it does that: what won, and what it beat. */
export function whyWords(piece: LanePiece): string {
  const { strength, by } = piece.winner;
  const beats = piece.losers.find((l) => l.strength !== 'REST');
  if (strength === 'REST') return 'no rule';
  const won = strength === 'USUAL' ? `usual, ${by}` : by;
  return beats
    ? `${won} · overrides ${beats.strength === 'USUAL' ? 'the usual day' : beats.by}`
    : won;
}

const LIGHT = { ON: 'lamps-on', OFF: 'lamps-off' } as const;

export function edgeWords(edge: WindowEdge): string {
  if (edge.time !== undefined) return edge.time;
  const at = LIGHT[edge.light ?? 'ON'];
  const minutes = edge.minutes ?? 0;
  if (minutes === 0) return at;
  return `${lasting(60 * Math.abs(minutes))} ${minutes < 0 ? 'before' : 'after'} ${at}`;
}

const DAYS = [
  ['MONDAY', 'Mon'],
  ['TUESDAY', 'Tue'],
  ['WEDNESDAY', 'Wed'],
  ['THURSDAY', 'Thu'],
  ['FRIDAY', 'Fri'],
  ['SATURDAY', 'Sat'],
  ['SUNDAY', 'Sun'],
] as const;
export type Weekday = (typeof DAYS)[number][0];
export const WEEKDAYS: readonly { value: Weekday; label: string }[] = DAYS.map(
  ([value, label]) => ({ value, label }),
);
export const WORKDAYS: readonly Weekday[] = DAYS.slice(0, 5).map(([day]) => day);
export const WEEKEND: readonly Weekday[] = DAYS.slice(5).map(([day]) => day);

export function daysWords(window: LaneWindow): string {
  const of = window.days;
  const same = (days: readonly Weekday[]) =>
    of?.length === days.length && days.every((day) => of.includes(day));
  const days =
    of === undefined
      ? 'every day'
      : same(WORKDAYS)
        ? 'workdays'
        : same(WEEKEND)
          ? 'weekends'
          : DAYS.filter(([day]) => of.includes(day))
              .map(([, name]) => name)
              .join(', ');
  return window.seasonFrom === undefined
    ? days
    : `${days}, ${season(window.seasonFrom)} to ${season(window.seasonUntil ?? '')}`;
}

const season = (monthAndDay: string) => dayOfMonth(`2024-${monthAndDay}`);

export const windowWords = (window: LaneWindow) =>
  window.allDay
    ? daysWords(window)
    : `${edgeWords(window.from)} to ${edgeWords(window.until)}, ${daysWords(window)}`;

/** A rule in a sentence's half; the lane is named beside it. */
export function ruleWords(rule: LaneRule, kind: Lane['kind'], windows: readonly LaneWindow[]) {
  const name = windows.find((w) => w.id === rule.window)?.name ?? '';
  const state = rule.state ? stateWords(rule.state, kind) : '';
  switch (rule.kind) {
    case 'CUT_OUT':
      return `${state} while ${limitWords(rule)}`;
    case 'FOLLOW_UP':
      return `after “${name}”: ${(rule.steps ?? [])
        .map((s) => `${stateWords(s.state, kind)} for ${lasting(s.lastsS)}${later(s.afterS)}`)
        .join(', ')}`;
    case 'GATE':
      return `${state} while ${limitWords(rule)}${name && `, in “${name}”`}, without a reading ${
        rule.whenNotKnown ? stateWords(rule.whenNotKnown, kind) : 'not set'
      }`;
    case 'SPECIAL':
    case 'USUAL':
      return `${state} in “${name}”`;
  }
}

const later = (afterS: number) => (afterS === 0 ? ' at once' : ` after ${lasting(afterS)}`);

const QUANTITY: Record<string, string> = {
  PH: 'pH',
  CO2: 'CO2',
  OXYGEN: 'oxygen',
  TEMPERATURE: 'temperature',
};

function limitWords(rule: LaneRule): string {
  const limit = rule.limit;
  if (!limit) return '';
  const what = QUANTITY[limit.quantity] ?? limit.quantity.toLowerCase().replaceAll('_', ' ');
  return `${what} is ${limit.above ? 'above' : 'below'} ${limit.value}`;
}

/** The kinds of rules, the strongest first. */
export const STRENGTH: Record<LaneRule['kind'], string> = {
  CUT_OUT: 'for safety',
  FOLLOW_UP: 'afterwards',
  GATE: 'by a reading',
  SPECIAL: 'special',
  USUAL: 'usual day',
};

/** What a schedule's day comes to, in one line. */
export function dayVerdict(day: ScheduleDay): string {
  const all = day.conflicts.length + day.more;
  const forbid = day.conflicts.filter((c) => c.forbids).length;
  if (all === 0) return 'No conflicts';
  const many = all === 1 ? 'One conflict' : `${all} conflicts`;
  return forbid === 0 ? many : `${many}, ${which(forbid, all)} must be fixed before you can save`;
}

function which(some: number, all: number): string {
  if (some === all) return all === 1 ? 'and it' : 'and they';
  return some === 1 ? 'one of which' : 'some of which';
}

/** How long a fill of media lasts, or what stops it. */
export function mediaWords(media: NonNullable<RunOfSchedule['media']>): string {
  if (media.drowned) return `drowned, ${media.waterPerKg.toFixed(2)} L in each kg`;
  const days = range(media.lastDays, 0);
  return `${media.massKg} kg lasts ${days} ${days === '1' ? 'day' : 'days'}`;
}

/** Of each line of Doses, what of its day's doses the schedule lets it make; undefined without lines. */
export function dosesMade(day: ScheduleDay): string | undefined {
  const lines = day.lanes
    .filter((lane) => lane.kind === 'DOSER')
    .map((lane) => `${lane.name} ${madeBy(lane)}`);
  return lines.length === 0 ? undefined : lines.join(', ');
}

function madeBy(lane: LaneDay): string {
  if (lane.doses.length > 0) {
    return `${lane.doses.filter((dose) => mayDose(lane, dose)).length} of ${lane.doses.length}`;
  }
  const hours = lane.pieces
    .filter((p) => p.winner.state.does !== 'OFF')
    .reduce((sum, p) => sum + (Date.parse(p.until) - Date.parse(p.from)) / 3_600_000, 0);
  return hours === 0 ? 'not at all' : `over ${Math.round(hours)} h`;
}
