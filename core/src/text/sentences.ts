/** A sentence of a line and where in it it begins. */
export interface Sentence {
  readonly text: string;
  readonly at: number;
}

/** Shortened words whose full stop ends no sentence when what follows goes on in small letters or figures. */
const shortened =
  /(?:^|[\s(/]|\d-?)(?:approx|abt|appr|ca|c|t|tbsp|tsp|tbs|oz|lb|lbs|in|ins|mins?|hrs?|secs?|mod|med|sq|conf|cinn|sug|ingred|choc|marg|sml|lge|lg|deg|temp|no|nos|st|ea|alt|ingred|incl|e\.g|i\.e|etc|vs|min|gm|gms|kg|pkt|pkg|cm|mm|ml|ozs|bi)$/i;
/** Those that a figure always belongs to. */
const beforeFigure = /(?:^|[\s(/])(?:approx|abt|appr|ca|reg|regulo|no|nos|th|mk|vol|fig|st|abt|temp)$/i;

/** Cuts prose into sentences, places kept. Points inside figures and behind shortened words end none. */
export function sentencesIn(text: string): Sentence[] {
  const out: Sentence[] = [];
  let from = 0;
  const close = (to: number): void => {
    if (text.slice(from, to).trim() !== '') out.push({ text: text.slice(from, to), at: from });
    from = to;
  };
  for (const m of text.matchAll(/[.;!?]+["'’)\]]*(?=\s|$)|(?<=[\p{Ll}])\.(?=\p{Lu}\p{Ll})/gu)) {
    const end = m.index + m[0].length;
    if (m[0].startsWith('.') && m[0].length === 1) {
      const before = text.slice(from, m.index);
      const next = /^\s*(\S)/.exec(text.slice(end))?.[1] ?? '';
      if (/\d/.test(next) && beforeFigure.test(before)) continue;
      const timed = /(?:min|mins|hr|hrs|sec|secs)$/i.test(before);
      if (/[\p{Ll}\d(½¼¾]/u.test(next) && shortened.test(before) && !(timed && /\d/.test(next))) continue;
      // "6 in. tin", "10 min. till": one letter and a stop is an initial or a unit
      if (/(?:^|[\s.])\p{L}$/u.test(before) && /[\p{L}\d]/u.test(next)) continue;
      // "8 oz. S.R. flour": a unit behind its number, whatever follows
      if (/[\d½¼¾⅓⅔]\s*(?:oz|ozs|lb|lbs|tsp|tbsp|pt|pkt|g|ml)$/i.test(before)) continue;
    }
    close(end);
  }
  close(text.length);
  return out;
}
