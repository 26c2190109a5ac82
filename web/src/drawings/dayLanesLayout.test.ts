import { describe, expect, it } from 'vitest';
import { placed, turns } from './dayLanesLayout';

const bracket = (id: string, left: number, right: number) => ({
  id,
  name: id,
  left,
  right,
  begins: true,
  ends: true,
});

describe('windows above the lanes', () => {
  it('share a row where they only touch, and part where their names would meet', () => {
    const all = placed([bracket('off', 0, 400), bracket('on', 400, 800)], 0, 800);
    expect(all.map((b) => b.row)).toEqual([0, 0]);
    const names = placed(
      [bracket('a very long name of a window', 100, 110), bracket('another window', 130, 140)],
      0,
      800,
    );
    expect(names.map((b) => b.row)).toEqual([0, 1]);
  });

  it('keep their names within the drawing', () => {
    const [edge] = placed([bracket('bubble hour', 795, 800)], 0, 800);
    expect((edge?.nameX ?? 0) + ('bubble hour'.length * 7.4) / 2).toBeLessThanOrEqual(800);
  });
});

describe('a wave', () => {
  const wave = { sinceMs: 0, onS: 300, offS: 30 };

  it('is on in ten whole turns and five minutes of an hour', () => {
    const all = turns(wave, 0, 3_600_000, 1) ?? [];
    expect(all).toHaveLength(11);
    expect(all.reduce((sum, t) => sum + t.until - t.from, 0)).toBe(11 * 300_000);
    expect(all[1]).toEqual({ from: 330_000, until: 630_000 });
  });

  it('is cut where its piece begins and ends', () => {
    expect(turns(wave, 100_000, 200_000, 1)).toEqual([{ from: 100_000, until: 200_000 }]);
  });

  it('is not drawn one by one where that cannot be seen', () => {
    expect(turns(wave, 0, 3_600_000, 1e-6)).toBeUndefined();
  });
});
