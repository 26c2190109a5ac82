import { getRouteApi, Link } from '@tanstack/react-router';
import { useEffects, useMakeCard } from '../../api/effects';
import { useOpenUnnoted } from '../../api/unnoted';
import type { EffectCard, Effects } from '../../api/types';
import { LadderDrawing } from '../../drawings/LadderDrawing';
import { signed, signedRange } from '../../lib/number';
import { plainDay } from '../../lib/time';
import { ShareButton } from '../../parts/ShareButton';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { AbsencesSection } from './AbsencesSection';
import { DriftsSection } from './DriftsSection';
import { sharedLadder } from './shareEffects';
import { UnnotedSection } from './UnnotedSection';
import { WhatCameOfIt } from './WhatCameOfIt';
import { bandOf, leftOf, since, title, word } from './effectWords';

const route = getRouteApi('/signed-in/tank/$tankId/effects');

/** Reason → Effects: did it help? */
export function EffectsScreen() {
  const { tank } = useAtTank();
  const effects = useEffects(tank.id);
  if (!effects.data) {
    return <Waiting error={effects.error} retry={() => void effects.refetch()} />;
  }
  return (
    <div className="grid gap-8">
      {effects.data.cards.length === 0 ? (
        <Nothing logged={effects.data.days.length} />
      ) : (
        <All effects={effects.data} listedAt={effects.dataUpdatedAt} />
      )}
      {effects.data.days.length > 0 && (
        <>
          <UnnotedSection />
          <DriftsSection />
          <AbsencesSection />
        </>
      )}
    </div>
  );
}

function Nothing({ logged }: { logged: number }) {
  const { tank } = useAtTank();
  return (
    <section aria-labelledby="effects" className="grid max-w-prose gap-3">
      <h1 id="effects" className="text-xl font-bold">
        Did it help?
      </h1>
      <p className="text-2xl leading-snug font-semibold">
        {logged === 0 ? 'No pH in your log yet.' : 'No change to the tank in your log yet.'}
      </p>
      <p>
        Add a change with three whole days of pH before and after. Then you see what the change did,
        without the effects of room air and alkalinity.{' '}
        <Link
          to={logged === 0 ? '/tank/$tankId/bring' : '/tank/$tankId/add-to-log'}
          params={{ tankId: tank.id }}
          className="underline underline-offset-4"
        >
          {logged === 0 ? 'Import a logger’s file' : 'Add a change'}
        </Link>
      </p>
    </section>
  );
}

function All({ effects, listedAt }: { effects: Effects; listedAt: number }) {
  const { tank, units } = useAtTank();
  const { at } = route.useSearch();
  const [ref, width] = useWidth();
  const unnoted = useOpenUnnoted(tank.id);
  const cards = effects.cards;
  // The one that was asked for is made first, then the newest that is missing.
  const asked = cards.find((c) => c.at === at);
  const missing = [...(asked ? [asked] : []), ...[...cards].reverse()].find((c) => c.missing);
  const making = useMakeCard(tank.id, missing, listedAt);
  const chosen = asked ?? [...cards].reverse().find((c) => c.found) ?? cards[cards.length - 1];
  return (
    <div className="grid gap-8">
      <section aria-labelledby="effects" className="grid gap-3">
        <div className="flex flex-wrap items-center justify-between gap-x-6">
          <h1 id="effects" className="text-xl font-bold">
            What each change did{' '}
            {effects.since && (
              <span className="font-normal text-soft">
                {' '}
                · daily lows, {plainDay(effects.since)} to today
              </span>
            )}
          </h1>
          {effects.days.length > 1 && (
            <ShareButton {...sharedLadder(cards, effects.days, tank.description, units)} />
          )}
        </div>
        <div ref={ref}>
          {width > 0 && effects.days.length > 1 && (
            <LadderDrawing
              cards={cards}
              days={effects.days}
              unnoted={unnoted.map((u) => u.from)}
              chosen={chosen?.at}
              goal={tank.description.band.troughAtLeast}
              width={width}
            />
          )}
        </div>
        <p className="text-sm text-soft">
          Dots: daily lows. Grey: explained by room and alkalinity. Colour: due to the change,
          dashed if chance is possible. Dotted: {tank.description.band.troughAtLeast.toFixed(2)},
          your goal. {unnoted.length > 0 && ' Question mark: an unlogged change, see below.'}
        </p>
        {missing && !making.error && (
          <p role="status" className="text-soft">
            Comparing “{title(missing)}”…
          </p>
        )}
        {making.error && <Waiting error={making.error} retry={() => void making.refetch()} />}
      </section>
      {chosen && (
        <ChosenCard card={chosen} settled={`${effects.settlingHours} h of settling left out`} />
      )}
      <List cards={cards} chosen={chosen} />
    </div>
  );
}

/** A change, and what became of the days after it. */
function ChosenCard({ card, settled }: { card: EffectCard; settled: string }) {
  return (
    <section aria-labelledby="card" className="grid gap-4 border-t border-hairline pt-6">
      <WhatCameOfIt card={card} heading={title(card)} about={since(card)} settled={settled} />
    </section>
  );
}

function List({ cards, chosen }: { cards: readonly EffectCard[]; chosen: EffectCard | undefined }) {
  const { tank } = useAtTank();
  return (
    <section aria-labelledby="all" className="grid gap-2 border-t border-hairline pt-6">
      <h2 id="all" className="text-xl font-bold">
        All changes
      </h2>
      <ol>
        {cards.map((card, i) => (
          <li
            key={card.at}
            className="grid grid-cols-[2rem_minmax(0,1fr)] items-baseline gap-x-3 border-b border-hairline py-2 md:grid-cols-[2rem_7rem_minmax(0,1fr)_9rem_11rem]"
          >
            <span className="text-soft tabular-nums">{i + 1}</span>
            <span className="text-soft max-md:hidden">{plainDay(card.windows.change)}</span>
            <Link
              to="/tank/$tankId/effects"
              params={{ tankId: tank.id }}
              search={{ at: card.at }}
              className={`underline underline-offset-4 ${card.at === chosen?.at ? 'font-bold' : ''}`}
              aria-current={card.at === chosen?.at ? 'page' : undefined}
            >
              {title(card)}
            </Link>
            <span className="tabular-nums max-md:col-start-2">{left(card)}</span>
            <span className="text-soft max-md:col-start-2">
              {word(card)}
              {card.stands === false && ', could be chance'}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

function left(card: EffectCard): string {
  const found = card.found;
  if (!found) return card.trial ? signedRange(leftOf(card.trial.hours)) : '';
  return found.effect.trough.left.low === undefined
    ? `${signed(found.effect.trough.raw, 2)} in all`
    : signedRange(bandOf(found));
}
