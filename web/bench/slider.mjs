// From a slider to the drawn curve, as the browser measures it, on a running demo. usage: slider.mjs URL
import { demoAt } from './demo.mjs';

const { browser, page } = await demoAt(process.argv[2], 'bench');
await page.getByLabel('Outdoor line to the skimmer').check();
await page.getByText('removes the source').waitFor();

/** Moves the hose's length to values that were not asked for before, a new leak for each round. */
const measured = await page.evaluate(async () => {
  const [length, leak] = document.querySelectorAll('input[type=range]');
  const drawing = document.querySelector('section[aria-labelledby=ahead]');
  const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const move = (slider, value) => {
    write.call(slider, String(value));
    slider.dispatchEvent(new Event('input', { bubbles: true }));
  };
  const pause = (ms) => new Promise((done) => setTimeout(done, ms));
  const drawn = () =>
    new Promise((done) => {
      const seen = new MutationObserver(() => {
        seen.disconnect();
        requestAnimationFrame(done);
      });
      seen.observe(drawing, { subtree: true, attributes: true, attributeFilter: ['d'] });
    });
  const steps = Math.floor((length.max - length.min) / length.step);
  const times = [];
  for (let round = 1; round <= 5; round++) {
    move(leak, Number(leak.min) + round * Number(leak.step));
    await pause(1500);
    for (let i = 0; i < steps; i++) {
      const value = Number(length.min) + ((i * 17) % steps) * Number(length.step);
      if (Number(length.value) === value) continue;
      const start = performance.now();
      const changed = drawn();
      move(length, value);
      if (await Promise.race([changed.then(() => true), pause(2000)]))
        times.push({ round, ms: performance.now() - start });
      await pause(200);
    }
  }
  return times;
});
await browser.close();

// The first round warms the server and the browser.
const ms = measured
  .filter((m) => m.round > 1)
  .map((m) => m.ms)
  .sort((a, b) => a - b);
const at = (share) => ms[Math.min(ms.length - 1, Math.floor(ms.length * share))].toFixed(0);
console.log(
  `${ms.length} × slider to curve: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, slowest ${at(1)} ms`,
);
