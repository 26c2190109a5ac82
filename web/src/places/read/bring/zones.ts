/** The clocks that a logger in such a home may keep. */
export function zones(home: string): { value: string; label: string }[] {
  const winter = standardOffset(home);
  return [
    { value: home, label: `local time with summer time (${home})` },
    ...(winter === '+00:00'
      ? []
      : [{ value: winter, label: `winter time all year (UTC${winter})` }]),
    { value: 'UTC', label: 'UTC' },
  ];
}

/** The smaller of the offsets in January and July: summer time is ahead on either side of the equator. */
function standardOffset(zone: string): string {
  const year = new Date().getUTCFullYear();
  const minutes = Math.min(
    ...[0, 6].map((month) => offsetMinutes(zone, new Date(Date.UTC(year, month, 15)))),
  );
  const two = (n: number) => String(n).padStart(2, '0');
  const size = Math.abs(minutes);
  return `${minutes < 0 ? '-' : '+'}${two(Math.floor(size / 60))}:${two(size % 60)}`;
}

function offsetMinutes(zone: string, at: Date): number {
  const name =
    new Intl.DateTimeFormat('en', { timeZone: zone, timeZoneName: 'longOffset' })
      .formatToParts(at)
      .find((p) => p.type === 'timeZoneName')?.value ?? '';
  const match = /GMT([+-])(\d\d):(\d\d)/.exec(name);
  return match ? (match[1] === '-' ? -1 : 1) * (Number(match[2]) * 60 + Number(match[3])) : 0;
}
