import type { NewCalibration, Probe, Units } from '../../../api/types';
import { readAs } from '../../../lib/measure';
import { readNumber } from '../../../lib/number';

/** Buffers as bottles name them: technical ones have their value on the bottle, standard ones have a table. */
export const BUFFERS = [
  { value: '4.00', label: '4.00' },
  { value: '7.00', label: '7.00' },
  { value: '10.00', label: '10.00' },
  { value: 'PHTHALATE', label: 'standard, phthalate (4.005)' },
  { value: 'PHOSPHATE', label: 'standard, phosphate (6.865)' },
  { value: 'BORAX', label: 'standard, borax (9.180)' },
  { value: 'CARBONATE', label: 'standard, carbonate (10.01)' },
] as const;

export type BufferName = (typeof BUFFERS)[number]['value'];

/** One buffer as it is typed. */
export interface Typed {
  buffer: BufferName;
  /** Off the bottle, at the temperature; of a technical buffer only. */
  ph: string;
  /** In the keeper's unit, and likewise what a meter is set to. */
  temperature: string;
  shown: string;
}

type Standard = Probe['buffers'][number]['buffer'];

/** A standard buffer's name; nothing for a technical one. */
export const standard = (name: BufferName): Standard | undefined =>
  name === '4.00' || name === '7.00' || name === '10.00' ? undefined : name;

/** A standard buffer's value at a temperature, to the degree; null where its table ends. */
export function valueAt(buffers: Probe['buffers'], name: BufferName, celsius?: number) {
  const table = buffers.find((b) => b.buffer === name);
  if (!table || celsius === undefined) return null;
  return table.ph[Math.round(celsius - table.fromC)] ?? null;
}

/** What the server is sent; null while something is missing or is no number. */
export function calibration(
  typed: readonly Typed[],
  how: Omit<NewCalibration, 'points' | 'setC'> & { millivolts: boolean; setTo: string | null },
  units: Units,
): NewCalibration | null {
  const { millivolts, setTo, ...rest } = how;
  const points = typed.map(({ buffer, ph, temperature, shown }) => {
    const bufferC = readAs(temperature, 'temperature', units);
    const value = readNumber(shown);
    const bufferPh = standard(buffer) ? undefined : readNumber(ph);
    if (bufferC === undefined || value === null || bufferPh === null) return null;
    return {
      buffer: standard(buffer),
      bufferPh,
      bufferC,
      ...(millivolts ? { millivolts: value } : { shownPh: value }),
    };
  });
  const setC = setTo === null ? undefined : readAs(setTo, 'temperature', units);
  if ((setTo !== null && setC === undefined) || points.some((p) => p === null)) return null;
  return { ...rest, points: points.flatMap((p) => p ?? []), setC };
}
