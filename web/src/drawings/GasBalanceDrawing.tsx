import type { GasBalanceRow, OneGas } from '../api/types';

const INK = { co2: 'var(--co2)', oxygen: 'var(--o2)' } as const;

export const ROW_NAMES: Record<GasBalanceRow['kind'], string> = {
  SURFACE: 'surface',
  FALL: 'falling water',
  STONE: 'air stone',
  SKIMMER: 'skimmer',
  REEF: 'reef respiration',
  LIGHT: 'photosynthesis',
  REFUGIUM: 'refugium',
  FISH: 'fish respiration',
  CALCIFICATION: 'corals growing',
  DOSES: 'doses',
  REACTOR: 'calcium reactor',
};

export const rowName = (row: GasBalanceRow) =>
  row.name && row.name !== ROW_NAMES[row.kind]
    ? `${row.name} (${ROW_NAMES[row.kind]})`
    : ROW_NAMES[row.kind];

/** One gas’s balance: what the water gains to the right, what it loses to the left; each row opens its working. */
export function GasBalanceDrawing({
  gas,
  balance,
  over,
  chosen,
  choose,
}: {
  gas: 'co2' | 'oxygen';
  balance: OneGas;
  over: 'hour' | 'day';
  chosen: string | null;
  choose: (row: GasBalanceRow) => void;
}) {
  const amount = (row: GasBalanceRow) => (over === 'day' ? row.dayMmol : row.nowMmolPerH);
  const stored =
    over === 'day'
      ? balance.storedDayMmol
      : balance.rows.reduce((sum, row) => sum + row.nowMmolPerH.value, 0);
  const shown = balance.rows
    .filter((row) => Math.max(Math.abs(amount(row).low), Math.abs(amount(row).high)) > 5e-4)
    .sort((a, b) => amount(b).value - amount(a).value);
  const widest = Math.max(
    1e-9,
    Math.abs(stored),
    ...balance.rows.flatMap((row) => [Math.abs(amount(row).low), Math.abs(amount(row).high)]),
  );
  return (
    <div>
      <div className="grid grid-cols-[9.5rem_1fr_4.5rem] gap-2 border-b text-sm text-soft">
        <span />
        <span className="flex justify-between">
          <span>← out of the water</span>
          <span>into it →</span>
        </span>
        <span className="text-right">{over === 'day' ? 'mmol' : 'mmol/h'}</span>
      </div>
      <ul>
        {shown.map((row) => {
          const key = `${row.kind}-${row.name}`;
          return (
            <li key={key} className="border-b">
              <button
                type="button"
                aria-pressed={chosen === key}
                onClick={() => choose(row)}
                className="grid min-h-11 w-full grid-cols-[9.5rem_1fr_4.5rem] items-center gap-2 text-left hover:bg-dark/50 aria-pressed:bg-dark"
              >
                <span className="leading-tight">{rowName(row)}</span>
                <Bar {...amount(row)} widest={widest} ink={INK[gas]} id={`${gas}-${key}`} />
                <span className="text-right font-semibold">{inWords(amount(row).value)}</span>
              </button>
            </li>
          );
        })}
        <li className="grid min-h-11 grid-cols-[9.5rem_1fr_4.5rem] items-center gap-2 border-b-2 border-ink">
          <span>{stored >= 0 ? 'total: the water gains' : 'total: the water loses'}</span>
          <Bar
            value={-stored}
            low={-stored}
            high={-stored}
            widest={widest}
            ink="var(--soft)"
            id={`${gas}-stored`}
          />
          <span className="text-right font-semibold">{inWords(-stored)}</span>
        </li>
      </ul>
      <p className="flex justify-between pt-1 text-sm text-soft">
        <span>sum</span>
        <span>0</span>
      </p>
    </div>
  );
}

function Bar({
  value,
  low,
  high,
  widest,
  ink,
  id,
}: {
  value: number;
  low: number;
  high: number;
  widest: number;
  ink: string;
  id: string;
}) {
  const x = (v: number) => 50 + (48 * v) / widest;
  const far = Math.abs(high - low) > 0.02 * widest;
  return (
    <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="h-5 w-full" aria-hidden>
      <defs>
        <pattern id={id} width="1.2" height="10" patternUnits="userSpaceOnUse">
          <rect width="0.5" height="10" fill={ink} />
        </pattern>
      </defs>
      <line
        x1="50"
        x2="50"
        y1="0"
        y2="10"
        stroke="var(--hairline)"
        vectorEffect="non-scaling-stroke"
      />
      <rect
        x={Math.min(50, x(value))}
        width={Math.abs(x(value) - 50)}
        y="1.5"
        height="7"
        fill={ink}
        fillOpacity="0.85"
      />
      {far && (
        <rect
          x={x(Math.min(low, high))}
          width={x(Math.max(low, high)) - x(Math.min(low, high))}
          y="3"
          height="4"
          fill={`url(#${id})`}
          fillOpacity="0.7"
        />
      )}
    </svg>
  );
}

const inWords = (mmol: number) => {
  const digits = Math.abs(mmol) < 10 ? 1 : 0;
  const text = Math.abs(mmol).toFixed(digits);
  return Number(text) === 0 ? '0' : `${mmol < 0 ? '−' : '+'}${text}`;
};
