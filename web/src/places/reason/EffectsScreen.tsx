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
        {logged === 0 ? 'There is no log of pH yet.' : 'No change of the tank is noted yet.'}
      </p>
      <p>
        Once a change is noted and three whole days of pH stand on each side of it, this screen says
        what it was worth, without what room and alkalinity explain.{' '}
        <Link
          to={logged === 0 ? '/tank/$tankId/bring' : '/tank/$tankId/enter'}
          params={{ tankId: tank.id }}
          className="underline underline-offset-4"
        >
          {logged === 0 ? 'Bring in a logger’s file' : 'Note a change'}
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
            What each step was worth
            {effects.since && (
              <span className="font-normal text-soft">
                {' '}
                · the day’s trough, {plainDay(effects.since)} to today
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
          Each dot is a day’s trough, each line what it stood at around a change. Grey is what room
          and alkalinity explain, colour what is left for the change, dashed where single days
          cannot tell. Dotted: {tank.description.band.troughAtLeast.toFixed(2)}, above which you
          keep it.
          {unnoted.length > 0 && ' At a question mark nobody noted what changed: see below.'}
        </p>
        {missing && !making.error && (
          <p role="status" className="text-soft">
            Comparing “{title(missing)}”: the tank as it was is run through the days after it …
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
              {card.stands === false && ', may be chance'}
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
    ? `${signed(found.effect.trough.raw, 2)} raw`
    : signedRange(bandOf(found));
}
