import { useState } from 'react';
import { useDeleteFill, useEndFill, useMedia, useReadColour, useReopenFill } from '../../api/media';
import type { Fill, FillEnd, Media, MediaAhead, Units } from '../../api/types';
import { ColumnDrawing } from '../../drawings/ColumnDrawing';
import { show } from '../../lib/measure';
import { dayAndTime } from '../../lib/time';
import { HowWorkedOut } from '../../parts/HowWorkedOut';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Slider } from '../../parts/Slider';
import { OpensSheet } from '../../parts/OpensSheet';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { NewFillForm } from './NewFillForm';

/** Do → Media: what is in the column, and when it is due. */
export function MediaScreen() {
  const { tank } = useAtTank();
  const media = useMedia(tank.id);
  if (!media.data) return <Waiting error={media.error} retry={() => void media.refetch()} />;
  return <Loaded media={media.data} />;
}

function Loaded({ media }: { media: Media }) {
  const current = media.fills.find((fill) => !fill.endedAt);
  const past = media.fills.filter((fill) => fill.endedAt);
  return (
    <div className="grid max-w-5xl gap-8">
      {current ? (
        <InUse fill={current} />
      ) : (
        <section aria-labelledby="none">
          <h1 id="none" className="text-xl font-bold">
            No media in use
          </h1>
          <p className="max-w-prose text-soft">
            Scrubber media remove CO2 from the skimmer’s air until they are spent or too wet. Log
            each fill and read its colour while in use. We then predict when to change it.
          </p>
        </section>
      )}
      {!media.skimmer && (
        <p className="border-l-4 border-alk pl-3">
          No skimmer is described for this tank. Without its air draw we can’t predict when media
          run out.
        </p>
      )}
      <OpensSheet
        says="Add a fill"
        about="Scrubber media that you put into the column."
        look={current ? 'plain' : 'main'}
      >
        {(close) => <NewFillForm done={close} />}
      </OpensSheet>
      {past.length > 0 && <Past fills={past} media={media} />}
    </div>
  );
}

const day = (seconds: number, zone: string) =>
  dayAndTime(new Date(seconds * 1000).toISOString(), zone);

const DAY_MS = 86_400_000;

function changeIn(changeAt: string): string {
  const days = Math.floor((Date.parse(changeAt) - Date.now()) / DAY_MS);
  if (days < 1) return 'Change now';
  return days === 1 ? 'Change in a day' : `Change in ${days} days`;
}

const BECAUSE: Record<MediaAhead['changeBecause'], string> = {
  COLOUR: 'when the colour reaches your mark',
  SPENT: 'before the media may be spent',
  DROWNED: 'before the media may drown',
  NOTHING_WITHIN_A_YEAR: 'at the latest',
};

const ONCE_SOAKED = {
  UNKNOWN:
    'Soaked media remove no CO2 and can choke the skimmer. Check that the skimmer still draws air.',
  PASSES: 'Soaked media remove no CO2. The air passes unchanged.',
  CHOKED:
    'Soaked media choke the skimmer, so it adds no oxygen either. Remove the media before that. The Bench shows the nights after.',
} as const;

