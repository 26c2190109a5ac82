import type { SurfaceMotion } from '../../api/types';

const LINES: Record<SurfaceMotion, string[]> = {
  STILL: ['M4 22H92'],
  RIPPLED: ['M4 22q5.5 -3 11 0t11 0t11 0t11 0t11 0t11 0t11 0t11 0'],
  ROLLING: ['M4 22q11 -12 22 0t22 0t22 0t22 0', 'M12 31q11 -8 22 0t22 0t22 0'],
  BROKEN: [
    'M4 22l6 -9l5 8l7 -13l5 13l8 -9l5 10l8 -15l6 14l7 -8l5 9l8 -12l6 12l8 -6',
    'M20 6v.1M38 4v.1M58 3v.1M74 7v.1',
  ],
};

/** What the word for a surface's motion looks like. */
export function SurfaceSketch({ motion }: { motion: SurfaceMotion }) {
  return (
    <svg viewBox="0 0 96 38" className="w-24 self-center text-o2" aria-hidden>
      {LINES[motion].map((d) => (
        <path
          key={d}
          d={d}
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
          strokeLinecap="round"
        />
      ))}
    </svg>
  );
}
