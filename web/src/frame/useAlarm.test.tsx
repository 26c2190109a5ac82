import { renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useAlarm } from './useAlarm';

const started = vi.fn();
const closed = vi.fn();
let allowed = true;

/** As much of a browser's sound as the alarm uses. */
class Sound {
  currentTime = 0;
  destination = {};
  get state() {
    return allowed ? 'running' : 'suspended';
  }
  resume = () => Promise.resolve();
  close = () => {
    closed();
    return Promise.resolve();
  };
  createOscillator = () => ({
    frequency: { value: 0 },
    connect: (next: unknown) => next,
    start: started,
    stop: vi.fn(),
  });
  createGain = () => ({
    gain: { setValueAtTime: vi.fn(), exponentialRampToValueAtTime: vi.fn() },
    connect: (next: unknown) => next,
  });
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('AudioContext', Sound);
  allowed = true;
  started.mockClear();
  closed.mockClear();
});

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

it('is silent until it is due, then sounds again and again until it is over', () => {
  const { rerender, unmount } = renderHook(({ due }) => useAlarm(due), {
    initialProps: { due: false },
  });
  vi.advanceTimersByTime(60_000);
  expect(started).not.toHaveBeenCalled();
  rerender({ due: true });
  expect(started).toHaveBeenCalledTimes(2);
  vi.advanceTimersByTime(16_000);
  expect(started).toHaveBeenCalledTimes(6);
  unmount();
  expect(closed).toHaveBeenCalledOnce();
  vi.advanceTimersByTime(60_000);
  expect(started).toHaveBeenCalledTimes(6);
});

it('breaks nothing where a browser does not let it sound', () => {
  allowed = false;
  renderHook(() => useAlarm(true));
  vi.advanceTimersByTime(60_000);
  expect(started).not.toHaveBeenCalled();
});