function InUse({ fill }: { fill: Fill }) {
  const { tank, units } = useAtTank();
  const tell = useNotice();
  const colour = useReadColour(tank.id);
  const end = useEndFill(tank.id);
  const reopen = useReopenFill(tank.id);
  const last = fill.colours.at(-1)?.changedShare;
  const [share, setShare] = useState(last ?? 0);
  const ahead = fill.ahead;
  const now = () => new Date().toISOString();
  const take = (by: FillEnd) =>
    void end
      .mutateAsync({ id: fill.id, at: now(), by })
      // This screen part is gone by then: only the promise is still listened to.
      .then(() => tell('Media removed.', () => void reopen.mutateAsync(fill.id)))
      .catch(() => undefined);
  return (
    <section
      aria-labelledby="in-use"
      className="grid items-start gap-x-8 gap-y-4 md:grid-cols-[10rem_minmax(0,1fr)]"
    >
      {ahead && (
        <ColumnDrawing
          usedShare={ahead.usedShare}
          readShare={last}
          waterPerGram={ahead.waterPerGram}
          drownedAt={ahead.drownedAt}
        />
      )}
      <div className="grid gap-3 md:col-start-2">
        <h1 id="in-use" className="text-xl font-bold">
          {show(fill.massKg, 'mass', units)} of media
          <span className="font-normal text-soft">
            {' '}
            · filled {dayAndTime(fill.filledAt, tank.zone)}, {use(fill)}
          </span>
        </h1>
        {ahead && (
          <>
            <p className="text-lg">
              <strong className="text-4xl">{changeIn(ahead.changeAt)}</strong>{' '}
              {BECAUSE[ahead.changeBecause]}
              {ahead.drownedSince &&
                `; drowned since ${dayAndTime(ahead.drownedSince, tank.zone)}, estimated`}
              .
            </p>
            <p>
              The end may come between {day(ahead.ends.low, tank.zone)} and{' '}
              {day(ahead.ends.high, tank.zone)}. Now {Math.round(ahead.usedShare * 100)} % used,
              with {Math.round(ahead.waterPerGram * 100)} g of water in 100 g (media stop at{' '}
              {Math.round(ahead.drownedAt * 100)}).
            </p>
            <p>
              {
                ONCE_SOAKED[
                  fill.chokes === undefined ? 'UNKNOWN' : fill.chokes ? 'CHOKED' : 'PASSES'
                ]
              }
            </p>
            <HowWorkedOut>
              By capacity alone: {Math.round(ahead.daysByCo2)} days. Estimated with{' '}
              {Math.round(ahead.ppm)} ppm in the fresh air (
              {ahead.ppmMeasured ? 'average since the fill' : 'assumed'}) and media{' '}
              {show(3, 'warmth', units)} cooler than the tank, 0 to {show(5, 'warmth', units)}{' '}
              (assumed).
            </HowWorkedOut>
          </>
        )}
        <div className="grid max-w-md gap-2 border-t pt-3">
          <Slider
            label="Colour changed, read while in use (the colour can revert at rest)"
            value={share}
            min={0}
            max={1}
            step={0.05}
            shown={`${Math.round(share * 100)} % of the column`}
            onChange={setShare}
          />
          <div className="flex flex-wrap gap-2">
            <Button
              disabled={colour.isPending}
              onClick={() =>
                colour.mutate(
                  { id: fill.id, at: now(), changedShare: share },
                  { onSuccess: () => tell('Colour added.') },
                )
              }
            >
              Add this colour
            </Button>
            <Button look="quiet" onClick={() => take('COLOUR')}>
              Removed: spent
            </Button>
            <Button look="quiet" onClick={() => take('DROWNED')}>
              Removed: drowned
            </Button>
            <Button look="quiet" onClick={() => take('EARLY')}>
              Removed early
            </Button>
          </div>
          {(colour.error ?? end.error) && (
            <p role="alert" className="font-semibold">
              ✕ {(colour.error ?? end.error)?.message}
            </p>
          )}
        </div>
        <p className="border-l-4 border-alk pl-3">
          Wear goggles, gloves and a dust mask when you change media: the dust burns. If dust
          reaches an eye, rinse long with water and get medical help. Keep media away from children
          and acids. Fit a drip trap before the skimmer: wet media leach caustic.
        </p>
      </div>
    </section>
  );
}

const IN_USE: Record<Fill['hours'], string> = {
  ALWAYS: 'always in use',
  LAMPS_OFF: 'in use while the lamps are off',
  LAMPS_ON: 'in use while the lamps are on',
  BELOW_PH: 'in use below a pH',
};

function use(fill: Fill): string {
  const air = fill.intake === 'ROOM' ? 'room air' : 'outdoor air';
  const back =
    fill.freshShare < 1
      ? `, ${Math.round((1 - fill.freshShare) * 100)} % recirculated exhaust`
      : '';
  const gate = fill.gatePh === undefined ? '' : ` ${fill.gatePh.toFixed(2)}`;
  return `${air}${back}, ${IN_USE[fill.hours]}${gate}`;
}

const ENDED: Record<FillEnd, string> = {
  COLOUR: 'spent',
  DROWNED: 'drowned',
  EARLY: 'removed early',
};

function Past({ fills, media }: { fills: Fill[]; media: Media }) {
  const { tank, units } = useAtTank();
  const drop = useDeleteFill(tank.id);
  const tell = useNotice();
  return (
    <section aria-labelledby="past">
      <h2 id="past" className="text-lg font-bold">
        Earlier fills
      </h2>
      <p className="pb-2">
        {media.capacityLearnt
          ? `Your fills show a capacity of ${Math.round(media.capacityLPerKg)} L of CO2 per kilogram. We compute with that.`
          : `Not yet enough data: we assume ${Math.round(media.capacityLPerKg)} L of CO2 per kilogram (120–180). Log a colour above 30 % and we learn yours.`}
      </p>
      <ul>
        {fills.map((fill) => {
          const filled = dayAndTime(fill.filledAt, tank.zone);
          return (
            <li
              key={fill.id}
              className="flex flex-wrap items-center gap-x-4 border-t border-hairline md:flex-nowrap"
            >
              <span className="w-full font-semibold md:w-44">{filled}</span>
              <span className="min-w-0 flex-1">{cameOf(fill, units)}</span>
              <Button
                look="quiet"
                aria-label={`Remove the fill from ${filled}`}
                onClick={() => drop.mutate(fill.id, { onSuccess: () => tell('Fill removed.') })}
              >
                ✕
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** How long a fill lasted, its last colour, what passed and why it ended, in a line. */
function cameOf(fill: Fill, units: Units): string {
  const colour = fill.colours.at(-1);
  const days = fill.endedAt && (Date.parse(fill.endedAt) - Date.parse(fill.filledAt)) / 86_400_000;
  return [
    `${show(fill.massKg, 'mass', units)}${typeof days === 'number' ? ` for ${days.toFixed(1)} days` : ''}`,
    colour && `${Math.round(colour.changedShare * 100)} % changed colour`,
    fill.co2L !== undefined && `${fill.co2L.toFixed(0)} L of CO2 passed`,
    fill.endedBy && ENDED[fill.endedBy],
  ]
    .filter(Boolean)
    .join(' · ');
}
