// Frames a second while the wheel zooms the demo's History in and out again, on a running demo. usage: zoom.mjs URL
import { demoAt } from './demo.mjs';

const { browser, page } = await demoAt(process.argv[2], 'history');
const drawing = page.locator('main svg').first();
await drawing.waitFor();
await page.waitForTimeout(1500);
const box = await drawing.boundingBox();

/** The times of all frames until it is told to stop. */
const watch = () =>
  page.evaluate(() => {
    const frames = [];
    window.frames_ = frames;
    const tick = (t) => {
      frames.push(t);
      if (!window.stopped_) requestAnimationFrame(tick);
    };
    window.stopped_ = false;
    requestAnimationFrame(tick);
  });
const rounds = [];
await page.mouse.move(box.x + box.width * 0.6, box.y + box.height / 2);
for (let round = 0; round < 6; round++) {
  await watch();
  for (let i = 0; i < 60; i++) {
    await page.mouse.wheel(0, i < 30 ? -60 : 60);
    await page.waitForTimeout(30);
  }
  const frames = await page.evaluate(() => {
    window.stopped_ = true;
    return window.frames_;
  });
  const gaps = frames.slice(1).map((t, i) => t - frames[i]);
  rounds.push({
    rate: (1000 * gaps.length) / (frames.at(-1) - frames[0]),
    longest: Math.max(...gaps),
  });
}
await browser.close();

// The first round warms the server and the browser.
const warm = rounds.slice(1);
const middle = warm.map((r) => r.rate).sort((a, b) => a - b)[Math.floor(warm.length / 2)];
console.log(
  `${warm.length} × zoom in and out: median ${middle.toFixed(0)} frames a second, longest frame ${Math.max(...warm.map((r) => r.longest)).toFixed(0)} ms`,
);
