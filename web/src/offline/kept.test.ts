import { expect, it } from 'vitest';
import { kept } from './kept';

it('keeps what an outage stands on', () => {
  expect(kept('/api/v1/session')).toBe(true);
  expect(kept('/api/v1/tanks/7')).toBe(true);
  expect(kept('/api/v1/homes/7/card')).toBe(true);
});

it('keeps neither logs nor tokens, nor what must come from the server', () => {
  expect(kept('/api/v1/tokens')).toBe(false);
  expect(kept('/api/v1/tanks/7/log.csv')).toBe(false);
  expect(kept('/api/v1/homes/7/outages/current')).toBe(false);
  expect(kept('/api/v1/homes/7/helpers')).toBe(false);
});
