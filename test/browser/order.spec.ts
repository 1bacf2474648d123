import { join } from 'node:path';
import type { Page } from '@playwright/test';
import type { Shop } from '@/db/shop';
import { PLAIN_PART } from '@/model/order/part';
import { PLAIN_STEP, type Step } from '@/model/order/step';
import { yardShop, YARD_NOW } from '../db/temporary-shop';
import { expect, inYard, test, type Bench } from './bench';

const stepName = (page: Page) => page.locator('#step-name');

/** The order screen, once its keys are listened to. */
async function onOrder(page: Page, bench: Bench, engine: string): Promise<void> {
  await page.goto(`${bench.address}/engines/${engine}/order`);
  await expect(page.getByRole('heading', { name: 'Order', exact: true })).toBeVisible();
}

test('from the line to start from to closed, by keyboard alone', async ({ page, bench, faults }) => {
  const shop = yardShop(join(bench.folder, 'demonstration.sqlite'));
  const engine = shop.engines.find('demo-norrhem');
  if (!engine) throw new Error('no engine');
  shop.engines.add({ ...engine, id: 'bare', name: 'Bare twin' });
  shop.close();
  await page.context().addCookies([{ name: 'spanner-shop', value: 'demonstration', url: bench.address }]);
  await onOrder(page, bench, 'bare');
  await page.getByLabel('Shape of the engine').focus();
  await page.keyboard.type('Two');
  await expect(page.getByText('Two-stroke twin, pressed-up crank (37 steps)')).toBeAttached();
  const begin = page.getByRole('button', { name: 'Begin this order' });
  // A key that is not open yet takes no focus, and what is pressed then goes nowhere.
  await expect(begin).toBeEnabled({ timeout: 30_000 });
  await begin.focus();
  await expect(begin).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Now', exact: true })).toBeVisible();
  // The whole chain of what the last step waits for, by one key.
  await page.getByRole('list', { name: 'The order, a step a station' }).getByRole('button', { pressed: true }).focus();
  await page.keyboard.press('End');
  await expect(stepName(page)).toContainText('First start');
  await page.keyboard.press('y');
  await expect(page.getByRole('list', { name: 'The whole chain' }).getByRole('listitem')).toHaveCount(36);
  await page.goto(`${bench.address}/engines/bare/order`);
  for (let step = 0; step < 37; step += 1) {
    const name = await stepName(page).innerText();
    const felt = page.getByLabel('What was felt').or(page.getByLabel('How it was set, and to what'));
    await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeEnabled();
    if (step === 36) {
      // Nobody looked at the first start's sheet: it is started with a reason.
      await expect(page.getByText(/The first start’s sheet: 10 of 10 not looked at/)).toBeVisible();
      await page.getByLabel('Why it is done all the same').focus();
      await page.keyboard.type('heard on the stand');
      await page.getByRole('button', { name: 'Done', exact: true }).focus();
      await page.keyboard.press('Enter');
    } else if (await felt.count()) {
      await felt.focus();
      await page.keyboard.type('free all round');
      await page.keyboard.press('Enter');
    } else await page.keyboard.press('x');
    if (step === 36) break;
    await expect(stepName(page)).not.toHaveText(name);
  }
  await expect(page.getByText('Every step is done.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Order 37 of 37 done' })).toBeVisible();
  await expect(page.getByText('nothing is in', { exact: true })).toBeVisible();
  expect(faults).toEqual([]);
});

const ENGINE = 'small';
const plain: Omit<Step, 'id' | 'name'> = {
  engineId: ENGINE,
  place: 1,
  kind: 'part',
  branch: '',
  jointId: null,
  purpose: null,
  fitId: null,
  leafId: null,
  after: [],
  notUntil: [],
  detail: PLAIN_STEP,
  version: 1,
  createdAt: YARD_NOW,
};

