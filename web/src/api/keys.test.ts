import { QueryClient } from '@tanstack/react-query';
import { beforeEach, expect, test } from 'vitest';
import { keys, logged } from './keys';
import { EVERYTHING } from './query';

let client: QueryClient;
const stale = () =>
  client
    .getQueryCache()
    .getAll()
    .filter((q) => q.state.isInvalidated)
    .map((q) => JSON.stringify(q.queryKey))
    .sort();

beforeEach(() => {
  client = new QueryClient();
  for (const key of [
    keys.session,
    keys.tanks,
    keys.tank('a').description,
    keys.tank('a').sets,
    keys.tank('a').log('oxygenMargin'),
    keys.tank('a').log('page', undefined, true),
    keys.tank('a').import(7, 'bad'),
    keys.tank('b').log('oxygenMargin'),
    keys.home('h').guard(),
    keys.home('h').due,
  ])
    client.setQueryData(key, 1);
});

const touch = async (touched: readonly (readonly unknown[])[]) => {
  for (const queryKey of touched) await client.invalidateQueries({ queryKey });
};

test('a reading touches what is made of its tank’s log, and what homes make of that', async () => {
  await touch(logged('a'));
  expect(stale()).toEqual(
    [
      keys.tank('a').log('oxygenMargin'),
      keys.tank('a').log('page', undefined, true),
      keys.home('h').guard(),
      keys.home('h').due,
    ]
      .map((k) => JSON.stringify(k))
      .sort(),
  );
});

test('a tank’s own beginning touches all of it and no other', async () => {
  await touch([keys.tank('a').all]);
  expect(stale()).toHaveLength(5);
  expect(stale()).not.toContain(JSON.stringify(keys.tank('b').log('oxygenMargin')));
});

test('whoever comes in sees everything anew', async () => {
  await touch(EVERYTHING);
  expect(stale()).toHaveLength(10);
});
