// What a page fetches, when it is alive, how a key and a pull feel on a slow tablet: `npm run build`, then
// `npm run bench:browser`. The processor is slowed to a quarter; medians of several tries.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { chromium as playwright, type Browser, type Page } from '@playwright/test';
import { openShop } from '@/db/shop';
import { loadDemonstration } from '@demo/load-yard';
import { demonstrationYard } from '@demo/yard';
import { buildIfStale } from './build-if-stale.mjs';
import { served } from './served.mts';
import { chromium } from './chromium.mjs';
import { frameworkBytes, scriptBytes } from './script-weight';

buildIfStale();

const JOINT = '/engines/demo-fourteen/joints/demo-f-joint-head';
const FACE = '/face/demo-m-joint-head-round-1';
const ROUTES: readonly (readonly [name: string, path: string])[] = [
  ['stands', '/'],
  ['a joint', JOINT],
  ['a fit', '/engines/demo-norrhem/fits/demo-n-fit-mains'],
  ['fits', '/engines/demo-fourteen/fits'],
  ['book', '/engines/demo-fourteen/book'],
  ['order', '/engines/demo-fourteen/order'],
  ['tighten', '/engines/demo-fourteen/tighten'],
  ['run-in', '/engines/demo-fourteen/run-in'],
  ['wrenches', '/shelves/wrenches'],
  ['the face', FACE],
];
const SLOWER = 4;
const TRIES = 5;

const folder = mkdtempSync(join(tmpdir(), 'spanner-browser-'));
const shop = openShop(join(folder, 'demonstration.sqlite'));
loadDemonstration(shop, demonstrationYard, new Date().toISOString());
shop.close();

const port = Number(process.env.PORT ?? 4634);
const { address, stop } = await served(folder, port, { SPANNER_OPEN: 'demonstration' });

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const ms = (value: number) => value.toFixed(0).padStart(9);

async function opened(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1366, height: 900 } });
  await context.addCookies([{ name: 'spanner-who', value: 'IH', url: address }]);
  // What is sent into the page was compiled here, and names its functions by a helper that is not there.
  await context.addInitScript('globalThis.__name = (work) => work');
  return context.newPage();
}

type Packed = 'gzip' | 'br';

/** Bytes over the wire by kind, nothing kept before; of its scripts apart those that it names itself, by gzip. */
async function weightOf(
  browser: Browser,
  path: string,
  packed: Packed,
): Promise<{ readonly sums: ReadonlyMap<string, number>; readonly atOnce: number }> {
  const page = await opened(browser);
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setExtraHTTPHeaders', {
    headers: { 'Accept-Encoding': packed === 'br' ? 'br, gzip' : packed },
  });
  const kinds = new Map<string, string>();
  const sums = new Map<string, number>();
  session.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type));
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const kind = kinds.get(requestId) ?? '';
    sums.set(kind, (sums.get(kind) ?? 0) + encodedDataLength);
  });
  const answer = await page.goto(address + path, { waitUntil: 'networkidle' });
  await pause(300);
  const atOnce = scriptBytes((await answer?.text()) ?? '');
  await page.context().close();
  return { sums, atOnce };
}

