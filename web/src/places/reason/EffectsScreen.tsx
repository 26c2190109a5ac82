import { getRouteApi, Link } from '@tanstack/react-router';
import { useEffects, useMakeCard } from '../../api/effects';
import { useOpenUnnoted } from '../../api/unnoted';
import type { EffectCard, Effects } from '../../api/types';
import { LadderDrawing } from '../../drawings/LadderDrawing';
import { signed } from '../../lib/number';
import { dayOfMonth } from '../../lib/time';
import { ShareButton } from '../../parts/ShareButton';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { AbsencesSection } from './AbsencesSection';
import { DriftsSection } from './DriftsSection';
import { sharedLadder } from './shareEffects';
import { UnnotedSection } from './UnnotedSection';
import { WhatCameOfIt } from './WhatCameOfIt';
import { since, sizeOf, summary, title, word } from './effectWords';

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
  const made = cards.filter((c) => !c.missing).length;
  return (
    <div className="grid gap-4">
      <section aria-labelledby="effects" className="grid gap-1">
        <div className="flex flex-wrap items-start justify-between gap-x-6">
          <h1
            id="effects"
            aria-live="polite"
            className="min-w-0 flex-1 text-xl leading-snug md:text-2xl font-semibold"
          >
            {summary(cards)}
          </h1>
          {effects.days.length > 1 && (
            <ShareButton {...sharedLadder(cards, effects.days, tank.description, units)} />
          )}
        </div>
        <p className="text-soft">
          What each change did to the daily low, without room air, temperature and alkalinity.
        </p>
        <div ref={ref}>
          {width > 0 && effects.days.length > 1 && (
            <LadderDrawing
              cards={cards}
              days={effects.days}
              unnoted={unnoted.map((u) => u.from)}
              chosen={asked?.at}
              goal={tank.description.band.troughAtLeast}
              width={width}
            />
          )}
        </div>
        <p className="text-sm text-soft">
          Dots: daily lows. Dotted: your goal. Grey steps are explained, coloured steps are the
          change’s. {unnoted.length > 0 && '?: a change missing from the log.'}
        </p>
        {making.error && <Waiting error={making.error} retry={() => void making.refetch()} />}
      </section>
      <section aria-labelledby="all" className="grid gap-1">
        <h2 id="all" className="flex flex-wrap justify-between gap-x-6 font-bold">
          Every change, newest first
          {missing && !making.error && (
            <span role="status" className="font-normal text-soft">
              Comparing {made + 1} of {cards.length}…
            </span>
          )}
        </h2>
        <ol className="border-t border-hairline">
          {cards
            .map((card, i) => (
              <Row
                key={card.at}
                card={card}
                number={i + 1}
                open={card === asked}
                settled={`${effects.settlingHours} h of settling left out`}
              />
            ))
            .reverse()}
        </ol>
      </section>
    </div>
  );
}

/** A change in a line; its card unfolds beneath it. */
function Row({
  card,
  number,
  open,
  settled,
}: {
  card: EffectCard;
  number: number;
  open: boolean;
  settled: string;
}) {
  const { tank } = useAtTank();
  const size = sizeOf(card);
  return (
    <li className="border-b border-hairline">
      <div className="relative grid min-h-11 grid-cols-[2rem_minmax(0,1fr)_5rem] items-baseline gap-x-3 py-1.5 hover:bg-dark/50 md:grid-cols-[2rem_5rem_minmax(0,1fr)_5rem_10rem_14rem_1rem]">
        <span className="text-soft">{number}</span>
        <span className="text-soft max-md:hidden">{dayOfMonth(card.windows.change)}</span>
        <Link
          to="/tank/$tankId/effects"
          params={{ tankId: tank.id }}
          search={open ? {} : { at: card.at }}
          resetScroll={false}
          aria-expanded={open}
          aria-current={open ? 'page' : undefined}
          className="font-semibold after:absolute after:inset-0"
        >
          {title(card)}
        </Link>
        <span className={`text-right text-lg font-bold ${size ? tone(size) : ''}`}>
          {size && signed(size.value, 2)}
        </span>
        <span className="text-soft max-md:col-start-2">{size?.range}</span>
        <span className="max-md:col-span-2 max-md:col-start-2">
          {word(card)}
          {card.stands === false && ', could be chance'}
        </span>
        <span aria-hidden className="text-soft max-md:hidden">
          {open ? '▴' : '▾'}
        </span>
      </div>
      {open && (
        <section aria-labelledby="card" className="grid gap-4 py-4">
          <WhatCameOfIt card={card} heading={title(card)} about={since(card)} settled={settled} />
        </section>
      )}
    </li>
  );
}

const tone = ({ clear, value }: { clear: boolean; value: number }) =>
  clear ? (value > 0 ? 'text-accent' : 'text-co2') : 'font-normal text-soft';
