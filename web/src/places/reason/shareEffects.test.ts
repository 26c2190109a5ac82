import { expect, test } from 'vitest';
import type { EffectCard, TankDescription, Units } from '../../api/types';
import { beside, headline, since, title } from './effectWords';
import { nameless, tankInWords } from './shareEffects';

const SECRET = 'Jonas at 12 Quay Street';

/** Wherever a keeper’s own words can stand, they do. */
const card: EffectCard = {
  at: '2026-11-02T12:20:00Z',
  changes: [
    {
      at: '2026-11-02T12:20:00Z',
      what: 'BEGAN',
      title: SECRET,
      plainly: 'outdoor line',
      parts: [],
      moves: true,
    },
  ],
  windows: {
    before: '2026-10-30',
    change: '2026-11-02',
    after: '2026-11-04',
    end: '2026-11-04',
    cutBefore: { at: '2026-10-30T00:00:00Z', title: SECRET },
    cutAfter: { at: '2026-11-04T00:00:00Z', title: SECRET },
    coming: false,
  },
  beside: [{ eventId: 'e', title: SECRET, at: '2026-11-01T00:00:00Z', leftOut: false }],
  missing: false,
};

test('nothing that its keeper wrote is left of a shared card', () => {
  const plain = nameless(card);
  expect(JSON.stringify(card)).toContain(SECRET);
  expect(JSON.stringify(plain)).not.toContain(SECRET);
  expect(title(plain)).toBe('Outdoor line');
  expect(headline(plain)).toContain('another change');
  expect([since(plain), ...beside(plain)].join(' ')).not.toContain('Quay');
});

test('a tank is described without its name', () => {
  const tank = {
    name: SECRET,
    netVolumeL: 420,
    skimmerAirDrawLPerH: 550,
    light: { on: '12:00', off: '22:00' },
  } as TankDescription;
  const units = { volume: 'LITRE' } as Units;
  expect(tankInWords(tank, units)).toBe(
    '420 L of water, a skimmer with 550 L/h of air, lamps from 12:00 to 22:00.',
  );
  expect(tankInWords({ ...tank, skimmerAirDrawLPerH: undefined }, units)).toContain('no skimmer');
});
