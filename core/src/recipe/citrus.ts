/** Peel and juice of a fruit, as lists in other languages put them: "le zeste et le jus d'un citron". */

const PEEL = 'zestes?|écorce|schalen?|abrieb|zesten?|scorz[ae]|bucci[ae]|ralladura|cáscara|piel';
const JUICE = 'jus|saft|succo|zumo|jugo';
const FRUITS: readonly (readonly [RegExp, string])[] = [
  [/^(?:citrons? verts?|limetten?|limas?)/iu, 'lime'],
  [/^(?:citrons?|zitronen?|limon[ei]|lim[oó]n(?:es)?)/iu, 'lemon'],
  [/^(?:oranges?|orangen|aranc[ei]a?|naranjas?)/iu, 'orange'],
  [/^(?:pamplemousses?|pompelmo|pomelo)/iu, 'grapefruit'],
];
const HALF = /\b(?:demi|halben|halbe|mezzo|mezza|medi[oa])\b|½/iu;
const lead = String.raw`(?:(?:the|le|la|les|die|der|das|il|lo|el|abgeriebene|geriebene|fein|finement|râpé)\s+)*`;
const joint = String.raw`\s*(?:et|und|e|y|&|\+|,)\s*`;
const phrase = new RegExp(
  String.raw`^${lead}(${PEEL}|${JUICE})(?:\s+(?:grattugiata|râpés?|abgerieben))?(?:${joint}${lead}(${PEEL}|${JUICE}))?\s+(?:d['’]|de\s+|di\s+|d\s+|del\s+|della\s+|von\s+)?((?:une?|uno|una|eine[rs]?|1|2|3|4|deux|zwei|due|dos|½|demi|halben|halbe|mezz[oa]|medi[oa])\s+)*(?:bio[- ]?|unbehandelten?\s+|non traités?\s+)*(\p{L}[\p{L} ]*)`,
  'iu',
);
const isPeel = new RegExp(`^(?:${PEEL})$`, 'iu');
const COUNTS: Readonly<Record<string, number>> = { deux: 2, zwei: 2, due: 2, dos: 2, '2': 2, '3': 3, '4': 4 };

/** The same in English, "zest and juice of 1 lemon"; null where a line says nothing of the kind. */
export function citrusAbroad(text: string): string | null {
  if (text.length > 60) return null;
  const m = phrase.exec(text.trim());
  const fruit = FRUITS.find(([name]) => name.test(m?.[4] ?? ''))?.[1];
  if (!m || !fruit) return null;
  const parts = [m[1], m[2]].flatMap((p) => (p ? [isPeel.test(p) ? 'zest' : 'juice'] : []));
  const count = COUNTS[(m[3] ?? '').trim().toLowerCase()] ?? 1;
  return `${[...new Set(parts)].join(' and ')} of ${HALF.test(text) ? '½' : count} ${fruit}${count > 1 ? 's' : ''}`;
}
