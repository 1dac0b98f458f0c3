const joined: Readonly<Record<string, string>> = { ß: 'ss', œ: 'oe', æ: 'ae', ø: 'o', ł: 'l' };

/** Lower case without accents, signs and doubled spaces: what names are compared in. */
export const plainText = (s: string): string =>
  s
    .toLowerCase()
    .replace(/[’‘]/g, "'")
    .replace(/[ßœæøł]/g, (c) => joined[c] ?? c)
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9%' -]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** With a capital at its beginning. */
export const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** With a small letter at its beginning: as it stands within a sentence. */
export const within = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);

const conjunction = new Intl.ListFormat('en-GB', { type: 'conjunction' });
/** Words in a row: "a, b and c". */
export const enumerated = (words: readonly string[]): string => conjunction.format(words);
