import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { openShop } from '@/db/shop';
import { expect, faceAlive, inYard, nextPress, pulledAt, test } from './bench';

const FACE = '/face/demo-m-joint-head-round-1';

test('a pull made while the program does not answer is kept, sent again, and only then drawn solid', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  const place = page.getByTestId('face-place');
  await expect(place).toHaveText('Number 3 of 4, stage 2 of 3');
  await faceAlive(page);
  await bench.cut();
  await page.keyboard.press('Space');
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect(page.getByRole('alert').filter({ hasText: 'not on disk yet' })).toBeVisible();
  await expect(page.locator('[data-pending]')).toHaveCount(1);
  await bench.restart();
  await expect(page.locator('[data-pending]')).toHaveCount(0, { timeout: 15_000 });
  await page.reload();
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
});

test('a line left in a closed browser is sent when the face is opened again', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  await expect(page.getByTestId('face-place')).toBeVisible();
  await faceAlive(page);
  await bench.cut();
  await page.keyboard.press('Space');
  await expect(page.locator('[data-pending]')).toHaveCount(1);
  await page.goto('about:blank');
  await bench.restart();
  await page.goto(bench.address + FACE);
  await expect(page.getByTestId('face-place')).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect(page.locator('[data-pending]')).toHaveCount(0);
});

test('a browser that keeps nothing says so where it matters, and what was pulled is sent from the open page', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('Denied', 'SecurityError');
    };
  });
  await page.goto(bench.address + FACE);
  await faceAlive(page);
  await page.route('**/events', (route) => route.abort());
  await page.keyboard.press('Space');
  await expect(page.getByRole('alert').filter({ hasText: 'this browser keeps nothing' })).toBeVisible();
  await page.unroute('**/events');
  await expect(page.locator('[data-pending]')).toHaveCount(0, { timeout: 15_000 });
  await expect(page.getByRole('alert').filter({ hasText: 'keeps nothing' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId('face-place')).toHaveText('Number 4 of 4, stage 2 of 3');
});

test('two screens at one joint: one has the wrench, the other sees what is done, asks for it and gets it', async ({
  page,
  bench,
  context,
}) => {
  await inYard(page, bench);
  const by = (name: string) => context.addCookies([{ name: 'spanner-who', value: name, url: bench.address }]);
  const place = (one: Page) => one.getByTestId('face-place');
  const pull = (one: Page) => one.getByRole('button', { name: 'Pull', exact: true });
  await by('IH');
  await page.goto(bench.address + FACE);
  await faceAlive(page);
  await by('MK');
  const other = await context.newPage();
  await other.goto(bench.address + FACE);
  await expect(other.getByTestId('looking-on')).toContainText('IH, at another screen, has the wrench');
  // From there nothing is pulled, by key or by touch; what is done at the first is seen.
  await other.keyboard.press('Space');
  await expect(pull(other)).toHaveCount(0);
  await pull(page).click();
  await expect(page.locator('[data-pending]')).toHaveCount(0);
  await expect(place(other)).toHaveText('Number 4 of 4, stage 2 of 3');
  // The API is as shut as the screen.
  const answer = await other.request.post(`${bench.address}/api/tightenings/demo-m-joint-head-round-1/events`, {
    data: { id: 'not-from-here', kind: 'pull', step: 7, outcome: 'pulled', age_ms: 0 },
  });
  expect([answer.status(), ((await answer.json()) as { error: { code: string } }).error.code]).toEqual([
    409,
    'held-elsewhere',
  ]);
  await other.getByRole('button', { name: 'Ask for it' }).click();
  await expect(other.getByRole('button', { name: 'Asked for' })).toBeDisabled();
  await page.getByRole('button', { name: 'Hand it over' }).click();
  await expect(page.getByTestId('looking-on')).toContainText('MK, at another screen, has the wrench');
  await faceAlive(other);
  await nextPress(other);
  await pull(other).click();
  const crank = (one: Page) => one.getByText('Turn the crank', { exact: true }).first();
  for (const one of [other, page]) await expect(crank(one)).toBeVisible();
  // Taken with a word, which is said at the other; laid down by leaving, it lies there.
  await by('IH');
  await page.getByRole('button', { name: 'Take it all the same, with a word why' }).click();
  await page.getByLabel(/^Why it is taken over/).fill('MK is at lunch');
  await page.getByRole('button', { name: 'Take it over' }).click();
  await expect(page.getByRole('button', { name: 'Crank turned' })).toBeEnabled();
  await by('MK');
  await expect(other.getByTestId('looking-on')).toContainText('MK is at lunch');
  await page.getByRole('button', { name: 'Leave', exact: true }).click();
  await expect(other.getByTestId('looking-on')).toContainText('lies there');
  await nextPress(other);
  await other.keyboard.press('Space');
  await expect(other.getByRole('button', { name: 'Crank turned' })).toBeEnabled();
  await expect(crank(other)).toBeVisible();
});

