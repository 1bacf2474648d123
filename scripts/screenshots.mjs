// One current picture of each main view, from the demonstration yard at a fixed time, into docs/screenshots.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { chromium as findChromium } from './chromium.mjs';
import { buildIfStale } from './build-if-stale.mjs';

const FOLDER = 'docs/screenshots';
const PORT = 4699;
const address = `http://127.0.0.1:${PORT}`;
const executablePath = findChromium();
if (!executablePath) process.exit(1);
buildIfStale();

const env = {
  ...process.env,
  NODE_ENV: 'production',
  SPANNER_DATA: mkdtempSync(join(tmpdir(), 'spanner-pictures-')),
  SPANNER_OPEN: 'demonstration',
  SPANNER_CLOCK: '2026-05-16T14:20:00',
  TZ: 'Europe/London',
};
spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/load-demonstration.ts'], {
  stdio: 'inherit',
  env,
});
const server = spawn(process.execPath, ['scripts/server.mjs'], {
  stdio: 'ignore',
  env: { ...env, PORT: String(PORT) },
});

/** The half-done round was left for long: the last nut is touched again before the figure stands there. */
const touched = (page) => page.getByRole('button', { name: 'It is as I left it' }).click();

const VIEWS = [
  ['stands', '/', {}, (page) => page.getByLabel('As printed on the page').fill('5½ mkg')],
  [
    'book',
    '/engines/demo-fourteen/book',
    {},
    async (page) => {
      await page.getByRole('button', { name: 'New entry' }).click();
      await page.getByLabel('Text exactly as printed').fill('30 lb');
    },
  ],
  ['joints', '/engines/demo-fourteen/joints', {}],
  ['ladder', '/engines/demo-fourteen/joints/demo-f-joint-head', {}],
  [
    'spread',
    '/engines/demo-fourteen/joints/demo-f-joint-head',
    {},
    async (page) => {
      for (const title of ['Which page applies', 'The spread'])
        await page.locator('summary', { hasText: title }).click();
      await page.getByRole('button', { name: 'Simulate 1,000,000' }).click();
      await page.getByTestId('simulated').waitFor();
      await page.evaluate(() =>
        scrollTo({ top: document.querySelector('summary')?.getBoundingClientRect().top + scrollY - 110 }),
      );
    },
  ],
  [
    'substitute',
    '/engines/demo-maestrale/joints/demo-m-joint-head',
    {},
    async (page) => {
      await page.locator('summary', { hasText: 'The fastener' }).click();
      await page.evaluate(() =>
        scrollTo({ top: document.querySelector('[data-code]')?.getBoundingClientRect().top + scrollY - 120 }),
      );
    },
  ],
  ['stretch', '/engines/demo-maestrale/joints/demo-m-joint-rods/stretch', {}],
  [
    'trial',
    '/shelves/trials/demo-trial-three-films',
    {},
    async (page) => {
      await page.getByRole('button', { name: 'Against the joints of this shop' }).click();
      await page.getByText('The band behind').waitFor();
    },
  ],
  ['films', '/shelves/films', {}],
  [
    'threads',
    '/shelves/threads',
    {},
    async (page) => {
      await page.getByLabel('Over the crests').fill('6.3');
      await page.getByLabel('Pitch gauge').fill('26 tpi');
    },
  ],
  ['fits', '/engines/demo-norrhem/fits', {}],
  ['bearings', '/engines/demo-norrhem/fits/demo-n-fit-mains', {}],
  ['tighten', '/engines/demo-maestrale/tighten', {}],
  ['face', '/face/demo-m-joint-head-round-1', {}, touched],
  [
    'rehearsal',
    '/face/rehearsal/demo-f-joint-head',
    { colorScheme: 'dark' },
    async (page) => {
      for (let pulls = 0; pulls < 17; pulls++) {
        await page.keyboard.press('Space');
        await page.waitForTimeout(450);
      }
    },
  ],
  ['face-phone', '/face/demo-m-joint-head-round-1', { viewport: { width: 390, height: 844 } }, touched],
  ['run-in', '/engines/demo-fourteen/run-in', {}],
  ['record', '/engines/demo-fourteen/record/demo-f-joint-head', {}],
  ['order', '/engines/demo-norrhem/order', {}],
];

try {
  for (
    let tries = 0;
    tries < 200 &&
    !(await fetch(address).then(
      (r) => r.ok,
      () => false,
    ));
    tries++
  )
    await new Promise((resolve) => setTimeout(resolve, 100));
  mkdirSync(FOLDER, { recursive: true });
  const browser = await chromium.launch({
    executablePath,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  for (const [name, path, options, act] of VIEWS) {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      colorScheme: 'light',
      timezoneId: 'Europe/London',
      ...options,
    });
    const page = await context.newPage();
    await page.clock.setFixedTime(new Date('2026-05-16T14:20:00+01:00'));
    await page.goto(address + path, { waitUntil: 'networkidle' });
    await act?.(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    // A bench that is left lays its wrench down; one that is shut off does not.
    await page.goto('about:blank');
    await context.close();
    console.log(`${FOLDER}/${name}.png`);
  }
  await browser.close();
} finally {
  server.kill();
}
