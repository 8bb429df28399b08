import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Page } from '@playwright/test';
import type axeOfPage from 'axe-core';
import type { ElementContext, RunOptions } from 'axe-core';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

type Theme = 'chalk' | 'night';

/**
 * What of the page has words that are seen, one of each look: alike in both themes in its ink, its size, and every ground it
 * lies on, and called alike. A tray's 620 words have 140 looks, and contrast is two thirds of the time. Gives them in one list
 * with how each looks, so that those found right on an earlier screen are left out.
 */
function looksOfWords(): { looks: string[]; words: Element[] } {
  const root = document.documentElement;
  const before = root.dataset.theme;
  const words = [...document.body.querySelectorAll('*')].filter(
    (one) =>
      // A message that is just fading out has no colours of its own.
      !one.closest('[data-sonner-toaster]') &&
      (/^(INPUT|TEXTAREA)$/.test(one.tagName) ||
        [...one.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim() !== '')) &&
      // What is not seen stands for none that is.
      one.checkVisibility({ opacityProperty: true, visibilityProperty: true }),
  );
  const called = (one: Element | null) => one?.getAttribute('class');
  const looks = words.map((one) => `${called(one)} in ${called(one.parentElement)}`);
  for (const theme of ['chalk', 'night']) {
    root.dataset.theme = theme;
    const grounds = new Map<Element, string>();
    const groundsOf = (one: Element): string => {
      const known = grounds.get(one);
      if (known !== undefined) return known;
      const { backgroundColor, backgroundImage, opacity } = getComputedStyle(one);
      const under = one.parentElement ? groundsOf(one.parentElement) : '';
      const told = `${backgroundColor} ${backgroundImage} ${opacity}`;
      const all = told === 'rgba(0, 0, 0, 0) none 1' ? under : `${told} on ${under}`;
      grounds.set(one, all);
      return all;
    };
    for (const [i, one] of words.entries()) {
      const { color, fontSize, fontWeight } = getComputedStyle(one);
      looks[i] = `${looks[i]}; ${color} ${fontSize} ${fontWeight} on ${groundsOf(one)}`;
    }
  }
  if (before === undefined) delete root.dataset.theme;
  else root.dataset.theme = before;
  const each = new Map(words.map((one, i) => [looks[i]!, one]));
  return { looks: [...each.keys()], words: [...each.values()] };
}

/**
 * Looks whose contrast was found right on a screen before, in both themes: the same ink on the same grounds is right again. One that
 * could not be told, behind a dialog or out of sight, is not among them.
 */
const foundRight = new Set<string>();

/** What the screen violates: its words' contrast in both themes, which differ in their colours alone, and all else in one. */
async function violationsIn(page: Page): Promise<string[]> {
  // Read once a page: it is half a megabyte. What passes is not described: a fifth of the time.
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(AXE);
  const found = await page.evaluateHandle(looksOfWords);
  const looks = await found.evaluate((of) => of.looks);
  const unknown = looks.flatMap((look, i) => (foundRight.has(look) ? [] : [i]));
  const { violations, right } = await found.evaluate(async (of, places) => {
    const { axe } = globalThis as unknown as { axe: typeof axeOfPage };
    const exclude = ['[data-sonner-toaster]'];
    const told: string[] = [];
    const look = async (theme: Theme, at: ElementContext, by: RunOptions) => {
      document.documentElement.dataset.theme = theme;
      const { violations, passes } = await axe.run(at, by);
      for (const { id, nodes } of violations) {
        const where = nodes.map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`);
        told.push(`${theme}: ${id}: ${where.slice(0, 3).join(' | ')}`);
      }
      return new Set<Element | undefined>(passes.flatMap(({ nodes }) => nodes.map(({ element }) => element)));
    };
    await look('chalk', { exclude }, { resultTypes: ['violations'], rules: { 'color-contrast': { enabled: false } } });
    if (places.length === 0) return { violations: told, right: [] };
    const include = places.map((i) => of.words[i]!);
    const contrast: RunOptions = { elementRef: true, runOnly: { type: 'rule', values: ['color-contrast'] } };
    const byDay = await look('chalk', { include, exclude }, contrast);
    const byNight = await look('night', { include, exclude }, contrast);
    const right = places.filter((i) => byDay.has(of.words[i]) && byNight.has(of.words[i]));
    return { violations: told, right };
  }, unknown);
  for (const i of right) foundRight.add(looks[i]!);
  return violations;
}

/** How far the page itself could be scrolled, in px: what is focused below its edge would move all of it. */
const beyondPage = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollHeight - document.documentElement.clientHeight);

/** No accessibility violation on the screen as it stands, in either theme; and its panes scroll, not the page. */
export async function expectAccessible(page: Page): Promise<void> {
  expect(await violationsIn(page)).toEqual([]);
  expect(await beyondPage(page), 'px that the page itself scrolls').toBe(0);
}
