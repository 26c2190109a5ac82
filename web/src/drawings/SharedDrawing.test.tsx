import { render } from '@testing-library/react';
import { expect, test } from 'vitest';
import { standalone } from '../lib/picture';
import { SharedDrawing, wrapped } from './SharedDrawing';

test('rows are broken between words and hold all of them', () => {
  expect(wrapped('one two three four', 9)).toEqual(['one two', 'three', 'four']);
  expect(wrapped('unbreakable', 4)).toEqual(['unbreakable']);
  const words = 'a sentence that is somewhat longer than a row of the picture holds';
  expect(wrapped(words, 20).join(' ')).toBe(words);
  expect(Math.max(...wrapped(words, 20).map((row) => row.length))).toBeLessThanOrEqual(20);
});

const shared = { heading: 'Hose', lead: 'It worked as expected.', lines: ['One.'], tank: '420 L.' };

test('a picture holds its words, its drawings one below the other, and no class when it stands alone', () => {
  const part = (name: string, height: number) => ({
    name,
    height,
    draw: (
      <svg width={10} height={height}>
        <path className="fill-ink" d="M0 0" />
      </svg>
    ),
  });
  const { container } = render(
    <SharedDrawing shared={shared} parts={[part('first', 100), part('second', 50)]} />,
  );
  const svg = container.querySelector('svg');
  if (!svg) throw new Error('nothing is drawn');
  const tops = [...svg.querySelectorAll('[data-part]')].map((g) =>
    Number(/ (\d+(\.\d+)?)\)/.exec(g.getAttribute('transform') ?? '')?.[1]),
  );
  expect(tops[1]).toBeGreaterThanOrEqual((tops[0] ?? 0) + 100);
  expect(Number(svg.getAttribute('height'))).toBeGreaterThan((tops[1] ?? 0) + 50);
  const markup = new XMLSerializer().serializeToString(standalone(svg));
  expect(markup).toContain('It worked as expected.');
  expect(markup).not.toMatch(/class=|var\(/);
});
