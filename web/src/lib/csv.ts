/** Rows as a table by RFC 4180. */
export const csv = (rows: readonly (readonly string[])[]): string =>
  rows.map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';

/**
 * Quoted where commas or quotes would break it. What a spreadsheet would take for a formula is led by an apostrophe, for
 * names are typed by people.
 */
function cell(text: string): string {
  const plain = /^[=+@\t]|^-(?!\d)/.test(text) ? `'${text}` : text;
  return /[",\r\n]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain;
}
