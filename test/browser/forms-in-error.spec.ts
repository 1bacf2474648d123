import type { Page } from '@playwright/test';
import { faultsOf, look } from './axe';
import { expect, inYard, test } from './bench';

/** A form, how it comes up, and the key that sends it. */
const FORMS: readonly (readonly [path: string, open: ((page: Page) => Promise<unknown>) | undefined, send: string])[] =
  [
    ['/engines/new', undefined, 'Put it on a stand'],
    [
      '/engines/demo-fourteen/book',
      (page) => page.getByRole('button', { name: 'New entry' }).click(),
      'Save the entry',
    ],
    [
      '/engines/demo-fourteen/book',
      async (page) => {
        await page.getByRole('button', { name: 'Another source' }).click();
        await page.getByLabel('Year', { exact: true }).fill('nineteen');
      },
      'Save the source',
    ],
    ['/engines/demo-fourteen/joints/new', undefined, 'Make the joint'],
    [
      '/engines/demo-fourteen/joints/demo-f-joint-head',
      (page) => page.getByRole('heading', { name: 'Notes and photographs' }).click(),
      'Write it down',
    ],
    [
      '/shelves/wrenches',
      (page) =>
        page
          .getByRole('button', { name: /wrench/i })
          .first()
          .click(),
      'Save the wrench',
    ],
    ['/shelves/films', (page) => page.getByRole('button', { name: 'A row of your own' }).click(), 'Save the row'],
    [
      '/engines/demo-norrhem/run-in',
      (page) => page.getByRole('button', { name: /run/i }).first().click(),
      'Log the run',
    ],
  ];

/** Whether what has the focus shows a ring that is not of its own colour. */
const ringOf = (page: Page) =>
  page.evaluate(() => {
    const focused = document.activeElement;
    if (!(focused instanceof HTMLElement)) return 'nothing';
    const { outlineStyle, outlineWidth } = getComputedStyle(focused);
    return outlineStyle === 'none' ? 'no ring' : `${Number.parseFloat(outlineWidth) >= 2}`;
  });

test('forms in error have no accessibility fault in any look, the first wrong field has the focus and a ring', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  for (const [path, open, send] of FORMS) {
    await page.emulateMedia({ colorScheme: 'light', forcedColors: 'none' });
    await page.goto(bench.address + path);
    const key = page.getByRole('button', { name: send });
    if ((await key.count()) === 0) await open?.(page);
    await key.click();
    const wrong = page.locator('[aria-invalid=true], [role=alert]').first();
    await expect(wrong, `${path} says what is wrong`).toBeVisible();
    for (const colorScheme of ['light', 'dark'] as const) {
      await look(page, colorScheme);
      // By the usual rules: what has gone under the rail to show the wrong field is no target meanwhile.
      const faultsSeen = await faultsOf(page);
      expect.soft(faultsSeen, `${path}, ${colorScheme}`).toEqual([]);
    }
    await page.emulateMedia({ colorScheme: 'light', forcedColors: 'active', reducedMotion: 'reduce' });
    const field = page.locator('[aria-invalid=true]').first();
    if ((await field.count()) > 0) {
      await field.focus();
      expect.soft(await ringOf(page), `${path}: a ring where colours are forced`).toBe('true');
    }
    // Nothing goes on moving where less motion is wanted; the change of the look itself may end first.
    await expect
      .poll(() =>
        page.evaluate(() => document.getAnimations().filter(({ playState }) => playState === 'running').length),
      )
      .toBe(0);
  }
});

test('two fields that do not go together are told at both, once above them, and kept once they do', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  await page.locator('summary', { hasText: 'The fastener' }).click();
  const [outside, hole] = [
    page.getByLabel('Face, outside, mm').first(),
    page.getByLabel('Hole it turns on, mm').first(),
  ];
  const setting = page.getByTestId('setting');
  await expect(outside).toHaveValue('17.13');
  const before = await setting.textContent();
  await outside.fill('7');
  await expect(page.getByText('It must be larger than the hole it turns on.')).toBeVisible();
  await expect(page.getByText('It must be smaller than the face’s outside.')).toBeVisible();
  const alerts = page
    .getByRole('alert')
    .filter({ hasText: 'must be larger than the hole that it turns on (12.39 mm)' });
  await expect(setting).toHaveCount(0);
  await expect(page.getByText(/^Saving/)).toHaveCount(0);
  await expect(alerts).toHaveCount(1);
  await hole.fill('5');
  await expect(alerts).toHaveCount(0);
  await expect(page.getByText('It must be larger than the hole it turns on.')).toHaveCount(0);
  await expect(setting).not.toHaveText(before ?? '');
  await expect(page.getByText(/^Saved \d\d:\d\d/)).toBeVisible();
  await page.reload();
  await page.locator('summary', { hasText: 'The fastener' }).click();
  await expect(outside).toHaveValue('7');
  await expect(hole).toHaveValue('5');
});
