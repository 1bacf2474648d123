import type { Page } from '@playwright/test';
import type { BenchEvent } from '@/core/tightening';
import { expect, faceAlive, inYard, nextPress, test, type Bench } from './bench';

const ROUND = 'demo-m-joint-head-round-1';
const ASKED = 16.5;

let n = 0;

/** A wrench beside the bench: it knows nothing of the screen, and sends its lines as any instrument does. */
const wrenchAt = (page: Page, bench: Bench, instrument = 'Seven') => ({
  send: async (part: object) => {
    n += 1;
    const line = {
      format: 'unhurried-spanner.reading',
      version: 1,
      id: `wrench-line-${n}`,
      instrument,
      kind: 'torque-wrench',
      value: ASKED,
      unit: 'N·m',
      resolution: 0.1,
      phase: 'peak',
      at: new Date().toISOString(),
      ...part,
    };
    const answer = await page.request.post(`${bench.address}/api/instruments/readings`, { data: line });
    return { id: line.id, status: answer.status() };
  },
});

async function pulls(page: Page, bench: Bench) {
  const answer = await page.request.get(`${bench.address}/api/tightenings/${ROUND}/events`);
  const { result } = (await answer.json()) as { readonly result: readonly BenchEvent[] };
  return result.filter((line) => line.kind === 'pull');
}

/** The half-done head of the yard, listening to a wrench that is in use there. */
async function listening(page: Page, bench: Bench) {
  await inYard(page, bench);
  await page.goto(`${bench.address}/face/${ROUND}`);
  await faceAlive(page);
  await page.getByRole('button', { name: 'Listen to a wrench' }).click();
  await expect(page.getByRole('button', { name: 'Listening', exact: true })).toBeVisible();
  const wrench = wrenchAt(page, bench);
  const place = page.getByTestId('face-place');
  // What it says before somebody said that it is in use here is no pull of this bench.
  await wrench.send({});
  await page.getByRole('button', { name: 'Use Seven here' }).click();
  await expect(page.getByRole('button', { name: 'Listening to Seven' })).toBeVisible();
  await expect(place).toHaveText('Number 3 of 4, stage 2 of 3');
  return { wrench, place, before: (await pulls(page, bench)).length };
}

test('a wrench that repeats, drops out, is set wrongly or sends late: every pull is there once, none invented', async ({
  page,
  bench,
}) => {
  const { wrench, place, before } = await listening(page, bench);
  await wrench.send({ phase: 'pulling', value: 9.5, turned_deg: 40 });
  await expect(page.getByTestId('live-reading')).toHaveText('9.5 N·m, 40°');
  const { id } = await wrench.send({ value: 16.6, turned_deg: 88 });
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect(page.getByText('read 16.6 N·m, turned 88°, by Seven')).toBeVisible();
  // The same peak again, and the press of somebody who means the pull that recorded itself.
  await wrench.send({ id, value: 16.6 });
  await page.keyboard.press('Space');
  await expect(page.getByText('That pull recorded itself')).toBeVisible();
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  // What recorded itself may be taken back at once, and is pulled again.
  await wrench.send({ value: 16.5 });
  await expect(page.getByText('Last done: number 4, stage 2: pulled')).toBeVisible();
  await page.getByRole('button', { name: 'Undo last' }).click();
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect(page.getByText('Last done: number 3, stage 2')).toBeVisible();
  // It is pulled, and never let go of.
  await wrench.send({ phase: 'pulling', value: 12 });
  await expect(page.getByTestId('live-reading')).toHaveText('12 N·m');
  await expect(page.getByText('The wrench fell silent before it was let go of')).toBeVisible({ timeout: 10_000 });
  expect((await wrench.send({ unit: 'mm' })).status).toBe(400);
  await expect(page.getByText('Seven sent what cannot be')).toBeVisible();
  await wrench.send({ at: new Date(Date.now() - 60_000).toISOString() });
  await expect(page.getByText('The reading came late')).toBeVisible();
  await page.getByRole('button', { name: 'Not recorded: go on' }).click();
  await wrench.send({ over: true });
  await expect(page.getByText('The wrench went past the end of its scale')).toBeVisible();
  await page.getByRole('button', { name: 'Not recorded: go on' }).click();
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  // Another wrench in the same shop is not taken for this one.
  await wrenchAt(page, bench, 'Eight').send({});
  await expect(page.getByRole('button', { name: 'Use Eight here' })).toBeVisible();
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  // The one that was taken back stands there with its cancellation.
  await expect.poll(async () => (await pulls(page, bench)).length).toBe(before + 2);
  expect((await pulls(page, bench)).at(-2)).toMatchObject({
    outcome: 'pulled',
    read_Nm: 16.6,
    turned_deg: 88,
    instrument: 'Seven',
    readingId: id,
  });
});

