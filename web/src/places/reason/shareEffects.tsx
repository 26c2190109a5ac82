import type {
  EffectCard,
  EffectFound,
  Tank,
  TankDescription,
  Trough,
  Units,
} from '../../api/types';
import {
  BeforeAfterDrawing,
  BEFORE_AFTER_HEIGHT,
  WorthDrawing,
  WORTH_HEIGHT,
} from '../../drawings/EffectDrawing';
import { LadderDrawing, ladderHeight } from '../../drawings/LadderDrawing';
import { INNER_WIDTH, type Part } from '../../drawings/SharedDrawing';
import { TRIAL_HEIGHT, TrialDrawing } from '../../drawings/TrialDrawing';
import { show } from '../../lib/measure';
import { signed, signedRange } from '../../lib/number';
import type { Shared } from '../../lib/sharedPage';
import { plainDay } from '../../lib/time';
import {
  bandOf,
  beside,
  besideTrial,
  headline,
  since,
  title,
  troughs,
  usedSince,
  word,
  worth,
} from './effectWords';

/** A card in which nothing is left that its keeper wrote. */
export function nameless(card: EffectCard): EffectCard {
  const edge = (of: EffectCard['windows']['cutBefore']) => of && { ...of, title: 'another change' };
  return {
    ...card,
    changes: card.changes.map((change) => ({ ...change, title: change.plainly })),
    windows: {
      ...card.windows,
      cutBefore: edge(card.windows.cutBefore),
      cutAfter: edge(card.windows.cutAfter),
    },
    beside: [],
    found: card.found && { ...card.found, problem: undefined },
  };
}

/** What others need to know of a tank to read its numbers. */
export function tankInWords(tank: TankDescription, units: Units): string {
  const volume = `${show(tank.netVolumeL, 'volume', units)} of water`;
  const air =
    tank.skimmerAirDrawLPerH === undefined
      ? 'no skimmer'
      : `a skimmer with ${show(tank.skimmerAirDrawLPerH, 'flow', units)} of air`;
  return `${volume}, ${air}, lamps from ${tank.light.on.slice(0, 5)} to ${tank.light.off.slice(0, 5)}.`;
}

/** A change by its days, or by its hours where it has no days. */
export function sharedCard(card: EffectCard, { description: tank, zone }: Tank, units: Units) {
  const plain = nameless(card);
  const found = plain.found;
  const shared: Shared = {
    heading: title(plain),
    lead: headline(plain),
    lines: [
      capital(since(plain)),
      ...(found ? [`Before: ${troughs(found).before}. After: ${troughs(found).after}.`] : []),
      ...beside(plain),
      ...usedSince(plain, units),
      ...(plain.trial ? besideTrial(plain.trial) : []),
    ],
    tank: tankInWords(tank, units),
  };
  const parts: Part[] = found
    ? [
        {
          name: 'days',
          height: BEFORE_AFTER_HEIGHT,
          draw: <BeforeAfterDrawing found={found} light={tank.light} width={INNER_WIDTH} />,
        },
        {
          name: 'worth',
          height: WORTH_HEIGHT,
          draw: <WorthDrawing found={found} says={worth(found)} width={INNER_WIDTH} />,
        },
      ]
    : plain.trial
      ? [
          {
            name: 'hours',
            height: TRIAL_HEIGHT,
            draw: <TrialDrawing hours={plain.trial.hours} zone={zone} width={INNER_WIDTH} />,
          },
        ]
      : [];
  return { shared, parts };
}

const capital = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

function rung(card: EffectCard, found: EffectFound, number: number): string {
  const { left, raw } = found.effect.trough;
  const worth = left.low === undefined ? `${signed(raw, 2)} in all` : signedRange(bandOf(found));
  return `${number}  ${title(card)}, ${plainDay(card.windows.change)}: ${worth}, ${word(card)}.`;
}

export function sharedLadder(
  cards: readonly EffectCard[],
  days: readonly Trough[],
  tank: TankDescription,
  units: Units,
) {
  const plain = cards.map(nameless);
  const first = days[0]?.day ?? '';
  const last = days.at(-1)?.day ?? '';
  const missing = cards.filter((card) => card.missing).length;
  const shared: Shared = {
    heading: `What each change did · ${plainDay(first)} to ${plainDay(last)}`,
    lead: 'The low pH of each day, and what each change did without room air and alkalinity.',
    lines: [
      ...plain.flatMap((card, i) => (card.found ? [rung(card, card.found, i + 1)] : [])),
      ...(missing > 0 ? [`Not compared yet: ${missing}.`] : []),
    ],
    tank: tankInWords(tank, units),
  };
  const drawing = {
    cards: plain,
    days,
    unnoted: [],
    chosen: undefined,
    goal: tank.band.troughAtLeast,
    width: INNER_WIDTH,
  };
  const parts: Part[] = [
    { name: 'ladder', height: ladderHeight(drawing), draw: <LadderDrawing {...drawing} /> },
  ];
  return { shared, parts };
}
