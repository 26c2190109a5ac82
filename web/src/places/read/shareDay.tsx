import type { Day, Tank, Units } from '../../api/types';
import { DAY_RIBBON_HEIGHT, DayRibbon } from '../../drawings/DayRibbon';
import { INNER_WIDTH, type Part } from '../../drawings/SharedDrawing';
import { EVENT_NAMES } from '../../frame/eventKinds';
import type { Shared } from '../../lib/sharedPage';
import { clockTime, plainDay } from '../../lib/time';
import { METHOD } from '../../lib/units';
import { tankInWords } from '../reason/shareEffects';

/** A day in which nothing is left that its keeper wrote. */
export function sharedDay(day: Day, { description, zone }: Tank, units: Units) {
  const plain = {
    ...day,
    events: day.events.map((e) => ({ ...e, title: EVENT_NAMES[e.kind] })),
  };
  const extreme = (point: NonNullable<Day['trough']>, name: string) =>
    `${name} ${point.ph.toFixed(2)} at ${clockTime(point.at, zone)} (${METHOD[point.method]})`;
  const shared: Shared = {
    heading: `A day’s pH · ${plainDay(day.day)}`,
    lead:
      day.trough && day.peak
        ? `${extreme(day.trough, day.surrounded ? 'Daily low' : 'Lowest reading')}, ${extreme(day.peak, day.surrounded ? 'daily high' : 'highest')}.`
        : 'No pH on this day.',
    lines: day.usual.length > 0 ? ['Shaded: the last 14 days.'] : [],
    tank: tankInWords(description, units),
  };
  const parts: Part[] = [
    {
      name: 'day',
      height: DAY_RIBBON_HEIGHT,
      draw: <DayRibbon day={plain} band={description.band} zone={zone} width={INNER_WIDTH} />,
    },
  ];
  return { shared, parts };
}
