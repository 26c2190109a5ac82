import type { TankClock } from '../../api/types';

type Listed = TankClock['steps'][number];

/** A step that is done in one go, for one tank or for several. */
export interface HouseStep {
  key: string;
  listed: Listed;
  /** Those for which it is still open, the most urgent first; all of them once it is done. */
  tanks: { tankId: string; name: string }[];
  every: boolean;
}

/**
 * One list for a house of many tanks: what reads the same for several is said once, in the order in which it is due, then
 * in the order of the tanks.
 */
export function houseSteps(tanks: TankClock[], list: 'steps' | 'after'): HouseStep[] {
  const merged = new Map<string, { of: { tank: TankClock; listed: Listed }[]; place: number }>();
  tanks.forEach((tank) =>
    tank[list].forEach((listed, place) => {
      const { id, what, how } = listed.step;
      const key = listed.kitId ? `${listed.kitId} ${tank.tankId}` : `${id}\n${what}\n${how}`;
      const known = merged.get(key) ?? { of: [], place };
      known.of.push({ tank, listed });
      merged.set(key, known);
    }),
  );
  return [...merged]
    .map(([key, { of, place }]) => {
      const open = of.filter(({ listed }) => listed.state === 'OPEN');
      const left = open.length > 0 ? open : of;
      const listed = left.reduce((a, b) => (b.listed.step.atH < a.listed.step.atH ? b : a)).listed;
      const step: HouseStep = {
        key,
        listed,
        tanks: left.map(({ tank }) => ({ tankId: tank.tankId, name: tank.name })),
        every: left.length === tanks.length,
      };
      return { step, place };
    })
    .sort((a, b) => a.step.listed.step.atH - b.step.listed.step.atH || a.place - b.place)
    .map(({ step }) => step);
}

const NAMED = 3;

/** Which tanks a step is for. */
export function forWhich({ tanks, every }: HouseStep): string {
  if (every) return 'every tank';
  const named = tanks.slice(0, NAMED).map((t) => t.name);
  const more = tanks.length - named.length;
  return more > 0 ? `${named.join(', ')} and ${more} more` : named.join(', ');
}
