import { expect, test } from 'vitest';
import { lines } from './ladderLayout';

test('labels close to each other stand on lines of their own', () => {
  expect(lines([0, 100, 110, 120, 300], 60, 3)).toEqual([0, 0, 1, 2, 0]);
});

test('where all lines are taken the one that is free longest is taken', () => {
  expect(lines([0, 10, 20], 60, 2)).toEqual([0, 1, 0]);
});