test('what lies outside its limits waits for an answer: pulled on, gone over, or left so with a reason', async ({
  page,
  bench,
}) => {
  const { wrench, place, before } = await listening(page, bench);
  const held = page.getByTestId('held-reading');
  await wrench.send({ value: 12.5 });
  await expect(held).toContainText('That is short of what was asked for: read 12.5 N·m, by Seven.');
  await expect(held).toContainText('Asked for: 16.5, within 15.8 to 17.2 N·m.');
  // No key that records a pull is a way around the answer, and no second reading is taken for it.
  for (const key of ['Space', 'PageDown', 'm', 'o']) await page.keyboard.press(key);
  await wrench.send({});
  await expect(page.getByText('Another reading came before this one was answered')).toBeVisible();
  expect(await pulls(page, bench)).toHaveLength(before);
  await page.getByRole('button', { name: 'Pull it on' }).click();
  await wrench.send({ value: 16.4, turned_deg: 0 });
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await expect(page.getByText('did not move, read 16.4 N·m')).toBeVisible();
  await wrench.send({ value: 19 });
  await page.getByRole('button', { name: 'It went over' }).click();
  await expect(page.getByText('went over, read 19 N·m')).toBeVisible();
  await nextPress(page);
  // The crank's turn: no wrench is asked for.
  await wrench.send({});
  await expect(page.getByText('A reading came while nothing was to be pulled here')).toBeVisible();
  await page.getByRole('button', { name: 'Crank turned' }).click();
  // Read by eye, off a wrench that says nothing.
  await page.getByRole('button', { name: 'What it read' }).click();
  await page.getByLabel('What the wrench read, N·m').fill('much');
  await page.getByRole('button', { name: 'Read so' }).click();
  await expect(page.getByText('Give the figure alone')).toBeVisible();
  await page.getByLabel('What the wrench read, N·m').fill('30');
  await page.getByRole('button', { name: 'Read so' }).click();
  await expect(held).toContainText('past what was asked for: read 30 N·m');
  // Whoever leaves the face without an answer is asked again: the nut was pulled.
  const face = page.url();
  await page.goto(`${bench.address}/engines/demo-maestrale/joints`);
  await page.goto(face);
  await expect(held).toContainText('past what was asked for: read 30 N·m');
  for (const key of ['Space', 'm']) await page.keyboard.press(key);
  expect(await pulls(page, bench)).toHaveLength(before + 2);
  await page.getByRole('button', { name: 'Leave it so, with a reason' }).click();
  await page.getByLabel('Why it is left so').fill('the wrench slipped');
  await page.getByRole('button', { name: 'Leave it so' }).click();
  await expect.poll(async () => (await pulls(page, bench)).length).toBe(before + 3);
  // Answered once: it is not asked a second time.
  await page.reload();
  await expect(held).toHaveCount(0);
  const lines = (await pulls(page, bench)).slice(before);
  expect(lines.map(({ outcome, words }) => [outcome, words])).toEqual([
    ['did-not-move', undefined],
    ['went-over', undefined],
    ['pulled', 'the wrench slipped'],
  ]);
  await page.goto(`${bench.address}/engines/demo-maestrale/record/demo-m-joint-head`);
  await expect(page.getByText('did not move, read 16.4 N·m, turned 0°, by Seven')).toBeVisible();
  await expect(page.getByText('pulled, the wrench slipped, read 30 N·m')).toBeVisible();
});

