import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { useDue, useReadiness } from '../../api/guard';
import type { KitItem, Readiness } from '../../api/types';
import { useHelper } from '../../frame/useHelper';
import { show } from '../../lib/measure';
import { money } from '../../lib/money';
import { Button, buttonLook } from '../../parts/Button';
import { OneOf } from '../../parts/OneOf';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { DailyCuts } from './DailyCuts';
import { Kit, KitSheets, type KitSheet } from './Kit';
import { Nights } from './Nights';
import { Purchases, Tiers } from './Purchases';
import { WhatIsDue } from './WhatIsDue';

/** Guard → Readiness: is this home ready for the lights to go out? */
export function ReadinessScreen() {
  const { tank } = useAtTank();
  const ready = useReadiness(tank.homeId);
  if (!ready.data) return <Waiting error={ready.error} retry={() => void ready.refetch()} />;
  return <Loaded ready={ready.data} />;
}

const CARD_SAVED = 'pocket-card-saved';
/** The outage that is asked about at first, hours. */
const FIRST_H = 8;

function Loaded({ ready }: { ready: Readiness }) {
  const { tank, units } = useAtTank();
  const [sheet, setSheet] = useState<KitSheet | null>(null);
  const [outageH, setOutageH] = useState(FIRST_H);
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_19rem]">
      <div className="grid content-start gap-4">
        <section aria-labelledby="ready" className="grid gap-3">
          <h1 id="ready" className="text-soft">
            {ready.home}, without power
          </h1>
          <p aria-live="polite" className="text-xl leading-snug font-semibold md:text-2xl">
            {ready.weakest}
          </p>
          <Nights ready={ready} outageH={outageH} />
          <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
            <OneOf
              legend="For an outage of"
              value={String(outageH)}
              options={ready.tiers.map(({ hours }) => ({
                value: String(hours),
                label: `${hours} h`,
              }))}
              onChange={(hours) => setOutageH(Number(hours))}
            />
            <ThroughIt ready={ready} outageH={outageH} />
          </div>
          <p className="text-sm text-soft">
            Hours until oxygen falls to 3.5 mg/L. Hatched: 9 in 10. Hottest night:{' '}
            {show(4, 'warmth', units)} warmer. ✕: shorter than the outage.
          </p>
          <FishAssumed ready={ready} />
        </section>
        <Kit kit={ready.kit} show={setSheet} />
      </div>
      <aside aria-label="What to do" className="grid content-start gap-5 lg:border-l lg:pl-8">
        <DoNext ready={ready} show={setSheet} />
        <WhatIsDue homeId={tank.homeId} />
      </aside>
      <div className="grid gap-6 lg:col-span-2">
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
          <Purchases purchases={ready.purchases} />
          {ready.tiers.length > 0 && <Tiers ready={ready} />}
        </div>
        <DailyCuts homeId={tank.homeId} />
        <p className="border-l-4 border-danger pl-3">
          ✕ Use residual-current protection, drip loops and dry raised sockets: salt water conducts.
          Never chain cords. Run a generator only outdoors, far from openings, with a carbon
          monoxide alarm indoors. Let a licensed electrician fit a transfer switch. Never feed power
          back through a socket. Ventilate batteries, use the right charger, and no swollen cells.
          Local codes come first.
        </p>
      </div>
      <KitSheets sheet={sheet} close={() => setSheet(null)} />
    </div>
  );
}

/** The cheapest way through an outage as long as the chosen one. */
function ThroughIt({ ready, outageH }: { ready: Readiness; outageH: number }) {
  const { tank } = useAtTank();
  const worst = ready.tanks[0]?.keptSummer.early;
  if (worst === undefined || worst >= outageH)
    return <p>Your kit lasts that long, even on the hottest night.</p>;
  const tier = ready.tiers.find((t) => t.hours === outageH);
  return (
    <p className="max-w-md">
      {tier?.what === undefined
        ? 'No single purchase lasts that long. Plan more fuel, batteries, or a place for the animals.'
        : `Cheapest way through it: ${tier.what}${tier.price === undefined ? '' : `, about ${money(tier.price, tank.currency)}`}.`}
    </p>
  );
}

function FishAssumed({ ready }: { ready: Readiness }) {
  const helper = useHelper();
  return ready.tanks
    .filter((t) => t.fishAssumed > 0)
    .map((t) => (
      <p key={t.tankId} className="text-sm">
        {t.name}: no fish described, so we assume {t.fishAssumed} of 20 g.{' '}
        {!helper && (
          <Link
            to="/tank/$tankId/description"
            params={{ tankId: t.tankId }}
            className={buttonLook('quiet')}
          >
            Describe your fish
          </Link>
        )}
      </p>
    ));
}

function nextWords(
  ready: Readiness,
  untested: KitItem | undefined,
  cardSaved: boolean,
  late: string | undefined,
): string {
  if (ready.kit.length === 0) return 'Get an air pump that runs without mains power.';
  if (untested) return `Test the ${untested.description.name}.`;
  if (!cardSaved) return 'Save the pocket card on a phone.';
  return late ?? 'Nothing to do now.';
}

/** One thing at a time: something that aerates, one test of it, the card on a phone, then what is due. */
function DoNext({ ready, show }: { ready: Readiness; show: (sheet: KitSheet) => void }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const late = useDue(tank.homeId).data?.find((d) => d.late && d.subject !== 'KIT');
  const [saved, setSaved] = useState(() => localStorage.getItem(CARD_SAVED) === tank.homeId);
  const untested = ready.kit.find((k) => !k.runTime.tested);
  const next = helper ? undefined : nextWords(ready, untested, saved, late?.what);
  return (
    <>
      {next && (
        <section aria-labelledby="do-next" className="grid justify-items-start gap-2">
          <h2 id="do-next" className="text-sm text-soft">
            Do next
          </h2>
          <p className="text-xl leading-snug font-semibold">{next}</p>
          {ready.kit.length === 0 ? (
            <Button look="main" onClick={() => show({ what: 'add' })}>
              Add what you have
            </Button>
          ) : (
            untested && (
              <Button look="main" onClick={() => show({ what: 'test', item: untested })}>
                Start the test
              </Button>
            )
          )}
        </section>
      )}
      <section aria-labelledby="card" className="grid gap-1">
        <h2 id="card" className="font-bold">
          Pocket card
        </h2>
        <p className="text-sm text-soft">
          The plan, a clock and a log in one file, without server and network.{' '}
          {saved
            ? 'Saved from this device. Save it again when tanks or kit change.'
            : 'Not saved on a phone yet.'}
        </p>
        <a
          className={`${buttonLook('plain')} justify-self-start`}
          href={`/api/v1/homes/${tank.homeId}/card`}
          download="pocket-card.html"
          onClick={() => {
            localStorage.setItem(CARD_SAVED, tank.homeId);
            setSaved(true);
          }}
        >
          Save the card
        </a>
      </section>
    </>
  );
}
