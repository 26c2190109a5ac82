import type { ChoreKind, Found, Task, Upkeep } from '../../api/types';
import { plain } from '../../lib/number';
import { plainDay } from '../../lib/time';
import { capital } from '../../lib/capital';

const DAY_MS = 86_400_000;
/** From so many days on, months say more. */
const MONTHS_FROM = 75;
const DAYS_A_MONTH = 30.44;

export const FOUND: Record<Found, string> = {
  CLEAN: 'still fine, could have waited',
  SOME: 'just right',
  DIRTY: 'should have been sooner',
};

/** Days as people say them. */
export function span(days: number): string {
  if (days >= MONTHS_FROM) return `${plain(Math.round((2 * days) / DAYS_A_MONTH) / 2, 1)} months`;
  const shown = days < 10 ? plain(days, 1) : String(Math.round(days));
  return shown === '1' ? 'day' : `${shown} days`;
}

/** What it is, and which of several. */
export const taskTitle = ({ kind, name }: Pick<Task, 'kind' | 'name'>) =>
  kind.chore === 'OWN' && name !== ''
    ? capital(name)
    : capital(kind.what) + (name === '' ? '' : ` · ${name}`);

const hours = (h: number) => ` where it runs ${plain(h, h < 10 ? 1 : 0)} h a day`;

/** How it is used, after what is assumed for it. */
const USE: Record<ChoreKind['wear'], (perDay: number) => string> = {
  TIME: () => '',
  SKIMMING: hours,
  RETURNING: hours,
  BUBBLING: hours,
  PUMPED: (litres) => ` at ${plain(litres, 2)} L a day`,
};

/** What moved it. */
function movers({ findings, byLog }: Task): string {
  const looks = findings - byLog;
  const log =
    byLog === 0 ? '' : byLog === 1 ? 'the log showed once' : `the log showed ${byLog} times`;
  if (looks === 0) return log;
  return `${looks === 1 ? 'one look' : `${looks} looks`} found${log && ` and ${log}`}`;
}

/** Why it is due then. */
export function reason(task: Task, now: number): string {
  const last = task.done[0];
  const use = task.usedPerDay === undefined ? '' : USE[task.kind.wear](task.usedPerDay);
  const every =
    task.ownDays !== undefined
      ? `every ${span(task.days)}, as you set`
      : task.findings === 0
        ? `every ${span(task.days)} (assumed)${use}`
        : `every ${span(task.days)} (${span(task.kind.days)} assumed${use}, adjusted by what ${movers(task)})`;
  if (!last) return `Last time unknown; ${every}.`;
  const ago = Math.floor((now - Date.parse(last.at)) / DAY_MS);
  const done = ago <= 0 ? 'Done today' : ago === 1 ? 'Done yesterday' : `Done ${span(ago)} ago`;
  return `${done}; ${every}.`;
}

/** What the log shows to have become less since it was done last. */
export const shownByLog = (task: Task) =>
  task.shownSince === undefined
    ? undefined
    : `Since ${plainDay(task.shownSince)} your log shows a weaker skimmer.`;

/** When it is due. */
export function dueOn(task: Task, today: string): string {
  if (task.due === today) return 'due today';
  if (task.late) return `overdue since ${plainDay(task.due)}`;
  return task.putOff ? `moved to ${plainDay(task.due)}` : `due ${plainDay(task.due)}`;
}

/** In one sentence. */
export function upkeepVerdict({ tasks }: Upkeep): string {
  const late = tasks.filter((t) => t.late).length;
  const next = tasks[0];
  if (!next) return 'No upkeep tasks yet';
  if (late === 0) return `Nothing is due until ${plainDay(next.due)}`;
  return late === 1 ? 'One thing is due' : `${String(late)} things are due`;
}
