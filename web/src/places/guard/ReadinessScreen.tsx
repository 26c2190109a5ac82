import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import {
  useAddKit,
  useCalendarSince,
  useDeleteKit,
  useDue,
  useReadiness,
  useSubscribe,
  useWithdrawCalendar,
} from '../../api/guard';
import type { KitItem, Readiness, Times } from '../../api/types';
import { show } from '../../lib/measure';
import { money } from '../../lib/money';
import { useHelper } from '../../frame/useHelper';
import { Button, buttonLook } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { dayAndTime, plainDay } from '../../lib/time';
import { Refusal } from '../../parts/Refusal';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { DailyCuts } from './DailyCuts';
import { KitForm } from './KitForm';
import { hoursDown } from './outageTime';
import { TestRun } from './TestRun';

/** Guard → Readiness: is this home ready for the lights to go out? */
export function ReadinessScreen() {
  const { tank } = useAtTank();
  const ready = useReadiness(tank.homeId);
  if (!ready.data) return <Waiting error={ready.error} retry={() => void ready.refetch()} />;
  return <Loaded ready={ready.data} />;
}

const CARD_SAVED = 'pocket-card-saved';

function Loaded({ ready }: { ready: Readiness }) {
  const { tank, units } = useAtTank();
  const helper = useHelper();
  const [adding, setAdding] = useState(false);
  const [saved, setSaved] = useState(() => localStorage.getItem(CARD_SAVED) === tank.homeId);
  return (
    <div className="grid max-w-5xl gap-8">
      <section aria-labelledby="ready" className="grid gap-3">
        <h1 id="ready" className="text-xl font-bold">
          {ready.home}, without power
        </h1>
        <p className="max-w-prose text-2xl leading-snug font-semibold">{ready.weakest}</p>
        <Nights ready={ready} />
        <p className="text-sm text-soft">
          Hours until oxygen falls to 3.5 mg/L, from the worst hour of the night. We plan with the
          earlier figure. The hottest night is {show(4, 'warmth', units)} warmer.
        </p>
        {ready.tanks
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
          ))}
      </section>
      <section aria-labelledby="card" className="grid gap-2 border-t pt-4">
        <h2 id="card" className="text-lg font-bold">
          The pocket card
        </h2>
        <p>
          {saved
            ? 'Saved from this device. Save it again when tanks or kit change.'
            : 'Not saved on a phone yet.'}{' '}
          One file with the whole plan, a clock and a log. It works without server and network. Open
          it once, then print it for a helper.
        </p>
        <a
          className={`${buttonLook(saved ? 'plain' : 'main')} justify-self-start`}
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
      <section aria-labelledby="kit" className="grid gap-3 border-t pt-4">
        <h2 id="kit" className="text-lg font-bold">
          The kit
        </h2>
        {ready.kit.length === 0 && (
          <p className="text-soft">
            Equipment that aerates or moves water without mains power: battery air pumps, a UPS, an
            inverter, a generator. Air comes first. Filter and heat can wait a few hours.
          </p>
        )}
        <ul>
          {ready.kit.map((item) => (
            <Thing key={item.id} item={item} />
          ))}
        </ul>
        {!helper &&
          (adding ? (
            <KitForm done={() => setAdding(false)} />
          ) : (
            <Button className="justify-self-start" onClick={() => setAdding(true)}>
              Add equipment
            </Button>
          ))}
      </section>
      <WhatIsDue homeId={tank.homeId} />
      {ready.purchases.length > 0 && (
        <section aria-labelledby="next" className="border-t pt-4">
          <h2 id="next" className="text-lg font-bold">
            What to buy next
          </h2>
          <p className="text-sm text-soft">
            Hours gained for your weakest tank on the hottest night · best value first. Prices are
            assumed.
          </p>
          <table className="w-full text-left">
            <tbody>
              {ready.purchases.map((p) => (
                <tr key={p.what} className="border-b">
                  <td className="py-1.5 pr-4">
                    {p.what}
                    <Hazard caution={p.caution} />
                  </td>
                  <td className="pr-4 font-semibold whitespace-nowrap">
                    +{p.gainedH.toFixed(1)} h
                  </td>
                  <td className="whitespace-nowrap">about {money(p.price, tank.currency)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      {ready.tiers.length > 0 && <Tiers ready={ready} />}
      <DailyCuts homeId={tank.homeId} />
      <p className="border-l-4 border-danger pl-3">
        ✕ Use residual-current protection, drip loops and dry raised sockets: salt water conducts.
        Never chain cords. Run a generator only outdoors, far from openings, with a carbon monoxide
        alarm indoors. Let a licensed electrician fit a transfer switch. Never feed power back
        through a socket. Ventilate batteries, use the right charger, and no swollen cells. Local
        codes come first.
      </p>
    </div>
  );
}

function Nights({ ready }: { ready: Readiness }) {
  const over = `over ${ready.hoursLookedAhead} h`;
  const inHours = (times: Times) =>
    times.early === undefined
      ? over
      : `${hoursDown(times.early)} – ${times.late === undefined ? over : hoursDown(times.late)}`;
  const unless = (t: Readiness['tanks'][number], times: Times) =>
    t.unlikely ? 'see above' : inHours(times);
  const columns: { what: string; of: (t: Readiness['tanks'][number]) => string; kept?: boolean }[] =
    [
      { what: 'tonight, with your kit', of: (t) => unless(t, t.keptTonight), kept: true },
      { what: 'hottest night, with your kit', of: (t) => unless(t, t.keptSummer), kept: true },
      { what: 'hottest night, nobody home', of: (t) => unless(t, t.alone) },
      { what: 'cold night, with your kit', of: (t) => inHours(t.keptWinter) },
      { what: 'tonight, without kit', of: (t) => unless(t, t.bareTonight) },
    ];
  return (
    <>
      <table className="hidden w-full text-left md:table">
        <thead className="text-sm text-soft">
          <tr>
            <th className="font-normal">tank</th>
            {columns.map((c) => (
              <th key={c.what} className="font-normal">
                {c.what}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ready.tanks.map((t) => (
            <tr key={t.tankId} className="border-t">
              <td className="py-1.5 font-semibold">{t.name}</td>
              {columns.map((c) => (
                <td key={c.what} className={c.kept ? 'font-semibold' : ''}>
                  {c.of(t)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {ready.tanks.map((t) => (
        <section key={t.tankId} aria-label={t.name} className="border-t pt-2 md:hidden">
          <h2 className="font-semibold">{t.name}</h2>
          <dl className="grid grid-cols-2">
            {columns.map((c) => (
              <div key={c.what} className="contents">
                <dt className="text-soft">{c.what}</dt>
                <dd className={c.kept ? 'font-semibold' : ''}>{c.of(t)}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </>
  );
}

/** Tests, dates and media of this home, also for a calendar. */
function WhatIsDue({ homeId }: { homeId: string }) {
  const due = useDue(homeId).data ?? [];
  const helper = useHelper();
  if (due.length === 0) return null;
  return (
    <section aria-labelledby="due" className="grid gap-2 border-t pt-4">
      <h2 id="due" className="text-lg font-bold">
        What is due
      </h2>
      <ul>
        {due.map((d) => (
          <li key={d.id} className={d.late ? 'border-l-4 border-alk pl-3' : 'pl-4'}>
            {d.late ? 'now' : plainDay(d.on)}: {d.what}
          </li>
        ))}
      </ul>
      <a
        className={`${buttonLook('quiet')} justify-self-start`}
        href={`/api/v1/homes/${homeId}/due.ics`}
        download="due.ics"
      >
        Export to a calendar (iCalendar file)
      </a>
      {!helper && <Subscribe homeId={homeId} />}
    </section>
  );
}

/** An address that a calendar reads by itself, for whoever it is given to. */
function Subscribe({ homeId }: { homeId: string }) {
  const since = useCalendarSince(homeId).data?.since;
  const subscribe = useSubscribe(homeId);
  const withdraw = useWithdrawCalendar(homeId);
  const tell = useNotice();
  const { tank } = useAtTank();
  const token = subscribe.data?.token;
  return (
    <div className="grid gap-2">
      {since && (
        <p className="max-w-prose">
          Calendar address created {dayAndTime(since, tank.zone)}. Anyone with the address can read
          what is due here, nothing else.
        </p>
      )}
      {token && since && (
        <Field
          label="Subscribe to this address in your calendar. We show it only once"
          readOnly
          value={`${location.origin}/api/v1/calendar/${token}`}
          onFocus={(e) => e.target.select()}
        />
      )}
      <div className="flex flex-wrap gap-4">
        <Button
          look="quiet"
          disabled={subscribe.isPending}
          onClick={() => subscribe.mutate(undefined)}
        >
          {since ? 'Create a new address (the old one stops)' : 'Create a calendar address'}
        </Button>
        {since && (
          <Button
            look="quiet"
            disabled={withdraw.isPending}
            onClick={() =>
              void withdraw
                .mutateAsync(undefined)
                .then(() => tell('This address no longer works.'))
                .catch(() => undefined)
            }
          >
            Revoke
          </Button>
        )}
      </div>
      <Refusal message={subscribe.error?.message ?? withdraw.error?.message} />
    </div>
  );
}

/** From nothing: what an outage of some length asks for. */
function Tiers({ ready }: { ready: Readiness }) {
  const { tank } = useAtTank();
  const n = ready.tanks.length;
  return (
    <section aria-labelledby="tiers" className="border-t pt-4">
      <h2 id="tiers" className="text-lg font-bold">
        For an outage of
      </h2>
      <p className="text-sm text-soft">
        Cheapest purchase that keeps {n === 1 ? 'this tank' : `all ${n} tanks`} out of danger
        through the hottest night, by the earlier figure. Sizes and prices are assumed.
      </p>
      {ready.tiers.every((t) => t.what === undefined) ? (
        <p className="max-w-prose">
          No single purchase keeps {n === 1 ? 'this tank' : 'every tank'} out of danger for 2 hours.
          Combine air pumps, keep more water surface open, or run a generator for all pumps. Plan
          where the animals can go.
        </p>
      ) : (
        <table className="w-full text-left">
          <tbody>
            {ready.tiers.map((t) => (
              <tr key={t.hours} className="border-b">
                <td className="py-1.5 pr-4 font-semibold whitespace-nowrap">{t.hours} h</td>
                <td className="pr-4">
                  {t.what ?? 'more fuel or batteries, or a place to take the animals'}
                  <Hazard caution={t.caution} />
                </td>
                <td className="whitespace-nowrap">
                  {t.price !== undefined && `about ${money(t.price, tank.currency)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

const Hazard = ({ caution }: { caution?: string }) =>
  caution && <span className="block text-sm text-danger">✕ {caution}</span>;

function Thing({ item }: { item: KitItem }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const drop = useDeleteKit(tank.homeId);
  const add = useAddKit(tank.homeId);
  const tell = useNotice();
  const [open, setOpen] = useState<'test' | 'Edit' | null>(null);
  const d = item.description;
  const { early, likely, late, tested } = item.runTime;
  return (
    <li className="grid gap-2 border-b py-2">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <span>
          <strong>{d.name}</strong>
          <span className="text-soft">
            {d.place && ` · ${d.place}`}
            {d.who && ` · ${d.who}`}
            {item.startsItself ? ' · starts by itself' : ' · by hand'}
            {(d.loadW === undefined || d.loadW === 0) && ` · ${item.watts} W assumed`}
          </span>
        </span>
        <span>
          {tested ? (
            <strong>{hoursDown(likely)}, tested</strong>
          ) : (
            <>
              <strong>{hoursDown(early)}</strong> to {hoursDown(late)}, likely {hoursDown(likely)},
              not tested
            </>
          )}
        </span>
        {!helper && (
          <span className="flex gap-2">
            <Button look="quiet" onClick={() => setOpen(open === 'test' ? null : 'test')}>
              Test
            </Button>
            <Button
              look="quiet"
              aria-label={`Edit ${d.name}`}
              onClick={() => setOpen(open === 'Edit' ? null : 'Edit')}
            >
              Edit
            </Button>
            <Button
              look="quiet"
              aria-label={`Remove ${d.name}`}
              onClick={() =>
                drop.mutate(item.id, {
                  onSuccess: () => tell(`${d.name} removed.`, () => add.mutate(d)),
                })
              }
            >
              ✕
            </Button>
          </span>
        )}
      </div>
      {likely === 0 && !tested && (
        <p className="border-l-4 border-danger pl-3">
          ✕ Overloaded: {item.watts} W is too much. It would switch off at once.
        </p>
      )}
      {d.energy === 'UPS' && d.upsW !== undefined && d.upsMinutes !== undefined && !tested && (
        <p className="text-sm text-soft">
          By the label ({d.upsW} W for {d.upsMinutes} min) you would expect{' '}
          {((d.upsW * d.upsMinutes) / 60 / item.watts).toFixed(1)} h at {item.watts} W. But the
          inverter itself uses 5–8 W.
        </p>
      )}
      {open === 'test' && <TestRun item={item} done={() => setOpen(null)} />}
      {open === 'Edit' && <KitForm item={item} done={() => setOpen(null)} />}
    </li>
  );
}
