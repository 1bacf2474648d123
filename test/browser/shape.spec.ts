import { join } from 'node:path';
import type { Locator } from '@playwright/test';
import type { Page } from '@playwright/test';
import { openShop } from '@/db/shop';
import { alive, expect, faceAlive, inYard, nextPress, test } from './bench';

const COVER = '/engines/demo-maestrale/joints/demo-m-joint-cover';
const HEADS = '/engines/demo-norrhem/joints/demo-n-joint-heads';
const PLACES = ['0 20', '35 0', '80 5', '120 0', '140 40', '118 90', '70 96', '25 88', '60 45'];
const ORDER = [9, 1, 5, 3, 7, 2, 6, 4, 8];

const fold = (page: Page, title: string) => page.locator('summary', { hasText: title });

test('a part of nine screws in no pattern, in the book’s own order, and what is special about two of them', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  await page.goto(bench.address + HEADS);

  // Where they lie: typed, one of them put right by its arrow keys, and taken back.
  await fold(page, 'Name, number and pattern').click();
  await page.getByLabel('How they lie').selectOption('free');
  const text = page.getByLabel('Where each fastener lies, mm');
  await expect(page.getByText('Begun from the pattern, 100 apart')).toBeVisible();
  await text.fill(['0 20', '0 21'].join('\n'));
  await expect(page.getByText('Places 1 and 2 lie 1.0 mm apart: they are one.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save these' })).toBeDisabled();
  await text.fill(PLACES.join('\n'));
  // What was typed and not saved is there after a reload.
  await page.reload();
  await expect(page.getByText(/^Typed at .* and not saved/)).toBeVisible();
  await expect(text).toHaveValue(PLACES.join('\n'));
  const ninth = page.getByRole('button', { name: /^Place 9, at/ });
  await ninth.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(text).toHaveValue([...PLACES.slice(0, -1), '65 44'].join('\n'));
  await page.getByRole('button', { name: 'Undo the last' }).click();
  await page.getByRole('button', { name: 'Undo the last' }).click();
  await expect(text).toHaveValue(PLACES.join('\n'));
  // And by the pointer, to the nearest five.
  await ninth.scrollIntoViewIfNeeded();
  const box = await ninth.boundingBox();
  if (!box) throw new Error('the place is not drawn');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(text).not.toHaveValue(PLACES.join('\n'));
  // A click that comes with the end of a drag is no press.
  await nextPress(page);
  await page.getByRole('button', { name: 'Undo the last' }).click();
  await expect(text).toHaveValue(PLACES.join('\n'));
  // From near, by keys alone: the one that the keys come to lies in the middle, and a drag goes as far as the pointer.
  await page.getByRole('button', { name: 'Nearer' }).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Enter');
  const window = page.getByRole('group', { name: 'The places from above' }).locator('xpath=../..');
  const middleOf = async (what: Locator) => {
    const { x, y, width, height } = (await what.boundingBox()) ?? { x: NaN, y: NaN, width: NaN, height: NaN };
    return [x + width / 2, y + height / 2] as const;
  };
  const first = page.getByRole('button', { name: /^Place 1, at/ });
  await page.getByRole('textbox', { name: 'Where each fastener lies' }).focus();
  for (let i = 0; i < 7; i++) await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Shift+Tab');
  await expect(ninth).toBeFocused();
  const [there, shown] = [await middleOf(ninth), await middleOf(window)];
  expect(Math.hypot(there[0] - shown[0], there[1] - shown[1])).toBeLessThan(40);
  const wasAt = await text.inputValue();
  await page.mouse.move(...there);
  await page.mouse.down();
  await page.mouse.move(there[0] + 60, there[1] + 30, { steps: 5 });
  await page.mouse.up();
  const after = await middleOf(ninth);
  expect(Math.hypot(after[0] - there[0] - 60, after[1] - there[1] - 30)).toBeLessThan(25);
  await nextPress(page);
  await page.getByRole('button', { name: 'Undo the last' }).click();
  await expect(text).toHaveValue(wasAt);
  await page.getByRole('button', { name: 'All of it' }).click();
  await expect(first).toBeInViewport();
  // The places of another joint, where they were measured, and back.
  await expect(page.getByRole('option', { name: /^Main bearings/ })).toHaveCount(0);
  await page.getByLabel('Begin with the places of another joint').selectOption({ label: 'Gearbox housing (8)' });
  await expect(text).toHaveValue(/^0 60\n30 8\n/);
  await page.getByRole('button', { name: 'Undo the last' }).click();
  await expect(text).toHaveValue(wasAt);
  // Numbered as the book numbers them, by keys alone; a slip is taken back, and so is the whole.
  await page.getByRole('button', { name: 'Number them by pressing' }).click();
  const number = async (place: number) => {
    await page.getByRole('button', { name: new RegExp(`^Place ${place}, at`) }).focus();
    await page.keyboard.press('Space');
  };
  await expect(page.getByText('Press the one that the book numbers 1, of 9.')).toBeVisible();
  for (const place of [9, 2]) await number(place);
  await page.getByRole('button', { name: 'Take the last number back' }).click();
  await number(1);
  // Neither an arrow nor a pointer moves one meanwhile.
  await page.keyboard.press('ArrowRight');
  await expect(text).toHaveValue(wasAt);
  await page.getByRole('button', { name: 'Number them so, the rest as they follow' }).click();
  await expect(text).toHaveValue([PLACES[8], ...PLACES.slice(0, 8)].join('\n'));
  await page.getByRole('button', { name: 'Undo the last' }).click();
  await expect(text).toHaveValue(wasAt);
  await page.getByRole('button', { name: 'Save these' }).click();
  await expect(page.getByRole('heading', { level: 1 }).locator('xpath=../..')).toContainText('9 ×');

  // The book's order, pressed by keyboard alone; a slip is taken back.
  await page.getByLabel('Order', { exact: true }).selectOption('as-printed');
  const press = async (place: number) => {
    await page.getByRole('button', { name: new RegExp(`^Place ${place}: `) }).focus();
    await page.keyboard.press('Space');
  };
  await press(2);
  await page.getByRole('button', { name: 'Take the last back' }).click();
  for (const place of ORDER) await press(place);
  await expect(page.getByText('The order stands as it was entered.')).toBeVisible();
  await expect(page.getByLabel('Or typed, by the numbers of the places')).toHaveValue(ORDER.join(' '));

  // What is special: the place that is pulled second, and the fourth.
  await fold(page, 'What is special about a place').click();
  await page.getByRole('button', { name: 'Place of number 2', exact: true }).click();
  await page.getByLabel('What is special', { exact: true }).selectOption('left-hand');
  await page.getByRole('button', { name: 'Note it', exact: true }).click();
  await page.getByRole('button', { name: 'Place of number 4', exact: true }).click();
  await page.getByLabel('What is special', { exact: true }).selectOption('wet');
  await page.getByLabel('In words').fill('the long one');
  await page.getByRole('button', { name: 'Note it', exact: true }).click();
  await expect(page.getByText('2 of 9 noted')).toBeVisible();
  await expect(page.getByText(/^Saved \d/)).toBeVisible();

  // It is all on disk, and at the bench.
  await page.reload();
  // Numbered otherwise, what is special goes with its place, and so does the book's order; and back again.
  await fold(page, 'Name, number and pattern').click();
  await page.getByRole('button', { name: 'Number them by pressing' }).click();
  await number(9);
  await page.getByRole('button', { name: 'Number them so, the rest as they follow' }).click();
  await page.getByRole('button', { name: 'Save these' }).click();
  await expect(page.getByText(/^Saved \d/)).toBeVisible();
  await expect(page.getByLabel('Or typed, by the numbers of the places')).toHaveValue(
    ORDER.map((place) => (place % 9) + 1).join(' '),
  );
  await page.reload();
  await fold(page, 'What is special about a place').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Left-hand thread' })).toContainText('Number 2');
  await page.getByRole('button', { name: 'Test round' }).click();
  await faceAlive(page);
  const notes = page.getByTestId('face-notes');
  for (let number = 1; number <= 9; number++) {
    await expect(page.getByTestId('face-place')).toContainText(`Number ${number} of 9`);
    if (number === 2) await expect(notes).toHaveText('Left-hand thread');
    else if (number === 4) await expect(notes).toHaveText('Reaches water or oil: sealant on it (the long one)');
    else await expect(notes).toHaveCount(0);
    await page.keyboard.press('Space');
    await nextPress(page);
  }
  await expect(page.getByTestId('face-place')).toContainText('Number 1 of 9, stage 2');
  expect(faults).toEqual([]);
});