/** An engine of four steps, the last of which closes it; a fit of it is out. */
function smallEngine(bench: Bench): Shop {
  const shop = yardShop(join(bench.folder, 'demonstration.sqlite'));
  const engine = shop.engines.find('demo-norrhem');
  const fit = shop.fits.find('demo-n-fit-float');
  if (!engine || !fit) throw new Error('the yard is not whole');
  shop.engines.add({ ...engine, id: ENGINE, name: 'Small' });
  shop.fits.add({
    ...fit,
    id: 'small-fit',
    engineId: ENGINE,
    stations: 1,
    jointId: null,
    leafId: null,
    holds: [],
    wanted: { limits: { min_mm: 0.1, max_mm: 0.2 } },
  });
  const steps: readonly Step[] = [
    { ...plain, id: 'shaft', name: 'Shaft in' },
    { ...plain, id: 'seal', name: 'Seal in', place: 2, after: ['shaft'] },
    { ...plain, id: 'beside', name: 'Name plate on', place: 3, kind: 'other' },
    { ...plain, id: 'shut', name: 'Cover on', place: 4, after: ['seal'], detail: { ...PLAIN_STEP, makes: ['closes'] } },
  ];
  for (const step of steps) shop.build.addStep(step);
  shop.build.addPart({
    id: 'small-nuts',
    engineId: ENGINE,
    stepId: 'shaft',
    name: 'Cap nuts',
    need: 4,
    here: 5,
    mark: '',
    serial: '',
    bag: '',
    origin: 'taken-off',
    condition: 'good',
    detail: PLAIN_PART,
    version: 1,
    createdAt: YARD_NOW,
  });
  return shop;
}

const show = (page: Page, name: string) =>
  page
    .getByRole('list', { name: 'The order, a step a station' })
    .getByRole('button', { name: new RegExp(`^${name} `) })
    .click();

const done = (page: Page) => page.getByRole('button', { name: 'Done', exact: true }).click();
const stationSays = (page: Page, name: string, state: string) =>
  expect(
    page.getByRole('list', { name: 'The order, a step a station' }).getByRole('button', { name: `${name} (${state})` }),
  ).toBeVisible();

test('closing is refused for a fit, an aid, a loose nut and a nut over, each put right in its turn', async ({
  page,
  bench,
}) => {
  const shop = smallEngine(bench);
  await page.context().addCookies([{ name: 'spanner-shop', value: 'demonstration', url: bench.address }]);
  await onOrder(page, bench, ENGINE);
  for (const name of ['Shaft in', 'Seal in']) {
    await show(page, name);
    await done(page);
    await stationSays(page, name, 'done');
  }
  await page.locator('#in summary').click();
  await page.getByLabel('What goes in').fill('Rag');
  await page.getByLabel('Inside the engine').check();
  await page.getByRole('button', { name: 'Sign it in' }).click();
  await expect(page.getByRole('button', { name: 'Out Rag' })).toBeVisible();
  await page.locator('#loose summary').click();
  await page.getByLabel('Something loose that has no joint').fill('Oil pipe union, finger-tight');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('button', { name: /It is done Oil pipe/ })).toBeVisible();
  await show(page, 'Cover on');
  const bars = page.getByRole('list', { name: 'What stands against it' });
  await expect(bars).toContainText('Inside the engine: Rag. No reason passes this.');
  await expect(bars).toContainText('Oil pipe union, finger-tight.');
  await expect(bars).toContainText('1 × Cap nuts over.');
  await expect(bars).toContainText('not proven.');
  // Nothing is offered that could not be done.
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toHaveCount(0);

  await page.getByRole('button', { name: 'Out Rag' }).click();
  await expect(bars).not.toContainText('Rag');
  await done(page);
  await expect(page.getByText('This stands against it:').first()).toBeVisible();
  await page.getByRole('button', { name: /It is done Oil pipe/ }).click();
  await expect(bars).not.toContainText('Oil pipe');
  await bars.getByRole('link', { name: /Put it right 1 × Cap nuts over/ }).click();
  await page.getByRole('heading', { name: 'Cap nuts' }).click();
  await page.getByRole('textbox', { name: 'Strike off' }).fill('1');
  await page.getByLabel('Why').fill('spare');
  await page.getByRole('button', { name: 'Strike off', exact: true }).click();
  await expect(page.getByText('It balances: nothing over, nothing missing.')).toBeVisible();
  // The fit is proven by its readings, at another device.
  const at = new Date().toISOString();
  for (const [part, value_mm] of [
    ['push', 0],
    ['pull', 0.15],
    ['zero', 0],
  ] as const)
    shop.fits.record(
      'small-fit',
      {
        id: `small-${part}`,
        kind: 'reading',
        place: 0,
        part,
        station: 0,
        angle: 0,
        value_mm,
        typed: String(value_mm),
        at,
        body: {
          unit: 'mm',
          instrument: 'Dial',
          answers: { 'shaft-still': 'yes', 'cap-final': 'yes', 'seal-out': 'yes', 'cover-tight': 'yes' },
        },
      },
      at,
    );
  shop.close();
  await onOrder(page, bench, ENGINE);
  await show(page, 'Cover on');
  await expect(bars).toHaveCount(0);
  await done(page);
  await stationSays(page, 'Cover on', 'done');
  // Opened up again, what rests on it is to be looked at, and nothing else.
  await show(page, 'Shaft in');
  await page.getByRole('heading', { name: 'Open it up again' }).click();
  await page.getByLabel('Why it is opened up').fill('a shell was dirty');
  await page.getByRole('button', { name: 'Opened up again' }).click();
  await stationSays(page, 'Shaft in', 'can be done now');
  await stationSays(page, 'Seal in', 'to be looked at');
  await stationSays(page, 'Cover on', 'to be looked at');
  await stationSays(page, 'Name plate on', 'can be done now');
  await page.keyboard.press('z');
  await stationSays(page, 'Cover on', 'done');
});

