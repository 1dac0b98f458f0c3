import type { GroupRole, Kitchen } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { middle, scanAmounts, type Found } from '../quantity/scan.js';
import { sentencesIn } from '../text/sentences.js';
import { matchIngredient, type Match } from './match.js';
import { plainText } from '../text/plain.js';
import { amountsIn, foodBefore, foodBehind, lastNamed, plainer, strangeBehind } from './prose-finds.js';
import { fillUp } from './series.js';

/**
 * Ingredients inside sentences: letters, dictation, a method that holds its own list. Each amount is given to the food
 * that stands behind it ("two cups of flour"), or to the one just said ("butter, a hundred and ten"); what is taken back
 * ("no wait, make that three quarters") takes the first amount's place.
 */
export interface Told {
  /** The ingredient as a line: amount and name, in the words of the sentence. */
  readonly text: string;
  /** The stretch of the sentence's line that it was read from. */
  readonly from: number;
  readonly to: number;
  readonly ingredient: string;
  /** The name as it was said. */
  readonly name: string;
  /** What the sentence makes of it, when it is no part of the batter. */
  readonly role: GroupRole | null;
  /** True when a plain number was taken as grams, since the things around it are weighed. */
  readonly grams: boolean;
  /** What was reckoned to make its amount, to be asked about. */
  readonly reckoned?: string;
}

