import { csv } from '../../../lib/csv';

/** A sum as a table of its numbers, by RFC 4180: what went in, then what came out. */
export function sumCsv(name: string, given: unknown, answer: unknown): string {
  const rows = [
    ['sum', 'part', 'field', 'value'],
    ...flat(given).map(([field, value]) => [name, 'given', field, value]),
    ...flat(answer).map(([field, value]) => [name, 'answer', field, value]),
  ];
  return csv(rows);
}

function flat(value: unknown, path = ''): [string, string][] {
  if (value === undefined || value === null) return [];
  if (typeof value !== 'object') return [[path, `${value as string | number | boolean}`]];
  return Object.entries(value).flatMap(([key, inner]) =>
    flat(inner, path === '' ? key : `${path}.${key}`),
  );
}
