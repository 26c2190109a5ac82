import { getRouteApi } from '@tanstack/react-router';
import { useState } from 'react';
import { useLedger } from '../../api/twin';
import type { GasBalance, Ledger, LedgerHour, LedgerRow } from '../../api/types';
import { LedgerDrawing, rowName } from '../../drawings/LedgerDrawing';
import { clockTime } from '../../lib/time';
import { OneOf } from '../../parts/OneOf';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';

const route = getRouteApi('/signed-in/tank/$tankId/ledger');

const HOURS: readonly { value: LedgerHour; label: string }[] = [
  { value: 'LIGHTS_ON', label: 'before lights-on' },
  { value: 'LIGHTS_OFF', label: 'before lights-off' },
  { value: 'NOW', label: 'now' },
];
const OVERS = [
  { value: 'hour', label: 'that hour' },
  { value: 'day', label: 'the 24 hours before' },
] as const;

/** Reason → Ledger: what brings each gas in, and what carries it out. */
export function LedgerScreen() {
  const { tank } = useAtTank();
  const { hour = 'LIGHTS_ON', over = 'hour' } = route.useSearch();
  const navigate = route.useNavigate();
  const ledger = useLedger(tank.id, hour);
  if (!ledger.data) return <Waiting error={ledger.error} retry={() => void ledger.refetch()} />;
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <h1 className="text-xl font-bold">
          Gas balance
          <span className="font-normal text-soft">
            {' '}
            · an ordinary day of the twin, {clockTime(ledger.data.at, tank.zone)}
          </span>
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
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Gas gas="co2" name="CO2" balance={ledger.data.co2} over={over} />
        <Gas gas="oxygen" name="Oxygen" balance={ledger.data.oxygen} over={over} />
      </div>
      <Answers ledger={ledger.data} />
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
  balance: GasBalance;
  over: 'hour' | 'day';
}) {
  const [open, setOpen] = useState<string | null>(null);
  const chosen = balance.rows.find((row) => `${row.kind}-${row.name}` === open);
  return (
    <section aria-labelledby={`balance-${gas}`}>
      <h2 id={`balance-${gas}`} className="pb-1 text-lg font-bold">
        {name}
      </h2>
      <LedgerDrawing
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
            Hatching: what nine in ten tanks that could be behind the log leave open. Choose a row
            for its working.
          </p>
        )}
      </div>
    </section>
  );
}

const LIVING: Partial<Record<LedgerRow['kind'], string>> = {
  REEF: 'Respiration of rock, corals and bacteria × litres, doubled with ten degrees (Q10 of 2, common practice). Its rate is fitted to your log of pH, the fish taken off.',
  LIGHT:
    'Gross photosynthesis × litres × tanh(I/Ik) of the lamps (Jassby & Platt 1976), fitted to your log of pH.',
  REFUGIUM: 'What you said its algae take up, while their own lamp is lit.',
  FISH: 'ln of a 50 g fish’s mmol/h is 15.7 − 5020/T, with mass to the power 0.79 (Clarke & Johnston 1999, numbers from memory), 1.5 times at rest for moving about.',
  CALCIFICATION:
    'Half a mole of carbon for each equivalent of alkalinity that goes into lime; the use you said, rising with Ω − 1.',
  DOSES:
    'The carbon that comes with your alkalinity source: half a mole an equivalent with soda ash, one with bicarbonate, none with hydroxides.',
  REACTOR: 'Carbon of the effluent less that of the water it took in.',
};

function Working({ row, water, gas }: { row: LedgerRow; water: number; gas: 'co2' | 'oxygen' }) {
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
        {rowName(row)}: conductance × (pressure in its air − pressure in the water)
      </p>
      <p className="text-lg">
        {row.conductance.toFixed(gas === 'co2' ? 1 : 2)} mol/(h·atm) × ({atm(row.airUatm)} −{' '}
        {atm(water)}) = <strong>{row.nowMmolPerH.value.toFixed(2)} mmol/h</strong>
      </p>
      {share !== undefined && (
        <p>
          {Math.round(share * 100)} % of what its air could carry at all:{' '}
          {share > 0.5
            ? 'more air would do more, better contact little.'
            : 'finer bubbles or longer contact would do more; the air is not the limit.'}
        </p>
      )}
      <p className="text-sm text-soft">
        {row.kind === 'SURFACE' &&
          'Transfer velocity by the surface’s motion (from memory), Schmidt numbers of Wanninkhof 2014, solubility of Weiss 1974 and Garcia & Gordon 1992.'}
        {row.kind === 'SKIMMER' &&
          'Co-current exchanger, effectiveness by transfer units (Kays & London); water flow and contact are assumed and corrected by the fit’s band.'}
        {row.kind === 'FALL' &&
          'Flow × solubility × share of the way to the air (0.15 unless you said otherwise).'}
      </p>
    </div>
  );
}

/** The two questions that keepers argue about, answered for this tank. */
function Answers({ ledger }: { ledger: Ledger }) {
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const skimmer = (balance: GasBalance) => balance.rows.find((row) => row.kind === 'SKIMMER');
  const limit = (row: LedgerRow | undefined) =>
    row?.conductance !== undefined && row.airLimit ? row.conductance / row.airLimit : undefined;
  const co2 = limit(skimmer(ledger.co2));
  const oxygen = limit(skimmer(ledger.oxygen));
  return (
    <section aria-labelledby="answers" className="grid gap-6 border-t pt-4 md:grid-cols-2">
      <h2 id="answers" className="sr-only">
        Answers
      </h2>
      <div>
        <h3 className="font-bold">Bubbles or surface?</h3>
        <p>
          Here bubbles (skimmer and stones) make <strong>{percent(ledger.co2.bubbleShare)}</strong>{' '}
          of the exchange of CO2 and <strong>{percent(ledger.oxygen.bubbleShare)}</strong> of that
          of oxygen; the rest is surface and falling water.
        </p>
      </div>
      {co2 !== undefined && oxygen !== undefined && (
        <div>
          <h3 className="font-bold">Is air or contact the limit of the skimmer?</h3>
          <p>
            For CO2 its air is {percent(co2)} full when it leaves
            {co2 > 0.5 ? ': air is the limit' : ': contact is the limit'}. For oxygen it has given{' '}
            {percent(oxygen)} of what it could
            {oxygen > 0.5 ? ': air is the limit' : ': contact is the limit'}.
          </p>
        </div>
      )}
      <p className="text-sm text-soft md:col-span-2">
        {ledger.fitted
          ? `From a twin fitted to this tank’s log; the hatching goes as far as nine in ten tanks that could be behind it.`
          : 'No log to fit to yet: an ordinary mixed reef is assumed.'}{' '}
        Carbonate moved by calcification and doses counts as CO2 here: both are carbon in the water.
      </p>
    </section>
  );
}
