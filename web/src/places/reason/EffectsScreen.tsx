import { getRouteApi, Link } from '@tanstack/react-router';
import { useEffects, useMakeCard } from '../../api/effects';
import { useOpenUnnoted } from '../../api/unnoted';
import { useLeaveOut } from '../../api/events';
import type { EffectCard, Effects, EffectTrial } from '../../api/types';
import { BeforeAfterDrawing, WorthDrawing } from '../../drawings/EffectDrawing';
import { LadderDrawing } from '../../drawings/LadderDrawing';
import { TrialDrawing } from '../../drawings/TrialDrawing';
import { signed, signedRange } from '../../lib/number';
import { dayAndTime, plainDay } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { DriftsSection } from './DriftsSection';
import { UnnotedSection } from './UnnotedSection';
import { unnotedHeadline, within } from './unnotedWords';
import {
  bandOf,
  beside,
  besideTrial,
  headline,
  leftOf,
  since,
  title,
  troughs,
  word,
  worth,
} from './effectWords';

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
        <All effects={effects.data} />
      )}
      {effects.data.days.length > 0 && (
        <>
          <UnnotedSection />
          <DriftsSection />
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

function All({ effects }: { effects: Effects }) {
  const { tank } = useAtTank();
  const { at } = route.useSearch();
  const [ref, width] = useWidth();
  const unnoted = useOpenUnnoted(tank.id);
  const cards = effects.cards;
  // The one that was asked for is made first, then the newest that is missing.
  const asked = cards.find((c) => c.at === at);
  const missing = [...(asked ? [asked] : []), ...[...cards].reverse()].find((c) => c.missing);
  const making = useMakeCard(tank.id, missing);
  const chosen = asked ?? [...cards].reverse().find((c) => c.found) ?? cards[cards.length - 1];
  return (
    <div className="grid gap-8">
      <section aria-labelledby="effects" className="grid gap-3">
        <h1 id="effects" className="text-xl font-bold">
          What each step was worth
          {effects.since && (
            <span className="font-normal text-soft">
              {' '}
              · the day’s trough, {plainDay(effects.since)} to today
            </span>
          )}
        </h1>
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
      {chosen && <Card card={chosen} settlingHours={effects.settlingHours} />}
      <List cards={cards} chosen={chosen} />
    </div>
  );
}

function Card({ card, settlingHours }: { card: EffectCard; settlingHours: number }) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  const found = card.found;
  const between = within(card, useOpenUnnoted(tank.id));
  const wide = width >= 860;
  const bars = wide ? Math.min(520, Math.floor(width * 0.42)) : width;
  return (
    <section aria-labelledby="card" className="grid gap-4 border-t border-hairline pt-6">
      <h2 id="card" className="text-xl font-bold">
        {title(card)} <span className="font-normal text-soft">· {since(card)}</span>
      </h2>
      <p className="max-w-prose text-2xl leading-snug font-semibold">{headline(card)}</p>
      {found && (
        <div ref={ref} className="flex flex-wrap gap-x-10 gap-y-6">
          {width > 0 && (
            <>
              <figure className="grid gap-1">
                <BeforeAfterDrawing
                  found={found}
                  light={tank.description.light}
                  width={wide ? width - bars - 40 : width}
                />
                <figcaption className="flex justify-between gap-4 text-sm text-soft">
                  <span>{troughs(found).before}</span>
                  <span>{settlingHours} h of settling left out</span>
                  <span>{troughs(found).after}</span>
                </figcaption>
              </figure>
              <WorthDrawing found={found} says={worth(found)} width={bars} />
            </>
          )}
        </div>
      )}
      <div className="grid max-w-prose gap-1">
        {beside(card).map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
        {between.map((u) => (
          <p key={u.from}>
            These days hold what nobody noted. {unnotedHeadline(u)}{' '}
            <a href="#unnoted" className="underline underline-offset-4">
              Note it
            </a>
            , and they are compared without it.
          </p>
        ))}
      </div>
      {found?.verdict === 'LESS_THAN_POSSIBLE' && <LookFor places={found.lookFor} />}
      {card.trial && <Trial trial={card.trial} />}
      <Besides card={card} />
    </section>
  );
}

/** Hour by hour, where there are no whole days. */
function Trial({ trial }: { trial: EffectTrial }) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  return (
    <>
      <figure ref={ref} className="grid gap-1">
        {width > 0 && (
          <TrialDrawing hours={trial.hours} zone={tank.zone} width={Math.min(width, 760)} />
        )}
        <figcaption className="text-sm text-soft">
          pH beside the same hours of the days before, room and alkalinity taken off; the line is
          what the change makes of it, the bar its end, hatched what is possible
        </figcaption>
      </figure>
      <div className="grid max-w-prose gap-1">
        {besideTrial(trial).map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </div>
      {trial.verdict === 'LESS_THAN_POSSIBLE' && <LookFor places={trial.lookFor} />}
    </>
  );
}

function LookFor({ places }: { places: readonly string[] }) {
  return places.length === 0 ? null : (
    <div className="max-w-prose">
      <h3 className="font-bold">Look for</h3>
      <ul className="list-disc pl-5">
        {places.map((place) => (
          <li key={place}>{place}</li>
        ))}
      </ul>
    </div>
  );
}

/** What else happened in these days, and whether they count. */
function Besides({ card }: { card: EffectCard }) {
  const { tank } = useAtTank();
  const leave = useLeaveOut(tank.id);
  const tell = useNotice();
  if (card.beside.length === 0) return null;
  const set = (id: string, out: boolean, words: string) =>
    leave
      .mutateAsync({ id, leave: out })
      .then(() => tell(words, () => leave.mutate({ id, leave: !out })))
      .catch((problem: unknown) =>
        tell(problem instanceof Error ? problem.message : String(problem)),
      );
  return (
    <div>
      <h3 className="font-bold">Also in these days</h3>
      <ul>
        {card.beside.map((e) => (
          <li key={e.eventId} className="flex flex-wrap items-center gap-x-4">
            <span>
              {e.title}, {dayAndTime(e.at, tank.zone)}
              {e.until && ` to ${dayAndTime(e.until, tank.zone)}`}
              {e.leftOut && <span className="text-soft"> · its days are left out</span>}
            </span>
            <Button
              look="quiet"
              disabled={leave.isPending}
              onClick={() =>
                void set(
                  e.eventId,
                  !e.leftOut,
                  e.leftOut
                    ? `The days of “${e.title}” count again.`
                    : `The days of “${e.title}” are left out, here and in the fit.`,
                )
              }
            >
              {e.leftOut ? 'let its days count' : 'leave its days out'}
            </Button>
          </li>
        ))}
      </ul>
    </div>
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
