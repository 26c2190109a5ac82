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

/** With its sign in front, the true minus included. */
export function signed(value: number, digits = 0): string {
  const text = Math.abs(value).toFixed(digits);
  return `${value < 0 ? '−' : '+'}${text}`;
}
