import { expect, type Page } from '@playwright/test';
import axe from 'axe-core';

/** What every page is held to. */
export const EVERY_RULE = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Changes the look without asking for the page again, and waits until every colour has come to where it goes. */
export async function look(page: Page, scheme: 'light' | 'dark', contrast: 'normal' | 'high' = 'normal') {
  await page.emulateMedia({ colorScheme: scheme });
  await page.evaluate((to) => void (document.documentElement.dataset.contrast = to), contrast);
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', scheme);
  await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
  await page.waitForFunction(() => document.getAnimations().every(({ playState }) => playState !== 'running'));
}

/**
 * What is wrong with a page by those tags or rules, else by the usual ones, each with where. The checker is put into a
 * page once: half the time of a look in another colour was its own reading in.
 */
export async function faultsOf(page: Page, runOnly?: string[]): Promise<readonly string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(async (only) => {
    const checker = (window as unknown as { readonly axe: typeof axe }).axe;
    const { violations } = await checker.run(document, { resultTypes: ['violations'], ...(only && { runOnly: only }) });
    return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
  }, runOnly);
}
