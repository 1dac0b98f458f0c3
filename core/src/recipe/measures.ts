import type { Source } from '../formula/types.js';

const cupSizes = [200, 236.6, 240, 250, 284];

/**
 * The measures a text gives away about itself: "1 cup (250 ml)", "2 tablespoons (40 ml)". Returns the source with those
 * sizes, or the same source when the text is silent or inconsistent.
 */
export function measuresIn(text: string, source: Source): Source {
  const cups = said(
    text,
    /(\d+(?:\.\d+)?|½|⅓|¼|⅔|¾|1\/2|1\/3|1\/4|2\/3|3\/4)\s*cups?\s*(?:\(|\/|=\s*)\s*(?:about\s*)?(\d{2,4})\s*ml/gi,
  );
  const cupMl = cups
    .map((ml) =>
      [...cupSizes].sort((a, b) => Math.abs(a - ml) - Math.abs(b - ml)).find((c) => Math.abs(c - ml) < 0.022 * c),
    )
    .filter((c): c is number => c !== undefined);
  const spoons = said(
    text,
    /(\d+(?:\.\d+)?|½|1\/2)\s*(?:tablespoons?|tbsps?|tbs)\.?\s*(?:\(|\/|=\s*)\s*(\d{2,3})\s*ml/gi,
  );
  const cup = agreed(cupMl);
  const spoon = agreed(
    spoons.map((ml) => [15, 17.7, 20].find((s) => Math.abs(s - ml) < 0.9) ?? 0).filter((x) => x > 0),
  );
  // a set with 250 ml cups and nothing said of spoons keeps the kitchen's spoons
  return { ...source, ...(cup && { cupMl: cup }), ...(spoon === 20 && { spoonMl: 20 }) };
}

const fractions: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '¼': 1 / 4,
  '⅔': 2 / 3,
  '¾': 3 / 4,
  '1/2': 1 / 2,
  '1/3': 1 / 3,
  '1/4': 1 / 4,
  '2/3': 2 / 3,
  '3/4': 3 / 4,
};

function said(text: string, re: RegExp): number[] {
  const out: number[] = [];
  for (const m of text.matchAll(re)) {
    const n = fractions[m[1] ?? ''] ?? Number(m[1]);
    if (n > 0) out.push(Number(m[2]) / n);
  }
  return out;
}

const agreed = (xs: readonly number[]): number | null => {
  const [first] = xs;
  return first !== undefined && xs.every((x) => x === first) ? first : null;
};
