import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { jointInputs } from '@/db/reads/joint-inputs';
import { openShop } from '@/db/shop';
import { newKind, ofOtherLeaf, ofOtherThread } from '@/model/joint/fastener-kind';
import { planOfJoint } from '@/model/joint/round-plan';
import { leafOfText } from '@/model/book/leaf-of-text';
import { kindAt } from '@/model/joint/tightening-plan';
import { expect, faceAlive, inYard, nextPress, test, type Bench } from './bench';

const HEADS = '/engines/demo-norrhem/joints/demo-n-joint-heads';

const fold = (page: Page, title: string) => page.locator('summary', { hasText: title });
const kindKey = (page: Page, name: RegExp) =>
  page.getByRole('group', { name: 'Whose figure is shown' }).getByRole('button', { name });

// A network that is taken away is said by the browser itself; nothing else may be.
test.afterEach(({ faults }) => expect(faults.filter((fault) => !fault.includes('ERR_CONNECTION_FAILED'))).toEqual([]));

test('some fasteners are of another kind: pressed, named, given their own lubricant, and pulled to their own figure', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  await page.goto(bench.address + HEADS);
  await fold(page, 'Fasteners of other kinds').click();
  await expect(page.getByRole('button', { name: 'Press the places first' })).toBeDisabled();
  for (const number of [1, 4, 6]) {
    const place = page.getByRole('button', { name: `Fastener number ${number}`, exact: true });
    await place.focus();
    await page.keyboard.press('Space');
    await expect(place).toHaveAttribute('aria-pressed', 'true');
  }
  await page.getByLabel('What they are called').fill('Outer bolts');
  await page.getByLabel('Their thread').fill('M10');
  await page.getByRole('button', { name: 'Put the 3 there' }).click();
  await expect(kindKey(page, /Outer bolts/)).toContainText('B 3 × Outer bolts');
  await expect(kindKey(page, /own/)).toContainText('A 5 × the joint’s own');

  // Its own lubricant moves its own figure, and no other.
  const setting = page.getByTestId('setting');
  const own = await setting.textContent();
  await kindKey(page, /Outer bolts/).click();
  await expect(kindKey(page, /Outer bolts/)).toHaveAttribute('aria-pressed', 'true');
  const before = await setting.textContent();
  await page.getByLabel('Lubricant today').selectOption('dry-bare');
  await expect(setting).not.toHaveText(before ?? '');
  const others = await setting.textContent();
  await expect(page.getByText(/^Saved \d\d:\d\d/)).toBeVisible();
  await page.reload();
  await expect(setting).toHaveText(own ?? '');
  await kindKey(page, /Outer bolts/).click();
  await expect(setting).toHaveText(others ?? '');
  await expect(page.getByLabel('Lubricant today')).toHaveValue('dry-bare');

  // The order of the kinds, as the page has it; one that leaves a stage out is told, and nothing is begun by it.
  await kindKey(page, /own/).click();
  await fold(page, 'Fasteners of other kinds').click();
  await page.getByLabel('They come up together').selectOption('as-typed');
  const typed = page.getByLabel('Kind after kind');
  await expect(typed).toHaveValue('A A A A B B B B');
  await typed.fill('A A A A B B B C');
  await expect(page.getByText('“C” is no kind: they are A to B.')).toBeVisible();
  await typed.fill('B A A A A B B');
  await expect(page.getByRole('alert').filter({ hasText: 'Kind 2 has 4 stages and is named 3 times.' })).toBeVisible();
  await typed.fill('B A A A A B B B');
  await expect(page.getByText('Kind 2 has 4 stages')).toHaveCount(0);

  await page.getByRole('button', { name: 'Test round' }).click();
  await page.waitForURL('**/face/**');
  await faceAlive(page);
  await expect(page.getByTestId('face-place')).toContainText('Outer bolts');
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('Space');
    await nextPress(page);
  }
  // The next are the joint's own: another socket, said before the figure.
  await expect(page.getByTestId('face-place')).not.toContainText('Outer bolts');
  await expect(page.getByText(/^Take .*the other socket\. Set it to$/)).toBeVisible();
});

/** A head of 26 nuts of two kinds in four passes: the outer ones slotted, the last pass of the others by angle. */
function largeHead(bench: Bench): string {
  const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
  const head = shop.joints.find('demo-n-joint-heads');
  const leaf = head && shop.book.findLeaf(head.leafId);
  if (!head || !leaf) throw new Error('the yard has no heads');
  const printedText = '20 Nm + 90°';
  const byAngle = leafOfText({ kind: 'torque', printedText, conditionText: null, readingIndex: 0 });
  shop.book.addLeaf({ ...leaf, ...byAngle, id: 'by-angle', subject: 'Large head', printedText, replacesId: null });
  const joint = {
    ...head,
    id: 'large',
    name: 'Large head',
    leafId: 'by-angle',
    fasteners: 26,
    detail: { ...head.detail, maker: null, confirming: false },
  };
  const outer = Array.from({ length: 12 }, (_, i) => i * 2);
  const kind = ofOtherLeaf(newKind(joint, 'Outer nuts', outer), head.leafId, head.originalFilm);
  const thick = ofOtherThread(kind, 'M10', { outer_mm: 16, inner_mm: 10.5 });
  const slotted = {
    ...thick,
    fields: { ...thick.fields, stageScheme: [0.25, 0.5, 0.75, 1] },
    detail: { ...thick.detail, original: { ...thick.detail.original, locking: 'pin' as const } },
  };
  const large = { ...joint, detail: { ...joint.detail, kinds: [slotted] } };
  shop.joints.add(large);
  const plan = planOfJoint(jointInputs(shop, large, Date.now()));
  shop.tightenings.start({
    id: 'large-round',
    jointId: 'large',
    purpose: 'final',
    plan,
    startedAt: new Date().toISOString(),
  });
  shop.close();
  return '/face/large-round';
}

