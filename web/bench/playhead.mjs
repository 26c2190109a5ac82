// One move of the programme's playhead, from the key to the laid-out page, on a running demo. usage: playhead.mjs URL
import { demoAt } from './demo.mjs';

const { browser, page } = await demoAt(process.argv[2], 'programme');
await page.getByRole('slider', { name: 'Playhead' }).waitFor();
await page.getByRole('heading', { name: 'What the twin says' }).waitFor();
await page.waitForTimeout(3000);

const ms = await page.evaluate(async () => {
  const playhead = document.querySelector('[role=slider]');
  const times = [];
  for (let i = 0; i < 320; i++) {
    const key = i % 200 < 100 ? 'ArrowRight' : 'ArrowLeft';
    const start = performance.now();
    playhead.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    // What React renders for a key is there after the microtasks; the layout is asked for.
    await Promise.resolve();
    document.body.getBoundingClientRect();
    // The first warm the browser.
    if (i >= 20) times.push(performance.now() - start);
    await new Promise((next) => requestAnimationFrame(() => setTimeout(next)));
  }
  return times.sort((a, b) => a - b);
});
await browser.close();
const at = (share) => ms[Math.min(ms.length - 1, Math.floor(ms.length * share))].toFixed(1);
console.log(
  `${ms.length} × playhead: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, slowest ${at(1)} ms`,
);
