import type { EffectCard, Unnoted } from '../../api/types';
import { plainDay } from '../../lib/time';

const NUMBERS = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven'];

/** What each cause is called, for a note's title when it became less or more, and where to look. */
const CAUSES: Record<Unnoted['cause'], { name: string; less: string; more: string; look: string }> =
  {
    SKIMMER: {
      name: 'the skimmer’s exchange',
      less: 'skimmer carries less',
      more: 'skimmer carries more',
      look: 'the air it draws: inlet crusted, hose kinked or wet, impeller worn, cup overflowing',
    },
    SURFACES: {
      name: 'the surface’s exchange',
      less: 'surface stiller',
      more: 'surface livelier',
      look: 'outlets that point elsewhere or stand deeper, a film on the water, a pump that slowed',
    },
    RESPIRATION: {
      name: 'respiration',
      less: 'tank breathes less',
      more: 'tank breathes more',
      look: 'more food than before, a dead animal, new ones, anything that rots',
    },
    PHOTOSYNTHESIS: {
      name: 'photosynthesis',
      less: 'less photosynthesis',
      more: 'more photosynthesis',
      look: 'lamps dimmed or aged, algae on glass or lens, corals that bleach or were moved',
    },
    LAMPS: {
      name: 'the lamps’ clock',
      less: 'lamps earlier',
      more: 'lamps later',
      look: 'the timer, and whether it follows the clocks when they change',
    },
    LEVEL: {
      name: 'pH at all hours',
      less: 'pH lower at all hours',
      more: 'pH higher at all hours',
      look: 'the probe in two buffers, then alkalinity by a second test',
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
      return `${around} the lamps seem to have moved ${amount(u, 1, ' h')} ${rose(u) ? 'later' : 'earlier'}${over}.`;
    case 'LEVEL':
      return `${around} ${name} seems to have ${rose(u) ? 'risen' : 'fallen'} by ${amount(u, 2, '')}${over}.`;
    default:
      return `${around} ${name} seems to have ${rose(u) ? 'risen' : 'fallen'} to ${percent(u.size.low)} to ${percent(u.size.high)} % of what it was${over}.`;
  }
}

/** A title under which it can be noted; the keeper may know better. */
export const suggestedTitle = (u: Unnoted) => CAUSES[u.cause][rose(u) ? 'more' : 'less'];

export const lookAt = (u: Unnoted) => CAUSES[u.cause].look;

/** What would explain it nearly as well; nothing where that is alone. */
export const asWell = (u: Unnoted) =>
  u.asWell.length === 0
    ? ''
    : `A change of ${u.asWell.map((cause) => CAUSES[cause].name).join(', or of ')} would explain it nearly as well.`;

/** For the axis of its days. */
export const unitOf = (u: Unnoted) =>
  factor(u.cause)
    ? `${CAUSES[u.cause].name}, % of what it was`
    : `${CAUSES[u.cause].name}, ${u.cause === 'LAMPS' ? 'h later' : 'pH more'}`;

export const shownSize = (u: Unnoted, size: number) => (factor(u.cause) ? 100 * size : size);

/** Changes that nobody noted in the days that a card compares. */
export const within = (card: EffectCard, all: readonly Unnoted[]) =>
  all.filter((u) => u.from >= card.windows.before && u.from < card.windows.end);
