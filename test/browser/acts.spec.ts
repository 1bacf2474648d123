import type { Page } from '@playwright/test';
import { expect, inYard, test, type Bench } from './bench';

const HEAD = '/engines/demo-fourteen/joints/demo-f-joint-head';
const notice = (page: Page) => page.getByRole('status').filter({ hasText: 'Undo' });
const leaveField = (page: Page) => page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());

async function atHead(page: Page, bench: Bench) {
  await inYard(page, bench);
  await page.goto(bench.address + HEAD);
  await expect(page.getByTestId('setting')).toBeVisible();
}

test('a change of a sheet is taken back by its key, by the list after a restart, and done again', async ({
  page,
  bench,
}) => {
  await atHead(page, bench);
  const film = page.getByLabel('Lubricant today');
  const setting = await page.getByTestId('setting').textContent();
  await film.selectOption('engine-oil');
  await expect(notice(page)).toContainText('Lubricant today');
  await leaveField(page);
  await page.keyboard.press('z');
  await expect(film).toHaveValue('moly-paste');
  await expect(page.getByTestId('setting')).toHaveText(setting ?? '');

  await film.selectOption('dry-bare');
  await expect(notice(page)).toContainText('Dry');
  await bench.restart();
  await page.goto(`${bench.address}/engines/demo-fourteen/about`);
  await page.getByRole('link', { name: 'Last acts' }).first().click();
  const acts = page.getByRole('main').getByRole('listitem');
  await expect(acts).toHaveCount(2);
  await expect(acts.nth(1)).toContainText('taken back');
  let [isHeld, sent] = [true, 0];
  await page.route('**/acts', async (route) => {
    if (route.request().method() === 'POST') sent++;
    while (isHeld && route.request().method() === 'POST') await new Promise((done) => setTimeout(done, 20));
    await route.continue();
  });
  const takeBack = acts.nth(0).getByRole('button', { name: 'Take it back' });
  await takeBack.click();
  await expect(takeBack).toHaveAttribute('aria-disabled', 'true');
  // While it is under way another press of it does nothing, by the pointer and by the keyboard.
  await takeBack.click({ force: true });
  await takeBack.press('Enter');
  isHeld = false;
  await expect(acts.nth(0)).toContainText('taken back');
  expect(sent).toBe(1);
  await acts.nth(0).getByRole('button', { name: 'Do it again' }).click();
  await expect(acts.nth(0)).not.toContainText('taken back');
  await page.goto(bench.address + HEAD);
  await expect(film).toHaveValue('dry-bare');
  // A change made on the sheet afterwards is written on what is there now.
  await film.selectOption('moly-paste');
  await expect(page.getByText(/^Saved \d\d:\d\d/)).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'changed in another window' })).toHaveCount(0);
});

