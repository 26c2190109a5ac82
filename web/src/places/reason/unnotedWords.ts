import type { EffectCard, Unnoted } from '../../api/types';
import { plainDay } from '../../lib/time';

const NUMBERS = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven'];

/** What each cause is called, for a note's title when it became less or more, and where to look. */
const CAUSES: Record<Unnoted['cause'], { name: string; less: string; more: string; look: string }> =
  {
    SKIMMER: {
      name: 'skimmer gas exchange',
      less: 'weaker skimmer',
      more: 'stronger skimmer',
      look: 'the skimmer’s air: crusted inlet, kinked or wet hose, worn impeller, overflowing cup',
    },
    SURFACES: {
      name: 'surface gas exchange',
      less: 'calmer surface',
      more: 'more surface movement',
      look: 'outlets that point elsewhere or sit deeper, a film on the water, a slower pump',
    },
    RESPIRATION: {
      name: 'respiration',
      less: 'less respiration',
      more: 'more respiration',
      look: 'more food, a dead animal, new animals, anything rotting',
    },
    PHOTOSYNTHESIS: {
      name: 'photosynthesis',
      less: 'less photosynthesis',
      more: 'more photosynthesis',
      look: 'dimmed or aged lamps, algae on glass or lens, bleached or moved corals',
    },
    LAMPS: {
      name: 'lamp timer',
      less: 'lamps earlier',
      more: 'lamps later',
      look: 'the timer, and whether it follows summer time',
    },
    LEVEL: {
      name: 'pH at all hours',
      less: 'pH lower at all hours',
      more: 'pH higher at all hours',
      look: 'the probe in two buffers, then alkalinity with a second test',
    },
  };

const factor = (cause: Unnoted['cause']) => cause !== 'LAMPS' && cause !== 'LEVEL';

const rose = (u: Unnoted) => (factor(u.cause) ? u.size.value > 1 : u.size.value > 0);

const percent = (share: number) => String(Math.round(100 * share));

/** From low to high without a sign; both ends of it lie on one side, or the band says so. */
function amount(u: Unnoted, digits: number, unit: string): string {
  const ends = [u.size.low, u.size.high]
    .map((v) => (u.size.value < 0 ? -v : v))
    .sort((a, b) => a - b);
  return `${ends.map((v) => v.toFixed(digits).replace('-', '−')).join(' to ')}${unit}`;
}

/** What it looks like, as the sentence of its card. */
export function unnotedHeadline(u: Unnoted): string {
  const over = u.overDays === 1 ? '' : ` over ${NUMBERS[u.overDays] ?? u.overDays} days`;
  const around = `Around ${plainDay(u.from)}`;
  const { name } = CAUSES[u.cause];
  switch (u.cause) {
    case 'LAMPS':
      return `${around} the lamps have probably moved ${amount(u, 1, ' h')} ${rose(u) ? 'later' : 'earlier'}${over}.`;
    case 'LEVEL':
      return `${around} ${name} has probably ${rose(u) ? 'risen' : 'fallen'} by ${amount(u, 2, '')}${over}.`;
    default:
      return `${around} ${name} has probably ${rose(u) ? 'risen' : 'fallen'} to ${percent(u.size.low)}–${percent(u.size.high)} % of before${over}.`;
  }
}

/** A title under which it can be noted; the keeper may know better. */
export const suggestedTitle = (u: Unnoted) => CAUSES[u.cause][rose(u) ? 'more' : 'less'];

export const lookAt = (u: Unnoted) => CAUSES[u.cause].look;

/** What would explain it nearly as well; nothing where that is alone. */
export const asWell = (u: Unnoted) =>
  u.asWell.length === 0
    ? ''
    : `A change of ${u.asWell.map((cause) => CAUSES[cause].name).join(', or of ')} would explain this almost as well.`;

/** For the axis of its days. */
export const unitOf = (u: Unnoted) =>
  factor(u.cause)
    ? `${CAUSES[u.cause].name}, % of before`
    : `${CAUSES[u.cause].name}, ${u.cause === 'LAMPS' ? 'h later' : 'pH more'}`;

export const shownSize = (u: Unnoted, size: number) => (factor(u.cause) ? 100 * size : size);

/** Changes that nobody noted in the days that a card compares. */
export const within = (card: EffectCard, all: readonly Unnoted[]) =>
  all.filter((u) => u.from >= card.windows.before && u.from < card.windows.end);
