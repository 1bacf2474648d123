import { expect, faceAlive, inYard, nextPress, test } from './bench';

const SHEET = '/engines/demo-fourteen/joints/demo-f-joint-head';

test('a rehearsal goes round as the bench does, shows what a slip does to the other nuts, and records nothing', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  const sent: string[] = [];
  page.on('request', (request) => request.method() === 'POST' && sent.push(request.url()));
  await page.goto(bench.address + SHEET);
  await page.getByRole('link', { name: 'Rehearse it' }).click();
  await expect(page.getByText('Nothing here is recorded.')).toBeVisible();
  await faceAlive(page);
  const place = page.getByTestId('face-place');
  const map = page.getByRole('img', { name: /^Left in each, per cent/ });
  const left = async () => {
    const label = (await map.getAttribute('aria-label')) ?? '';
    return [...label.matchAll(/\d+: (\d+)/g)].map(([, share]) => Number(share));
  };
  await expect(place).toHaveText('Number 1 of 14, stage 1 of 3');
  expect(await left()).toEqual(Array.from({ length: 14 }, () => 0));
  await page.keyboard.press('Space');
  await expect(place).toHaveText('Number 2 of 14, stage 1 of 3');
  const [first = 0] = await left();
  expect(first).toBeGreaterThan(20);
  // The next lets the first go a little; one out of turn is no step of the plan.
  await nextPress(page);
  await page.keyboard.press('Space');
  await expect(place).toHaveText('Number 3 of 14, stage 1 of 3');
  await expect.poll(async () => (await left())[0]).toBeLessThan(first);
  await page.getByLabel('Which one is pulled out of turn').selectOption({ label: 'Number 14' });
  await page.getByRole('button', { name: 'Pull it out of turn' }).click();
  await expect.poll(async () => (await left())[13]).toBeGreaterThan(20);
  await expect(place).toHaveText('Number 3 of 14, stage 1 of 3');
  // Taken back, it is as if it had not been pulled; and a skipped stage is taken back whole.
  await nextPress(page);
  await page.getByRole('button', { name: 'Undo last' }).click();
  await expect.poll(async () => (await left())[13]).toBe(0);
  await expect(place).toHaveText('Number 3 of 14, stage 1 of 3');
  await page.getByRole('button', { name: 'Skip the rest of this stage' }).click();
  await expect(place).toHaveText('Number 1 of 14, stage 2 of 3');
  await nextPress(page);
  await page.getByRole('button', { name: 'Undo last' }).click();
  await expect(place).toHaveText('Number 3 of 14, stage 1 of 3');
  await page.getByRole('button', { name: 'Skip the rest of this stage' }).click();
  await expect(place).toHaveText('Number 1 of 14, stage 2 of 3');
  await nextPress(page);
  await page.keyboard.press('o');
  await expect(page.getByText('Last done: number 1, stage 2: went over')).toBeVisible();
  await nextPress(page);
  await page.getByRole('button', { name: 'Undo last' }).click();
  await expect(place).toHaveText('Number 1 of 14, stage 2 of 3');
  await page.getByRole('button', { name: 'From the beginning' }).click();
  await expect(place).toHaveText('Number 1 of 14, stage 1 of 3');
  expect(await left()).toEqual(Array.from({ length: 14 }, () => 0));
  expect(sent).toEqual([]);
  // What the yard had pulled is as it was.
  const answer = await page.request.get(`${bench.address}/api/tightenings/demo-f-joint-head-round-1/events`);
  const { result } = (await answer.json()) as { readonly result: readonly unknown[] };
  await page.getByRole('button', { name: 'Leave', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Rehearse it' })).toBeVisible();
  const again = await page.request.get(`${bench.address}/api/tightenings/demo-f-joint-head-round-1/events`);
  expect(((await again.json()) as { readonly result: readonly unknown[] }).result).toEqual(result);
});

test('the map on the sheet plays the plan, and the last round as it was pulled', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(bench.address + SHEET);
  await page.getByText('What the other nuts are doing').click();
  const map = page.getByRole('img', { name: /^After pull/ });
  await expect(map).toHaveAttribute('aria-label', /^After pull 42 of 42/);
  await page.getByLabel('What is played').selectOption('pulled');
  await expect(map).toHaveAttribute('aria-label', /^After pull 42 of 42/);
  // One of its nuts did not move at its last stage: no more than that is known of it.
  await expect(page.getByText('1 did not move at the figure: that shows at least 79 % of it')).toBeVisible();
});

test('where it matters most the face says the stretch beside the torque, and that either ends the pull', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/face/rehearsal/demo-m-joint-rods`);
  await faceAlive(page);
  const stretch = page.getByText(/^By stretch: .*, and never over .*\. Stop at whichever comes first/);
  await expect(stretch).toHaveCount(0);
  for (let pulls = 0; pulls < 20 && (await stretch.count()) === 0; pulls++) {
    await page.keyboard.press('Space');
    await nextPress(page);
  }
  await expect(stretch).toBeVisible();
});
