import { allItems } from '../../formula/formula.js';
import type { Kitchen } from '../../formula/types.js';
import { defaultKitchen } from '../../kitchen/default.js';
import type { Choice, Doubt, Edit, Mark, RecipeDraft } from '../draft.js';
import { alone } from '../empty.js';
import { readRecipe, recipeTexts, type ReadOptions } from '../read.js';
import type { Unsure, Written } from './written.js';

/** More places than these are not asked about one by one, which is said; the least certain come first. */
const MOST_ASKED = 24;
const counts: ReadonlySet<Mark['what']> = new Set(['amount', 'heat', 'time', 'tin', 'yield']);

/**
 * Reads a recipe from the text of pictures. A number that the recogniser was not sure of, and that something was read
 * from, becomes a doubt with the other readings and what each would change. Never throws.
 *
 * @param seen as `written` gives it; its text may have been corrected since, line by line
 */
export function readPicture(seen: Written, kitchen: Kitchen = defaultKitchen, options: ReadOptions = {}): RecipeDraft {
  const draft = readRecipe(seen.text, kitchen, options);
  const texts = seen.text.split('\n');
  const shown = draft.lines ?? texts;
  const from = sourcesOf(shown, draft.lines ? texts : null);
  const unsure = seen.lines
    .flatMap((line, no) => line.unsure.map((u) => ({ no, u })))
    .sort((a, b) => a.u.certainty - b.u.certainty);
  const more = unsure.length - MOST_ASKED;
  const doubts = unsure
    .slice(0, MOST_ASKED)
    .flatMap(({ no, u }) => doubtOf(draft, texts, from, no, u, kitchen, options) ?? [])
    // the same figure twice in a line that was made anew cannot be told apart
    .filter((d, i, all) => all.findIndex((x) => x.id === d.id) === i);
  // one question a place: what a number would mean is asked with what it is
  const asked = (d: Doubt): boolean =>
    doubts.some(
      (s) =>
        s.choices.length > 1 &&
        (d.kind === 'amount' || d.kind === 'leavener' || d.kind === 'disagree'
          ? d.itemId !== undefined && d.itemId === s.itemId
          : ['temperature', 'time', 'tin'].includes(d.kind) &&
            d.place?.line === s.place?.line &&
            (d.place?.from ?? 0) < (s.place?.to ?? 0) &&
            (s.place?.from ?? 0) < (d.place?.to ?? 0)),
    );
  return {
    ...draft,
    doubts: [
      ...doubts,
      ...(more > 0
        ? [
            alone(
              'scan',
              `The picture is hard to read: ${more} more of its numbers are unsure. Hold each line against it.`,
            ),
          ]
        : []),
      ...draft.doubts.filter((d) => !asked(d)),
    ],
    pictured: from.map((sources) => sources.flatMap((no) => seen.lines[no]?.place ?? [])),
  };
}

/** What was seen, taken apart where it holds several recipes. */
export function recipesSeen(seen: Written): readonly Written[] {
  let at = 0;
  const parts = recipeTexts(seen.text).map((text): Written => {
    const from = Math.max(at, seen.text.indexOf(text, at));
    at = from + text.length;
    const first = seen.text.slice(0, from).split('\n').length - 1;
    return { text, lines: seen.lines.slice(first, first + text.split('\n').length) };
  });
  return parts.length > 1 ? parts : [seen];
}

/** For each line that is shown the lines of the text it was made from, by their words in order. */
function sourcesOf(shown: readonly string[], texts: readonly string[] | null): readonly (readonly number[])[] {
  if (!texts) return shown.map((_, i) => [i]);
  const words = (l: string): string[] => l.toLowerCase().match(/[\p{L}\d½¼¾⅓⅔]+/gu) ?? [];
  const all = texts.flatMap((l, no) => words(l).map((word) => ({ word, no })));
  let at = 0;
  return shown.map((line) => {
    const sources = new Set<number>();
    for (const word of words(line)) {
      const ahead = all.slice(at, at + 40).findIndex((w) => w.word === word);
      if (ahead < 0) continue;
      sources.add(all[at + ahead]?.no ?? 0);
      at += ahead + 1;
    }
    return [...sources];
  });
}

