import { familyByEvidence } from '../balance/evidence.js';
import { weigh } from '../balance/weigh.js';
import type { About, FamilyId, Formula, Group, Item, Kitchen, MethodStep } from '../formula/types.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import { accountOf, awayFromOven, confidenceOf } from './account.js';
import { scanAmounts } from '../quantity/scan.js';
import { across, type Places } from './across.js';
import { readBaking } from './baking.js';
import {
  isHeadLine,
  readAboutLine,
  readFamilyLine,
  readMayContainLine,
  readMeasuresLine,
  readOvenLine,
  readStatedLine,
  readYieldLine,
} from './cards.js';
import { citrusAbroad } from './citrus.js';
import { classify, isCard } from './classify.js';
import { sameAs } from './list-lines.js';
import type { Classified } from './parts.js';
import type { Doubt, Mark, Place, RecipeDraft } from './draft.js';
import { alone, emptyFormula } from './empty.js';
import { intoGroups } from './groups.js';
import { hasKind } from './kin.js';
import { languageOf } from './language.js';
import { readLine, type RegionWords } from './line.js';
import { matchIngredient } from './match.js';
import { plainText } from '../text/plain.js';
import { measuresIn } from './measures.js';
import { kitchenSource, originOf, regionOf, sourceIn, type RegionId } from './origin.js';
import { toldIn, type Told } from './prose.js';
import { withCourse } from '../method/course.js';
import { workOf } from '../method/operations.js';
import { countedBy, filledAgain, shapedHere } from './by-work.js';
import { MOST_ITEMS, usedApart } from './roles.js';
import { seriesIn, type Piece } from './series.js';
import { titleIn, titleOf } from './titles.js';

interface Section {
  readonly name: string;
  readonly role: NonNullable<Group['role']>;
  /** True when the text gives the group its role outright, so that it is kept as it stands. */
  readonly said: boolean;
  readonly items: Item[];
}

/** A list of fewer lines is none: what the sentences tell is then the list. */
const A_LIST = 3;
/** So many things with their amounts in the steps are told there on purpose. */
const TOLD_TOO = 4;

const wordsOf = (region: RegionId | undefined): RegionWords => (region && regionOf(region)?.words) ?? [];

/** What is read of the lines of one recipe: items by section, their places, doubts and marks. */
interface Reading {
  readonly sections: Section[];
  readonly placeOf: Map<string, Place>;
  readonly doubts: Doubt[];
  readonly marks: Mark[];
  /** Reads a text as an ingredient line and puts it into a section. */
  readonly line: (text: string, no: number, at: number, into: Section, place?: Place) => readonly Item[];
}

function reading(source: Formula['source'], meant: RegionWords, kitchen: Kitchen): Reading {
  const placeOf = new Map<string, Place>();
  const doubts: Doubt[] = [];
  const marks: Mark[] = [];
  let n = 0;
  const line: Reading['line'] = (text, no, at, into, place) => {
    const read = readLine(text, no, `i${++n}`, source, kitchen, at, meant);
    const where = place ?? { line: no, from: at, to: at + text.length };
    for (const item of read.items) placeOf.set(item.id, where);
    into.items.push(...read.items);
    // a line made of a sentence's words has no places of its own in it
    doubts.push(...read.doubts.map((d) => (place && d.place ? { ...d, place } : d)));
    if (place)
      for (const item of read.items)
        marks.push({ ...place, what: 'amount', itemId: item.id }, { ...place, what: 'ingredient', itemId: item.id });
    else marks.push(...read.marks);
    return read.items;
  };
  return { sections: [{ name: '', role: 'batter', said: false, items: [] }], placeOf, doubts, marks, line };
}

