import type { Method } from '../api/types';

export type MarkKind = 'measured' | 'entered' | 'estimated';

export const markOf = (method: Method | undefined): MarkKind =>
  method === undefined ? 'estimated' : method === 'ESTIMATE' ? 'entered' : 'measured';

/** Measured: solid dot. Entered by hand: triangle. Estimated: ring. As an SVG group, centred on (x, y). */
export function MarkShape({
  kind,
  x,
  y,
  r = 5,
}: {
  kind: MarkKind;
  x: number;
  y: number;
  r?: number;
}) {
  if (kind === 'measured') return <circle cx={x} cy={y} r={r} fill="currentColor" />;
  if (kind === 'entered')
    return (
      <path
        d={`M${x},${y - r} L${x + r},${y + r * 0.8} L${x - r},${y + r * 0.8} Z`}
        fill="currentColor"
      />
    );
  return <circle cx={x} cy={y} r={r} fill="var(--paper)" stroke="currentColor" strokeWidth={1.8} />;
}

const WORDS: Record<MarkKind, string> = {
  measured: 'measured',
  entered: 'entered by hand',
  estimated: 'assumed or estimated',
};

/** The same in running text. */
export function Mark({ kind }: { kind: MarkKind }) {
  return (
    <svg
      viewBox="0 0 14 14"
      className="inline-block size-3.5 shrink-0"
      role="img"
      aria-label={WORDS[kind]}
    >
      <MarkShape kind={kind} x={7} y={7} />
    </svg>
  );
}