test('a trial build, taken apart and cleaned, and then the real one', async ({ page, bench }) => {
  smallEngine(bench).close();
  await page.context().addCookies([{ name: 'spanner-shop', value: 'demonstration', url: bench.address }]);
  await onOrder(page, bench, ENGINE);
  await page.getByRole('heading', { name: 'Trial build' }).click();
  await page.getByLabel('Go through loose first, up to').selectOption('Seal in');
  await page.getByRole('button', { name: 'Begin a trial build' }).click();
  for (const name of ['Shaft in', 'Seal in']) {
    await show(page, name);
    await page.getByRole('button', { name: 'Done for trial', exact: true }).click();
    await stationSays(page, name, 'done for trial');
  }
  await expect(page.getByText('All of it was tried')).toBeVisible();
  await expect(page.getByText('Seal in: fitted for trial').first()).toBeVisible();
  await page.getByRole('button', { name: 'Taken apart again' }).click();
  await stationSays(page, 'Shaft in', 'held up');
  await page.getByRole('button', { name: 'Everything is clean' }).click();
  await stationSays(page, 'Shaft in', 'can be done now');
  await show(page, 'Shaft in');
  await done(page);
  await stationSays(page, 'Shaft in', 'done');
});

test('a ring is refused as it is made; steps of a page are seen before they are put in', async ({ page, bench }) => {
  smallEngine(bench).close();
  await page.context().addCookies([{ name: 'spanner-shop', value: 'demonstration', url: bench.address }]);
  await onOrder(page, bench, ENGINE);
  await show(page, 'Shaft in');
  await page.getByRole('heading', { name: 'Change the order here' }).click();
  await page.getByRole('button', { name: 'Change this step' }).click();
  await page.getByRole('combobox', { name: 'What comes before it' }).click();
  await page.getByRole('option', { name: 'Cover on' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Save the step' }).click();
  await expect(page.getByText(/These wait for one another in a ring: “/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('heading', { name: 'More steps' }).click();
  await page.getByLabel('Numbered instructions of a page').fill('1. Oil the seal.\n2. Turn the shaft once.');
  await expect(page.getByRole('list', { name: 'What it becomes' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Put 2 steps in' }).click();
  await stationSays(page, 'Turn the shaft once', 'waits');
});

test('a tray from a table: bad rows are kept aside, the rest lies on it', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-norrhem/order/tray`);
  await page.getByRole('link', { name: 'Parts in (CSV)' }).click();
  await page.getByLabel('Paste it here').fill('Part;Needed;Here\nCase nuts;12;10\n;3;3\nWashers;many;1');
  await page.getByRole('button', { name: /Look/ }).click();
  await expect(page.getByText('“many” is no count.')).toBeVisible();
  await expect(page.getByText('2 rows are kept aside.')).toBeVisible();
  await page.getByRole('button', { name: 'Put 1 part on the tray' }).click();
  await expect(page.getByRole('heading', { name: 'Case nuts' })).toBeVisible();
  await expect(page.getByText('2 × Case nuts')).toBeVisible();
});
