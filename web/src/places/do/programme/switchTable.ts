import type { ProgrammeDay } from '../../../api/types';
import { csv } from '../../../lib/csv';
import { localInput } from '../../../lib/time';
import { mayDose, stateWords, whyWords } from './words';

/** Every switch of a day, and every dose that may be made, in the home's time: a table by RFC 4180. */
export function switchTable(day: ProgrammeDay, zone: string): string {
  const time = (instant: string) => localInput(new Date(instant), zone).replace('T', ' ');
  const switches = day.lanes.flatMap((lane) => [
    ...lane.pieces.map((piece) => [
      time(piece.from),
      lane.name,
      stateWords(piece.winner.state, lane.kind),
      whyWords(piece),
    ]),
    ...lane.doses
      .filter((dose) => mayDose(lane, dose))
      .map((dose) => [time(dose), lane.name, 'a dose', 'by its line in Doses']),
  ]);
  return csv([
    ['time', 'lane', 'does', 'why'],
    ...switches.sort((a, b) => (a[0] ?? '').localeCompare(b[0] ?? '')),
  ]);
}
