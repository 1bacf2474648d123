import type { Page } from '@playwright/test';
import { alive, expect, inYard, test } from './bench';

// Nobody’s machine that runs this goes by these hours: a quarter to one when it is seven in the morning in UTC.
test.use({ timezoneId: 'Asia/Kathmandu' });

const hours = async (page: Page) => (await page.getByRole('main').innerText()).match(/\b\d\d:\d\d\b/g) ?? [];
const later = (hour: string) => {
  const at = Number(hour.slice(0, 2)) * 60 + Number(hour.slice(3)) + 345;
  return `${String(Math.floor(at / 60) % 24).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
};

test('a device that goes by other hours than the shop’s machine is told so, and may set the shop by its own', async ({
  page,
  bench,
  browser,
  faults,
}) => {
  await inYard(page, bench);
  await bench.restart({ TZ: 'UTC' });
  await page.goto(`${bench.address}/due`);
  const told = page.getByText(/is told by the clock of the machine that keeps the shop: .* in UTC, where it is .* on/);
  await expect(told).toBeVisible();
  const inUtc = await hours(page);
  expect(inUtc.length).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Go by this device’s' }).click();
  await expect(told).toHaveCount(0);
  expect(await hours(page)).toEqual(inUtc.map(later));
  // Days and hours that the server draws are those that the page would draw.
  await page.goto(`${bench.address}/shelves/wrenches`);
  expect(faults).toEqual([]);
  // A day that is typed is that day, there and wherever the shop is looked at.
  const form = page.getByRole('form', { name: 'Change Half-inch click wrench' });
  await page.getByRole('button', { name: 'Change Half-inch click wrench' }).click();
  await form.getByRole('textbox', { name: 'Last checked' }).fill('3 Feb 2026');
  await form.getByRole('button', { name: /Save/ }).click();
  await expect(page.getByText('checked 3 Feb 2026')).toBeVisible();
  // It is kept, whatever the machine goes by.
  await bench.restart({ TZ: 'UTC' });
  await page.goto(`${bench.address}/due`);
  expect(await hours(page)).toEqual(inUtc.map(later));
  await expect(told).toHaveCount(0);
  // Another device sees it as well, and may leave it: it is not asked again.
  const elsewhere = await browser.newContext({ timezoneId: 'America/Denver' });
  await elsewhere.addCookies(await page.context().cookies());
  const other = await elsewhere.newPage();
  await other.goto(`${bench.address}/due`);
  const leave = other.getByRole('button', { name: 'Leave it' });
  await leave.click();
  await expect(leave).toHaveCount(0);
  await other.reload();
  await alive(other);
  await expect(leave).toHaveCount(0);
  await other.goto(`${bench.address}/shelves/wrenches`);
  await alive(other);
  await expect(other.getByText('checked 3 Feb 2026')).toBeVisible();
  await elsewhere.close();
});
