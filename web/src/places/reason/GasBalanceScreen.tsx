import { getRouteApi } from '@tanstack/react-router';
import { useState } from 'react';
import { useGasBalance } from '../../api/twin';
import type { GasBalance, GasBalanceHour, GasBalanceRow, OneGas } from '../../api/types';
import { GasBalanceDrawing, rowName } from '../../drawings/GasBalanceDrawing';
import { clockTime } from '../../lib/time';
import { HowWorkedOut } from '../../parts/HowWorkedOut';
import { OneOf } from '../../parts/OneOf';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { balanceSentence, limitedBy } from './gasWords';

const route = getRouteApi('/signed-in/tank/$tankId/gas-balance');

const HOURS: readonly { value: GasBalanceHour; label: string }[] = [
  { value: 'LIGHTS_ON', label: 'before lights-on' },
  { value: 'LIGHTS_OFF', label: 'before lights-off' },
  { value: 'NOW', label: 'now' },
];
const OVERS = [
  { value: 'hour', label: 'that hour' },
  { value: 'day', label: 'the 24 hours before' },
] as const;

/** Reason → GasBalance: what brings each gas in, and what carries it out. */
export function GasBalanceScreen() {
  const { tank } = useAtTank();
  const { hour = 'LIGHTS_ON', over = 'hour' } = route.useSearch();
  const navigate = route.useNavigate();
  const gasBalance = useGasBalance(tank.id, hour);
  if (!gasBalance.data)
    return <Waiting error={gasBalance.error} retry={() => void gasBalance.refetch()} />;
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <h1 className="text-soft">
          Gas balance
          <span> · an ordinary day, {clockTime(gasBalance.data.at, tank.zone)}</span>
        </h1>
        <div className="flex flex-wrap gap-x-8 gap-y-2">
          <OneOf
            legend="at"
            value={hour}
            options={HOURS}
            onChange={(next) => void navigate({ search: { hour: next, over }, replace: true })}
          />
          <OneOf
            legend="over"
            value={over}
            options={OVERS}
            onChange={(next) => void navigate({ search: { hour, over: next }, replace: true })}
          />
        </div>
      </div>
      <p aria-live="polite" className="max-w-4xl text-xl leading-snug font-semibold md:text-2xl">
        {balanceSentence(gasBalance.data, over)}
      </p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Gas gas="co2" name="CO2" balance={gasBalance.data.co2} over={over} />
        <Gas gas="oxygen" name="Oxygen" balance={gasBalance.data.oxygen} over={over} />
      </div>
      <Answers gasBalance={gasBalance.data} />
    </div>
  );
}

function Gas({
  gas,
  name,
  balance,
  over,
}: {
  gas: 'co2' | 'oxygen';
  name: string;
  balance: OneGas;
  over: 'hour' | 'day';
}) {
  const [open, setOpen] = useState<string | null>(null);
  const chosen = balance.rows.find((row) => `${row.kind}-${row.name}` === open);
  return (
    <section aria-labelledby={`balance-${gas}`}>
      <h2 id={`balance-${gas}`} className="pb-1 text-lg font-bold">
        {name}
      </h2>
      <GasBalanceDrawing
        gas={gas}
        balance={balance}
        over={over}
        chosen={open}
        choose={(row) => {
          const key = `${row.kind}-${row.name}`;
          setOpen(open === key ? null : key);
        }}
      />
      <div className="min-h-24 pt-2" aria-live="polite">
        {chosen ? (
          <Working row={chosen} water={balance.waterUatm} gas={gas} />
        ) : (
          <p className="text-sm text-soft">
            Hatched: range in 9 of 10 models that fit your log. Select a row for details.
          </p>
        )}
      </div>
    </section>
  );
}

