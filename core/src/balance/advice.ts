import { applyChanges, withItem } from '../formula/formula.js';
import { ingredientOf } from '../ingredient/catalogue.js';
import type { NamedSuspect } from '../plausible/plausible.js';
import { capital } from '../text/plain.js';
import type { Ingredient, Change, Formula, Item, Kitchen } from '../formula/types.js';
import { asMeasured } from '../quantity/amount.js';
import { comesInAs, onStep } from '../quantity/steps.js';
import { powderTypeOf } from '../leavening/parts.js';
import { powderKind, SODA_G_PER_MOL } from '../leavening/powders.js';
import { gasMmolPerG } from '../leavening/thumb.js';
import { weigh, type Weighed } from './weigh.js';
import { aFamily, type Family } from './families.js';
import type { SuspectRole } from '../plausible/sums.js';
import { heldAgainst, type Held } from './held.js';
import { soapyFrom } from './verdicts.js';

export interface Advice {
  readonly id: string;
  readonly words: string;
  readonly changes: readonly Change[];
  /** The whole of it, where more than weights of lines that are there changes: a line comes in, or is another thing. */
  readonly formula?: Formula;
  /** What the merit falls to when it is followed. */
  readonly merit: number;
}

/** Log odds of a slip below which a formula is ordinary in any case. */
const TRIFLE = 0;
/** Left-over soda that advice aims for: browner, not dark. */
const AIM_LEFT_G = 0.08;

interface Idea {
  readonly id: string;
  readonly changes: readonly Change[];
  readonly why: string;
}

/** Soda so that left-over is about AIM_LEFT_G per 100 g batter, given the acid that is there. */
function sodaIdeas(w: Weighed, family: Family, kitchen: Kitchen): Idea[] {
  const soda = w.lines.find((l) => l.ingredient.leavener === 'soda');
  if (!soda || soda.grams <= 0) return [];
  const aim = (AIM_LEFT_G * w.totals.batterG) / 100;
  const left = (w.ledger.leftSodaGPer100gBatter.typical * w.totals.batterG) / 100;
  const right = onStep(soda.ingredient, Math.max(0, soda.grams - Math.max(0, left - aim)), w.totals.batterG, kitchen);
  const change = { itemId: soda.item.id, grams: right };
  const out: Idea[] = [];
  if (right < soda.grams) out.push({ id: 'soda-to-its-acid', changes: [change], why: 'what its acid can meet' });
  const powder = w.lines.find((l) => l.ingredient.leavener === 'powder');
  if (powder && right < soda.grams) {
    const wanted = ((w.lift.target[0] * 0.6 + w.lift.target[1] * 0.4) * w.totals.baseG) / 100;
    const met = Math.min((right / SODA_G_PER_MOL) * 1000, w.ledger.acidMeq.typical);
    const perGram = gasMmolPerG(powderKind(powderTypeOf(powder.ingredient, kitchen)));
    const g = onStep(powder.ingredient, Math.max(powder.grams, (wanted - met) / perGram), w.totals.batterG, kitchen);
    if (g !== powder.grams)
      out.push({
        id: 'soda-and-powder',
        changes: [change, { itemId: powder.item.id, grams: g }],
        why: `the powder lifts ${aFamily(family)} instead`,
      });
  }
  return out;
}

/** What more and less of a role does, in a few words. */
const reasons: Readonly<Record<SuspectRole, readonly [more: string, less: string]>> = {
  flour: ['holds its shape and sets', 'not dry and tough'],
  fat: ['more tender, keeps longer', 'less greasy, holds up better'],
  sugar: ['moister and better coloured', 'sets sooner and will not sink'],
  egg: ['more to hold it up', 'less springy'],
  liquid: ['a softer crumb', 'sets through the middle'],
  leavener: ['it will rise as it should', 'it will not dome and crack'],
  salt: ['not bland', 'not salty'],
};

/** The same for this line and family: soda is for the taste first, and some tops are meant to crack. */
function reasonFor(role: SuspectRole, more: boolean, i: Ingredient, family: Family): string {
  if (role !== 'leavener' || more) return reasons[role][more ? 0 : 1];
  if (i.leavener === 'soda') return 'no more than its acid can meet';
  return family.shaped ? 'it will not open sideways' : family.cracks ? 'it will not rise and sink' : reasons[role][1];
}

/** A suspect that is more than a hint, undone: its line as what fits the rest. */
function suspectIdeas(w: Weighed, held: Held, kitchen: Kitchen): Idea[] {
  return held.suspects.flatMap((s) => {
    const line = w.lines.find((l) => l.item.id === s.itemId);
    if (s.sure === 'hint' || s.slip === 'name' || !line) return [];
    const grams = onStep(line.ingredient, s.likelyG, w.totals.batterG, kitchen);
    return grams === line.grams
      ? []
      : [
          {
            id: `suspect-${s.role}`,
            changes: [{ itemId: line.item.id, grams }],
            why: reasonFor(s.role, grams > line.grams, line.ingredient, w.family),
          },
        ];
  });
}