/** From asking for a page until its sheet listens, and what blocked it in between. */
async function aliveAfter(browser: Browser, path: string, rate: number) {
  const page = await opened(browser);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
  await page.addInitScript(() => {
    const seen = window as unknown as { tasks: number[]; alive?: number };
    seen.tasks = [];
    new PerformanceObserver((list) => seen.tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
      buffered: true,
    });
    const look = () => {
      const sheet = document.querySelector('main');
      const listens = sheet && Object.keys(sheet).some((key) => key.startsWith('__react'));
      if (listens && !document.querySelector('main fieldset:disabled')) seen.alive = performance.now();
      else requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await page.goto(address + path);
  await page.waitForFunction(() => (window as unknown as { alive?: number }).alive !== undefined);
  await pause(500);
  const found = await page.evaluate(() => {
    const { tasks, alive } = window as unknown as { tasks: number[]; alive: number };
    const paint = performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0;
    return { alive, paint, longest: Math.max(0, ...tasks) };
  });
  await page.context().close();
  return found;
}

/** From each key to the paint after it, as the browser tells it, and the longest task meanwhile. */
async function keysOn(page: Page, press: () => Promise<void>) {
  await page.evaluate(() => {
    const seen = window as unknown as { keys: number[]; tasks: number[] };
    seen.keys = [];
    seen.tasks = [];
    new PerformanceObserver((list) =>
      seen.keys.push(...list.getEntries().flatMap(({ name, duration }) => (name === 'keydown' ? [duration] : []))),
    ).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
    new PerformanceObserver((list) => seen.tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
    });
  });
  await press();
  await pause(1000);
  return page.evaluate(() => {
    const { keys, tasks } = window as unknown as { keys: number[]; tasks: number[] };
    return { keys, longest: Math.max(0, ...tasks) };
  });
}

async function slowed(browser: Browser, path: string): Promise<Page> {
  const page = await opened(browser);
  await page.goto(address + path, { waitUntil: 'networkidle' });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return page;
}

async function typing(browser: Browser) {
  const page = await slowed(browser, JOINT);
  await page.getByLabel('Slackened by, degrees').focus();
  const found = await keysOn(page, async () => {
    for (const key of '1234567') {
      await page.keyboard.press(key);
      await pause(450);
    }
  });
  await page.context().close();
  return found;
}

const PULLS = 8;

async function pulling(browser: Browser) {
  const page = await slowed(browser, FACE);
  const acknowledged: number[] = [];
  const sent = new Map<object, number>();
  page.on('request', (request) => {
    if (request.method() === 'POST' && request.url().endsWith('/events')) sent.set(request, performance.now());
  });
  page.on('response', (response) => {
    const from = sent.get(response.request());
    if (from !== undefined) acknowledged.push(performance.now() - from);
  });
  const found = await keysOn(page, async () => {
    for (let pull = 0; pull < PULLS; pull++) {
      await page.keyboard.press('Space');
      await pause(900);
    }
  });
  await page.context().close();
  return { ...found, acknowledged };
}

const executablePath = chromium();
if (!executablePath) process.exit(1);
const browser = await playwright.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
try {
  // A browser takes the closer packing (br) from its own machine or by a safe address alone: a tablet takes gzip.
  for (const packed of ['gzip', 'br'] as const) {
    console.log(`${`kB over the wire, ${packed}`.padEnd(23)}    fonts   styles   script     html`);
    for (const [name, path] of ROUTES) {
      const { sums, atOnce } = await weightOf(browser, path, packed);
      const kb = (kind: string) => ((sums.get(kind) ?? 0) / 1000).toFixed(0).padStart(9);
      const over = ((atOnce - frameworkBytes()) / 1000).toFixed(0).padStart(9);
      console.log(
        `${name.padEnd(23)}${kb('Font')}${kb('Stylesheet')}${kb('Script')}${kb('Document')}${packed === 'gzip' ? `${over} at once, over the framework` : ''}`,
      );
    }
  }
  console.log(`the framework alone, gzip: ${(frameworkBytes() / 1000).toFixed(0)} kB`);
  console.log(`\nms, a processor slowed ${SLOWER} times; middle of ${TRIES}   first paint   alive   longest task`);
  for (const [name, path] of ROUTES) {
    const all: { readonly alive: number; readonly paint: number; readonly longest: number }[] = [];
    for (let tries = 0; tries < TRIES; tries++) all.push(await aliveAfter(browser, path, SLOWER));
    const of = (key: 'paint' | 'alive' | 'longest') => ms(middle(all.map((one) => one[key])));
    console.log(`${name.padEnd(45)}${of('paint')}${of('alive')}${of('longest')}`);
  }
  console.log('\nms from a key to the paint after it, so slowed    middle    worst   longest task');
  for (let tries = 0; tries < 3; tries++) {
    const typed = await typing(browser);
    console.log(
      `${'typing on a joint’s sheet'.padEnd(47)}${ms(middle(typed.keys))}${ms(Math.max(...typed.keys))}${ms(typed.longest)}`,
    );
  }
  const pulled = await pulling(browser);
  console.log(
    `${'a pull by the space bar'.padEnd(47)}${ms(middle(pulled.keys))}${ms(Math.max(...pulled.keys))}${ms(pulled.longest)}`,
  );
  console.log(
    `${'a pull, from its request to its answer'.padEnd(47)}${ms(middle(pulled.acknowledged))}${ms(Math.max(...pulled.acknowledged))}`,
  );
} finally {
  await browser.close();
  stop();
  rmSync(folder, { recursive: true, force: true });
}
