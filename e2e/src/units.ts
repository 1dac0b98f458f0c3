import type { Page } from '@playwright/test';

const figure = '(?<![\\p{L}\\d.,])\\d+(?:[.,]\\d+)? ?';
const ounces = /[\d¼-¾⅐-⅞] ?(?:oz|lbs?)\b/u;
const inches = /[\d¼-¾⅐-⅞] (?:in|inch|inches|ft)\b(?! (?:a|an|the|all|its|each|one|\d))/u;
const grams = new RegExp(`${figure}(?:kg|g|ml|l)(?![\\p{L}\\d/²³])|\\b(?:grams|millilitres)\\b`, 'u');
const centimetres = new RegExp(`${figure}(?:cm|mm|m)(?![\\p{L}\\d²³])|\\b(?:cm|mm|centimetres|metres)\\b`, 'u');
const celsius = /\d ?°C/u;
const fahrenheit = /\d ?°F/u;
const money = (own: string): RegExp => new RegExp(`[€£$₹](?<!${own === '$' ? '\\$' : own})\\s?\\d`, 'u');

/** What a kitchen of that place does not know. */
const foreignTo: Readonly<Record<string, readonly RegExp[]>> = {
  'United States': [grams, centimetres, celsius, money('$')],
  'United Kingdom': [ounces, inches, fahrenheit, money('£')],
  Australia: [ounces, inches, fahrenheit, money('$')],
  India: [ounces, centimetres, fahrenheit, money('₹')],
};

/**
 * Every text of the screen, names and hints of its fields and drawings included, that has a unit which that place does not know.
 * What may stay: the recipe as it was pasted, names that shops give to tins ("2 lb (900 g) loaf tin"), and the nutrients of a
 * label, which are in grams all over the world.
 */
export async function foreign(page: Page, place: string): Promise<string[]> {
  const units = foreignTo[place] ?? [];
  const texts = await page.evaluate(() => {
    const out = new Set<string>();
    const kept = (e: Element): boolean => e.closest('.said, table.nutrients, .ask, script, style') !== null;
    for (const e of document.querySelectorAll(
      'p, li, td, dd, dt, th, label, legend, option, h1, h2, h3, button, a, span, b, text, title',
    )) {
      const text = (e.textContent ?? '').replace(/\s+/g, ' ').trim();
      if (text !== '' && text.length < 300 && !kept(e)) out.add(text);
    }
    for (const e of document.querySelectorAll('[placeholder], [aria-label], [title], [aria-valuetext], input')) {
      if (kept(e)) continue;
      const value = e instanceof HTMLInputElement ? e.value : '';
      for (const t of [
        value,
        ...['placeholder', 'aria-label', 'title', 'aria-valuetext'].map((a) => e.getAttribute(a) ?? ''),
      ])
        if (t !== '') out.add(t);
    }
    return [...out];
  });
  const shops = /\d lb \(\d+ g\)|\d+ cm \(\d+ in\)|⅓ cup|¾ cup/g;
  return texts.map((t) => t.replace(shops, '')).filter((t) => units.some((u) => u.test(t)));
}
