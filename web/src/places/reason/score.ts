import type { ForecastScore, Score } from '../../api/types';

/** How forecasts of one extreme did, in a sentence; nothing until a day has come. */
export function did(score: Score | undefined, extreme: 'trough' | 'peak'): string | null {
  if (!score) return null;
  const days = score.n === 1 ? `day-ahead ${extreme} was` : `${score.n} day-ahead ${extreme}s were`;
  const bias =
    score.n >= 5 && Math.abs(score.tooHigh) > 0.015 && Math.abs(score.tooHigh) > 0.6 * score.off
      ? `, mostly too ${score.tooHigh > 0 ? 'high' : 'low'}`
      : '';
  return `The last ${days} off by ${score.off.toFixed(2)}${bias}. ${score.inside} of ${score.n} were inside the range.`;
}

/** How many of the forecasts were made up for later. */
export const afterwards = (score: ForecastScore) => score.days.filter((d) => d.afterwards).length;