test('a head of 26 nuts of two kinds, one of them slotted, the other ended by an angle, by the space bar alone', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  const face = largeHead(bench);
  const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
  const plan = shop.tightenings.find('large-round')?.plan;
  shop.close();
  if (!plan) throw new Error('the round was not begun');
  expect(plan.steps.length).toBeGreaterThan(26 * 3);
  await page.goto(bench.address + face);
  await faceAlive(page);
  const place = page.getByTestId('face-place');
  let isTurned = false;
  for (const [i, step] of plan.steps.entries()) {
    if (step.kind !== 'pull') throw new Error('no turn of the crank is planned');
    await expect(place).toContainText(`Number ${plan.order.indexOf(step.position) + 1} of 26`);
    // What is said of a nut is of its own kind.
    const isOuter = kindAt(plan, step.position) !== undefined;
    expect((await place.textContent())?.includes('Outer nuts')).toBe(isOuter);
    await expect(page.getByText('Then: does a slot meet the hole?')).toHaveCount(isOuter && step.final ? 1 : 0);
    if (isOuter && step.final) await expect(page.locator('[data-main]')).toHaveText('Pulled: a slot meets');
    await expect(page.getByTestId('face-setting')).toContainText(step.turn ? '90°' : /\d/);
    if (isOuter && step.final && !isTurned) {
      // One has no slot at the hole: what it costs to go on is said, and never back to one.
      isTurned = true;
      await page.getByRole('button', { name: 'No slot meets' }).click();
      const slot = page.getByTestId('face-slot');
      await slot.getByLabel('Fastener, N/mm').fill('90000');
      await slot.getByLabel('A slot past the hole, degrees').fill('60');
      await expect(slot.getByText('there the next one comes')).toBeVisible();
      await slot.getByLabel('A slot past the hole, degrees').fill('46');
      await expect(slot.getByText(/The next slot meets a hole 14° further on/)).toBeVisible();
      await slot.getByRole('button', { name: 'Turned on by 14°: a slot meets' }).click();
    } else await page.keyboard.press('Space');
    if (i < plan.steps.length - 1) await nextPress(page);
  }
  await expect(page.getByText('All 26 done at')).toBeVisible();
  await expect(page.getByText(/and 90°/)).toBeVisible();
  await expect(page.getByText(/Put the pins in/)).toBeVisible();
  await page.goto(`${bench.address}/engines/demo-norrhem/record/large`);
  await expect(page.getByRole('heading', { name: 'B, Outer nuts' })).toBeVisible();
  await expect(page.getByText(/turned 14° further, on to a slot/)).toHaveCount(1);
  await expect(page.getByRole('table').last().getByRole('row')).toHaveCount(plan.steps.length + 1);
});

test('with the network gone for twenty pulls and back, each is on disk once, in its turn, and none besides', async ({
  page,
  bench,
}) => {
  await inYard(page, bench);
  const face = largeHead(bench);
  await page.goto(bench.address + face);
  await faceAlive(page);
  // The first is answered, and its answer is lost: it is sent again under its own id.
  let answers = 0;
  await page.route('**/events', async (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    answers += 1;
    if (answers === 1) await route.fetch();
    await route.abort('connectionfailed');
  });
  const place = page.getByTestId('face-place');
  for (let i = 0; i < 20; i++) {
    await page.keyboard.press('Space');
    await nextPress(page);
  }
  await expect(page.locator('[data-pending]')).not.toHaveCount(0);
  await expect(page.getByRole('alert').filter({ hasText: 'not on disk yet' })).toBeVisible();
  const stood = await place.textContent();
  await page.unroute('**/events');
  let sent = 0;
  page.on('request', (request) => (sent += Number(request.method() === 'POST' && request.url().endsWith('/events'))));
  await expect(page.locator('[data-pending]')).toHaveCount(0, { timeout: 30_000 });
  // What waited is sent together.
  expect(sent).toBeLessThanOrEqual(2);
  const shop = openShop(join(bench.folder, 'demonstration.sqlite'));
  const events = shop.tightenings.events('large-round');
  shop.close();
  expect(events.map((event) => ('step' in event ? event.step : -1))).toEqual(Array.from({ length: 20 }, (_, i) => i));
  expect(new Set(events.map(({ id }) => id)).size).toBe(20);
  await page.reload();
  await expect(place).toHaveText(stood ?? '');
});