test('a wrench that is none is held to pull and let go of at its click, by pointer and by key, at the bench and from its page', async ({
  page,
  bench,
  context,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/face/${ROUND}`);
  await faceAlive(page);
  const place = page.getByTestId('face-place');
  const key = page.getByRole('button', { name: /Hold to pull|Pulling|Click: let go/ });
  await key.focus();
  await page.keyboard.down('Space');
  await expect(page.getByTestId('live-reading')).toBeVisible();
  await expect(key).toHaveText('Click: let go');
  await page.keyboard.up('Space');
  // A slow machine lets go late: then it is past, and that is said.
  const held = page.getByTestId('held-reading');
  await expect(held.or(page.getByText(/^Last done.*by Simulated wrench/))).toBeVisible();
  if (await held.isVisible()) await page.getByRole('button', { name: 'It went over' }).click();
  await expect(place).toHaveText('Number 4 of 4, stage 2 of 3');
  await page.getByRole('button', { name: 'Listen to a wrench' }).click();
  await expect(page.getByRole('button', { name: 'Listening to Simulated wrench' })).toBeVisible();
  const beside = await context.newPage();
  await beside.goto(`${bench.address}/shelves/instruments`);
  await expect(beside.locator('fieldset:disabled')).toHaveCount(0);
  // The wrench stands first of them.
  await beside.getByLabel('What goes wrong').first().selectOption('over-range');
  await beside.getByRole('button', { name: 'Hold to pull Simulated wrench' }).focus();
  await beside.keyboard.down('Space');
  await expect(page.getByTestId('live-reading')).toBeVisible();
  await beside.keyboard.up('Space');
  await expect(beside.getByText('Sent, and heard.')).toBeVisible();
  await expect(held).toContainText('The wrench went past the end of its scale');
});

test('a gauge and a probe write into their cells, and what is not for them is passed by', async ({ page, bench }) => {
  await inYard(page, bench);
  const send = async (part: object) => {
    n += 1;
    const line = {
      format: 'unhurried-spanner.reading',
      version: 1,
      id: `gauge-line-${n}`,
      instrument: 'Gauge',
      resolution: 0.001,
      at: new Date().toISOString(),
      ...part,
    };
    await page.request.post(`${bench.address}/api/instruments/readings`, { data: line });
  };
  await page.goto(`${bench.address}/engines/demo-maestrale/joints/demo-m-joint-rods/stretch`);
  await page.getByRole('button', { name: 'Listen to a gauge' }).click();
  await expect(page.getByRole('button', { name: 'Listening to a gauge' })).toBeVisible();
  const length = page.getByLabel('Length as read');
  await send({ kind: 'thermometer', value: 31, unit: '°C' });
  await send({ kind: 'stretch-gauge', value: 62.184, unit: 'mm', over: true });
  await expect(page.getByText('Gauge went past the end of its scale')).toBeVisible();
  await expect(length).toHaveValue('');
  await send({ kind: 'stretch-gauge', value: 48.132, unit: 'mm' });
  await expect(length).toHaveValue('48.132 mm');
  await page.goto(`${bench.address}/engines/demo-fourteen/run-in`);
  await page.getByRole('button', { name: 'Listen to a probe' }).click();
  await expect(page.getByRole('button', { name: 'Listening to a probe' })).toBeVisible();
  await send({ kind: 'thermometer', value: 88.5, unit: '°F' });
  await expect(page.getByLabel('Head, °C')).toHaveValue('88.5 °F');
});
