import type { Due, HouseRow, Readiness, Tank } from '../../api/types';
import { hoursDown } from '../guard/outageTime';

/** Something that waits for the keeper, with the screen that shows what to do. */
export interface Need {
  key: string;
  tank: Tank;
  what: string;
  why: string;
  /** Red is for danger to animals or people only. */
  weight: 'danger' | 'soon';
  due?: Due;
}

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine'];

/** The page's one sentence. */
export function headline(needs: readonly Need[]): string {
  const n = needs.length;
  if (n === 0) return 'Nothing needs you now.';
  const count = NUMBERS[n] ?? String(n);
  return `${count} ${n === 1 ? 'thing needs' : 'things need'} you today.`;
}

/** What needs the keeper, dangers first: lows below the action level, then what is due. */
export function needsOf(
  rows: readonly HouseRow[],
  tanks: readonly Tank[],
  due: readonly Due[],
): Need[] {
  const tankOf = (id: string) => tanks.find((t) => t.id === id);
  const lows = rows.flatMap((row): Need[] => {
    const tank = tankOf(row.tankId);
    if (!tank || !row.low || row.urgency !== 'ACT_NOW') return [];
    return [
      {
        key: `low-${row.tankId}`,
        tank,
        what: `${tank.description.name} fell to ${row.low.ph.toFixed(2)}`,
        why: `Below your action level of ${tank.description.band.actBelow.toFixed(2)}.`,
        weight: 'soon',
      },
    ];
  });
  const late = due.flatMap((d): Need[] => {
    const tank = tankOf(d.tankId);
    if (!tank || !d.late) return [];
    const spike = d.subject === 'SPIKE';
    return [
      {
        key: d.id,
        tank,
        what: d.what,
        why: spike ? 'Animals are in danger.' : '',
        weight: spike ? 'danger' : 'soon',
        due: d,
      },
    ];
  });
  const all = [...late.filter((n) => n.weight === 'danger'), ...lows, ...late];
  return all.filter((n, i) => all.findIndex((m) => m.key === n.key) === i);
}

/** A low, as a sentence in a row of many. */
export const LOW: Record<HouseRow['urgency'], string> = {
  ACT_NOW: 'Below your action level.',
  BELOW_GOAL: 'Below your goal.',
  NO_READING: 'No pH in the last 24 hours.',
  IN_GOAL: 'Within your goal.',
};

type Nights = Readiness['tanks'][number];

/** How long the animals last if the power fails tonight, with the kit, rounded down. */
export function withoutPower(nights: Nights, lookedAheadH: number): string {
  const h = nights.keptTonight.early;
  return h === undefined ? `over ${Math.floor(lookedAheadH)} h` : hoursDown(h);
}
