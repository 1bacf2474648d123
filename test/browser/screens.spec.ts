import type { Page } from '@playwright/test';
import { SCREENS } from '../server/screens';
import { EVERY_RULE, faintIn, faultsOf, look } from './axe';
import { expect, inYard, test } from './bench';

/** A screen with everything on it opened. */
async function open(page: Page, address: string) {
  await page.goto(address, { waitUntil: 'load' });
  await expect(page.locator('main, h1').first()).toBeVisible();
  await page.evaluate(() => document.querySelectorAll('details').forEach((part) => part.setAttribute('open', '')));
  await expect(page.locator('fieldset:disabled')).toHaveCount(0);
  await page.evaluate(() => document.fonts.ready);
}

/** From light to dark once: that is the change that takes long. */
const LOOKS = [
  ['light', 'normal'],
  ['light', 'high'],
  ['dark', 'high'],
  ['dark', 'normal'],
] as const;

/** In sixths, so that the workers share the screens, and a slow machine has time for each. */
const SIXTHS = Array.from({ length: 6 }, (_, sixth) => SCREENS.filter((_, i) => i % 6 === sixth));

for (const [sixth, screens] of SIXTHS.entries())
  test(`no accessibility fault, no colour too faint in any look, nothing off the side at any width, sixth ${sixth + 1}`, async ({
    page,
    bench,
    faults,
  }) => {
    await inYard(page, bench);
    const seen = new Map<string, number>();
    for (const [name, path] of screens) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.emulateMedia({ colorScheme: 'light' });
      await open(page, bench.address + path);
      for (const [i, [scheme, contrast]] of LOOKS.entries()) {
        await look(page, scheme, contrast);
        // Only colour changes with the look: the rest is looked at once.
        const faultsSeen = i === 0 ? await faultsOf(page, EVERY_RULE) : await faintIn(page, seen);
        expect.soft(faultsSeen, `${name}, ${scheme} ${contrast}`).toEqual([]);
      }
      for (const width of [1280, 1024, 390, 320]) {
        await page.setViewportSize({ width, height: 800 });
        // A chart is drawn anew a moment after its frame has changed.
        await expect
          .poll(() => page.evaluate(() => document.documentElement.scrollWidth - innerWidth), {
            message: `${name} at ${width}`,
          })
          .toBe(0);
      }
    }
    expect(faults.filter((fault) => !fault.includes('404'))).toEqual([]);
  });

test('a colour too faint is found wherever it stands, also where all around it was looked at before', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  const seen = new Map<string, number>();
  await open(page, `${bench.address}/engines/demo-fourteen/order`);
  await look(page, 'dark');
  expect(await faintIn(page, seen)).toEqual([]);
  const one = page.locator('main h2, main h3').last();
  await one.evaluate((element) => void (element.style.color = '#555'));
  expect(await faintIn(page, seen)).toEqual([expect.stringContaining('color-contrast')]);
  await one.evaluate((element) => void (element.style.color = ''));
  expect(await faintIn(page, seen)).toEqual([]);
  // Its own colour is as before: what it stands on is not.
  await one.evaluate((element) => void element.parentElement?.style.setProperty('background', '#888'));
  expect(await faintIn(page, seen)).not.toEqual([]);
});

test('the setting on the face is at least 120 px high, and its keys are broad', async ({ page, bench }) => {
  await inYard(page, bench);
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 844 });
    await page.goto(`${bench.address}/face/demo-m-joint-head-round-1`);
    const size = await page
      .getByTestId('face-setting')
      .evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize));
    expect(size).toBeGreaterThanOrEqual(120);
    const box = await page.getByRole('button', { name: 'Pull', exact: true }).boundingBox();
    expect(box && box.height >= 80 && box.width >= 340).toBe(true);
    await expect(page.getByTestId('face-place')).toBeInViewport({ ratio: 1 });
  }
});
