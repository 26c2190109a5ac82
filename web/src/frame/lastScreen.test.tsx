import { renderHook } from '@testing-library/react';
import { beforeEach, expect, test } from 'vitest';
import { opensAt, useRemember } from './lastScreen';
import { placesOf, ROUTE } from './places';

beforeEach(() => sessionStorage.clear());

const [read, reason] = placesOf(false);

test('a place opens at the screen last used of it, and first at its first', () => {
  if (!read || !reason) throw new Error('no places');
  expect(opensAt(read)).toBe(ROUTE.today);
  renderHook(() => useRemember(read, 'history'));
  renderHook(() => useRemember(reason, 'effects'));
  expect(opensAt(read)).toBe(ROUTE.history);
  expect(opensAt(reason)).toBe(ROUTE.effects);
});

test('what is kept of a screen that is not there any more, or is broken, is passed over', () => {
  if (!read) throw new Error('no places');
  sessionStorage.setItem('last-screen', '{"Read":"gone"}');
  expect(opensAt(read)).toBe(ROUTE.today);
  sessionStorage.setItem('last-screen', 'not json');
  expect(opensAt(read)).toBe(ROUTE.today);
});
