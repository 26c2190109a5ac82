import type { ReactNode, Ref } from 'react';
import { NAMELESS, type Shared } from '../lib/sharedPage';

const MARGIN = 28;
const FONT = "'Atkinson Hyperlegible Next', sans-serif";
/** An average letter, in heights of the type. */
const LETTER = 0.52;

/** One of the drawings that are shared, laid out for the width inside the margins. */
export interface Part {
  name: string;
  height: number;
  draw: ReactNode;
}

export const SHARED_WIDTH = 760;
export const INNER_WIDTH = SHARED_WIDTH - 2 * MARGIN;

/** Words and drawings as one picture that can stand anywhere. */
export function SharedDrawing({
  shared,
  parts,
  ref,
}: {
  shared: Shared;
  parts: readonly Part[];
  ref?: Ref<SVGSVGElement>;
}) {
  let y = MARGIN;
  const text = (words: string, size: number, fill: string, weight: number, after: number) => {
    const rows = wrapped(words, Math.floor(INNER_WIDTH / (size * LETTER)));
    const first = y + size;
    y += rows.length * size * 1.3 + after;
    return rows.map((row, i) => (
      <text
        key={`${words} ${i}`}
        x={MARGIN}
        y={first + i * size * 1.3}
        fontSize={size}
        fontWeight={weight}
        fill={fill}
      >
        {row}
      </text>
    ));
  };
  const part = (p: Part) => {
    const top = y;
    y += p.height + 18;
    return (
      <g key={p.name} data-part={p.name} transform={`translate(${MARGIN} ${top})`}>
        {p.draw}
      </g>
    );
  };
  const drawn = [
    text(shared.heading, 18, 'var(--ink)', 700, 8),
    text(shared.lead, 24, 'var(--ink)', 600, 14),
    parts.map(part),
    shared.lines.map((line) => text(line, 16, 'var(--ink)', 400, 7)),
    text(`${shared.tank} ${NAMELESS}`, 14, 'var(--soft)', 400, 0),
  ];
  const height = Math.ceil(y + MARGIN / 2);
  return (
    <svg
      ref={ref}
      width={SHARED_WIDTH}
      height={height}
      viewBox={`0 0 ${SHARED_WIDTH} ${height}`}
      role="img"
      aria-label={[shared.heading, shared.lead, ...shared.lines].join(' ')}
      fontFamily={FONT}
      className="h-auto w-full"
    >
      <rect width={SHARED_WIDTH} height={height} fill="var(--paper)" />
      {drawn}
    </svg>
  );
}

/** In rows of so many letters, broken between words. */
export function wrapped(words: string, most: number): string[] {
  const rows: string[] = [];
  let row = '';
  for (const word of words.split(' ')) {
    if (row && row.length + 1 + word.length > most) {
      rows.push(row);
      row = word;
    } else {
      row = row ? `${row} ${word}` : word;
    }
  }
  return [...rows, row];
}
