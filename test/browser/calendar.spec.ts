import { expect, inYard, test } from './bench';

test('what is due goes into a calendar as a file, and as a feed whose address can be changed and taken away', async ({
  page,
  bench,
  playwright,
  faults,
}) => {
  await inYard(page, bench);
  await page.goto(`${bench.address}/due`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'As a file (.ics)' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('due.ics');
  await page.getByRole('button', { name: 'Make an address for a phone' }).click();
  const shown = page.getByTestId('calendar-address');
  await expect(shown).toHaveText(/\/api\/calendar\/[\w-]{32}\.ics$/);
  const first = (await shown.textContent()) ?? '';
  expect(first.startsWith(bench.address)).toBe(true);
  // A phone has none of this browser's cookies.
  const phone = await playwright.request.newContext();
  const feed = await phone.get(first);
  expect(feed.headers()['content-type']).toBe('text/calendar; charset=utf-8');
  expect(await feed.text()).toMatch(/BEGIN:VEVENT[\s\S]*SUMMARY:Thorncote-Wicks Fourteen: Cylinder head cold/);
  expect((await phone.get(`${bench.address}/api/calendar/${'x'.repeat(32)}.ics`)).status()).toBe(404);
  await page.getByRole('button', { name: 'Another address: the old one stops' }).click();
  await expect(shown).not.toHaveText(first);
  expect((await phone.get(first)).status()).toBe(404);
  const second = (await shown.textContent()) ?? '';
  expect((await phone.get(second)).status()).toBe(200);
  await page.getByRole('button', { name: 'No address any more' }).click();
  await expect(shown).toHaveCount(0);
  expect((await phone.get(second)).status()).toBe(404);
  await phone.dispose();
  expect(faults).toEqual([]);
});
