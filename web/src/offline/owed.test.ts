import { expect, it } from 'vitest';
import { drop, tellsOutage, wait } from './owed';

type Entry = { request: Request };

const queue = () => {
  const entries: Entry[] = [];
  return {
    entries,
    getAll: () => Promise.resolve([...entries]),
    shiftRequest: () => Promise.resolve(entries.shift()),
    pushRequest: (entry: Entry) => {
      entries.push(entry);
      return Promise.resolve();
    },
  };
};

const post = (path: string, body: string) =>
  new Request(`http://localhost${path}`, { method: 'POST', body });

it('the newest word for each address waits, in the order in which they were first told', async () => {
  const q = queue();
  await wait(q, post('/api/v1/homes/7/outages', 'began'));
  await wait(q, post('/api/v1/homes/7/outages/1/notes', 'one'));
  await wait(q, post('/api/v1/homes/7/outages', 'began and ended'));
  await wait(q, post('/api/v1/homes/7/outages/1/notes', 'one and two'));
  const bodies = await Promise.all(q.entries.map((e) => e.request.text()));
  expect(bodies).toEqual(['began and ended', 'one and two']);
});

it('what was taken back before it was told is not sent, that of other homes is', async () => {
  const q = queue();
  await wait(q, post('/api/v1/homes/7/outages', 'a false alarm'));
  await wait(q, post('/api/v1/homes/8/outages', 'began'));
  await drop(q, '7');
  expect(q.entries.map((e) => new URL(e.request.url).pathname)).toEqual([
    '/api/v1/homes/8/outages',
  ]);
});

it('only what tells of an outage waits', () => {
  expect(tellsOutage('/api/v1/homes/7/outages')).toBe(true);
  expect(tellsOutage('/api/v1/homes/7/outages/1/end')).toBe(true);
  expect(tellsOutage('/api/v1/homes/7/outages/1/false-alarm')).toBe(false);
  expect(tellsOutage('/api/v1/tanks/7/readings')).toBe(false);
});
