import { getRouteApi, useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { useSaveUnits, useSession, useSignOut } from '../../api/account';
import { useHomes } from '../../api/homes';
import { queryClient } from '../../api/query';
import type { Units } from '../../api/types';
import { Frame } from '../../frame/Frame';
import { useHelper } from '../../frame/useHelper';
import { useLastTank } from '../../frame/lastTank';
import { toggleTheme } from '../../frame/theme';
import { ALKALINITY, RAW_UNIT } from '../../lib/units';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Tabbed } from '../../parts/Tabbed';
import { Helpers } from './Helpers';
import { forgetOutages } from '../guard/outageLog';
import { HomeEditor } from './HomeEditor';
import { Password } from './Password';
import { RemovedList } from './RemovedList';
import { Tokens } from './Tokens';

const route = getRouteApi('/signed-in/settings');

/** Units, home and rooms, helpers, tokens, leaving. */
export function Settings() {
  const session = useSession().data;
  const units = session?.units;
  const helper = useHelper();
  const homes = useHomes().data ?? [];
  const tank = useLastTank();
  const signOut = useSignOut();
  const navigate = useNavigate();
  const { part } = route.useSearch();
  const [now] = useState(() => new Date());
  return (
    <Frame tank={tank}>
      <div className="grid max-w-5xl gap-5">
        <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
          <h1 className="text-2xl font-bold">
            Settings
            <span className="text-base font-normal text-soft">
              {' '}
              · signed in as {session?.keeper}
            </span>
          </h1>
          <div className="flex flex-wrap gap-3">
            <Button onClick={toggleTheme}>Dark theme on or off</Button>
            <Button
              onClick={() =>
                signOut.mutate(undefined, {
                  onSuccess: () => {
                    queryClient.clear();
                    forgetOutages();
                    void navigate({ to: '/welcome' });
                  },
                })
              }
            >
              Sign out
            </Button>
          </div>
        </div>
        {helper ? (
          <>
            <p>
              You are a helper at {homes.map((home) => home.description.name).join(', ')}. You see
              its tanks, the outage and what is due, and can log readings and steps. After signing
              out, your link lets you in again.
            </p>
            <OnAPhone />
          </>
        ) : (
          units && (
            <Tabbed
              label="Part of the settings"
              open={part ?? 'units'}
              onOpen={(next) => void navigate({ to: '/settings', search: { part: next } })}
              parts={[
                {
                  value: 'units',
                  label: 'Units',
                  content: (
                    <div className="grid gap-8">
                      <UnitChoices units={units} />
                      <OnAPhone />
                    </div>
                  ),
                },
                {
                  value: 'homes',
                  label: 'Homes and rooms',
                  content: (
                    <div className="grid gap-10">
                      {homes.map((home) => (
                        <HomeEditor key={`${home.id} ${units.volume}`} home={home} units={units} />
                      ))}
                      <RemovedList now={now} />
                    </div>
                  ),
                },
                {
                  value: 'helpers',
                  label: 'Helpers',
                  content: <Helpers homes={homes} now={now} />,
                },
                {
                  value: 'access',
                  label: !session.demo ? 'Password and tokens' : 'Tokens',
                  content: (
                    <div className="grid gap-10">
                      {!session.demo && <Password />}
                      <Tokens homes={homes} now={now} />
                    </div>
                  ),
                },
              ]}
            />
          )
        )}
      </div>
    </Frame>
  );
}

function OnAPhone() {
  return (
    <p className="text-soft">
      On a phone: open this page over HTTPS and choose “Add to home screen” in the browser’s menu.
    </p>
  );
}

function UnitChoices({ units }: { units: Units }) {
  const save = useSaveUnits();
  const set = (change: Partial<Units>) => save.mutate({ ...units, ...change });
  return (
    <fieldset className="grid gap-4 md:grid-cols-5">
      <legend className="sr-only">Units</legend>
      <Choice
        label="Alkalinity"
        value={units.alkalinity}
        onChange={(e) => set({ alkalinity: e.target.value as Units['alkalinity'] })}
        options={(['DKH', 'MEQ_PER_L', 'PPM_CACO3'] as const).map((u) => ({
          value: u,
          label: ALKALINITY[u].label,
        }))}
      />
      <Choice
        label="Temperature"
        value={units.temperature}
        onChange={(e) => set({ temperature: e.target.value as Units['temperature'] })}
        options={(['CELSIUS', 'FAHRENHEIT'] as const).map((u) => ({
          value: u,
          label: RAW_UNIT[u].label,
        }))}
      />
      <Choice
        label="Salinity"
        value={units.salinity}
        onChange={(e) => set({ salinity: e.target.value as Units['salinity'] })}
        options={(['PSU', 'SG_25', 'SG_20', 'MS_PER_CM'] as const).map((u) => ({
          value: u,
          label: RAW_UNIT[u].label,
        }))}
      />
      <Choice
        label="Volume, length, weight"
        value={units.volume}
        onChange={(e) => set({ volume: e.target.value as Units['volume'] })}
        options={(['LITRE', 'US_GALLON'] as const).map((u) => ({
          value: u,
          label: u === 'LITRE' ? 'L, m, kg' : 'US gal, ft, in, lb',
        }))}
      />
      <Choice
        label="Time of day"
        value={units.clock ?? 'HOURS_24'}
        onChange={(e) => set({ clock: e.target.value as Units['clock'] })}
        options={[
          { value: 'HOURS_24', label: '20:45' },
          { value: 'HOURS_12', label: '8:45 pm' },
        ]}
      />
    </fieldset>
  );
}