/** The list as it stands in its lines, under its headings. */
function readList(parts: readonly Classified[], r: Reading, kitchen: Kitchen, card: boolean): void {
  let around: Section | undefined;
  for (const p of parts) {
    if (p.group) {
      if (p.inline) around = r.sections.at(-1);
      r.sections.push({ ...p.group, items: [] });
      r.marks.push({ line: p.no, from: p.at, to: p.at + p.text.length, what: 'group' });
    }
    if (p.kind !== 'ingredient') continue;
    // a group on one line ends with it: the list goes on where it was
    if (around && !p.inline) {
      r.sections.push({ name: around.name, role: around.role, said: around.said, items: [] });
      around = undefined;
    }
    const here = r.sections.at(-1);
    if (!here) continue;
    if (card) {
      r.line(p.text, p.no, p.at, here);
      continue;
    }
    const before = here.items.at(-1) ?? r.sections.flatMap((s) => s.items).at(-1);
    const same = sameAs(p.text);
    if (same !== null && before) {
      const place = { line: p.no, from: p.at, to: p.at + p.text.length };
      const made = r.line(`${before.grams} g ${same}`, p.no, p.at, here, place);
      here.items.splice(-made.length, made.length, ...made.map((i) => ({ ...i, words: p.text })));
      continue;
    }
    const citrus = citrusAbroad(p.text);
    if (citrus) {
      const place = { line: p.no, from: p.at, to: p.at + p.text.length };
      const made = r.line(citrus, p.no, p.at, here, place);
      here.items.splice(-made.length, made.length, ...made.map((i) => ({ ...i, words: p.text })));
      continue;
    }
    const apart = here.role === 'batter' || isMixed(here) ? apartIn(p.text) : null;
    const names = seriesIn(p.text, kitchen) ?? (apart ? null : namesIn(p.text, kitchen));
    if (names) {
      for (const n of names) {
        const place = n.place ? { line: p.no, from: p.at + n.place.from, to: p.at + n.place.to } : undefined;
        const [made] = r.line(n.text, p.no, p.at + n.at, here, place);
        if (made && place && n.reckoned) r.doubts.push(reckonedDoubt(made, place, n.reckoned));
      }
      continue;
    }
    const items = r.line(p.text, p.no, p.at, apart ? sectionFor(r, apart) : here);
    if (here.role === 'batter' || isMixed(here)) readAlso(p, items, r, kitchen);
    // what goes on top does not end the list of the batter
    if (r.sections.at(-1) !== here) r.sections.push(r.sections.splice(r.sections.indexOf(here), 1)[0] as Section);
  }
}

/** "grated lemon rind, vanilla, a pinch of salt": several things of which some have no amount. Null for any other line. */
function namesIn(text: string, kitchen: Kitchen): Piece[] | null {
  if (text.length > 90 || /\bor\b|\beach\b|\bplus\b|[()]|^(?:zest|juice|rind)\s+(?:of\s+)?\d/i.test(text)) return null;
  const pieces: { text: string; at: number }[] = [];
  let from = 0;
  for (const m of text.matchAll(/,\s*|\s+and\s+|\s*&\s*|\s\+\s/gi)) {
    pieces.push({ text: text.slice(from, m.index), at: from });
    from = m.index + m[0].length;
  }
  pieces.push({ text: text.slice(from), at: from });
  if (pieces.length < 2 || pieces.every((p) => scanAmounts(p.text).length > 0)) return null;
  const found = pieces.map((p) => matchIngredient(p.text, kitchen));
  const roles = found.map((m) => (m && m.odd.length === 0 ? ingredientOf(m.id, undefined, kitchen).role : null));
  if (roles.some((x) => x === null)) return null;
  const ids = new Set(found.map((m) => m?.id));
  // "sugar, caster" is one thing: only what differs in kind, or flavourings, stand side by side
  const apart = roles.every((x, i) => x === 'flavour' || roles.every((y, j) => i === j || x !== y));
  return ids.size === pieces.length && apart ? pieces : null;
}

