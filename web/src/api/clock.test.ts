import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { hearClock, serverNow } from './clock';

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({ now: Date.parse('2026-11-12T09:00:00Z') });
});
afterEach(() => vi.useRealTimers());

const off = () => Math.round((serverNow().getTime() - Date.now()) / 60_000);

it('goes by the server’s clock when this device’s is hours off', () => {
  hearClock(new Date(Date.now() - 3 * 3.6e6).toUTCString(), Date.now());
  expect(off()).toBe(-180);
  hearClock(new Date().toUTCString(), Date.now());
  expect(off()).toBe(0);
});

it('takes no notice of seconds, nor of answers without a time', () => {
  hearClock(new Date(Date.now() + 20_000).toUTCString(), Date.now());
  hearClock(null, Date.now());
  hearClock('yesterday', Date.now());
  expect(off()).toBe(0);
});
