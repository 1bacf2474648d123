import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';
import type { Shop } from '@/db/shop';
import { yardShop } from '../db/temporary-shop';
import { freePort, startServer, type RunningServer } from '../server/running-server';

export interface Bench {
  readonly address: string;
  readonly folder: string;
  /** Stops the server as a power cut would, and starts it again, perhaps at another time. */
  readonly restart: (env?: Record<string, string>) => Promise<void>;
  readonly cut: () => Promise<void>;
}

/** A server that goes on from journey to journey, each in a folder of its own; one that was cut off is not used again. */
interface Runner {
  server?: RunningServer;
}

interface Fixtures {
  /** An empty shop of its own. */
  readonly bench: Bench;
  /** What the page did that it must not: console errors, and requests that leave the machine. */
  readonly faults: string[];
}

/** Pages whose scripts are held back: nothing on them can come alive. */
const held = new WeakSet<Page>();

/**
 * Once a page listens: its elements belong to the scripts, and no group of controls is still shut by the server's drawing.
 * What is typed or pressed before is nobody's, and a quick machine never shows it. A group that stays shut has a reason of
 * its own, which is the journey's matter.
 */
export async function alive(page: Page): Promise<void> {
  // The rail comes alive before the sheet does: where there is a sheet, it is the one that is waited for.
  await page.waitForFunction(
    () => {
      const isAlive = (element: Element) => Object.keys(element).some((key) => key.startsWith('__react'));
      const sheet = document.querySelector('main');
      return sheet ? isAlive(sheet) : [...document.querySelectorAll('body *')].some(isAlive);
    },
    undefined,
    { timeout: 60_000 },
  );
  // Keys are listened to once what was drawn has been put in place.
  await page
    .evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))))
    .catch(() => undefined);
  await page
    .waitForFunction(() => document.querySelector('fieldset:disabled') === null, undefined, { timeout: 15_000 })
    .catch(() => undefined);
}

async function runningAt(folder: string, { server }: Runner): Promise<RunningServer> {
  if (!server) return startServer(folder, await freePort());
  await server.moveTo(folder);
  return server;
}

export const test = base.extend<Fixtures, { readonly runner: Runner }>({
  runner: [
    async ({}, use) => {
      const runner: Runner = {};
      await use(runner);
      await runner.server?.kill();
    },
    { scope: 'worker' },
  ],
  page: async ({ page }, use) => {
    const goto = page.goto.bind(page);
    const reload = page.reload.bind(page);
    page.goto = async (...args) => {
      const answer = await goto(...args);
      if (!held.has(page) && answer?.headers()['content-type']?.startsWith('text/html')) await alive(page);
      return answer;
    };
    page.reload = async (...args) => {
      const answer = await reload(...args);
      if (!held.has(page)) await alive(page);
      return answer;
    };
    await use(page);
  },
  bench: async ({ runner }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'spanner-browser-'));
    let server = (runner.server = await runningAt(folder, runner));
    const { address } = server;
    const cut = async () => {
      runner.server = undefined;
      await server.kill();
    };
    await use({
      address,
      folder,
      cut,
      restart: async (env = {}) => {
        await cut();
        server = await startServer(folder, Number(new URL(address).port), env);
      },
    });
    if (!runner.server) await server.kill();
  },
  faults: [
    async ({ page }, use) => {
      const faults: string[] = [];
      page.on(
        'console',
        (message) => message.type() === 'error' && faults.push(`console: ${message.text()} ${message.location().url}`),
      );
      page.on('pageerror', (error) => faults.push(`page: ${error.message}`));
      page.on('request', (request) => {
        const { hostname, protocol } = new URL(request.url());
        if (protocol.startsWith('http') && hostname !== '127.0.0.1') faults.push(`request: ${request.url()}`);
      });
      await use(faults);
    },
    { auto: true },
  ],
});

/** Makes the half-done round of the yard have been pulled at another time. No line may be altered: the guard is lifted. */
export function pulledAt({ db }: Shop, ms: number): void {
  const guard = db.prepare<[], { sql: string }>(
    "SELECT sql FROM sqlite_master WHERE name = 'bench_event_is_not_altered'",
  );
  const { sql } = guard.get() ?? { sql: '' };
  db.exec('DROP TRIGGER bench_event_is_not_altered');
  db.prepare(
    "UPDATE bench_event SET at = @at, recorded_at = @at WHERE tightening_id = 'demo-m-joint-head-round-1'",
  ).run({
    at: new Date(ms).toISOString(),
  });
  db.exec(sql);
}

/**
 * Fills the demonstration yard into a shop's own folder and looks at it. Its joints are untied from the order, and what
 * is half pulled was pulled just now: what is asked before a joint is begun, and after it was left for long, has journeys of
 * its own.
 */
export async function inYard(page: Page, bench: Bench): Promise<void> {
  const shop = yardShop(join(bench.folder, 'demonstration.sqlite'));
  shop.db.exec('UPDATE step SET joint_id = NULL, fit_id = NULL');
  pulledAt(shop, Date.now());
  shop.close();
  await page.context().addCookies([{ name: 'spanner-shop', value: 'demonstration', url: bench.address }]);
}

/** Holds back whatever is sent to an address, until it is let go of; what is read comes through. */
export async function holdSent(
  page: Page,
  address: string,
): Promise<{ readonly hold: () => void; readonly letGo: () => void }> {
  let isHeld = true;
  await page.route(address, async (route) => {
    while (isHeld && route.request().method() === 'POST') await new Promise((done) => setTimeout(done, 20));
    await route.continue();
  });
  return { hold: () => void (isHeld = true), letGo: () => void (isHeld = false) };
}

/** Holds a page's scripts back, so that it stands there and does not listen yet; what is answered lets them go. */
export async function holdScripts(page: Page): Promise<() => void> {
  const waiting: (() => void)[] = [];
  let holding = true;
  held.add(page);
  await page.route('**/*.js', async (route) => {
    if (holding) await new Promise<void>((free) => waiting.push(free));
    await route.continue();
  });
  return () => {
    holding = false;
    held.delete(page);
    for (const free of waiting) free();
  };
}

/** The face, once its keys are listened to. */
export const faceAlive = (page: Page): Promise<void> =>
  expect(page.getByRole('button', { name: 'Pull', exact: true })).toBeEnabled();

/** Two presses close together are one: the next that is to count comes after the guard's time. */
export const nextPress = (page: Page): Promise<void> => page.waitForTimeout(400);

export { expect };
