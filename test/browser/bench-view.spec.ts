import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { jointInputs } from '@/db/reads/joint-inputs';
import { openShop } from '@/db/shop';
import { planOfJoint } from '@/model/joint/round-plan';
import { expect, faceAlive, inYard, nextPress, test, type Bench } from './bench';

const FACE = '/face/demo-m-joint-head-round-1';
const pull = (page: Page) => page.getByRole('button', { name: 'Pull', exact: true });

/** A joint of many fasteners and a long name, with a round begun. */
function longJoint(bench: Bench, fasteners: number): string {
  const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
  const head = shop.joints.find('demo-m-joint-head');
  if (!head) throw new Error('the yard has no head');
  const name = 'Cylinder head, both banks, long studs and short studs, over the water jacket too';
  shop.joints.add({ ...head, id: 'long', name, fasteners });
  const startedAt = new Date().toISOString();
  const long = { ...head, id: 'long', name, fasteners };
  const plan = planOfJoint(jointInputs(shop, long, Date.now()));
  shop.tightenings.start({ id: 'long-round', jointId: 'long', purpose: 'final', plan, startedAt });
  shop.close();
  return '/face/long-round';
}

/** Whether a thing is on the screen with nothing over it. */
const uncovered = (thing: Locator) =>
  thing.evaluate((element) => {
    const { x, y, width, height } = element.getBoundingClientRect();
    const seen = document.elementFromPoint(x + width / 2, y + height / 2);
    return seen !== null && (element.contains(seen) || seen.contains(element)) && y >= 0 && y + height <= innerHeight;
  });

test('two touches close together record one pull, and it is said', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  const place = page.getByTestId('face-place');
  await expect(place).toHaveText('Number 3 of 4, stage 2 of 3');
  await faceAlive(page);
  // From inside the page: the machine's load does not stretch the two into pulls of their own.
  await pull(page).evaluate(async (key) => {
    (key as HTMLButtonElement).click();
    await new Promise((resume) => setTimeout(resume, 76));
    (key as HTMLButtonElement).click();
  });
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect(page.getByText('One press counted: a second')).toBeVisible();
  await expect(
    page.getByRole('status').filter({ hasText: 'One press counted. number 4, stage 2: 16.5' }),
  ).toBeAttached();
});

test('a crank that does not turn freely stops the round under its words, on the rail too, until it does', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  await faceAlive(page);
  const place = page.getByTestId('face-place');
  for (const number of [3, 4]) {
    await expect(place).toHaveText(`Number ${number} of 4, stage 2 of 3`);
    await page.keyboard.press('Space');
    await nextPress(page);
  }
  await expect(page.getByText('Turn the crank', { exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: 'It does not turn freely' }).click();
  await page.getByLabel('What is felt, and since when').fill('tight once a turn');
  await page.getByRole('button', { name: 'It binds' }).click();
  await expect(page.getByText('tight once a turn', { exact: true })).toBeVisible();
  await expect(page.getByText('Slacken what was pulled last')).toBeVisible();
  const rail = await page.context().newPage();
  await rail.goto(`${bench.address}/engines/demo-maestrale/tighten`);
  await expect(rail.getByText('the crank does not turn freely').first()).toBeVisible();
  await expect(rail.getByText('The crank does not turn freely: tight once a turn.')).toBeVisible();
  await rail.close();
  await page.getByRole('button', { name: 'Turned, with what was read' }).click();
  await page.getByLabel('What was read or felt').fill('free again, float 0.12 mm');
  await page.getByRole('button', { name: 'Turned', exact: true }).click();
  await expect(place).toHaveText('Number 1 of 4, stage 3 of 3');
  await page.goto(`${bench.address}/engines/demo-maestrale/record/demo-m-joint-head`);
  await expect(page.getByText('the crank does not turn freely: tight once a turn')).toBeVisible();
  await expect(page.getByText('crank turned: free again, float 0.12 mm')).toBeVisible();
});

test('one round is put down and another taken up, and both stand as they were left', async ({ page, bench }) => {
  await inYard(page, bench);
  const other = longJoint(bench, 4);
  await page.goto(bench.address + other);
  await faceAlive(page);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('face-place')).toHaveText('Number 2 of 4, stage 1 of 3');
  await expect(page.getByText('Last done: number 1, stage 1')).toBeVisible();
  await nextPress(page);
  await page.getByRole('button', { name: 'Another round' }).click();
  const rounds = page.getByRole('list', { name: 'Other rounds under way' });
  await expect(rounds.getByRole('link')).toHaveCount(1);
  await rounds.getByRole('link', { name: 'Valdrossa Maestrale 250 Cylinder head: number 3, stage 2' }).click();
  await expect(page.getByTestId('face-place')).toHaveText('Number 3 of 4, stage 2 of 3');
  await faceAlive(page);
  await page.getByRole('button', { name: 'Another round' }).click();
  await rounds.getByRole('link').first().click();
  await expect(page.getByTestId('face-place')).toHaveText('Number 2 of 4, stage 1 of 3');
  // The wrench was laid down with it, and is had again.
  await faceAlive(page);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('face-place')).toHaveText('Number 3 of 4, stage 1 of 3');
});

test('when all is done the space bar leaves, but not the press that ended the last pull', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(bench.address + longJoint(bench, 1));
  await faceAlive(page);
  for (let stage = 1; stage <= 3; stage++) {
    await expect(page.getByTestId('face-place')).toHaveText(`Number 1 of 1, stage ${stage} of 3`);
    await page.keyboard.press('Space');
    await nextPress(page);
    if (stage < 3 && (await page.getByText('Turn the crank', { exact: true }).count()) > 0) {
      await page.keyboard.press('Space');
      await nextPress(page);
    }
  }
  await expect(page.getByRole('button', { name: /^Leave/ })).toHaveText(['Leave the bench']);
  await page.keyboard.press('Space');
  await expect(page).toHaveURL(/\/face\//);
  await page.waitForTimeout(1100);
  await page.keyboard.press('Space');
  await page.waitForURL('**/tighten');
});

test('figure, place and Pull stand on the screen at every size, with forty nuts and a name of eighty letters', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  const address = bench.address + longJoint(bench, 40);
  for (const [width, height] of [
    [1280, 800],
    [1024, 768],
    [800, 1280],
    [844, 390],
    [640, 400],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await page.goto(address);
    await faceAlive(page);
    for (const thing of [page.getByTestId('face-setting'), page.getByTestId('face-place'), pull(page)])
      expect([width, height, await uncovered(thing)]).toEqual([width, height, true]);
  }
});

test('what must be read at two metres on a ten-inch tablet has sixteen minutes of arc', async ({ page, bench }) => {
  await inYard(page, bench);
  // 0.170 mm a point on a 10.1 inch tablet; capitals and figures of the faces stand 0.72 of their size high.
  const size = (arcminutes: number) => (2000 * Math.tan((arcminutes / 60) * (Math.PI / 180))) / 0.17 / 0.72;
  for (const [width, height] of [
    [1280, 800],
    [800, 1280],
  ] as const) {
    await page.setViewportSize({ width, height });
    await page.goto(bench.address + FACE);
    const sizes = await page
      .locator('[data-testid="face-setting"], [data-testid="face-unit"], [data-testid="face-place"] b')
      .evaluateAll((elements) => elements.map((element) => Number.parseFloat(getComputedStyle(element).fontSize)));
    expect(sizes).toHaveLength(4);
    for (const one of sizes) expect(one).toBeGreaterThanOrEqual(size(16));
  }
});