test('an order that is not whole is not kept, and the one before stands', async ({ page, bench }) => {
  await inYard(page, bench);
  await page.goto(bench.address + COVER);
  await page.getByLabel('Order', { exact: true }).selectOption('as-printed');
  await page.getByLabel('Or typed, by the numbers of the places').fill('1-3-5, 2-4');
  await expect(page.getByText('Place 6, 7 is missing from it.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Order', { exact: true })).toHaveValue('star');
  await alive(page);
  await page.getByLabel('Order', { exact: true }).selectOption('as-printed');
  await page.getByLabel('Or typed, by the numbers of the places').fill('1-3-5, 2-4, 7-6');
  await expect(page.getByText(/^Saved \d/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Order', { exact: true })).toHaveValue('as-printed');
  // Another order, and taken back: the sheet says what is in force.
  await alive(page);
  await page.getByLabel('Order', { exact: true }).selectOption('spiral');
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByLabel('Order', { exact: true })).toHaveValue('as-printed');
});

/** What the map of clamp loads asks. */
async function sayWhatIsClamped(page: Page) {
  await page.getByLabel('What is clamped').selectOption('iron-side-valve');
  await page.getByLabel('On what it lies').selectOption('copper-sandwich');
  await page.getByLabel('Pitch, mm').fill('70');
  await page.getByLabel('Fastener, N/mm').fill('120000');
}

test('what the other nuts are doing: asked for what it is, played through by keys, and kept', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  // The yard's head is known; here it is one of which nobody said anything yet.
  const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
  const head = shop.joints.find('demo-f-joint-head');
  if (!head) throw new Error('the yard has no head');
  shop.joints.alter({ ...head, detail: { ...head.detail, clampMap: null } });
  shop.close();
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  await fold(page, 'What the other nuts are doing').click();
  await expect(page.getByText('It is drawn once each of these is said.')).toBeVisible();
  await sayWhatIsClamped(page);
  const ways = page.getByRole('table', { name: 'How even the clamp load is left' });
  await expect(ways.getByRole('row')).toHaveCount(5);
  const uneven = async (name: string) =>
    Number.parseFloat((await ways.getByRole('row', { name }).getByRole('cell').last().textContent()) ?? '');
  expect(await uneven('With a confirming round')).toBeLessThan((await uneven('The plan as it stands')) / 3);
  expect(await uneven('In one pass')).toBeGreaterThan(await uneven('The plan as it stands'));
  await page.getByRole('slider', { name: 'How far it has gone, in pulls' }).focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('Before the first pull.')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('img', { name: /^After pull 1 of 42: number 1, stage 1/ })).toBeVisible();
  await expect(page.getByText(/^Saved \d/)).toBeVisible();
  // What is typed last is taken back, though it was not written yet; the cells show what stands again.
  await page.getByLabel('Pitch, mm').fill('80');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByLabel('Pitch, mm')).toHaveValue('70');
  await page.reload();
  await expect(fold(page, 'What the other nuts are doing')).not.toContainText('not looked at');
  await fold(page, 'What the other nuts are doing').click();
  await expect(page.getByLabel('Fastener, N/mm')).toHaveValue('120000');
  await expect(page.getByText('Give it as a figure.')).toHaveCount(0);
  expect(faults).toEqual([]);
});

