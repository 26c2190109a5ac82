/** A number as people type it: with point or comma, with spaces around. Null when it is none. */
export function readNumber(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  if (!/^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  return Number(plain);
}

/** A number with up to `digits` decimals and no trailing zeros. */
export function plain(value: number, digits = 3): string {
  return String(Number(value.toFixed(digits)));
}

/** Estimates are shown to the ten: a finer figure would claim more than is known. */
export function toTen(value: number): string {
  return String(Math.round(value / 10) * 10);
}

/** So many decimals that no two ticks of a scale read the same; at least so many. */
export function tickDigits(ticks: readonly number[], least = 1): number {
  const fits = (digits: number) =>
    ticks.every((t) => Math.abs(t - Number(t.toFixed(digits))) < 10 ** -(digits + 4));
  let digits = least;
  while (digits < 4 && !fits(digits)) digits++;
  return digits;
}

/** With its sign in front, the true minus included; what rounds to nothing has none. */
export function signed(value: number, digits = 0): string {
  const text = Math.abs(value).toFixed(digits);
  return Number(text) === 0 ? text : `${value < 0 ? '−' : '+'}${text}`;
}

/** A value and the band that its inputs' errors leave open. */
interface Band {
  value: number;
  low: number;
  high: number;
}

/** With a true minus where it is less than nothing. */
export const minus = (value: number, digits: number) =>
  value < 0 ? signed(value, digits) : value.toFixed(digits);

/** Two ends as one writes them: a dash, unless a sign stands beside it; one end where both read the same. */
export function between(low: string, high: string): string {
  if (low === high) return low;
  return /[−+]/.test(low + high) ? `${low} to ${high}` : `${low}–${high}`;
}

/** From low to high; the value alone where both would read the same. */
export const range = (e: Band, digits: number) =>
  e.high - e.low < 0.5 * 10 ** -digits
    ? e.value.toFixed(digits)
    : between(minus(e.low, digits), minus(e.high, digits));

/** A change of pH, from low to high. */
export const signedRange = (e: Band) =>
  e.high - e.low < 0.005 ? signed(e.value, 2) : between(signed(e.low, 2), signed(e.high, 2));