test('a tab that is doubled is another screen; read again, each is the one that it was', async ({
  page,
  bench,
  context,
}) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  await faceAlive(page);
  await page.reload();
  await faceAlive(page);
  // The double has all that the tab's store held.
  const held = await page.evaluate(() => Object.entries(sessionStorage));
  const double = await context.newPage();
  await double.addInitScript((entries: [string, string][]) => {
    for (const [key, value] of entries) sessionStorage.setItem(key, value);
  }, held);
  await double.goto(bench.address + FACE);
  await expect(double.getByTestId('looking-on')).toContainText('Another screen has the wrench');
  await expect(page.getByRole('button', { name: 'Pull', exact: true })).toBeEnabled();
  await expect(page.getByTestId('looking-on')).toHaveCount(0);
});

test('two tabs on one sheet: what another wrote is shown beside what is written here, and a person chooses', async ({
  page,
  bench,
  context,
}) => {
  await inYard(page, bench);
  const other = await context.newPage();
  const sheet = `${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`;
  for (const one of [page, other]) {
    await one.goto(sheet);
    await expect(one.getByLabel('Lubricant today')).toBeEnabled();
  }
  const figure = (one: Page) => one.locator('[data-rung="film"]');
  const range = (one: Page) => one.getByLabel('A range becomes');
  const onDisk = () => {
    const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
    const { todayFilm, rangeSchool } = shop.joints.find('demo-f-joint-head') ?? {};
    shop.close();
    return [todayFilm, rangeSchool];
  };
  await page.getByLabel('Lubricant today').selectOption('engine-oil');
  await expect.poll(onDisk).toEqual(['engine-oil', 'middle']);
  await range(other).selectOption('top');
  const conflict = other.getByRole('alert', { name: 'Changed elsewhere' });
  await expect(conflict.getByRole('row')).toContainText(['On disk', 'Engine oil']);
  expect(onDisk()).toEqual(['engine-oil', 'middle']);
  const afresh = other.getByRole('button', { name: 'Tighten again', exact: true });
  await expect(afresh).toBeDisabled();
  await conflict.getByRole('button', { name: 'Take it, and put my change over it' }).click();
  await expect.poll(onDisk).toEqual(['engine-oil', 'top']);
  await expect(conflict).toHaveCount(0);
  await expect(afresh).toBeEnabled();
  await expect(figure(other)).not.toContainText('0.6941');
  // The first tab now stands on an old page, and takes what is on disk instead of its own.
  await range(page).selectOption('low');
  await page.getByRole('alert', { name: 'Changed elsewhere' }).getByRole('button', { name: 'Take what is' }).click();
  await expect(range(page)).toHaveValue('top');
  expect(onDisk()).toEqual(['engine-oil', 'top']);
});

test('a change that did not get through goes with the next one, and nothing is begun before', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  await expect(page.getByLabel('Lubricant today')).toBeEnabled();
  const onDisk = () => {
    const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
    const { todayFilm, rangeSchool } = shop.joints.find('demo-f-joint-head') ?? {};
    const rounds = shop.tightenings.ofJoint('demo-f-joint-head').length;
    shop.close();
    return [todayFilm, rangeSchool, rounds];
  };
  const [film, , rounds] = onDisk();
  await page.route('**/joints/demo-f-joint-head', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Lubricant today').selectOption('engine-oil');
  await expect(page.getByText('did not answer')).toBeVisible();
  await page.unroute('**/joints/demo-f-joint-head');
  await page.getByRole('button', { name: 'Test round' }).click();
  await expect(page.getByText('is not on disk: nothing was begun')).toBeVisible();
  expect(onDisk()).toEqual([film, 'middle', rounds]);
  await page.getByLabel('A range becomes').selectOption('top');
  await expect.poll(onDisk).toEqual(['engine-oil', 'top', rounds]);
  await page.getByRole('button', { name: 'Test round' }).click();
  await page.waitForURL('**/face/**');
});