/** Whether an amount reads the same as the one that is there. */
function sameBySpoon(c: Change, w: Weighed, kitchen: Kitchen): boolean {
  const line = w.lines.find((l) => l.item.id === c.itemId);
  const read = (g: number): string => (line ? asMeasured(g, line.ingredient, kitchen.measures, line.item.form) : '');
  return line !== undefined && read(c.grams) === read(line.grams);
}

function wordsFor(idea: Idea, w: Weighed, kitchen: Kitchen): string {
  const parts = idea.changes.map((c) => {
    const line = w.lines.find((l) => l.item.id === c.itemId);
    if (!line) return '';
    const name = line.ingredient.name.replace(/,.*/, '').toLowerCase();
    const to = c.grams < 0.05 ? 'none' : asMeasured(c.grams, line.ingredient, kitchen.measures, line.item.form);
    const now = asMeasured(line.grams, line.ingredient, kitchen.measures, line.item.form);
    return c.grams < line.grams ? `less ${name}, ${now} → ${to}` : `more ${name}, ${now} → ${to}`;
  });
  const said = parts.join(', and ');
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}: ${idea.why}.`;
}

/** A formula in which what is missing has come in, or what goes by another's name is that; null for other suspects. */
function restored(
  formula: Formula,
  s: NamedSuspect,
  w: Weighed,
  kitchen: Kitchen,
): { words: string; changed: Formula; itemId?: string } | null {
  if (s.likely === undefined || (s.slip !== 'missing' && s.slip !== 'name')) return null;
  const ingredient = ingredientOf(s.likely, formula.ingredients, kitchen);
  const name = ingredient.name.replace(/,.*/, '').toLowerCase();
  const grams = comesInAs(ingredient, s.likelyG, w.totals.batterG, kitchen);
  if (grams <= 0) return null;
  const said = asMeasured(grams, ingredient, kitchen.measures);
  const entered = { value: grams, unit: 'g' };
  const line = w.lines.find((l) => l.item.id === s.itemId);
  if (!line) {
    const item: Item = { id: 'i1', ingredient: ingredient.id, words: `${grams} g ${name}`, entered, grams };
    return { words: `Add ${name}, ${said}: ${reasons[s.role][0]}.`, changed: withItem(formula, item) };
  }
  const groups = formula.groups.map((g) => ({
    ...g,
    items: g.items.map((i): Item => (i === line.item ? { ...i, ingredient: ingredient.id, grams, entered } : i)),
  }));
  const why = ingredient.leavener === 'powder' ? 'no soda is left to taste' : 'as much as its acid asks for';
  return {
    words: `${capital(name)}, ${said}, instead of ${line.ingredient.name.toLowerCase()}: ${why}.`,
    changed: { ...formula, groups },
    itemId: line.item.id,
  };
}

/**
 * What to change, at most three: a line that is out of keeping with the rest as what fits it, and soda as what its acid
 * can meet where it would taste. Each is tried on the formula and judged in full before it is offered; locked lines
 * are left. An ordinary formula gets none.
 */
export function adviceFor(
  formula: Formula,
  kitchen: Kitchen,
  w: Weighed,
  held: Held | null,
  locked: readonly string[] = [],
): Advice[] {
  if (w.totals.baseG <= 0 || !held) return [];
  const wrong = held.suspects.filter((s) => s.sure !== 'hint');
  const soapy = w.ledger.leftSodaGPer100gBatter.typical > soapyFrom(w.masked);
  if (wrong.length === 0 && !soapy) return [];
  const out: Advice[] = [];
  const better = (x: Held | null): boolean => x !== null && x.told.any < Math.max(held.told.any, TRIFLE);
  const anew = wrong.flatMap((s) => restored(formula, s, w, kitchen) ?? []);
  for (const { words, changed, itemId } of anew) {
    if (itemId !== undefined && locked.includes(itemId)) continue;
    const after = weigh(changed, kitchen);
    if (better(heldAgainst(changed, after, kitchen)))
      out.push({ id: 'suspect-restored', words, changes: [], formula: changed, merit: after.merit });
  }
  // where a thing is missing or goes by another name, no weight of what is there mends it
  const ideas =
    anew.length > 0 ? [] : [...suspectIdeas(w, held, kitchen), ...(soapy ? sodaIdeas(w, w.family, kitchen) : [])];
  for (const idea of ideas) {
    if (idea.changes.some((c) => locked.includes(c.itemId))) continue;
    if (idea.changes.some((c) => sameBySpoon(c, w, kitchen))) continue;
    const changed = applyChanges(formula, idea.changes);
    const after = weigh(changed, kitchen);
    if (!better(heldAgainst(changed, after, kitchen))) continue;
    out.push({ id: idea.id, words: wordsFor(idea, w, kitchen), changes: idea.changes, merit: after.merit });
  }
  return out.slice(0, 3);
}
