import type { AbsenceView, Estimate } from '../../api/types';
import { plain, range, signed } from '../../lib/number';
import { dayAndTime } from '../../lib/time';

const DAY_H = 24;

type Absence = NonNullable<AbsenceView['ph']>;

/** Hours as people say them: whole ones, a half where there are few. */
export const hours = (h: number) => plain(h < 4 ? Math.round(h * 2) / 2 : Math.round(h), 1);

const about = (e: Estimate) =>
  hours(e.low) === hours(e.high) ? `${hours(e.value)} h` : `${hours(e.low)} to ${hours(e.high)} h`;

const long = (h: number) => (h < 2 * DAY_H ? `${hours(h)} h` : `${plain(h / DAY_H, 1)} days`);

/** When they left and for how long. */
export function absenceTitle(absence: AbsenceView, zone: string): string {
  const left = `Left ${dayAndTime(absence.left, zone)}`;
  if (!absence.cameBack) return `${left}, still away`;
  return `${left}, for ${long((Date.parse(absence.cameBack) - Date.parse(absence.left)) / 3_600_000)}`;
}

/** How far pH moved and how fast, there and back. */
export function phSentences(ph: Absence | undefined): string[] {
  if (!ph) return ['Too little pH was logged in the week before they left to say what was usual.'];
  const to = ph.cameTo;
  if (!to)
    return ['They were away for less than two days: where pH would have come to is not known.'];
  const size = `pH came to stand ${signed(to.mean, 2)} from what was usual, between ${signed(to.least, 2)} and ${signed(to.most, 2)} by the hour of the clock.`;
  return [
    size,
    ph.away
      ? pace('Half of that was there', ph.away)
      : 'How fast cannot be said: days differ among each other by too much beside it.',
    ...(ph.back ? [pace('Once they were back, half of it was gone', ph.back)] : []),
  ];
}

const pace = (half: string, { half: first, ninety }: NonNullable<Absence['away']>) =>
  `${half} after ${about(first)}${ninety ? `, nine tenths after ${about(ninety)}` : ', nine tenths not in that time'}.`;

/** How fast the room cleared. */
export function roomSentence({ room, clearing }: AbsenceView): string {
  if (room.length === 0) return 'Nobody measured the room’s CO2.';
  if (!clearing)
    return 'The room’s CO2 does not tell how fast it clears: it held little when they left, or did not fall evenly.';
  return `The room held ${Math.round(clearing.excessPpm / 10) * 10} ppm over outdoors; half was gone after ${about(clearing.halfH)}, nine tenths after ${about(clearing.ninetyH)}: ${range(clearing.airChangesPerH, 1)} air changes an hour.`;
}

/** Air changes an hour as they can be described: in hundredths. */
export const clearedAt = ({ clearing }: AbsenceView): number | undefined =>
  clearing && Math.round(clearing.airChangesPerH.value * 100) / 100;