const corrected =
  /\b(?:no,?\s+wait|wait,?\s+no|no,|yeah,?\s+no|sorry|hang on|hold on|make (?:that|it)|I mean|scratch that|correction|or rather|it'?s (?=one|two|three|a|half|\d))/i;

/** "zest of", "the juice and zest of" in front of a count of fruit. */
const peelOf =
  /(?:(?:finely\s+)?grated\s+)?(?:zest|rind|juice|peel)(?:\s+and\s+(?:juice|zest|rind))?\s+of\s+(?:the\s+)?$/i;
const peelOfOne =
  /(?:zest|rind|juice)(?:\s+and\s+(?:juice|zest|rind))?\s+(?:of|from)\s+(?:an?|the|half an?|both|one|another)\s+(?:\w+\s+)?(?:lemons?|limes?|oranges?|clementines?|grapefruits?)\b/gi;

const oneEgg =
  /\b(?:an|one)\s+((?:(?:large|medium|small|whole|beaten|fresh)\s+)*egg)\b(?!\s*(?:yolk|white|wash|cup|size))/gi;

/** "a packet of baking powder", "two tins of peaches". */
export const packed =
  /\b(an?|one|two|three|four|half an?|\d|½)\s+(?:(?:small|large|big|little|whole|400\s*g)\s+)?(packets?|sachets?|tins?|cans?|jars?|tubs?)(?:\s+of)?\s+(?!of\b|in\b|at\b|and\b|or\b|with\b|for\b)(?=\p{L})/giu;

/** "the same of sugar", "their weight in butter": as much as what was said before. */
const same =
  /\b(?:the same(?:\s+(?:amount|weight|quantity|again))?\s+(?:of|in)|(?:their|its|the eggs'?|same) weight (?:each\s+)?(?:in|of)|as much|equal (?:weight|amount)s? of)\s+/gi;

/** What eggs in their shells weigh, where other things are to weigh the same: as the text says, else 60 g each, a usual large egg. */
function eggsWeigh(line: string, n: number): { readonly grams: string; readonly words: string } {
  const said =
    /\beggs?(?: in (?:the |their )?shells?)?,?\s*\((?:about |roughly |approx\.? )?(\d{2,3})\s*g\)/i.exec(line)?.[1] ??
    /\b(?:mine|they|these|those|shells|eggs) (?:all )?(?:come|comes|came|weigh|weighed|are|were) (?:to )?(?:about )?(\d{2,3})\s*g\b/i.exec(
      line,
    )?.[1];
  const grams = said ? Number(said) : 60 * n;
  return { grams: `${grams} g`, words: said ? `As much as the eggs weigh, which the text gives as ${grams} g.` : `As much as ${n} eggs in their shells, taken as 60 g each.` }; // prettier-ignore
}

const roleWords: readonly (readonly [RegExp, GroupRole])[] = [
  [/\b(?:for|make|start|the) (?:the )?(?:icing|frosting|buttercream|glaze)\b|\bfrosting\b/i, 'icing'],
  [/\bfor (?:the )?(?:filling|middle)\b/i, 'filling'],
  [
    /\b(?:for (?:the )?syrup|syrup of|the syrup|drizzle)\b|\bpour (?:it |them |the \w+ )?over (?:the )?(?:hot|warm|cake)|\bspoon (?:it|the \w+) (?:on|over)|\bbrush (?:it |them |each )?(?:with|over)[^.]*\b(?:hot|out|cold)\b/i,
    'soak',
  ],
  [
    /\bfor (?:the )?(?:top|topping|streusel|crumble)\b|\b(?:brush|sprinkle|scatter|dust|dredge|top|glaze)\w*\b[^.;]{0,40}\bwith\b|\bon top\b|\bover the tops?\b|\bsprinkle\b|\bscatter\b/i,
    'top',
  ],
  [/\b(?:grease|greased|butter the|oil the|dust the|flour the|for the tin|line the)\b/i, 'grease'],
];
const component =
  /\b(?:for|make|start|and now) (?:the )?(icing|frosting|buttercream|glaze|filling|syrup|topping|streusel|drizzle)\b|^\s*(?:the )?(icing|frosting|buttercream|glaze|filling|syrup|topping|streusel|drizzle)\s*:/i;

/** The words of a phrase that the name was found in, without strange ones around or between them. */
function nameOf(phrase: string, match: Match): string {
  const odd = new Set(match.odd);
  const known = match.words.split(' ').map((w) => w.slice(0, 4));
  const runs: string[][] = [[]];
  for (const w of phrase.trim().split(/\s+/))
    if (odd.has(plainText(w))) runs.push([]);
    else runs.at(-1)?.push(w);
  const shared = (run: readonly string[]): number =>
    run.filter((w) => known.some((x) => plainText(w).startsWith(x))).length;
  const best = runs.reduce((b, r) => (shared(r) >= shared(b) && r.length > 0 ? r : b), runs[0] ?? []);
  return (best.length > 0 ? best.join(' ') : phrase.trim()).replace(/^(?:the|some|my|your|our)\s+/i, '');
}

const smaller: Readonly<Record<string, string>> = { kg: 'g', l: 'ml' };
/** Where a bracket ends that gives an amount once more in another unit, straight behind it. */
function weighedInBracket(text: string, a: Found, next: Found | undefined): number | null {
  if (!next || a.unit === null || next.unit === null || !/^\s*\(\s*$/.test(text.slice(a.to, next.from))) return null;
  const close = /^[^()]{0,16}\)/.exec(text.slice(next.to));
  return close ? next.to + close[0].length : null;
}

/** Countable things: a bare number of them is an amount. */
const counts = (id: string, kitchen: Kitchen): boolean => ingredientOf(id, undefined, kitchen).pieceG !== undefined;

/** "450 g of flour, half wholemeal and half white": two flours instead of the one that was told last. */
function halved(out: Told[], from: number, to: number, kinds: readonly [string, string], kitchen: Kitchen): void {
  const at = out.findLastIndex((t) => t.from < from);
  const told = out[at];
  const [amount] = told ? scanAmounts(told.text) : [];
  if (!told || !amount || ingredientOf(told.ingredient, undefined, kitchen).base !== 'flour') return;
  const unit = told.text.slice(amount.from, amount.to).replace(/^[\d\s.,/½¼¾⅓⅔-]+/, '');
  const both = kinds.flatMap((kind): Told[] => {
    const name = `${kind} flour`;
    const match = matchIngredient(name, kitchen);
    return match
      ? [{ ...told, text: `${middle(amount.value) / 2} ${unit} ${name}`, to, ingredient: match.id, name }]
      : [];
  });
  if (both.length < 2) return;
  const inside = out.filter((t) => t !== told && t.from < to && from < t.to);
  out.splice(0, out.length, ...out.slice(0, at), ...both, ...out.slice(at + 1).filter((t) => !inside.includes(t)));
}

/** "And an orange.", "flour, sugar, a lemon and two eggs": an article counts one. */
const articled =
  /(?:^|[,;:.]\s*|\b(?:and|plus)\s+)(an?|one)\s+((?:(?:large|medium|small|ripe|big|whole|good)\s+)*\p{L}+)(?=\s*(?:[,.;!]|$|\band\b))/giu;

/**
 * The parts of a recipe that a stretch of prose tells, in order.
 *
 * @param weighing whether a plain number may be grams
 * @param strangers whether an amount of something unknown is a part too: where there is no list but what is told
 */
export function toldIn(line: string, kitchen: Kitchen, weighing: boolean, strangers = false): Told[] {
  const out: Told[] = [];
  let apart: GroupRole | null = null;
  let grams = weighing;
  let last: { value: string; unit: string | null } | null = null;
  let asked: { readonly id: string; readonly words: string } | null = null;
  for (const s of sentencesIn(plainer(line))) {
    const { text } = s;
    // what it is served with is no part of it
    if (!strangers && /^\W*(?:to )?serve[sd]?\b[^.:]*\bwith\b/i.test(text)) continue;
    const comp = component.exec(text);
    if (comp) apart = roleWords.find(([re]) => re.test(comp[0]))?.[1] ?? apart;
    const amounts = amountsIn(text);
    const used = new Set<number>();
    let done = 0;
    for (let i = 0; i < amounts.length; i++) {
      let a = amounts[i] as Found;
      if (used.has(i)) continue;
      const limit = amounts[i + 1]?.from ?? text.length;
      let food = foodBehind(text, a.to, limit, a.unit !== null, kitchen);
      const start = a.from;
      let value = text.slice(a.from, a.to);
      let unit = a.unit;
      // "1/4 cup (57g) cold butter": the bracket weighs what stands behind it
      const inBracket = food ? null : weighedInBracket(text, a, amounts[i + 1]);
      if (inBracket !== null) {
        used.add(i + 1);
        value = text.slice(a.from, inBracket);
        food = foodBehind(text, inBracket, amounts[i + 2]?.from ?? text.length, true, kitchen);
      }
      // what is said anew takes the place of what was said first
      for (let j = i + 1; j < amounts.length; j++) {
        const b = amounts[j] as Found;
        const between = text.slice(food?.to ?? a.to, b.from);
        if (!corrected.test(between) || between.length > 70) break;
        const other = foodBehind(text, b.to, amounts[j + 1]?.from ?? text.length, b.unit !== null, kitchen);
        if (food && other && other.match.id !== food.match.id) break;
        if (!food && !other) break;
        value = text.slice(b.from, b.to) + (b.unit === null && unit !== null ? ` ${unit}` : '');
        unit = b.unit ?? unit;
        food = other ?? food;
        a = { ...b, from: start };
        used.add(j);
      }
      food ??= foodBefore(text, done, start, kitchen) ?? (unit === null ? null : lastNamed(text, done, start, kitchen));
      if (!food && asked) {
        const small = unit === null && !counts(asked.id, kitchen);
        if (!small || (grams && typeof a.value === 'number' && a.value >= 20)) {
          const said: string = small ? `${value.trim()} g` : value.trim();
          out.push({
            text: `${said} ${asked.words}`,
            from: s.at + start,
            to: s.at + a.to,
            ingredient: asked.id,
            name: asked.words,
            role: apart,
            grams: false,
          });
          last = { value: said, unit };
          if (unit === 'g' || unit === 'kg') grams = true;
          asked = null;
          done = a.to;
        }
        continue;
      }
      const strange = !food && strangers && amounts.length > 2 ? strangeBehind(text, a, limit) : null;
      if (strange) {
        const said = `${value.trim()} ${strange.name}`;
        out.push({ text: said, from: s.at + start, to: s.at + strange.to, ingredient: 'unknown', name: strange.name, role: apart, grams: false }); // prettier-ignore
        last = { value: value.trim(), unit };
        if (unit === 'g' || unit === 'kg') grams = true;
        done = strange.to;
      }
      if (!food) continue;
      // "a cup of the milk" is a part of what was told before
      const short = (name: string): boolean => name.toLowerCase().endsWith(` ${food?.match.words.toLowerCase() ?? ''}`);
      if (
        /^\s*of (?:the|that|this|your)\b/i.test(text.slice(a.to)) &&
        out.some((t) => t.ingredient === food?.match.id || short(t.name))
      )
        continue;
      const of = peelOf.exec(text.slice(Math.max(0, start - 60), start));
      const each = /^\s*each\b(?:\s+of\b)?|^\s*of each\b/i.exec(text.slice(a.to));
      // "four ounces of treacle and four of syrup": the unit is not said again
      if (unit === null && /^\s*of\b/i.test(text.slice(a.to)) && last?.unit && !counts(food.match.id, kitchen)) {
        // "half a kilo of potatoes and a hundred of flour": nobody means a hundred kilos
        const small: string | undefined = typeof a.value === 'number' && a.value >= 20 ? smaller[last.unit] : undefined;
        unit = small ?? last.unit;
        value = `${value.trim()} ${unit}`;
      }
      const bare: boolean = unit === null && !counts(food.match.id, kitchen);
      const large = bare && typeof a.value === 'number' && middle(a.value) >= 20;
      if (bare && !(grams && large)) continue;
      if (unit === 'g' || unit === 'kg') grams = true;
      let name = nameOf(text.slice(food.from, food.to), food.match);
      if (each) {
        const stop = /[.;!?]/.exec(text.slice(a.to, limit));
        const to = stop ? a.to + stop.index : limit;
        const all = text
          .slice(a.to + each[0].length, to)
          .split(/,|\band\b|&/)
          .map((x) => x.trim());
        const named = all.flatMap((x) => {
          const m = x === '' ? null : matchIngredient(x, kitchen);
          return m && !m.behind ? [{ x, id: m.id }] : [];
        });
        for (const { x, id } of named)
          out.push({
            text: `${value.trim()} ${x}`,
            from: s.at + start,
            to: s.at + to,
            ingredient: id,
            name: id === 'citrus-zest' ? 'zest' : x,
            role: apart,
            grams: false,
          });
        if (named.length > 0) {
          last = { value: value.trim(), unit };
          done = to;
          continue;
        }
      }
      // "300 g of rye flour and 200 of white": the same thing of another kind
      const kind = out.at(-1);
      const flours = kind && /^(?:white|brown|plain|strong|wholemeal|whole|light|dark)$/i.test(name) && ingredientOf(kind.ingredient, undefined, kitchen).base === 'flour'; // prettier-ignore
      const other = flours ? matchIngredient(`${name} flour`, kitchen) : null;
      if (other) {
        food = { ...food, match: other };
        name = `${name} flour`;
      }
      const from = Math.min(start, food.from);
      const to = Math.max(a.to, food.to);
      const role =
        roleWords.find(([re]) => re.test(text.slice(Math.max(0, from - 60), Math.min(text.length, to + 30))))?.[1] ??
        null;
      const said: string = bare ? `${value.trim()} g` : value.trim();
      out.push({
        text: of ? `${of[0].trim()} ${said} ${name}` : `${said} ${name}`,
        from: s.at + (of ? Math.max(0, start - 60) + of.index : from),
        to: s.at + to,
        ingredient: food.match.id,
        name,
        role: apart ?? role,
        grams: bare,
      });
      last = { value: said, unit };
      done = to;
    }
    const [, filling] = fillUp(text) ?? [];
    const filled = filling && matchIngredient(filling.text.replace(/^\d+ ml /, ''), kitchen);
    if (filling?.place && filled && !out.some((t) => t.ingredient === filled.id))
      out.push({
        text: filling.text,
        from: s.at + filling.place.from,
        to: s.at + filling.place.to,
        ingredient: filled.id,
        name: filled.words,
        role: apart,
        grams: false,
        ...(filling.reckoned && { reckoned: filling.reckoned }),
      });
    for (const m of text.matchAll(packed)) {
      const behind = m.index + m[0].length;
      const food = foodBehind(text, behind, text.length, true, kitchen);
      if (!food || out.some((t) => t.ingredient === food.match.id)) continue;
      const name = nameOf(text.slice(food.from, food.to), food.match);
      // "(drained, about 200 g)" says how much is in it
      const holds = /^\s*\(([^)]*)\)/.exec(text.slice(food.to));
      const weight = holds ? scanAmounts(holds[1] ?? '').find((a) => a.unit !== null) : undefined;
      const said = weight ? ` (${(holds?.[1] ?? '').slice(weight.from, weight.to)})` : '';
      const to = food.to + (weight ? (holds?.[0].length ?? 0) : 0);
      const same = out.findIndex((t) => t.from < s.at + to && s.at + m.index < t.to);
      if (same >= 0) continue;
      out.push({
        text: `${/^an?$/i.test(m[1] ?? '') ? 1 : m[1]} ${m[2]} ${name}${said}`,
        from: s.at + m.index,
        to: s.at + to,
        ingredient: food.match.id,
        name,
        role: apart,
        grams: false,
      });
    }
    for (const m of text.matchAll(oneEgg)) {
      if (out.some((t) => t.from - s.at < m.index + m[0].length && m.index < t.to - s.at)) continue;
      if (out.some((t) => t.ingredient === 'egg')) continue;
      out.push({
        text: `1 ${m[1] ?? 'egg'}`,
        from: s.at + m.index,
        to: s.at + m.index + m[0].length,
        ingredient: 'egg',
        name: 'egg',
        role: apart,
        grams: false,
      });
    }
    if (
      out.some((t) => t.from >= s.at) ||
      /^\W*(?:and|plus|oh|also)?[\s,]*(?:an?|one)\s+(?:\p{L}+\s+){0,2}?\p{L}+\W*$/iu.test(text)
    )
      for (const m of text.matchAll(articled)) {
        const name = m[2] ?? '';
        const found = matchIngredient(name, kitchen);
        if (!found || found.odd.length > 0 || found.behind || found.id === 'egg' || !counts(found.id, kitchen))
          continue;
        if (out.some((t) => t.ingredient === found.id || (t.from - s.at < m.index + m[0].length && m.index < t.from - s.at))) continue; // prettier-ignore
        const from = s.at + m.index + m[0].length - name.length;
        out.push({ text: `1 ${name}`, from: from - 2, to: from + name.length, ingredient: found.id, name, role: apart, grams: false }); // prettier-ignore
      }
    const first =
      /\bhalf\s+(?:of (?:it|that)\s+)?([\p{L}-]+)(?:\s+flour)?\s*(?:,|and|&)+\s*half\s+([\p{L}-]+)(?:\s+flour)?/iu.exec(
        text,
      );
    if (first) halved(out, s.at + first.index, s.at + first.index + first[0].length, first.slice(1, 3) as [string, string], kitchen); // prettier-ignore
    // "And the butter?" is answered by the next amount
    if (/\?["'”]?\s*$/.test(text) && amounts.length === 0) {
      const m = matchIngredient(text.replace(/\b(?:how much|what|which|and|the|then|for|about)\b/gi, ' '), kitchen);
      asked = m && !m.behind ? { id: m.id, words: m.words } : null;
    } else if (amounts.length > 0 || !/\?["'”]?\s*$/.test(text)) {
      asked = null;
      // "First the apples. One kilo, peeled."
      const named = amounts.length === 0 ? /^\W*(?:(?:and|then|now|first|next|also|for)\s+)*(?:the|some|your)\s+([\p{L} -]{3,30})[.:]\s*$/iu.exec(text)?.[1] : undefined; // prettier-ignore
      const m = named ? matchIngredient(named, kitchen) : null;
      if (m && !m.behind && m.odd.length === 0) asked = { id: m.id, words: m.words };
    }
    for (const m of text.matchAll(peelOfOne)) {
      if (out.some((t) => t.from - s.at < m.index + m[0].length && m.index < t.to - s.at)) continue;
      const phrase = m[0].replace(/\bboth\b/i, '2').replace(/\b(?:the|another|an?)\b/i, 'one');
      const id = /juice/i.test(m[0])
        ? (matchIngredient(`${/(lemon|lime|orange|clementine|grapefruit)/i.exec(m[0])?.[1] ?? ''} juice`, kitchen)
            ?.id ?? 'lemon-juice')
        : 'citrus-zest';
      out.push({
        text: phrase,
        from: s.at + m.index,
        to: s.at + m.index + m[0].length,
        ingredient: id,
        name: phrase,
        role: apart,
        grams: false,
      });
    }
    for (const m of text.matchAll(same)) {
      const told = out.findLast((t) => t.from < s.at + m.index);
      const amount = told && scanAmounts(told.text)[0];
      const shells = told?.ingredient === 'egg' && amount?.unit === null ? eggsWeigh(line, middle(amount.value)) : null;
      const value = shells?.grams ?? (told && amount ? told.text.slice(amount.from, amount.to) : last?.value);
      if (!value) continue;
      // "the same of butter, sugar and self-raising flour"
      let from = m.index + m[0].length;
      for (;;) {
        const food = foodBehind(text, from, text.length, true, kitchen);
        if (!food || food.match.odd.length > 0 || scanAmounts(text.slice(food.from, food.to)).length > 0 || out.some((t) => t.from - s.at <= food.from && food.to <= t.to - s.at)) break; // prettier-ignore
        out.push({
          text: `${value} ${text.slice(food.from, food.to).trim()}`,
          from: s.at + (from === m.index + m[0].length ? m.index : food.from),
          to: s.at + food.to,
          ingredient: food.match.id,
          name: text.slice(food.from, food.to).trim(),
          role: apart,
          grams: false,
          ...(shells && { reckoned: shells.words }),
        });
        const next = /^\s*(?:,(?:\s*and)?|and|&)\s+/i.exec(text.slice(food.to));
        if (!next) break;
        from = food.to + next[0].length;
      }
    }
  }
  return out.sort((a, b) => a.from - b.from);
}
