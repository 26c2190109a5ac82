import type { GasBalance, GasBalanceRow, OneGas } from '../../api/types';
import { rowName } from '../../drawings/GasBalanceDrawing';

export type Over = 'hour' | 'day';

const amount = (row: GasBalanceRow, over: Over) =>
  (over === 'day' ? row.dayMmol : row.nowMmolPerH).value;

/** The row that brings most of a gas, or carries most of it away, with its share of all that does so. */
function most(balance: OneGas, over: Over, sign: 1 | -1) {
  const that = balance.rows.filter((row) => sign * amount(row, over) > 0);
  const all = that.reduce((sum, row) => sum + amount(row, over), 0);
  const [first] = [...that].sort((a, b) => sign * (amount(b, over) - amount(a, over)));
  return first && { name: rowName(first), share: amount(first, over) / all };
}

const percent = (share: number) => `${String(Math.round(share * 100))} %`;

/** Where most CO2 comes from and goes, and what brings most oxygen. */
export function balanceSentence({ co2, oxygen }: GasBalance, over: Over): string {
  const source = most(co2, over, 1);
  const sink = most(co2, over, -1);
  const supply = most(oxygen, over, 1);
  return [
    source && `Largest source of CO2: ${source.name}, ${percent(source.share)}.`,
    sink && `Largest way out: ${sink.name}, ${percent(sink.share)}.`,
    supply && `Largest source of oxygen: ${supply.name}, ${percent(supply.share)}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** What holds a skimmer back for one gas, by the share of what its air could carry. */
export const limitedBy = (share: number) =>
  share > 0.5 ? 'more air would help' : 'finer bubbles or longer contact would help';
