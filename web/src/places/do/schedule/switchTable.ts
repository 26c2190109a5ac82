import type { LanePiece, ScheduleDay } from '../../../api/types';
import { csv } from '../../../lib/csv';
import { localInput } from '../../../lib/time';
import { mayDose, stateWords, whyWords } from './words';

/** What was planned for it, had the power stayed on. */
function planned(piece: LanePiece): LanePiece {
  const [winner, ...losers] = [piece.winner, ...piece.losers].filter((c) => c.strength !== 'POWER');
  return winner ? { ...piece, winner, losers } : piece;
}

/** Every switch and every dose that is planned for a day, in the home's time: a table by RFC 4180. */
export function switchTable(day: ScheduleDay, zone: string): string {
  const time = (instant: string) => localInput(new Date(instant), zone).replace('T', ' ');
  const switches = day.lanes.flatMap((asItWent) => {
    const lane = { ...asItWent, pieces: asItWent.pieces.map(planned) };
    const rows = lane.pieces.map((piece) => [
      time(piece.from),
      lane.name,
      stateWords(piece.winner.state, lane.kind),
      whyWords(piece),
    ]);
    // Where an outage cut a piece in two, its second half says nothing new.
    const news = rows.filter((row, i) => !same(row, rows[i - 1]));
    const doses = lane.doses
      .filter((dose) => mayDose(lane, dose))
      .map((dose) => [time(dose), lane.name, 'a dose', 'set in Dosing']);
    return [...news, ...doses];
  });
  return csv([
    ['time', 'device', 'state', 'why'],
    ...switches.sort((a, b) => (a[0] ?? '').localeCompare(b[0] ?? '')),
  ]);
}

const same = (row: string[], before?: string[]) =>
  before !== undefined && row.slice(1).join() === before.slice(1).join();