const use =
  /(?:^|[\s,(])(?:to|for(?: the)?)\s+(?:the\s+)?(top|tops|topping|sprinkl\w*|scatter\w*|brush\w*|glaz\w*|dust\w*|decorat\w*|finish\w*|cover\w*|ice|icing|serve|serving|fill|filling|sandwich\w*|garnish)\b/i;
/** The part a line goes to by its own words: "chocolate to cover", "seeds for the top". Extra on top of the amount says nothing. */
function apartIn(text: string): Told['role'] {
  const m = use.exec(text);
  if (!m?.[1] || /\b(?:plus|and|extra|more|\+|some|bit|optional)\b[^,;]*$/i.test(text.slice(0, m.index + 1).slice(-22)))
    return null;
  const w = m[1].toLowerCase();
  if (/^(?:dust|serv)/.test(w) && !/\d/.test(text)) return null;
  return /^(?:fill|sandwich)/.test(w)
    ? 'filling'
    : /^(?:cover|ice|icing|glaz)/.test(w) && !/milk|egg|cream\b/i.test(text)
      ? 'icing'
      : 'top';
}

const apartNames: Readonly<Partial<Record<NonNullable<Group['role']>, string>>> = {
  icing: 'Icing',
  filling: 'Filling',
  soak: 'Syrup',
  top: 'On top',
  grease: 'For the tin',
};

const also =
  /\bplus\s+(?:about\s+|another\s+|an extra\s+|a further\s+)?((?:\d[\d./ ]*|[½¼¾⅓⅔]|an?|one|two|three)\s*(?:g|ml|tbsp|tablespoons?|tsp|teaspoons?|cups?|oz|T\.|t\.)\.?)\s+(?:more\s+|extra\s+|of (?:it|them)\s+)?(?:for|to)\s+(?:the\s+)?(top|tops|topping|brush\w*|sprinkl\w*|scatter\w*|glaz\w*|finish\w*|decorat\w*)\b/i;
/** "150 g sugar, plus 2 tbsp for the tops": the second amount goes on top, and is as much part of the bake. */
function readAlso(p: Classified, items: readonly Item[], r: Reading, kitchen: Kitchen): void {
  const m = also.exec(p.text);
  const [item] = items;
  if (!m?.[1] || !item || item.ingredient === 'unknown') return;
  const from = p.at + m.index;
  const name = ingredientOf(item.ingredient, undefined, kitchen).name;
  r.line(`${m[1]} ${name}`, p.no, from, sectionFor(r, 'top'), { line: p.no, from, to: from + m[0].length });
}

/** The section of a role, made where there is none yet; the batter's is the first. */
function sectionFor(r: Reading, role: Told['role']): Section {
  const wanted = role ?? 'batter';
  const found =
    role === null ? r.sections.find((s) => s.role === 'batter') : r.sections.findLast((s) => s.role === wanted);
  if (found) return found;
  const made: Section = { name: apartNames[wanted] ?? '', role: wanted, said: false, items: [] };
  r.sections.push(made);
  return made;
}

/** What sentences tell: the whole list where there is none, else what the list leaves out, which is asked about. */
function readProse(parts: readonly Classified[], r: Reading, kitchen: Kitchen): void {
  const listed = r.sections.flatMap((s) => s.items);
  const list = listed.length >= A_LIST;
  const there = new Set(listed.map((i) => i.ingredient));
  const weighing = parts.some((p) => /\d\s*g\b|\b(?:grams?|grammes?|kilos?)\b/i.test(p.text));
  const section = (role: Told['role']): Section => sectionFor(r, role);
  const besides: Doubt[] = [];
  const begins = parts.find((p) => p.kind === 'ingredient')?.no ?? 0;
  const mills = (id: string): boolean => ingredientOf(id, undefined, kitchen).base !== undefined;
  // a list without flour, which the steps have, was never the whole list
  const part = list && !listed.some((i) => mills(i.ingredient));
  let milled = false;
  for (const p of parts) {
    if (p.kind !== 'method' && p.kind !== 'other' && p.kind !== 'title') continue;
    // what is told above a list is a story
    if (list && p.no < begins && p.kind !== 'method') continue;
    if (readMeasuresLine(p.text) ?? readOvenLine(p.text) ?? readStatedLine(p.text) ?? readYieldLine(p.text)) continue;
    for (const t of toldIn(p.text, kitchen, weighing && !list, !list)) {
      if (
        list &&
        (there.has(t.ingredient) ||
          t.grams ||
          t.role === 'grease' ||
          shortFor(t.name, listed) ||
          (generic.test(t.name) && hasKind(t.ingredient, there, kitchen)))
      )
        continue;
      const place: Place = { line: p.no, from: p.at + t.from, to: p.at + t.to };
      const into = section(t.role);
      const [had, asked] = [into.items.length, r.doubts.length];
      const items = r.line(t.text, p.no, p.at, into, place);
      // what the method names without an amount is no line of its own; the list is held against the method later
      if (list && items.every((i) => i.grams === 0)) {
        into.items.splice(had);
        r.doubts.splice(asked);
        continue;
      }
      there.add(t.ingredient);
      milled ||= mills(t.ingredient);
      const [made] = items;
      if (made && t.reckoned) r.doubts.push(reckonedDoubt(made, place, t.reckoned));
      for (const item of items)
        if (list)
          besides.push({
            id: `${item.id}-told`,
            place,
            kind: 'told',
            itemId: item.id,
            likely: 'keep',
            words: `"${p.text.slice(t.from, t.to).trim()}" stands in the method and not on the list. Does it go in?`,
            choices: [
              { id: 'keep', words: 'it goes in', edit: { kind: 'keep' } },
              { id: 'drop', words: 'leave it out', edit: { kind: 'drop', itemId: item.id } },
            ],
          });
        else if (t.grams)
          r.doubts.push({
            id: `${item.id}-grams`,
            place,
            kind: 'amount',
            itemId: item.id,
            likely: 'keep',
            words: `"${p.text.slice(t.from, t.to).trim()}" gives no unit; it is taken as grams, like the rest.`,
            choices: [
              { id: 'keep', words: `${item.grams} g`, edit: { kind: 'keep' } },
              { id: 'drop', words: 'leave it out', edit: { kind: 'drop', itemId: item.id } },
            ],
          });
    }
  }
  // a slip of the list is asked about; where the steps tell several of the things, they are a part of the list
  if (besides.length < TOLD_TOO && !(part && milled)) r.doubts.push(...besides);
}

/** Whether a name is what a line of the list is called for short: "the curd" of lemon curd. */
function shortFor(name: string, listed: readonly Item[]): boolean {
  const words = plainText(name)
    .split(' ')
    .filter((w) => w !== '' && w !== 'the');
  return listed.some((i) => {
    const full = plainText(i.words).split(' ');
    return words.length > 0 && words.length < full.length && words.every((w) => full.includes(w));
  });
}

/** From so many figures without a unit on a list is of grams throughout; one question is enough. */
const PLAIN_FIGURES = 3;
/** "225 butter / 225 caster / 250 almonds": what is asked of each is asked once. */
function plainFigures(doubts: Doubt[]): void {
  const bare = doubts.filter((d) => d.id.endsWith('-unit') && d.likely === 'g');
  const [first] = bare;
  if (!first || bare.length < PLAIN_FIGURES) return;
  const words = `${bare.length} figures have no unit. They are taken as grams, as such lists mean them.`;
  const asked: Doubt = { ...first, words, choices: [{ id: 'g', words: 'grams', edit: { kind: 'keep' } }] };
  doubts.splice(0, doubts.length, ...doubts.flatMap((d) => (d === first ? [asked] : bare.includes(d) ? [] : [d])));
}

/** An amount that no word of the text gives, but what it says comes to. */
const reckonedDoubt = (item: Item, place: Place, words: string): Doubt => ({
  id: `${item.id}-reckoned`,
  place,
  kind: 'amount',
  itemId: item.id,
  likely: 'keep',
  words,
  choices: [
    { id: 'keep', words: `${Math.round(item.grams)} g`, edit: { kind: 'keep' } },
    { id: 'drop', words: 'leave it out', edit: { kind: 'drop', itemId: item.id } },
  ],
});

/** Plain words that speak of what the list has under a finer name. */
const generic =
  /^(?:the )?(?:sugar|flour|butter|marg(?:arine)?|fat|milk|eggs?|egg|yolks?|whites?|cream|oil|coffee|tea|fruit|water|salt)s?$/i;

/** The list and the method as far as they are read; what belongs to a part of its own stands in its group, so that words can mean it. */
const listed = (r: Reading, source: Formula['source'], method: readonly MethodStep[], kitchen: Kitchen): Formula => ({
  ...emptyFormula('', '', kitchen),
  source,
  groups: r.sections
    .filter((s) => s.role !== 'grease')
    .map((s, i) => ({ id: `s${i}`, name: s.name, role: s.role, items: s.items })),
  method,
});

/** Where the words of a method's entry begin in the text: behind its own number. */
const lineOf = (p: Classified | undefined, m: MethodStep | undefined): { no: number; at: number } => ({
  no: p?.no ?? 0,
  at: p ? p.at + p.text.length - (m?.text.length ?? 0) : 0,
});

/** Moves what the method only spreads, scatters or pours over out of the batter. */
function setApart(r: Reading, source: Formula['source'], method: readonly MethodStep[], kitchen: Kitchen): void {
  if (r.sections.some((s) => s.said)) return;
  const batter = r.sections.filter((s) => s.role === 'batter');
  const moves = usedApart(
    listed(r, source, method, kitchen),
    batter.flatMap((s) => s.items),
    kitchen,
  );
  if (moves.size === 0) return;
  for (const s of batter) {
    const gone = s.items.filter((i) => moves.has(i.id));
    s.items.splice(0, s.items.length, ...s.items.filter((i) => !moves.has(i.id)));
    for (const i of gone) sectionFor(r, moves.get(i.id) ?? null).items.push(i);
  }
}

/** Reads the lines of one recipe: what each of them is, what its words name and weigh, and what is doubtful in it. */
export function assemble(text: string, lines: readonly string[], kitchen: Kitchen, region?: RegionId): RecipeDraft {
  const parts = classify(lines, kitchen);
  const head = parts.filter((p) => p.kind !== 'ingredient' && p.kind !== 'method' && p.kind !== 'story');
  const firstOf = <T>(read: (s: string) => T | null): T | null =>
    head.reduce<T | null>((found, p) => found ?? read(p.text), null);
  const said = firstOf(readMeasuresLine);
  const origin = said ? null : region ? { region, because: [] } : originOf(lines);
  const all = parts.map((p) => p.text).join('\n');
  const source = said ?? measuresIn(all, sourceIn(origin?.region ?? 'other', kitchenSource(kitchen), all));
  const titled = parts.find((p) => p.kind === 'title');
  const r = reading(source, wordsOf(origin?.region), kitchen);
  const { sections, doubts, marks, placeOf } = r;
  const card = isCard(lines);
  readList(parts, r, kitchen, card);
  if (!card) readProse(parts, r, kitchen);
  const told = titled ? null : titleIn(lines.join('\n').trim());
  const title = (titled && titleOf(titled.text)) ?? told ?? 'Untitled';
  if (titled) marks.unshift({ line: titled.no, from: titled.at, to: titled.at + titled.text.length, what: 'title' });
  const items = sections.flatMap((s) => s.items);
  const steps = parts.filter(
    (p) =>
      p.kind === 'method' ||
      // where all is told, what tells of a thing is a step of it
      (p.kind === 'other' &&
        (p.text.length > 60 || marks.some((m) => m.line === p.no && m.what === 'amount')) &&
        items.length > 0 &&
        parts.every((x) => x.kind !== 'ingredient')),
  );
  const method = steps.map((p) => step(p.text, items, kitchen));
  if (!card) setApart(r, source, method, kitchen);
  const prose = parts.filter(
    (p) => p.kind !== 'ingredient' && p.kind !== 'note' && p.kind !== 'story' && !readMeasuresLine(p.text),
  );
  const byWork = !card && items.length <= MOST_ITEMS;
  const work = byWork ? workOf(listed(r, source, method, kitchen), kitchen).operations : [];
  const baking = readBaking(
    prose.filter((p) => !readOvenLine(p.text) && !readStatedLine(p.text) && !readAboutLine(p.text)),
    shapedHere(work, (entry) => lineOf(steps[entry], method[entry])),
    card ? null : title,
  );
  marks.push(...baking.marks);
  if (baking.away) doubts.push(awayFromOven(baking.away, baking.marks, kitchen));
  for (const p of steps) marks.push({ line: p.no, from: p.at, to: p.at + p.text.length, what: 'method' });
  const stated = firstOf(readStatedLine);
  const set = firstOf(readOvenLine) ?? baking.bake;
  const worked = set && byWork && set === baking.bake ? withCourse(set, work) : set;
  const bake = worked && stated ? { ...worked, stated } : worked;
  const traces = firstOf(readMayContainLine);
  const makes = firstOf(readYieldLine) ?? baking.pieces;
  const about = head.reduce<About>((all, p) => ({ ...readAboutLine(p.text), ...all }), {});
  const notes = notesOf(parts, baking.marks, steps);
  const bare: Formula = {
    ...emptyFormula(title, text, kitchen),
    source,
    groups: [
      {
        id: 'g1',
        name: 'Batter',
        role: 'batter',
        items: items.filter((i) => sections.some((s) => s.role !== 'grease' && isMixed(s) && s.items.includes(i))),
      },
    ],
    method,
    ...(bake && { bake }),
    ...(baking.tins.length > 0 && { tins: filledAgain(baking.tins, work) }),
    ...(makes && { yield: makes }),
    ...(traces && traces.length > 0 && { mayContain: traces }),
    ...(Object.keys(about).length > 0 && { about }),
    ...(notes !== '' && { notes }),
  };
  if (items.length === 0) {
    doubts.unshift(
      alone(
        'no-ingredients',
        'No line here looks like an ingredient. Give amounts and names one to a line, for instance "240 g plain flour" or "1 1/2 cups oats".',
      ),
    );
    return { formula: { ...bare, groups: [], notes: text.slice(0, 4000) }, doubts, marks, confidence: 0 };
  }
  const w = weigh(bare, kitchen);
  const family = firstOf(readFamilyLine);
  const guess = family
    ? { family, confidence: 1 }
    : familyByEvidence(bare, w.totals, w.lift.mmolPer100gBase.typical, kitchen);
  const formula: Formula = {
    ...bare,
    family: guess.family,
    ...(bare.tins && { tins: countedBy(baking, bare.tins, w.totals, guess.family) }),
    groups: groupsOf(sections, bare, guess.family, method, kitchen),
  };
  const places: Places = {
    time: baking.marks.find((m) => m.what === 'time') ?? null,
    item: (id) => placeOf.get(id) ?? { line: 0, from: 0, to: 0 },
    step: (i) => {
      if (i < 0) return baking.marks.find((m) => m.what === 'heat') ?? null;
      const p = steps[i];
      return p ? { line: p.no, from: p.at, to: p.at + p.text.length } : null;
    },
  };
  doubts.push(
    ...across(
      formula,
      { ...baking, ...(firstOf(readOvenLine) && { heatDoubt: null }) },
      guess,
      places,
      kitchen,
      doubts.some((d) => UNSETTLED.has(d.kind)),
    ),
  );
  const probe = (words: string, no: number): Item => {
    const [item] = readLine(words, no, `x${no}`, source, kitchen, 0, wordsOf(origin?.region)).items;
    return { ...(item as Item), id: `x${no}` };
  };
  const language = card ? 'en' : languageOf(items);
  const account = accountOf(parts, marks, doubts, formula, kitchen, probe, baking.minutes);
  if (!card) doubts.push(...account.doubts);
  plainFigures(doubts);
  return {
    formula,
    doubts,
    marks,
    account: account.stretches,
    ...(origin && {
      origin: { region: origin.region, name: regionOf(origin.region)?.name ?? '', because: origin.because },
    }),
    ...(language !== 'en' && { language }),
    ...('near' in guess && { near: guess.near, familyBecause: guess.because }),
    confidence: confidenceOf(account, parts, doubts),
  };
}

/** Doubts that an amount hangs on. */
const UNSETTLED: ReadonlySet<string> = new Set(['disagree', 'no-amount', 'unknown-ingredient', 'amount', 'scan']);

const mixedRoles = new Set(['batter', 'dry', 'wet', 'fat-sugar', 'egg', 'fold-in']);
const isMixed = (s: { readonly role: string }): boolean => mixedRoles.has(s.role);

/**
 * Groups as the text gives them when it names them by what is done with them ("Dry", "Fold in"); else the batter is put
 * into mixing order, and toppings, icings and the like stay apart.
 */
function groupsOf(
  sections: readonly Section[],
  bare: Formula,
  family: FamilyId,
  method: readonly MethodStep[],
  kitchen: Kitchen,
): Group[] {
  const filled = sections.filter((s) => s.items.length > 0);
  const mixed = filled.filter(isMixed);
  const asGiven = mixed.some((s) => s.said) || (mixed.length > 1 && mixed.every((s) => s.role !== 'batter'));
  // what goes on the tin is no part of the batter, wherever the list has it
  const onTin = (i: Item): boolean =>
    i.grams === 0 && /\bfor\s+(?:the\s+)?(?:greas|dust|tin|pan|board|lining)/i.test(i.words);
  const tinItems = asGiven ? [] : mixed.flatMap((s) => s.items).filter(onTin);
  const batter: Group[] = asGiven
    ? mixed.map((s, i) => ({ id: `g${i + 1}`, name: s.name || 'Batter', role: s.role, items: s.items }))
    : intoGroups(
        mixed.flatMap((s) => s.items).filter((i) => !onTin(i)),
        bare,
        family,
        method,
        kitchen,
      );
  const apart = filled
    .filter((s) => !isMixed(s))
    .map((s, i): Group => ({ id: `a${i + 1}`, name: s.name, role: s.role, items: s.items }));
  if (asGiven) {
    // in the order of the text
    const order = filled.map((s) =>
      isMixed(s) ? batter.find((g) => g.items === s.items) : apart.find((g) => g.items === s.items),
    );
    return order.filter((g): g is Group => g !== undefined);
  }
  return [
    ...batter,
    ...apart,
    ...(tinItems.length > 0 ? [{ id: 'tin', name: 'For the tin', role: 'grease' as const, items: tinItems }] : []),
  ];
}

/** What was read but has no place of its own: kept, so that nothing pasted is lost. */
function notesOf(parts: readonly Classified[], marks: readonly Mark[], steps: readonly Classified[]): string {
  const used = new Set(marks.map((m) => m.line));
  return parts
    .filter(
      (p) => p.kind === 'note' || (p.kind === 'other' && !steps.includes(p) && !used.has(p.no) && !isHeadLine(p.text)),
    )
    .map((p) => p.text)
    .join('\n')
    .slice(0, 8000);
}

const step = (text: string, items: readonly Item[], kitchen: Kitchen): MethodStep => {
  // "180: 18 min" is a heat
  const bare = text.replace(/^(?:step\s*)?\d{1,2}[.):]\s*(?!\d)/i, '');
  const said = plainText(bare);
  const named = (item: Item): boolean => names(said, ingredientOf(item.ingredient, undefined, kitchen).name);
  return { text: bare, itemIds: items.filter(named).map((i) => i.id) };
};

/** A step belongs to an item when it names it, not when it only says "the dry ingredients". */
function names(said: string, name: string): boolean {
  const head = plainText(name.replace(/,.*/, '')).split(' ').at(-1) ?? '';
  return head.length > 2 && said.includes(head.replace(/(?:ies|s)$/, ''));
}