test('a figure that is taken back is gone from its cell, and what is typed stays as it was typed', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  await page.clock.install();
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  const cell = page.getByLabel('Slackened by, degrees');
  const undo = page.getByRole('button', { name: /^Undo/ });
  await expect(cell).toHaveValue('');
  // Letter by letter, with what is drawn behind each coming back between them, and no time for the finger to rest.
  await page.clock.pauseAt(Date.now() + 60_000);
  for (const letter of '17.50') {
    await cell.press(letter);
    await page.evaluate(async () => {
      const { port1, port2 } = new MessageChannel();
      for (let i = 0; i < 5; i++)
        await new Promise((drawn) => {
          port1.onmessage = drawn;
          port2.postMessage(i);
        });
    });
  }
  await page.clock.resume();
  await expect(page.getByText(/nothing → 17.5/)).toBeVisible();
  await expect(cell).toHaveValue('17.50');
  await undo.click();
  await expect(page.getByText('Taken back.')).toBeVisible();
  await expect(cell).toHaveValue('');
  await cell.fill('23');
  await expect(page.getByText(/nothing → 23/)).toBeVisible();
  await cell.fill('30');
  await undo.click();
  await expect(cell).toHaveValue('23');
  const source = page.getByLabel('Who says so');
  const said = await source.inputValue();
  await source.fill('Leaf 9 ');
  await expect(page.getByText(/→ “?Leaf 9/)).toBeVisible();
  await expect(source).toHaveValue('Leaf 9 ');
  await undo.click();
  await expect(source).toHaveValue(said);
  // What is no figure stays to be put right, and goes nowhere.
  await cell.fill('x');
  await cell.blur();
  await expect(cell).toHaveValue('x');
  await page.reload();
  await expect(cell).toHaveValue('23');
  // At the foot of the screen, where the line comes to lie, it comes out from beneath it.
  await cell.focus();
  await cell.evaluate((one) => one.scrollIntoView({ block: 'end' }));
  await cell.fill('24');
  await expect(undo).toBeVisible();
  const [own, line] = [await cell.boundingBox(), await page.getByRole('status').filter({ has: undo }).boundingBox()];
  expect(own?.y).toBeGreaterThan(500);
  expect((own?.y ?? 0) + (own?.height ?? 0)).toBeLessThanOrEqual(line?.y ?? 0);
  // What is pressed there is not moved: the next press may be of the same place.
  const moved = await fold(page, 'The fastener').evaluate((pressed: HTMLElement) => {
    window.scrollBy(0, pressed.getBoundingClientRect().bottom - window.innerHeight);
    const before = pressed.getBoundingClientRect().y;
    pressed.focus({ preventScroll: true });
    return [document.activeElement === pressed, pressed.getBoundingClientRect().y - before];
  });
  expect(moved).toEqual([true, 0]);
  expect(faults).toEqual([]);
});

