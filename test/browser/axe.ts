import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type axe from 'axe-core';

/** What it gives of itself by `source` is twice as long, and every page reads it in. */
const CHECKER = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** What every page is held to. */
export const EVERY_RULE = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Changes the look without asking for the page again, and brings every colour to where it goes. */
export async function look(page: Page, scheme: 'light' | 'dark', contrast: 'normal' | 'high' = 'normal') {
  await page.emulateMedia({ colorScheme: scheme });
  await page.evaluate(
    async ([to, by]) => {
      const root = document.documentElement;
      root.dataset.contrast = by;
      const drawn = () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
      for (let waited = 0; root.dataset.mantineColorScheme !== to; waited += 1) {
        if (waited > 300) throw new Error(`the page stays ${root.dataset.mantineColorScheme}`);
        await drawn();
      }
      await drawn();
      for (const change of document.getAnimations()) change.finish();
    },
    [scheme, contrast] as const,
  );
}

async function checkerIn(page: Page): Promise<void> {
  // It is put into a page once: half the time of a look in another colour was its own reading in.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(CHECKER);
}

/** What is wrong with a page by those tags or rules, else by the usual ones, each with where. */
export async function faultsOf(page: Page, runOnly?: string[]): Promise<readonly string[]> {
  await checkerIn(page);
  // As a page is drawn anew its title is put in its place anew: between the two there is none. One that never comes is told.
  await page.waitForFunction(() => document.title !== '', undefined, { timeout: 5000 }).catch(() => undefined);
  return page.evaluate(async (only) => {
    const checker = (window as unknown as { readonly axe: typeof axe }).axe;
    const { violations } = await checker.run(document, { resultTypes: ['violations'], ...(only && { runOnly: only }) });
    return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
  }, runOnly);
}

/**
 * Colours too faint, each with where, among what stands on something else than what was looked at before: of words whose
 * own style and that of all around them are those of two that stand in `seen`, no more are looked at. The fortieth row
 * of a table and the rail of the sixtieth screen are coloured like the first two.
 */
export async function faintIn(page: Page, seen: Map<string, number>): Promise<readonly string[]> {
  await checkerIn(page);
  const [faults, counts] = await page.evaluate(
    async (before) => {
      const times = new Map(before);
      const found = new Map<string, number>();
      const chains = new Map<Element | null, string>([[null, '']]);
      // A chain is told by two sums of its text, 64 bits: the texts themselves took longer than looking.
      const sumOf = (text: string) => {
        let [one, other] = [0x811c9dc5, 0x9e3779b9];
        for (let i = 0; i < text.length; i += 1) {
          one = Math.imul(one ^ text.charCodeAt(i), 0x01000193);
          other = Math.imul(other ^ text.charCodeAt(i), 0x85ebca6b) ^ (other >>> 15);
        }
        return `${(one >>> 0).toString(36)}.${(other >>> 0).toString(36)}`;
      };
      const chainOf = (element: Element | null): string => {
        const known = chains.get(element);
        if (known !== undefined || !element) return known ?? '';
        const style = getComputedStyle(element);
        const own = [
          element.tagName,
          element.getAttribute('class'),
          style.color,
          style.backgroundColor,
          style.backgroundImage,
          style.opacity,
          style.position,
          style.fontSize,
          style.fontWeight,
        ];
        const chain = sumOf(`${own.join('|')}\n${chainOf(element.parentElement)}`);
        chains.set(element, chain);
        return chain;
      };
      const isRead = (element: Element) =>
        element.matches('input, select, textarea') ||
        [...element.childNodes].some(
          ({ nodeType, textContent }) => nodeType === Node.TEXT_NODE && textContent?.trim() !== '',
        );
      const include = [...document.querySelectorAll('body *')].filter(isRead).filter((element) => {
        const chain = chainOf(element);
        const count = (times.get(chain) ?? 0) + 1;
        times.set(chain, count);
        found.set(chain, count);
        return count <= 2;
      });
      if (include.length === 0) return [[], [...found]] as const;
      const checker = (window as unknown as { readonly axe: typeof axe }).axe;
      const { violations } = await checker.run(
        { include },
        { resultTypes: ['violations'], runOnly: ['color-contrast'] },
      );
      const where = violations.flatMap(({ nodes }) => nodes.map(({ target }) => `color-contrast: ${target.join(' ')}`));
      return [where, [...found]] as const;
    },
    [...seen],
  );
  for (const [chain, count] of counts) seen.set(chain, count);
  return faults;
}
