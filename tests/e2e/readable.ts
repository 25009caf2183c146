import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What the accessibility rules of level A and AA say of the page that is open. Every page is held against them once by day,
 * and its colors by night (every-page.spec.ts); other tests hold only what such a page shows when it is worked with.
 */
export async function wrongOn(
  page: Page,
  what: string,
  { colors = false, within = null }: { colors?: boolean; within?: string | null } = {}
): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  if (within !== null) axe.include(within);
  const { violations } = await (
    colors
      ? axe.withRules(['color-contrast'])
      : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
  ).analyze();
  return violations.map(({ id, nodes }) => `${what} ${id}: ${nodes[0]?.html.slice(0, 200) ?? ''}`);
}
