import { describe, expect, it } from 'vitest';
import type { Looked, Probe } from '../../../api/types';
import { moves, stands } from './words';

const PROBE: Probe = {
  calibrations: [],
  correctionPh: 0,
  late: false,
  course: [],
  buffers: [],
  compared: [],
};

describe('stands', () => {
  it('claims nothing without a buffer', () => {
    expect(stands(PROBE)).toContain('error of ±0.1');
  });
  it('says which way it is off, and how sure that is', () => {
    expect(stands({ ...PROBE, correctionPh: 0.034, uncertaintyPh: 0.041 })).toBe(
      'This probe reads 0.03 too low, and we correct that, ±0.04.',
    );
    expect(stands({ ...PROBE, correctionPh: -0.1, uncertaintyPh: 0.02 })).toContain(
      '0.10 too high',
    );
    expect(stands({ ...PROBE, uncertaintyPh: 0.02 })).toBe('The probe reads right, ±0.02.');
  });
});

describe('moves', () => {
  const looked = (troughBefore: number, troughAfter: number, days = 20): Looked => ({
    calibration: {
      at: '2026-11-12T10:00:00Z',
      points: [],
      meter: 'SET_ITSELF',
      note: '',
      condition: 'UNKNOWN',
    },
    moved: { days, troughBefore, troughAfter },
  });
  it('says by how much and in how many days', () => {
    expect(moves(looked(7.9, 7.93))).toBe(
      'The daily low of the last 20 whole days is 0.03 higher: 7.93 instead of 7.90.',
    );
    expect(moves(looked(7.9, 7.85, 1))).toContain('last whole day is 0.05 lower');
  });
  it('does not call nothing a move', () => {
    expect(moves(looked(7.9, 7.901))).toContain('stays 7.90');
    expect(moves({ ...looked(7.9, 7.9), moved: undefined })).toContain('No pH');
  });
});
