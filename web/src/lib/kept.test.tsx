import { act, renderHook } from '@testing-library/react';
import { beforeEach, expect, test } from 'vitest';
import { keepTyped, readTyped, typedBy, useTyped } from './kept';

beforeEach(() => sessionStorage.clear());

test('a state is kept while it differs from where it began', () => {
  const { result, unmount } = renderHook(() => useTyped('ml', () => ''));
  act(() => result.current[1]('12'));
  unmount();
  expect(renderHook(() => useTyped('ml', () => '')).result.current[0]).toBe('12');
  const again = renderHook(() => useTyped('ml', () => ''));
  act(() => again.result.current[1]((before) => before.slice(2)));
  expect(readTyped('ml')).toBeUndefined();
});

test('forgotten it begins anew', () => {
  const { result } = renderHook(() => useTyped('ml', () => 'none'));
  act(() => result.current[1]('12'));
  act(() => result.current[2]());
  expect(result.current[0]).toBe('none');
  expect(readTyped('ml')).toBeUndefined();
});

test('the next keeper at this tab sees nothing of it, the same one again does', () => {
  typedBy('ana');
  keepTyped('ml', '12');
  typedBy('ana');
  expect(readTyped('ml')).toBe('12');
  typedBy('ben');
  expect(readTyped('ml')).toBeUndefined();
});

test('what cannot be read is as if it were not there', () => {
  sessionStorage.setItem('typed-ml', '{');
  expect(readTyped('ml')).toBeUndefined();
});