test('what is taken back is gone from the parts that are kept whole: adaptor, maker, thread, stages, warm', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  const takeBack = async () => {
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(page.getByText('Taken back.')).toBeVisible();
  };
  await fold(page, 'The wrench').click();
  const arm = page.getByLabel('Wrench, square to hand, mm');
  const extension = page.getByLabel('Adaptor, square to fastener, mm');
  await arm.fill('400');
  await extension.fill('50');
  await page.getByLabel('Angle to the handle').fill('0');
  await page.getByRole('button', { name: 'With this adaptor' }).click();
  await expect(page.getByRole('button', { name: 'No adaptor' })).toBeVisible();
  await takeBack();
  await expect(arm).toHaveValue('');
  await expect(extension).toHaveValue('');
  await expect(page.getByRole('button', { name: 'No adaptor' })).toBeHidden();

  await fold(page, 'The fastener').click();
  const figure = page.getByLabel('Its maker’s own figure');
  const printed = page.getByLabel('Where it is printed');
  await figure.fill('45 lb ft');
  await printed.fill('the packet');
  await page.getByRole('button', { name: 'The maker’s figure overrules' }).click();
  await expect(page.getByRole('button', { name: 'Back to the manual’s' })).toBeVisible();
  await takeBack();
  await expect(figure).toHaveValue('');
  await expect(printed).toHaveValue('');
  const thread = page.getByLabel('Thread that turns').first();
  const was = await thread.inputValue();
  await thread.fill('m10');
  await expect(page.getByText(/was changed: Thread/)).toBeVisible();
  // As it was typed, until another stands.
  await expect(thread).toHaveValue('m10');
  await takeBack();
  await expect(thread).toHaveValue(was);

  const stages = page.getByRole('combobox', { name: 'Stages', exact: true });
  await stages.selectOption('typed');
  const listed = page.getByLabel(/^Figures as printed/);
  const begun = await listed.inputValue();
  await listed.fill('12, 24, 48');
  await expect(listed).toHaveValue('12, 24, 48');
  await takeBack();
  await expect(listed).toHaveValue(begun);

  await page.getByLabel('Gone over again').selectOption('warm');
  const head = page.getByLabel('How warm, °C');
  const says = page.getByLabel('The page that says so');
  await head.fill('80');
  await says.fill('p. 40');
  await takeBack();
  await expect(says).toHaveValue('');
  await expect(head).toHaveValue('');
  expect(faults).toEqual([]);
});

