import type { Locator, Page } from '@playwright/test';
import { expect, nextPress, test, type Bench } from './bench';

// A restorer at the bench, who taps and types and never presses a key of the keyboard to send anything.

const tap = (target: Locator) => target.tap();

interface Source {
  readonly title: string;
  readonly year: string;
  readonly entries: readonly (readonly [page: string, subject: string, printed: string])[];
}

interface Build {
  readonly name: string;
  readonly kind: 'car' | 'motorcycle';
  readonly year: string;
  readonly sources: readonly Source[];
  readonly joint: readonly [subject: string, fasteners: string, thread: string];
  readonly setting: RegExp;
}

const CAR: Build = {
  name: 'Long Meadow tourer',
  kind: 'car',
  year: '1934',
  sources: [
    {
      title: 'Handbook',
      year: '1933',
      entries: [
        ['12', 'Sump', '8 lb. ft.'],
        ['14', 'Cylinder head', '36–40 lb. ft.'],
      ],
    },
    { title: 'Service leaf', year: '1936', entries: [['2', 'Manifold', '18 lb. ft.']] },
  ],
  joint: ['Cylinder head', '10', '3/8 BSF'],
  setting: /^\d+(\.\d+)? lbf·ft$/,
};

const MOTORCYCLE: Build = {
  name: 'Hill climber 250',
  kind: 'motorcycle',
  year: '1951',
  sources: [{ title: 'Libretto', year: '1951', entries: [['7', 'Testa', '2,5 mkg']] }],
  joint: ['Testa', '4', 'M8'],
  setting: /^\d+(\.\d+)? lbf·ft$/,
};

async function onStand(page: Page, bench: Bench, { name, kind, year }: Build) {
  await page.goto(bench.address);
  await tap(page.getByRole('link', { name: 'Put an engine on a stand' }).first());
  await expect(page.getByRole('heading', { level: 1, name: 'Put an engine on a stand' })).toBeVisible();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Car or motorcycle').selectOption(kind);
  await page.getByLabel('Year').fill(year);
  await tap(page.getByRole('button', { name: 'Put it on a stand' }));
  await expect(page.getByRole('heading', { level: 1, name: 'Book' })).toBeVisible();
}

async function withSource(page: Page, { title, year, entries }: Source, isFirst: boolean) {
  if (!isFirst) {
    // A script scrolls at once, and may bring that key under the finger's last place; a hand takes longer for it.
    await nextPress(page);
    await tap(page.getByRole('button', { name: 'Another source' }));
  }
  const source = page.getByRole('form', { name: 'New source' });
  await source.getByLabel('Title').fill(title);
  await source.getByLabel('Year', { exact: true }).fill(year);
  await tap(source.getByRole('button', { name: 'Save the source' }));
  const entry = page.getByRole('form', { name: 'New entry' });
  await expect(entry).toBeVisible();
  for (const [number, subject, printed] of entries) {
    await entry.getByLabel('Page', { exact: true }).fill(number);
    await entry.getByLabel('Subject', { exact: true }).fill(subject);
    await entry.getByLabel('Text exactly as printed').fill(printed);
    // A script fills three cells before a second tap at the last one’s place counts as one by itself; a hand does not.
    await nextPress(page);
    await tap(entry.getByRole('button', { name: 'Save the entry' }));
    await expect(entry.getByRole('status')).toContainText(`Saved ${subject}`);
  }
}

async function toTheBench(page: Page, { joint: [subject, fasteners, thread], setting }: Build, hasWrench: boolean) {
  await tap(page.getByRole('navigation', { name: /order|Book/i }).getByRole('link', { name: /Joints/ }));
  // The sheet before has a way to a joint, too, and may give way under the finger.
  await expect(page.getByRole('heading', { level: 1, name: 'Joints' })).toBeVisible();
  await tap(
    page
      .getByRole('link', { name: 'Make a joint' })
      .or(page.getByRole('link', { name: 'New joint' }))
      .first(),
  );
  if (!hasWrench) {
    await page.getByLabel('Name').fill('Half-inch wrench');
    await page.getByLabel('Lowest mark').fill('5');
    await page.getByLabel('Highest mark').fill('100');
    await page.getByLabel('Graduation').fill('0.5');
    await tap(page.getByRole('button', { name: 'Save the wrench' }));
  }
  const form = page.getByRole('form', { name: 'The joint' });
  const figure = form.getByLabel('The figure on the page');
  const wanted = await figure.locator('option', { hasText: subject }).first().getAttribute('value');
  await figure.selectOption(wanted);
  await form.getByLabel('Fasteners').fill(fasteners);
  await form.getByLabel('Thread that turns').fill(thread);
  await tap(form.getByRole('button', { name: 'Make the joint' }));
  await expect(page.getByTestId('setting')).toHaveText(setting);
  await tap(page.getByRole('button', { name: 'To the bench' }));
  await expect(page.getByTestId('face-place')).toContainText(`Number 1 of ${fasteners}`);
  await nextPress(page);
  await tap(page.getByRole('button', { name: 'Pull', exact: true }));
  await expect(page.getByTestId('face-place')).toContainText(`Number 2 of ${fasteners}`);
  await expect(page.locator('[data-pending]')).toHaveCount(0);
}

for (const [size, viewport] of [
  ['1280 by 800', { width: 1280, height: 800 }],
  ['a tablet upright', { width: 800, height: 1280 }],
] as const)
  test.describe(`by touch at ${size}`, () => {
    test.use({ hasTouch: true, viewport });
    test('a car of two sources and a motorcycle of one, from an empty shop to the first pull of each', async ({
      page,
      bench,
    }) => {
      for (const [n, build] of [CAR, MOTORCYCLE].entries()) {
        await onStand(page, bench, build);
        for (const [i, source] of build.sources.entries()) await withSource(page, source, i === 0);
        await toTheBench(page, build, n > 0);
      }
      await page.goto(bench.address);
      for (const { name } of [CAR, MOTORCYCLE])
        await expect(page.getByRole('main').getByText(name).first()).toBeVisible();
    });
  });
