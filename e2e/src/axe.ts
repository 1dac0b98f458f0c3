import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

interface Asked {
  /** Only these rules, such as `color-contrast`. */
  readonly rules?: string[];
  /** Only this part of the page. */
  readonly within?: string;
  /** Slight ones too. */
  readonly slight?: boolean;
}

/** What axe finds wrong on the page as it stands, serious or worse unless slight things are asked for too. */
export async function barriers(page: Page, { rules, within, slight = false }: Asked = {}): Promise<string[]> {
  // no frames here: nothing has to be gathered on a page of its own, and what is right need not be described
  const axe = new AxeBuilder({ page }).setLegacyMode(true);
  if (within !== undefined) axe.include(within);
  axe.options({ resultTypes: ['violations'], ...(rules && { runOnly: { type: 'rule', values: rules } }) });
  const { violations } = await axe.analyze();
  return violations
    .filter((v) => slight || v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${page.url()} ${v.id}: ${v.nodes[0]?.html}`);
}
