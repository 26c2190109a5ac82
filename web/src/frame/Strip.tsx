import { Link, useNavigate, useRouterState } from '@tanstack/react-router';
import { DropdownMenu } from 'radix-ui';
import { useDue } from '../api/guard';
import { useTanks } from '../api/homes';
import { useGlance } from '../api/log';
import type { Due, Reading, Tank } from '../api/types';
import { clockTime, plainDay, shortTime } from '../lib/time';
import { METHOD, RAW_UNIT } from '../lib/units';
import { Mark, markOf } from '../parts/Mark';
import { DUE_AT } from './dueAt';
import { lastTank } from './lastTank';
import { PowerOut } from './PowerOut';
import { ROUTE } from './places';
import { useHelper } from './useHelper';

/** The tank and its last readings, on top of every screen. */
export function Strip({ tank }: { tank: Tank }) {
  const glance = useGlance(tank.id).data;
  const due = useDue(tank.homeId).data?.[0];
  const helper = useHelper();
  const now = new Date();
  return (
    <header className="flex items-center gap-4 border-b px-4 py-2 md:gap-8 md:px-6">
      <TankChoice tank={tank} />
      {glance && (
        <>
          <Last name="pH" reading={glance.ph} zone={tank.zone} now={now} always />
          <Last name="room CO2" reading={glance.roomCo2} zone={tank.zone} now={now} />
          {glance.oxygen && (
            <Last name="oxygen" reading={glance.oxygen} zone={tank.zone} now={now} />
          )}
          {glance.lit !== undefined && glance.nextSwitch && (
            <div className="hidden shrink-0 lg:block">
              <p className="text-sm text-soft">in the tank</p>
              <p className="text-lg font-semibold">
                {glance.lit ? 'light' : 'dark'} until {clockTime(glance.nextSwitch, tank.zone)}
              </p>
            </div>
          )}
        </>
      )}
      {due && (
        <div className="hidden min-w-0 shrink md:block">
          <p className="text-sm text-soft">due {due.late ? 'now' : plainDay(due.on)}</p>
          <Link
            to={helper && !HELPS_WITH.includes(due.subject) ? ROUTE.readiness : DUE_AT[due.subject]}
            params={{ tankId: due.tankId }}
            className="block max-w-60 truncate text-lg font-semibold underline decoration-hairline underline-offset-4"
          >
            {due.what}
          </Link>
        </div>
      )}
      <PowerOut tank={tank} />
    </header>
  );
}

const HELPS_WITH: readonly Due['subject'][] = ['UPKEEP', 'TEST'];

function Last({
  name,
  reading,
  zone,
  now,
  always = false,
}: {
  name: string;
  reading: Reading | undefined;
  zone: string;
  now: Date;
  /** On phones, too, where there is room for one. */
  always?: boolean;
}) {
  const place = always ? 'min-w-0' : 'hidden shrink-0 md:block';
  if (!reading) {
    return (
      <div className={place}>
        <p className="text-sm text-soft">{name}</p>
        <p className="text-lg text-soft">no reading yet</p>
      </div>
    );
  }
  const unit = RAW_UNIT[reading.unit];
  return (
    <div className={place}>
      <p className="truncate text-sm text-soft">
        {name},{' '}
        <span className="hidden md:inline">
          {METHOD[reading.method].split(',')[0]}
          {reading.corrected !== undefined && ', corrected'},{' '}
        </span>
        {shortTime(reading.at, zone, now)}
      </p>
      <p className="flex items-center gap-2 text-lg font-semibold">
        <Mark kind={markOf(reading.method)} />
        {(reading.corrected ?? reading.value).toFixed(unit.digits)}
        {reading.quantity !== 'PH' && ` ${unit.label.split(',')[0]}`}
      </p>
    </div>
  );
}

function TankChoice({ tank }: { tank: Tank }) {
  const tanks = useTanks().data ?? [];
  const helper = useHelper();
  const navigate = useNavigate();
  const path = useRouterState({ select: (s) => s.location.pathname });
  const go = (id: string) => {
    lastTank.set(id);
    void navigate({ to: path.replace(tank.id, id) });
  };
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="flex min-h-11 shrink-0 items-center gap-2 text-xl font-bold">
        {tank.description.name}
        <svg viewBox="0 0 10 6" className="w-2.5" aria-hidden>
          <path d="M1 1l4 4 4-4" fill="none" stroke="currentColor" strokeWidth="1.5" />
        </svg>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          className="z-30 min-w-60 border border-ink/40 bg-paper py-1 [&>*]:flex [&>*]:min-h-11 [&>*]:cursor-pointer [&>*]:items-center [&>*]:px-4 [&>*[data-highlighted]]:bg-dark"
        >
          {tanks.map((t) => (
            <DropdownMenu.Item
              key={t.id}
              onSelect={() => go(t.id)}
              className="justify-between gap-6"
            >
              {t.description.name}
              {t.id === tank.id && <span className="text-sm text-soft">open</span>}
            </DropdownMenu.Item>
          ))}
          {!helper && (
            <>
              <DropdownMenu.Item
                onSelect={() =>
                  void navigate({ to: '/tank/$tankId/description', params: { tankId: tank.id } })
                }
                className="border-t"
              >
                Edit {tank.description.name}…
              </DropdownMenu.Item>
              <DropdownMenu.Item onSelect={() => void navigate({ to: '/begin' })}>
                Add a tank…
              </DropdownMenu.Item>
              <DropdownMenu.Item onSelect={() => void navigate({ to: '/settings' })}>
                Settings
              </DropdownMenu.Item>
            </>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