test('the scatter of a round and a more even way: worked out beside the page, stopped, and taken', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-head`);
  await fold(page, 'What the other nuts are doing').click();
  await sayWhatIsClamped(page);
  await page.getByRole('button', { name: 'Draw 10,000 rounds' }).click();
  const scatter = page.getByTestId('scatter');
  // Worked out beside the page, on a machine that has something else to do.
  await expect(scatter.getByRole('row')).toHaveCount(3, { timeout: 60_000 });
  const [low, middle, high] = (
    await scatter.getByRole('row', { name: 'Left in the lowest' }).getByRole('cell').allTextContents()
  ).map(Number.parseFloat);
  expect(low).toBeLessThan(middle ?? NaN);
  expect(middle).toBeLessThan(high ?? NaN);
  await expect(scatter).toContainText(/Number \d+ was the lowest most often/);
  await page.getByRole('button', { name: 'Look for one' }).click();
  const found = page.getByTestId('found');
  await expect(found.getByRole('row', { name: /the plan/ })).toHaveCount(1, { timeout: 60_000 });
  await expect(found).toContainText('brings on more than 34 % at once');
  const uneven = async (row: string | RegExp) =>
    Number.parseFloat((await found.getByRole('row', { name: row }).getByRole('cell').nth(1).textContent()) ?? '');
  const [own, once] = [await uneven(/the plan/), await uneven(/^4/)];
  expect(once).toBeLessThan(own);
  // Taken, it is the plan: what was found for the one before is let go of, and it can be taken back.
  await found.getByRole('row', { name: /^4/ }).getByRole('button').click();
  await expect(found).toHaveCount(0);
  await expect(scatter).toHaveCount(0);
  await expect(page.getByText(/^Saved \d/)).toBeVisible();
  await page.reload();
  await fold(page, 'What the other nuts are doing').click();
  await page.getByRole('button', { name: 'Look for one' }).click();
  await expect(found.getByRole('row', { name: /the plan/ })).toContainText(/^4/, { timeout: 60_000 });
  expect(faults).toEqual([]);
});

test('a slotted nut at its figure: how far on the next slot is, and what it costs to go there', async ({
  page,
  bench,
  faults,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/engines/demo-fourteen/joints/demo-f-joint-mains`);
  await expect(fold(page, 'A slot to the hole')).toHaveCount(0);
  await fold(page, 'The fastener').click();
  await page.getByLabel('Locking').first().selectOption('pin');
  await fold(page, 'A slot to the hole').click();
  await page.getByLabel('A slot past the hole, degrees').fill('48');
  await page.getByLabel('Fastener, N/mm').first().fill('120000');
  await expect(page.getByText(/The next slot meets a hole 12° further on/)).toContainText('% of its yield');
  await page.getByLabel('A slot past the hole, degrees').fill('61');
  await expect(
    page.getByText('A slot lies from 0 to below 60° past the hole: there the next one comes.'),
  ).toBeVisible();
  await page.getByLabel('A slot past the hole, degrees').fill('0');
  await expect(page.getByText('A slot meets a hole as it stands: the pin goes in.')).toBeVisible();
  // What was said of the original fastener is on disk.
  await expect(page.getByText(/^Saved \d/)).toBeVisible();
  await page.reload();
  await expect(fold(page, 'A slot to the hole')).toBeVisible();
  expect(faults).toEqual([]);
});