test('a held key or a bouncing pedal counts once', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  const place = page.getByTestId('face-place');
  await expect(place).toHaveText('Number 3 of 4, stage 2 of 3');
  await faceAlive(page);
  // Sent from inside the page, so that the machine's load does not stretch the bounce into two pulls.
  await page.evaluate(() => {
    for (const repeat of [false, true, true, false])
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown', repeat, bubbles: true, cancelable: true }));
  });
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect(page.locator('[data-pending]')).toHaveCount(0);
  await nextPress(page);
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Turn the crank', { exact: true }).first()).toBeVisible();
});

test('a pointer on Strike does not take the space bar from the pull', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  await page.getByRole('button', { name: 'Undo last' }).click();
  await expect(page.getByTestId('face-place')).toHaveText('Number 2 of 4, stage 2 of 3');
  await nextPress(page);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('face-place')).toHaveText('Number 3 of 4, stage 2 of 3');
  await page.getByRole('button', { name: 'Undo last' }).focus();
  await nextPress(page);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('face-place')).toHaveText('Number 2 of 4, stage 2 of 3');
});

test('keys: the list, the stops, the engines, the other units, and all of them off', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  const value = page.locator('[data-rung="film"]');
  await expect(value).toContainText('26.38 lbf·ft');
  await page.keyboard.press('u');
  await expect(value).toContainText('35.76 N·m');
  await page.keyboard.press('7');
  await expect(page.getByRole('heading', { name: 'Record', exact: true })).toBeVisible();
  await page.keyboard.press(']');
  await expect(page).toHaveURL(/demo-maestrale/);
  // The address changes before the sheet is drawn: what is pressed in between may go with the one before.
  await expect(page.getByRole('heading', { level: 1, name: 'Tighten' })).toBeVisible();
  await page.keyboard.press('Shift+?');
  const dialog = page.getByRole('dialog', { name: 'Keys' });
  await expect(dialog).toContainText('Record the pull');
  await dialog.getByRole('switch', { name: 'Write decimals with a comma' }).check();
  await dialog.getByRole('switch', { name: 'Single keys work outside the bench' }).uncheck();
  await page.keyboard.press('Escape');
  const here = page.url();
  await page.keyboard.press('1');
  await page.waitForTimeout(300);
  expect(page.url()).toBe(here);
  await page.goto(`${bench.address}/engines/demo-maestrale/joints`);
  await expect(page.getByText(/\d,\d N·m/).first()).toBeVisible();
});

test('the face goes on where it was when a joint is altered meanwhile', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-maestrale/joints/demo-m-joint-head`);
  const before = await page.getByTestId('setting').textContent();
  await page.getByLabel('Lubricant today').selectOption('dry-bare');
  await expect(page.getByTestId('setting')).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Go on at the bench' }).click();
  await expect(page.getByTestId('face-setting')).toHaveText('16.5');
  await page.goto(`${bench.address}/engines/demo-maestrale/joints/demo-m-joint-head`);
  await expect(page.getByLabel('Lubricant today')).toHaveValue('dry-bare');
});

test('the demonstration yard is put back as it was, and the own shop is not touched', async ({ page, bench }) => {
  await page.goto(bench.address);
  await page.getByRole('button', { name: 'Walk round the demonstration yard' }).click();
  await expect(page.getByRole('heading', { name: 'On the stands' })).toBeVisible();
  await page.goto(bench.address + FACE);
  // Half done, and left days ago.
  await page.getByRole('button', { name: 'It is as I left it' }).click();
  await nextPress(page);
  await page.getByRole('button', { name: 'Pull', exact: true }).click();
  await expect(page.locator('[data-pending]')).toHaveCount(0);
  await page.goto(bench.address);
  await page.getByRole('button', { name: 'Put the yard back as it was' }).click();
  await expect(page.getByRole('button', { name: 'Put the yard back as it was' })).toBeEnabled();
  await page.goto(bench.address + FACE);
  await page.getByRole('button', { name: 'It is as I left it' }).click();
  await expect(page.getByTestId('face-place')).toHaveText('Number 3 of 4, stage 2 of 3');
  await page.goto(bench.address);
  await page.getByRole('button', { name: 'Go to my own shop' }).click();
  await expect(page.getByRole('heading', { name: 'An empty shop' })).toBeVisible();
});

test('a wrong run is struck, and the retorque waits for heat again', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/run-in`);
  await expect(page.getByText('Retorque when cold')).toBeVisible();
  await page.getByRole('button', { name: 'Undo this run' }).click();
  await expect(page.getByText('Retorque waits for the first heat cycle.')).toBeVisible();
});

