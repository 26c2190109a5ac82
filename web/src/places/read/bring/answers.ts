import type { Channel, ImportPlan, Method, Offer, RawUnit, TimeForm } from '../../../api/types';
import { EVERYTHING, type Measurable } from '../quantities';

/** What the keeper says a channel is; null where they have not said yet. */
export interface Answer {
  /** A measurable's key, or 'nothing' to leave the channel out. */
  what: string | null;
  unit: RawUnit | null;
  method: Method;
}

export interface Answers {
  channels: Record<string, Answer>;
  zone: string | null;
  timeForm: TimeForm | null;
}

export const measurable = (key: string | null): Measurable | undefined =>
  EVERYTHING.find((m) => m.key === key);

/** The quantity's units that the channel's numbers allow; all of them when the keeper sees it otherwise. */
export function unitsOf(channel: Channel, m: Measurable): readonly RawUnit[] {
  const allowed = m.units.filter((u) => channel.guess.units.includes(u));
  return allowed.length > 0 ? allowed : m.units;
}

/** What is proposed where a column's numbers allow several units, and why. */
const PROPOSED: Partial<Record<RawUnit, string>> = {
  PH_NBS:
    'Suggested: meters, controllers and kits use the NBS scale. Only a laboratory reports the total scale.',
};

/** The only unit there is, or the one that is proposed. */
const likely = (units: readonly RawUnit[]): RawUnit | null =>
  (units.length === 1 ? units[0] : units.find((u) => PROPOSED[u])) ?? null;

/** Why a unit stands there that nobody chose; undefined when the file itself says it. */
export const whyProposed = (units: readonly RawUnit[], unit: RawUnit | null): string | undefined =>
  unit !== null && units.length > 1 ? PROPOSED[unit] : undefined;

/** What the file leaves no doubt about is answered, and a pH scale is proposed; the rest is not guessed at. */
export function firstAnswers(offer: Offer): Answers {
  return {
    channels: Object.fromEntries(offer.channels.map((c) => [c.key, firstAnswer(c)])),
    zone: offer.zoneStated ? offer.zone : null,
    timeForm: offer.timeForms.length > 1 ? null : (offer.timeForms[0] ?? null),
  };
}

function firstAnswer(channel: Channel): Answer {
  const { guess } = channel;
  if (!guess.quantity) return { what: 'nothing', unit: null, method: guess.method };
  const fitting = EVERYTHING.filter(
    (m) => guess.places.includes(m.place) && m.units.some((u) => guess.units.includes(u)),
  );
  const only = fitting.length === 1 ? fitting[0] : undefined;
  return {
    what: only?.key ?? null,
    unit: likely(guess.units),
    method: guess.method,
  };
}

/** Another answer to what a channel is: the unit is asked again unless only one is left. */
export function chosen(channel: Channel, answer: Answer, what: string): Answer {
  const m = measurable(what);
  if (!m) return { ...answer, what, unit: null };
  const units = unitsOf(channel, m);
  const unit = answer.unit && units.includes(answer.unit) ? answer.unit : null;
  return {
    what,
    unit: unit ?? likely(units),
    method: m.methods.includes(answer.method) ? answer.method : (m.methods[0] ?? 'METER'),
  };
}

/** How many questions are still open. */
export function open(offer: Offer, answers: Answers): number {
  const channels = Object.values(answers.channels).filter(
    (a) => a.what === null || (a.what !== 'nothing' && a.unit === null),
  ).length;
  const times = offer.view.format === 'CSV' && answers.timeForm === null ? 1 : 0;
  return channels + times + (answers.zone === null ? 1 : 0);
}

/** The plan of what is answered so far; null while nothing can be read yet. */
export function plan(offer: Offer, answers: Answers): ImportPlan | null {
  const channels = offer.channels.flatMap((channel) => {
    const answer = answers.channels[channel.key];
    const m = measurable(answer?.what ?? null);
    return m && answer?.unit
      ? [{ key: channel.key, unit: answer.unit, place: m.place, method: answer.method }]
      : [];
  });
  const csv = offer.view.format === 'CSV';
  if (channels.length === 0 || (csv && (!offer.layout || !answers.timeForm))) return null;
  return {
    channels,
    zone: answers.zone ?? offer.zone,
    layout:
      offer.layout && answers.timeForm
        ? { ...offer.layout, timeForm: answers.timeForm }
        : undefined,
  };
}
