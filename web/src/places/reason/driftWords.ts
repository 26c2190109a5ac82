import type { DriftView, MeasuredCourse, Units } from '../../api/types';
import { ALKALINITY, alkalinityFromMeq } from '../../lib/units';
import { plainDay } from '../../lib/time';

/** A level of a course as it is shown. */
export const level = (of: MeasuredCourse['of'], value: number, unit: Units['alkalinity']) =>
  of === 'ALKALINITY' ? alkalinityFromMeq(value, unit) : value;

/** What its axis shows. */
export const axis = (of: MeasuredCourse['of'], unit: Units['alkalinity']) =>
  of === 'ALKALINITY'
    ? `alkalinity, ${ALKALINITY[unit].label}, each test`
    : 'room CO2 above outdoors, ppm, each week';

/** What rose or fell, from when to when, and what that means. */
export function driftSentence(
  of: MeasuredCourse['of'],
  { drift }: DriftView,
  unit: Units['alkalinity'],
): string {
  const fell = drift.ends < drift.begins;
  const when = `From about ${plainDay(drift.from)} to ${plainDay(drift.until)}`;
  if (of === 'ROOM_EXCESS') {
    const [a, b] = [drift.begins, drift.ends].map((ppm) => String(Math.round(ppm / 10) * 10));
    return `${when} room CO2 above outdoors went from ${a} to ${b} ppm: ${fell ? 'more fresh air, or fewer people' : 'less fresh air, or more people'}.`;
  }
  const { digits, label } = ALKALINITY[unit];
  const amount = (meq: number, more = 0) =>
    Math.abs(alkalinityFromMeq(meq, unit)).toFixed(digits + more);
  const ends = [drift.perDay.low, drift.perDay.high]
    .map((v) => (fell ? -v : v))
    .sort((a, b) => a - b)
    .map((v) => amount(Math.max(0, v), 1));
  return `${when} alkalinity ${fell ? 'fell' : 'rose'} by ${amount(drift.ends - drift.begins)} ${label}: ${ends.join(' to ')} ${label} a day ${fell ? 'less dosed than used' : 'more dosed than used'}.`;
}

/** What is noted of that time, or that nothing is. */
export const notedOf = ({ noted }: DriftView) =>
  noted.length === 0
    ? 'Nothing is logged around its start.'
    : `Logged around then: ${noted.map((title) => `“${title}”`).join(', ')}.`;

/** A title under which it can be noted; the keeper may know better. */
export const driftTitle = (of: MeasuredCourse['of'], { drift }: DriftView) => {
  const fell = drift.ends < drift.begins;
  return of === 'ALKALINITY'
    ? `${fell ? 'less' : 'more'} alkalinity dosed than used`
    : `room ${fell ? 'airier' : 'fuller or tighter'}`;
};