test('among many engines the rail hangs the latest and the one looked at, and leads to all', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
  const norrhem = shop.engines.find('demo-norrhem');
  if (!norrhem) throw new Error('no Norrhem');
  for (let n = 1; n <= 20; n++) shop.engines.add({ ...norrhem, id: `stand-${n}`, name: `Stand ${n}` });
  shop.close();
  const rail = page.getByRole('navigation', { name: 'Engines on stands' });
  await page.goto(`${bench.address}/engines/demo-fourteen/joints`);
  await expect(rail.getByRole('link')).toHaveCount(7);
  await expect(rail.locator('[aria-current]')).toContainText('Thorncote-Wicks Fourteen');
  await expect(rail.locator('[aria-current]')).toBeInViewport({ ratio: 0.9 });
  await expect(rail.getByRole('link', { name: /^Stand 20/ })).toHaveCount(1);
  await page.goto(`${bench.address}/engines/stand-20/joints`);
  await expect(rail.getByRole('link')).toHaveCount(6);
  await page.getByRole('link', { name: 'all 23 engines' }).click();
  await expect(page.getByRole('heading', { name: 'On the stands' })).toBeVisible();
  await expect(page.getByRole('main').getByRole('link', { name: /^Stand / })).toHaveCount(20);
  expect(faults).toEqual([]);
});

test('left for long, the bench asks for the last one to be touched again, and that press pulls nothing', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
  pulledAt(shop, Date.now() - 3 * 3_600_000);
  const before = shop.tightenings.events('demo-m-joint-head-round-1').length;
  await page.goto(bench.address + FACE);
  await expect(page.getByText('You last did', { exact: true })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('number 2, stage 2');
  await expect(page.getByRole('main')).toContainText('3 hours ago');
  await expect(page.getByRole('button', { name: 'It is as I left it' })).toBeEnabled();
  await page.keyboard.press('m');
  await expect(page.getByTestId('face-place')).toHaveText('Number 3 of 4, stage 2 of 3');
  expect(shop.tightenings.events('demo-m-joint-head-round-1')).toHaveLength(before);
  await nextPress(page);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('face-place')).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect.poll(() => shop.tightenings.events('demo-m-joint-head-round-1').length).toBe(before + 1);
  shop.close();
});

test('a bench that lay open and asleep asks at the first press, whatever it shows, and pulls nothing by it', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.clock.install();
  await page.goto(bench.address + FACE);
  const place = page.getByTestId('face-place');
  await faceAlive(page);
  await page.keyboard.press('Space');
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  // Asleep: the hour goes on, and nothing on the page runs.
  await page.clock.setSystemTime(Date.now() + 3 * 3_600_000);
  await expect(place).toBeVisible();
  await nextPress(page);
  await page.clock.runFor(500);
  await page.keyboard.press('Space');
  await expect(page.getByText('You last did', { exact: true })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('number 3, stage 2');
  await page.clock.runFor(500);
  await page.keyboard.press('Space');
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
});

test('what the bench draws later is fetched while the program answers; out of reach before, it says so and goes on', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  await faceAlive(page);
  const why = page.getByLabel('Why it is passed over; it comes back at the end');
  const later = page.getByRole('button', { name: 'Later, with a reason' });
  await page.route('**/*.js', (route) => route.abort());
  await later.click();
  await expect(page.getByRole('alert').filter({ hasText: 'does not answer: press again' })).toBeVisible();
  await expect(why).toHaveCount(0);
  await page.unroute('**/*.js');
  await later.click();
  await expect(why).toBeFocused();
  // A bench that lay open for a moment has it all: nothing is fetched any more.
  await page.reload();
  await faceAlive(page);
  await page.waitForTimeout(2500);
  await page.route('**/*.js', (route) => route.abort());
  await later.click();
  await expect(why).toBeFocused();
});

