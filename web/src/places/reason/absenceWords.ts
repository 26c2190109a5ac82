import type { AbsenceView, Estimate } from '../../api/types';
import { between, plain, range, signed } from '../../lib/number';
import { dayAndTime } from '../../lib/time';

const DAY_H = 24;

type Absence = NonNullable<AbsenceView['ph']>;

/** Hours as people say them: whole ones, a half where there are few. */
export const hours = (h: number) => plain(h < 4 ? Math.round(h * 2) / 2 : Math.round(h), 1);

const about = (e: Estimate) => `${between(hours(e.low), hours(e.high))} h`;

const long = (h: number) => (h < 2 * DAY_H ? `${hours(h)} h` : `${plain(h / DAY_H, 1)} days`);

/** When they left and for how long. */
export function absenceTitle(absence: AbsenceView, zone: string): string {
  const left = `Left ${dayAndTime(absence.left, zone)}`;
  if (!absence.cameBack) return `${left}, still away`;
  return `${left}, for ${long((Date.parse(absence.cameBack) - Date.parse(absence.left)) / 3_600_000)}`;
}

/** How far pH moved and how fast, there and back. */
export function phSentences(ph: Absence | undefined): string[] {
  if (!ph) return ['Not enough pH in the week before they left to know what was usual.'];
  const to = ph.cameTo;
  if (!to)
    return [
      'They were away for less than two days. That is too short to see where pH would settle.',
    ];
  const size = `pH settled ${signed(to.mean, 2)} from usual, between ${signed(to.least, 2)} and ${signed(to.most, 2)} depending on the hour.`;
  return [
    size,
    ph.away
      ? pace('Half of that was reached', ph.away)
      : 'We can’t tell how fast: your days differ too much.',
    ...(ph.back ? [pace('After they returned, half was gone', ph.back)] : []),
  ];
}

const pace = (half: string, { half: first, ninety }: NonNullable<Absence['away']>) =>
  `${half} after ${about(first)}${ninety ? `, nine tenths after ${about(ninety)}` : ', nine tenths not within that time'}.`;

/** How fast the room cleared. */
export function roomSentence({ room, clearing }: AbsenceView): string {
  if (room.length === 0) return 'Room CO2 was not measured.';
  if (!clearing)
    return 'We can’t tell how fast the room clears: CO2 was low when they left, or did not fall evenly.';
  return `The room was ${Math.round(clearing.excessPpm / 10) * 10} ppm above outdoors. Half was gone after ${about(clearing.halfH)}, nine tenths after ${about(clearing.ninetyH)}: ${range(clearing.airChangesPerH, 1)} air changes an hour.`;
}

/** Air changes an hour as they can be described: in hundredths. */
export const clearedAt = ({ clearing }: AbsenceView): number | undefined =>
  clearing && Math.round(clearing.airChangesPerH.value * 100) / 100;
