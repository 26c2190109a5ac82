import { describe, expect, it, test } from 'vitest';
import type { Task } from '../../api/types';
import { dueOn, reason, shownByLog, span, taskTitle, upkeepVerdict } from './upkeepWords';

const NOW = Date.parse('2026-11-12T15:24:00Z');

const task = (over: Partial<Task> = {}): Task => ({
  id: 't',
  kind: {
    chore: 'VENTURI',
    what: 'rinse the skimmer’s venturi',
    days: 28,
    wear: 'SKIMMING',
    showsWear: true,
    steps: ['One.', 'Two.'],
  },
  name: '',
  days: 21.4,
  findings: 3,
  byLog: 0,
  due: '2026-11-20',
  late: false,
  putOff: false,
  done: [{ id: 'd', at: '2026-10-30T10:00:00Z', found: 'SOME', note: '' }],
  ...over,
});

test('days are said as people say them', () => {
  expect(span(1)).toBe('day');
  expect(span(3.5)).toBe('3.5 days');
  expect(span(21.4)).toBe('21 days');
  expect(span(180)).toBe('6 months');
  expect(span(137)).toBe('4.5 months');
});

describe('why it is due', () => {
  it('says what is assumed and what findings made of it', () => {
    expect(reason(task(), NOW)).toBe(
      'Done 13 days ago; every 21 days (28 days assumed, adjusted by what 3 looks found).',
    );
    expect(reason(task({ findings: 1 }), NOW)).toContain('adjusted by what one look found).');
    expect(reason(task({ findings: 0, days: 28 }), NOW)).toBe(
      'Done 13 days ago; every 28 days (assumed).',
    );
  });
  it('says what the log showed', () => {
    expect(reason(task({ byLog: 1 }), NOW)).toContain(
      'adjusted by what 2 looks found and the log showed once).',
    );
    expect(reason(task({ byLog: 3 }), NOW)).toContain('adjusted by what the log showed 3 times).');
    expect(shownByLog(task())).toBeUndefined();
    expect(shownByLog(task({ shownSince: '2026-11-08' }))).toBe(
      'Since 8 Nov 2026 your log shows a weaker skimmer.',
    );
  });
  it('says for which use', () => {
    expect(reason(task({ usedPerDay: 12, findings: 0, days: 56 }), NOW)).toBe(
      'Done 13 days ago; every 56 days (assumed) where it runs 12 h a day.',
    );
    const tube = task({ usedPerDay: 0.8 });
    tube.kind.wear = 'PUMPED';
    expect(reason(tube, NOW)).toContain('28 days assumed at 0.8 L a day, adjusted');
  });
  it('says that its keeper wants it so', () => {
    expect(reason(task({ ownDays: 7, days: 7, findings: 0 }), NOW)).toBe(
      'Done 13 days ago; every 7 days, as you set.',
    );
  });
  it('says that nobody knows', () => {
    expect(reason(task({ done: [], findings: 0, days: 28 }), NOW)).toBe(
      'Last time unknown; every 28 days (assumed).',
    );
    const today = task({ done: [{ id: 'd', at: '2026-11-12T08:00:00Z', note: '' }] });
    expect(reason(today, NOW)).toContain('Done today');
  });
});

test('when it is due', () => {
  expect(dueOn(task(), '2026-11-12')).toBe('due 20 Nov 2026');
  expect(dueOn(task({ due: '2026-11-12', late: true }), '2026-11-12')).toBe('due today');
  expect(dueOn(task({ due: '2026-11-03', late: true }), '2026-11-12')).toBe(
    'overdue since 3 Nov 2026',
  );
  expect(dueOn(task({ putOff: true }), '2026-11-12')).toBe('moved to 20 Nov 2026');
});

test('the whole in one sentence', () => {
  const all = (...tasks: Task[]) => upkeepVerdict({ tasks, ended: [], more: [] });
  expect(all()).toBe('No upkeep tasks yet');
  expect(all(task())).toBe('Nothing is due until 20 Nov 2026');
  expect(all(task({ late: true }), task())).toBe('One thing is due');
  expect(all(task({ late: true }), task({ late: true }))).toBe('2 things are due');
});

test('which of several', () => {
  expect(taskTitle(task())).toBe('Rinse the skimmer’s venturi');
  expect(taskTitle(task({ name: 'left' }))).toBe('Rinse the skimmer’s venturi · left');
  const own = { ...task().kind, chore: 'OWN' as const, what: 'your own task' };
  expect(taskTitle({ kind: own, name: 'feed the cleaner shrimp' })).toBe('Feed the cleaner shrimp');
  expect(taskTitle({ kind: own, name: '' })).toBe('Your own task');
});