function doubtOf(
  draft: RecipeDraft,
  texts: readonly string[],
  from: readonly (readonly number[])[],
  no: number,
  u: Unsure,
  kitchen: Kitchen,
  options: ReadOptions,
): Doubt | null {
  const text = texts[no] ?? '';
  const said = text.slice(u.from, u.to);
  const shown = draft.lines ?? texts;
  // where what was shown is not what was seen, the stretch is looked for in the lines made of it
  const spot = shown
    .map((l, line) => ({ line, at: draft.lines ? l.indexOf(said) : u.from }))
    .find((s) => from[s.line]?.includes(no) && s.at >= 0);
  if (!spot) return null;
  const place = { line: spot.line, from: spot.at, to: spot.at + said.length };
  const mark = (draft.marks ?? []).find(
    (m) => m.line === place.line && counts.has(m.what) && m.from < place.to && m.to > place.from,
  );
  if (!mark) return null;
  const stands = (shown[mark.line]?.slice(mark.from, mark.to) ?? said).replace(/[.,;:]+$/, '').trim();
  const bare = said.replace(/[.,;:]+$/, '');
  const others = u.maybe.flatMap((other, i): { choice: Choice; odd: number }[] => {
    const changed = [...texts];
    changed[no] = text.slice(0, u.from) + other + text.slice(u.to);
    const read = readRecipe(changed.join('\n'), kitchen, options);
    const edit = differing(draft, read, mark);
    if (!edit) return [];
    const words = stands.replace(bare, other.replace(/[.,;:]+$/, ''));
    return [{ choice: { id: `as-${i}`, words, edit }, odd: oddities(read) }];
  });
  const apart = others.filter((o, i) => others.findIndex((x) => x.choice.words === o.choice.words) === i).slice(0, 4);
  // the reading that leaves least to ask about is likeliest; what was seen first among equals
  const best = apart.reduce((b, o) => (o.odd < b.odd ? { id: o.choice.id, odd: o.odd } : b), {
    id: 'keep',
    odd: oddities(draft),
  });
  return {
    id: `seen-${place.line}-${place.from}`,
    place,
    kind: 'scan',
    words: `The picture is hard to read at “${stands}”.`,
    likely: best.id,
    choices: [{ id: 'keep', words: `${stands}, as read`, edit: { kind: 'keep' } }, ...apart.map((o) => o.choice)],
    ...(mark.itemId !== undefined && { itemId: mark.itemId }),
  };
}

/** How much of a draft is not as usual, by the doubts that only the whole recipe shows. */
const oddities = (d: RecipeDraft): number =>
  d.doubts.filter((x) => ['temperature', 'time', 'tin', 'amount', 'leavener', 'disagree'].includes(x.kind)).length;

/** What another reading of the place of a mark would change; null when nothing. */
function differing(draft: RecipeDraft, other: RecipeDraft, mark: Mark): Edit | null {
  if (mark.itemId !== undefined) {
    const was = allItems(draft.formula).find((i) => i.id === mark.itemId);
    const id = (other.marks ?? []).find((m) => m.line === mark.line && m.itemId !== undefined && m.from === mark.from)?.itemId; // prettier-ignore
    const now = allItems(other.formula).find((i) => i.id === (id ?? mark.itemId));
    if (!was || !now?.entered || now.ingredient !== was.ingredient || now.grams === was.grams) return null;
    return { kind: 'amount', itemId: was.id, grams: now.grams, entered: now.entered };
  }
  const { bake, tins } = other.formula;
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  if (bake && !same(bake, draft.formula.bake)) return { kind: 'bake', bake };
  if (tins && !same(tins, draft.formula.tins)) return { kind: 'tins', tins };
  return null;
}