const LIVING: Partial<Record<GasBalanceRow['kind'], string>> = {
  REEF: 'Respiration of rock, corals and bacteria × litres, doubling with ten degrees (Q10 of 2, common practice). The rate is fitted to your pH log, without the fish.',
  LIGHT:
    'Gross photosynthesis × litres × tanh(I/Ik) of the lamps (Jassby & Platt 1976), fitted to your log of pH.',
  REFUGIUM: 'Uptake of the algae as you described, while their lamp is lit.',
  FISH: 'ln of a 50 g fish’s mmol/h is 15.7 − 5020/T, with mass to the power 0.79 (Clarke & Johnston 1999, numbers from memory), times 1.5 for activity.',
  CALCIFICATION:
    'Half a mole of carbon for each equivalent of alkalinity used in calcification. Your described use, rising with Ω − 1.',
  DOSES:
    'Carbon in your alkalinity source: half a mole per equivalent with soda ash, one with bicarbonate, none with hydroxides.',
  REACTOR: 'Carbon of the effluent minus that of the water entering the reactor.',
};

function Working({
  row,
  water,
  gas,
}: {
  row: GasBalanceRow;
  water: number;
  gas: 'co2' | 'oxygen';
}) {
  const living = LIVING[row.kind];
  if (row.conductance === undefined || row.airUatm === undefined) {
    return <p>{living}</p>;
  }
  const share = row.airLimit === undefined ? undefined : row.conductance / row.airLimit;
  const digits = gas === 'co2' ? 0 : -3;
  const atm = (u: number) =>
    digits === 0 ? `${u.toFixed(0)} µatm` : `${(u / 1e6).toFixed(4)} atm`;
  return (
    <div className="grid gap-1">
      <p className="text-sm text-soft">
        {rowName(row)}: conductance × (pressure in the air − pressure in the water)
      </p>
      <p className="text-lg">
        {row.conductance.toFixed(gas === 'co2' ? 1 : 2)} mol/(h·atm) × ({atm(row.airUatm)} −{' '}
        {atm(water)}) = <strong>{row.nowMmolPerH.value.toFixed(2)} mmol/h</strong>
      </p>
      {share !== undefined && (
        <p>
          {Math.round(share * 100)} % of what this air could carry: {limitedBy(share)}.
        </p>
      )}
      <p className="text-sm text-soft">
        {row.kind === 'SURFACE' &&
          'Transfer velocity by the surface’s motion (from memory), Schmidt numbers of Wanninkhof 2014, solubility of Weiss 1974 and Garcia & Gordon 1992.'}
        {row.kind === 'SKIMMER' &&
          'Co-current exchanger, effectiveness by transfer units (Kays & London). Water flow and contact are assumed and corrected by the fit.'}
        {row.kind === 'FALL' && 'Flow × solubility × efficiency (0.15 unless described).'}
      </p>
    </div>
  );
}

/** The two questions that keepers argue about, answered for this tank. */
function Answers({ gasBalance }: { gasBalance: GasBalance }) {
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const skimmer = (balance: OneGas) => balance.rows.find((row) => row.kind === 'SKIMMER');
  const limit = (row: GasBalanceRow | undefined) =>
    row?.conductance !== undefined && row.airLimit ? row.conductance / row.airLimit : undefined;
  const co2 = limit(skimmer(gasBalance.co2));
  const oxygen = limit(skimmer(gasBalance.oxygen));
  return (
    <section aria-labelledby="answers" className="grid gap-6 border-t pt-4 md:grid-cols-2">
      <h2 id="answers" className="sr-only">
        Answers
      </h2>
      <div>
        <h3 className="font-bold">Bubbles or surface?</h3>
        <p>
          Bubbles (skimmer and stones) do <strong>{percent(gasBalance.co2.bubbleShare)}</strong> of
          the exchange of CO2 and <strong>{percent(gasBalance.oxygen.bubbleShare)}</strong> of that
          of oxygen; the rest is surface and falling water.
        </p>
      </div>
      {co2 !== undefined && oxygen !== undefined && (
        <div>
          <h3 className="font-bold">Does the skimmer need more air or longer contact?</h3>
          <p>
            Its air leaves {percent(co2)} full of CO2: {limitedBy(co2)}. It gives {percent(oxygen)}{' '}
            of the oxygen it could: {limitedBy(oxygen)}.
          </p>
        </div>
      )}
      <div className="md:col-span-2">
        {!gasBalance.fitted && <p>No log to fit yet: we assume an ordinary mixed reef.</p>}
        <HowWorkedOut>
          {gasBalance.fitted && 'From the model fitted to your log. '}Carbonate from calcification
          and dosing counts as CO2 here: both are carbon in the water.
        </HowWorkedOut>
      </div>
    </section>
  );
}
