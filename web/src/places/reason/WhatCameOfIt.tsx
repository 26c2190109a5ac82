import { useLeaveOut } from '../../api/events';
import { useOpenUnnoted } from '../../api/unnoted';
import type { EffectCard, EffectTrial } from '../../api/types';
import { BeforeAfterDrawing, WorthDrawing } from '../../drawings/EffectDrawing';
import { TrialDrawing } from '../../drawings/TrialDrawing';
import { dayAndTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { ShareButton } from '../../parts/ShareButton';
import { useWidth } from '../../parts/useWidth';
import { useAtTank } from '../../TankContext';
import { beside, besideTrial, costs, headline, troughs, usedSince, worth } from './effectWords';
import { sharedCard } from './shareEffects';
import { unnotedHeadline, within } from './unnotedWords';

/** Days beside days: what is left once room and alkalinity are taken off, and the sentence that follows. */
export function WhatCameOfIt({
  card,
  heading,
  about,
  settled,
}: {
  card: EffectCard;
  heading: string;
  about: string;
  /** What of the time between is left out. */
  settled: string;
}) {
  const { tank, units } = useAtTank();
  const [ref, width] = useWidth();
  const found = card.found;
  const cost = [costs(card, tank.currency) ?? []].flat();
  const between = within(card, useOpenUnnoted(tank.id));
  const wide = width >= 860;
  const bars = wide ? Math.min(520, Math.floor(width * 0.42)) : width;
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-x-6">
        <h2 id="card" className="text-xl font-bold">
          {heading} <span className="font-normal text-soft">· {about}</span>
        </h2>
        {(found ?? card.trial) && <ShareButton {...sharedCard(card, tank, units)} />}
      </div>
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
                  <span>{settled}</span>
                  <span>{troughs(found).after}</span>
                </figcaption>
              </figure>
              <WorthDrawing found={found} says={worth(found)} width={bars} />
            </>
          )}
        </div>
      )}
      <div className="grid max-w-prose gap-1">
        {[...beside(card), ...usedSince(card, units), ...cost].map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
        {between.map((u) => (
          <p key={u.from}>
            These days contain an unlogged change. {unnotedHeadline(u)}{' '}
            <a href="#unnoted" className="underline underline-offset-4">
              Add it
            </a>
            , and they are compared without it.
          </p>
        ))}
      </div>
      {found?.verdict === 'LESS_THAN_POSSIBLE' && <LookFor places={found.lookFor} />}
      {card.trial && <Trial trial={card.trial} />}
      <Besides card={card} />
    </>
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
          pH compared with the same hours before, without room and alkalinity. Line: effect of the
          change. Bar: its end. Hatched: expected.
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
      <h3 className="font-bold">Also on these days</h3>
      <ul>
        {card.beside.map((e) => (
          <li key={e.eventId} className="flex flex-wrap items-center gap-x-4">
            <span>
              {e.title}, {dayAndTime(e.at, tank.zone)}
              {e.until && ` to ${dayAndTime(e.until, tank.zone)}`}
              {e.leftOut && <span className="text-soft"> · days left out</span>}
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
              {e.leftOut ? 'Count these days' : 'Leave these days out'}
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
