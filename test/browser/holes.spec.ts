import { expect, inYard, test } from './bench';

test('holes are looked at by pressing those that are alike; a bad thread stops the joint until it is mended', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  const fold = page.locator('summary', { hasText: 'The holes, before the first bolt' });
  await expect(fold).toContainText('not looked at');
  await fold.click();
  const hole = (number: number) => page.getByRole('button', { name: `Hole of number ${number}`, exact: true });
  const keep = page.getByRole('button', { name: /^So (it is|are \d+ holes)$/ });
  await expect(keep).toBeDisabled();
  for (const number of [1, 2, 3]) await hole(number).click();
  // Nothing is taken for so that nobody chose.
  await page.getByLabel('Its end', { exact: true }).selectOption('blind');
  await page.getByLabel('What it reaches').selectOption('water');
  await expect(keep).toBeDisabled();
  await page.getByLabel('Its thread', { exact: true }).selectOption('good');
  await page.getByLabel('Full thread from the face').fill('24');
  await page.getByLabel('Dry and clean down to its end').check();
  await keep.click();
  await expect(page.getByText('1, 2, 3: blind, reaches water')).toBeVisible();
  await expect(fold).toContainText('11 of 14 not looked at');
  await hole(7).focus();
  await page.keyboard.press('Space');
  await page.getByLabel('Its end', { exact: true }).selectOption('through');
  await page.getByLabel('What it reaches').selectOption('dry');
  await page.getByLabel('Its thread', { exact: true }).selectOption('bad');
  await keep.click();
  await expect(
    page.getByText('Stops: The thread of number 7 is bad: mend it before anything is pulled in it.'),
  ).toBeVisible();
  await page.locator('summary', { hasText: 'Not known' }).click();
  await expect(page.getByText('10 of 14 holes', { exact: true })).toBeVisible();
  // Looked at once more, what is said of it stands in the place of what was.
  await hole(7).click();
  await page.getByLabel('Its thread', { exact: true }).selectOption('insert');
  await keep.click();
  await expect(page.getByText('The thread of number 7 is bad')).toHaveCount(0);
  await expect(page.getByText('7: goes through, reaches nothing, thread insert')).toBeVisible();
  await expect(page.getByText(/^Saved \d/)).toBeVisible();
  await page.reload();
  await expect(fold).toContainText('10 of 14 not looked at');
  await page.goto(`${bench.address}/face/rehearsal/demo-f-joint-head`);
  await expect(page.getByTestId('face-notes')).toContainText('Reaches water or oil: sealant on it');
  // Found dry and clean, it need not be said before each of three pulls.
  await expect(page.getByTestId('face-notes')).not.toContainText('Blind hole');
  expect(faults).toEqual([]);
});

test('what is half said of a hole, of a place and of a kind is there after a reload, and can be thrown away', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-norrhem/joints/demo-n-joint-heads`);
  const open = (title: string) => page.locator('summary', { hasText: title }).click();
  await open('The holes, before the first bolt');
  await page.getByRole('button', { name: 'Hole of number 3' }).click();
  await page.getByLabel('Its end', { exact: true }).selectOption({ index: 1 });
  await open('What is special about a place');
  await page.getByRole('button', { name: 'Place of number 2', exact: true }).click();
  await page.getByLabel('In words').fill('the long one');
  await open('Fasteners of other kinds');
  await page.getByRole('button', { name: 'Fastener number 4' }).click();
  await page.getByLabel('What they are called').fill('Short studs');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Hole of number 3' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('Its end', { exact: true })).not.toHaveValue('');
  await expect(page.getByRole('button', { name: 'Place of number 2', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByLabel('In words')).toHaveValue('the long one');
  await expect(page.getByRole('button', { name: 'Fastener number 4' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('What they are called')).toHaveValue('Short studs');
  await expect(page.getByText(/^Typed at .* and not saved/)).toHaveCount(3);
  for (const left of [2, 1, 0]) {
    await page.getByRole('button', { name: 'Throw it away' }).first().click();
    await expect(page.getByText(/^Typed at .* and not saved/)).toHaveCount(left);
  }
  await expect(page.getByLabel('What they are called')).toHaveValue('');
  await expect(page.getByRole('button', { name: 'Hole of number 3' })).toHaveAttribute('aria-pressed', 'false');
  expect(faults).toEqual([]);
});