test('a notice of a sheet does not follow to the bench, and its key takes nothing back there', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-norrhem/joints/demo-n-joint-heads`);
  const film = page.getByLabel('Lubricant today');
  const before = await film.inputValue();
  const other = before === 'moly-paste' ? 'engine-oil' : 'moly-paste';
  await film.selectOption(other);
  await expect(notice(page)).toBeVisible();
  await page.getByRole('button', { name: 'Test round' }).click();
  const place = page.getByTestId('face-place');
  const reason = page.getByLabel('Why it is pulled all the same');
  await expect(place.or(reason)).toBeVisible();
  if (await reason.isVisible()) {
    await reason.fill('to try');
    await page.getByRole('button', { name: 'To the bench, with this reason' }).click();
  }
  await expect(place).toBeVisible();
  await expect(notice(page)).toHaveCount(0);
  await page.keyboard.press('z');
  await page.goto(`${bench.address}/engines/demo-norrhem/joints/demo-n-joint-heads`);
  await expect(film).toHaveValue(other);
});

test('whose initials are asked once a device, and stand on the lines; a note with a photograph is kept and printed', async ({
  page,
  bench,
}) => {
  await atHead(page, bench);
  await page.getByRole('heading', { name: 'Notes and photographs' }).click();
  await page.getByLabel('A note').fill('Stud came out with its nut');
  await page.getByLabel('Of which fastener').selectOption('3');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Stud came out with its nut').first()).toBeVisible();
  await page.getByLabel('Whose initials stand').fill('i.h.');
  await page.getByRole('button', { name: 'Put IH' }).click();
  await page.getByLabel('A note').fill('Put back dry, to depth');
  await page.getByRole('button', { name: 'Write it down' }).click();
  const second = page.getByRole('listitem').filter({ hasText: 'Put back dry, to depth' });
  await expect(second).toContainText('IH');
  await expect(page.getByLabel('Whose initials stand')).toHaveCount(0);
  const pixel = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR4nGNgYGD4DwABBAEAX+XDSwAAAABJRU5ErkJggg==',
    'base64',
  );
  await second.locator('input[type=file]').setInputFiles({ name: 'stud.png', mimeType: 'image/png', buffer: pixel });
  await expect(second.getByRole('img')).toBeVisible();
  await page.goto(`${bench.address}/engines/demo-fourteen/record/demo-f-joint-head`);
  await expect(page.getByRole('heading', { name: 'Notes' })).toBeVisible();
  await expect(page.getByText('Number 3:')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Photograph 1 of the note' })).toBeVisible();
  await page.keyboard.press('f');
  const asked = page.getByRole('textbox', { name: 'Find' });
  await asked.fill('stud came');
  await expect(page.getByText('Stud came out with its nut').last()).toBeVisible();
});

test('a fit with readings is set aside with a reason and brought back; one that is out stays', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/fits/demo-f-fit-gaps`);
  await page.getByRole('heading', { name: 'What is wanted' }).click();
  await page.getByRole('button', { name: 'Take away' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'on it' })).toBeVisible();
  await page.getByLabel(/^Why .* is set aside$/).fill('measured with the wrong feelers');
  await page.getByRole('button', { name: 'Set aside', exact: true }).click();
  await expect(page).toHaveURL(/\/fits$/);
  await page.getByRole('heading', { name: 'Set aside' }).click();
  await expect(page.getByRole('main').getByText('measured with the wrong feelers')).toBeVisible();
  await page.getByRole('button', { name: /^Bring back/ }).click();
  await expect(page.getByRole('heading', { name: 'Set aside' })).toHaveCount(0);

  await page.goto(`${bench.address}/engines/demo-norrhem/fits/demo-n-fit-mains`);
  await page.getByRole('heading', { name: 'What is wanted' }).click();
  await page.getByRole('button', { name: 'Take away' }).click();
  await page.getByLabel(/^Why .* is set aside$/).fill('later');
  await page.getByRole('button', { name: 'Set aside', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'out of limits' }).last()).toBeVisible();
  await expect(page).toHaveURL(/demo-n-fit-mains$/);
});

test('a sister engine takes over book and joints, and what is not known of it is asked', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/new`);
  await page.getByLabel('Name').fill('The other Fourteen');
  await page.getByRole('button', { name: 'Put it on a stand' }).click();
  await page.getByRole('link', { name: 'Take over from another engine' }).click();
  await page.getByLabel('From', { exact: true }).selectOption({ label: 'Thorncote-Wicks Fourteen' });
  await page.getByRole('button', { name: /^Take \d+ over$/ }).click();
  await expect(page).toHaveURL(/\/joints$/);
  await page.getByRole('link', { name: 'Cylinder head', exact: true }).click();
  await expect(page.getByTestId('setting')).toHaveText('26.5 lbf·ft');
  await expect(page.getByText(/things are not known/)).toBeVisible();
});

test('a table half filled comes back after a reload, in its own shop alone, and is gone once saved', async ({
  page,
  bench,
  browser,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-norrhem/fits/volumes`);
  await page.getByLabel('Standard bore').fill('79.4');
  await page.keyboard.press('Tab');
  await page.reload();
  await expect(page.getByText(/^Typed at/)).toBeVisible();
  await expect(page.getByLabel('Standard bore')).toHaveValue('79.4');
  await page.getByLabel('Stroke').fill('100');
  await page.getByLabel('Cylinders').fill('4');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Standard bore')).toHaveValue('79.4');
  await expect(page.getByText(/^Typed at/)).toHaveCount(0);
  // Saved again and taken back, the cells say what is on disk.
  await page.getByLabel('Stroke').fill('101');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(notice(page)).toContainText('volumes');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByLabel('Stroke')).toHaveValue('100');
  // Saved on another device meanwhile, what is typed here stays, and is held against it when it is saved.
  await page.getByLabel('Stroke').fill('102');
  await page.keyboard.press('Tab');
  const elsewhere = await browser.newContext();
  await elsewhere.addCookies([{ name: 'spanner-shop', value: 'demonstration', url: bench.address }]);
  const other = await elsewhere.newPage();
  await other.goto(`${bench.address}/engines/demo-norrhem/fits/volumes`);
  await other.getByLabel('Cylinders').fill('6');
  await other.keyboard.press('Tab');
  await other.getByRole('button', { name: 'Save it' }).click();
  await expect(other.getByText('Kept.')).toBeVisible();
  await elsewhere.close();
  await page.reload();
  await expect(page.getByLabel('Stroke')).toHaveValue('102');
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.getByText('changed in another window or on another device').first()).toBeVisible();
  await page.getByRole('button', { name: 'Put what stands here over it' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
});
