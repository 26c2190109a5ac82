import { afterEach, expect, test, vi } from 'vitest';
import { NAMELESS, sharedPage } from './sharedPage';

afterEach(() => vi.unstubAllGlobals());

const text = (blob: Blob) =>
  new Promise<string>((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.readAsText(blob);
  });

test('a page holds its words as words, its drawings, its typeface, and asks for nothing', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.resolve({ blob: () => Promise.resolve(new Blob(['type'])) })),
  );
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  svg.append(document.createElementNS('http://www.w3.org/2000/svg', 'path'));
  document.body.append(svg);
  const page = await text(
    await sharedPage(
      {
        heading: '<img src=x onerror=alert(1)> & hose',
        lead: 'It worked as expected.',
        lines: ['One $& more.'],
        tank: '420 L.',
      },
      [svg],
    ),
  );
  const read = new DOMParser().parseFromString(page, 'text/html');
  expect(read.querySelector('h1')?.textContent).toBe('<img src=x onerror=alert(1)> & hose');
  expect(read.title).toBe('<img src=x onerror=alert(1)> & hose');
  expect(read.querySelector('img, script, link')).toBeNull();
  expect(read.querySelectorAll('main > svg > path')).toHaveLength(1);
  expect(read.querySelector('footer')?.textContent).toBe(`420 L. ${NAMELESS}`);
  expect(read.body.textContent).toContain('One $& more.');
  expect(read.querySelector('meta[http-equiv]')?.getAttribute('content')).toContain(
    "default-src 'none'",
  );
  const addresses = page.match(/(?:https?:|url\()[^\s"')]*/g) ?? [];
  expect(
    addresses.filter((a) => !a.startsWith('http://www.w3.org/') && !a.includes('data:')),
  ).toEqual([]);
});