test('what a sheet fetches later says so out of reach, and takes neither it nor what is typed away', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  const out = page.getByRole('alert').filter({ hasText: 'does not answer: press again' });
  // What may be written anywhere comes once the browser rests.
  await page.waitForLoadState('networkidle');
  await page.route(/\/_next\/static\//, (route) => route.abort());
  // The list of keys goes as it came.
  await page.keyboard.press('?');
  await expect(out).toBeVisible();
  // Another one stands beneath it.
  await page.getByRole('button', { name: 'Find' }).click();
  await expect(out).toHaveCount(2);
  const [upper, lower] = [await out.first().boundingBox(), await out.last().boundingBox()];
  expect(upper && lower && upper.height > 0 && upper.y + upper.height <= lower.y).toBe(true);
  await out.last().getByRole('button', { name: 'Leave it' }).click();
  await page.keyboard.press('?');
  await expect(out).toHaveCount(0);
  await page.getByRole('heading', { name: 'Notes and photographs' }).click();
  const note = page.getByLabel('A note');
  await note.fill('the third stud from the front is short');
  // What was looked for is left, and asked for anew.
  await page.getByRole('button', { name: 'Find' }).click();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(out).toHaveCount(0);
  await page.getByRole('button', { name: 'Find' }).click();
  await expect(out).toBeVisible();
  await page.getByText('The spread', { exact: true }).click();
  await expect(out).toHaveCount(2);
  await page.getByText('What the other nuts are doing', { exact: true }).click();
  await expect(out).toHaveCount(3);
  await expect(note).toHaveValue('the third stud from the front is short');
  await page.unroute(/\/_next\/static\//);
  // Each by its own key; the box by the key that it is asked for with, too.
  await page.locator('main').getByRole('button', { name: 'Try again' }).first().click();
  await page.locator('main').getByRole('button', { name: 'Try again' }).click();
  await expect(out).toHaveCount(1);
  await expect(page.getByLabel('Modulus E, GPa')).toBeVisible();
  await page.getByRole('button', { name: 'Find' }).click();
  await expect(page.getByRole('textbox', { name: 'Find' })).toBeFocused();
  await expect(out).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(note).toHaveValue('the third stud from the front is short');
});

test('a unit that nothing here can read yet is taken once it can be, a bare figure at once; a calendar gives way to the browser’s own', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  const out = page.getByText('does not answer: press again');
  await page.goto(`${bench.address}/engines/demo-fourteen/fits/volumes`);
  const margin = page.getByRole('complementary', { name: 'Working' });
  const stroke = page.getByLabel('Stroke, in');
  await page.route(/\/_next\/static\//, (route) => route.abort());
  await stroke.fill('95.25 mm');
  await expect(out).toBeVisible();
  await expect(margin).toContainText('× 94.996 / 1000');
  await stroke.fill('3.75');
  await expect(out).toHaveCount(0);
  await expect(margin).toContainText('× 95.25 / 1000');
  await stroke.fill('3.74');
  await expect(margin).toContainText('× 94.996 / 1000');
  await stroke.fill('95.25 mm');
  await expect(out).toBeVisible();
  await page.unroute(/\/_next\/static\//);
  // Another field fetches what reads it: what is shown as read is what is reckoned with.
  await page.getByLabel('Standard bore, in').focus();
  await expect(out).toHaveCount(0);
  await expect(margin).toContainText('× 95.25 / 1000');
  await expect(stroke).toHaveValue('95.25 mm');

  await page.route(/\/_next\/static\/chunks\/.*\.js/, async (route) => {
    const answer = await route.fetch();
    // What draws a calendar, wherever it was packed.
    if ((await answer.text()).includes('The month after')) await route.abort();
    else await route.fulfill({ response: answer });
  });
  await page.goto(`${bench.address}/engines/demo-fourteen/run-in`);
  await page.keyboard.press('n');
  await page.getByLabel('Highest temperature, °C').fill('82');
  // The browser’s own fields stand for them: no run is logged with hours that nobody saw.
  const from = page.getByLabel('Ran from', { exact: true });
  await expect(from).toHaveAttribute('type', 'datetime-local');
  await expect(from).toHaveValue(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/);
  await from.fill('2026-05-01T10:00');
  await expect(from).toHaveValue('2026-05-01T10:00');
  await expect(out).toHaveCount(0);
  await expect(page.getByLabel('Highest temperature, °C')).toHaveValue('82');
});

test('one that cannot be reached is passed over with a reason, and comes back when the others are done', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(bench.address + FACE);
  const place = page.getByTestId('face-place');
  await faceAlive(page);
  await page.getByRole('button', { name: 'Later, with a reason' }).click();
  const why = page.getByLabel('Why it is passed over; it comes back at the end');
  await expect(why).toBeFocused();
  // What is typed is no order to the bench.
  await why.fill('the socket fouls the pipe');
  await page.keyboard.press('Space');
  await page.keyboard.press('Enter');
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await nextPress(page);
  await page.keyboard.press('Space');
  await expect(page.getByText('Two full turns by hand.')).toBeVisible();
  await nextPress(page);
  await page.keyboard.press('Space');
  for (const number of [1, 2]) {
    await expect(place).toHaveText(`Number ${number} of 4, stage 3 of 3`);
    await nextPress(page);
    await page.keyboard.press('Space');
  }
  await expect(place).toHaveText('Number 3 of 4, stage 3 of 3');
  await page.getByRole('button', { name: 'Later, with a reason' }).click();
  await why.fill('still fouls');
  await page.keyboard.press('Enter');
  await expect(place).toHaveText('Number 4 of 4, stage 3 of 3');
  await nextPress(page);
  await page.keyboard.press('Space');
  // Owed now, from its lower stage on, and it cannot be passed over again.
  await expect(place).toHaveText('Number 3 of 4, stage 2 of 3');
  await expect(page.getByTestId('face-notes')).toContainText('Passed over before: the socket fouls the pipe');
  await expect(page.getByRole('button', { name: 'Later, with a reason' })).toHaveCount(0);
  await page.reload();
  await expect(place).toHaveText('Number 3 of 4, stage 2 of 3');
  await faceAlive(page);
  for (const stage of [2, 3]) {
    await expect(place).toHaveText(`Number 3 of 4, stage ${stage} of 3`);
    await nextPress(page);
    await page.keyboard.press('Space');
  }
  await expect(page.getByText('All 4 done at')).toBeVisible();
  await page.goto(`${bench.address}/engines/demo-maestrale/record/demo-m-joint-head`);
  await expect(page.getByText('passed over for now: the socket fouls the pipe')).toBeVisible();
});

test('what was ticked on a paper card is copied box by box, and what was not is owed at the bench', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-maestrale/tighten`);
  await page.getByRole('link', { name: 'Copy a paper card of Cylinder head' }).click();
  await expect(page.locator('fieldset:disabled')).toHaveCount(0);
  await page.getByRole('button', { name: 'All of stage 2' }).click();
  await page.getByRole('checkbox', { name: 'The crank was turned after stage 2' }).check();
  await page.getByRole('button', { name: 'All of stage 3' }).click();
  // Number 2 of the last stage went over; number 3 was not ticked.
  const box = (number: number) => page.getByRole('button', { name: new RegExp(`^Number ${number}, stage 3`) });
  for (let i = 0; i < 3; i++) await box(2).click();
  await expect(box(2)).toHaveAccessibleName(/went over$/);
  for (let i = 0; i < 4; i++) await box(3).click();
  await expect(box(3)).toHaveAccessibleName(/empty$/);
  // Forty boxes are not ticked twice: half copied, they come back.
  await page.reload();
  await expect(box(2)).toHaveAccessibleName(/went over$/);
  await page.getByLabel('When and by whom, as the card says').fill('Saturday, MK');
  await page.getByRole('button', { name: 'Copy 6 boxes' }).click();
  await page.waitForURL('**/tighten');
  await page.goto(bench.address + FACE);
  await page.getByRole('button', { name: 'Pulled again' }).click();
  await expect(page.getByTestId('face-place')).toHaveText('Number 3 of 4, stage 3 of 3');
  await expect(page.locator('[data-pending]')).toHaveCount(0);
  await page.goto(`${bench.address}/engines/demo-maestrale/record/demo-m-joint-head`);
  await expect(page.getByText(/copied from paper: Saturday, MK/).first()).toBeVisible();
  // A box that was ticked and kept, and pulled at the bench since, is on the record and no longer on the card.
  const card = `${bench.address}/engines/demo-maestrale/tighten/demo-m-joint-head-round-1`;
  await page.goto(card);
  await box(3).click();
  await page.goto(bench.address + FACE);
  await nextPress(page);
  await page.getByRole('button', { name: 'Pull', exact: true }).click();
  await expect(page.locator('[data-pending]')).toHaveCount(0);
  await page.goto(card);
  await expect(box(3)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Copy 0 boxes' })).toBeDisabled();
});
