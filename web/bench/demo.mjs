// The demo in a headless browser, for benchmarks.
import { chromium } from 'playwright-core';

/** A page at a place of the demo's first tank. */
export async function demoAt(url, place) {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.request.post(`${url}/api/v1/session/demo`);
  await page.goto(url);
  await page.waitForURL('**/today');
  await page.goto(page.url().replace(/today.*/, place));
  return { browser, page };
}
