import { applyChanges } from '../formula/formula.js';
import type { Change, Formula, Kitchen } from '../formula/types.js';
import { linesOf, powderTypeOf } from '../leavening/parts.js';
import { powderKind, SODA_G_PER_MOL } from '../leavening/powders.js';
import { gasMmolPerG } from '../leavening/thumb.js';
import { judge, type Judged } from '../plausible/judge.js';
import { saidOf } from '../plausible/said.js';
import type { Sure } from '../plausible/suspects.js';
import { asMeasured } from '../quantity/amount.js';
import { onStep } from '../quantity/steps.js';
import { aFamily } from './families.js';
import type { Held } from './held.js';
import { changeWords, mended, nameOf, reasonFor, sentence } from './mended.js';
import { soapyFrom } from './verdicts.js';
import type { Weighed } from './weigh.js';

export interface Advice {
  readonly id: string;
  readonly words: string;
  readonly changes: readonly Change[];
  /** The whole of it, where more than weights of lines that are there changes: a line comes in, or is another thing. */
  readonly formula?: Formula;
  /** A hint is for whoever asks, where nothing is plainly wrong. */
  readonly sure: Sure;
  /** What the merit falls to when it is followed. */
  readonly merit: number;
}

/** Left-over soda that advice aims for: browner, not dark. */
const AIM_LEFT_G = 0.08;
/** Pieces of advice at most. */
const MOST = 3;

/** A change that is thought of, before it has been tried. */
interface Idea {
  readonly id: string;
  readonly words: string;
  readonly changes: readonly Change[];
  readonly formula: Formula;
  readonly why: string;
  readonly anew: boolean;
  readonly sure: Sure;
}

/** The suspects undone, likeliest first; a change that reads the same as what is there is none. */
function suspectIdeas(formula: Formula, w: Weighed, held: Held, kitchen: Kitchen, locked: readonly string[]): Idea[] {
  return held.suspects.flatMap((s): Idea[] => {
    if (s.itemId !== undefined && locked.includes(s.itemId)) return [];
    const m = mended(formula, s, w, kitchen);
    const words = m && changeWords(m, kitchen);
    if (!m || words === null) return [];
    const anew = m.line === null || m.line.ingredient.id !== m.ingredient.id;
    const changes = m.line === null ? [] : [{ itemId: m.line.item.id, grams: m.grams }];
    const why = reasonFor(s, m, w.family);
    return [{ id: anew ? 'suspect-restored' : `suspect-${s.role}`, words: sentence(words, why), changes: anew ? [] : changes, formula: m.formula, why, anew, sure: s.sure }]; // prettier-ignore
  });
}

/** Soda so that left-over is about AIM_LEFT_G per 100 g batter, given the acid that is there; and powder for the lift. */
export function sodaIdeas(formula: Formula, w: Weighed, kitchen: Kitchen, locked: readonly string[]): Idea[] {
  const soda = w.lines.find((l) => l.ingredient.leavener === 'soda');
  if (!soda || soda.grams <= 0 || locked.includes(soda.item.id)) return [];
  const aim = (AIM_LEFT_G * w.totals.batterG) / 100;
  const left = (w.ledger.leftSodaGPer100gBatter.typical * w.totals.batterG) / 100;
  const right = onStep(soda.ingredient, Math.max(0, soda.grams - Math.max(0, left - aim)), w.totals.batterG, kitchen);
  if (right >= soda.grams) return [];
  const change = { itemId: soda.item.id, grams: right };
  const idea = (id: string, changes: readonly Change[], why: string): Idea => {
    const parts = changes.map((c) => {
      const line = w.lines.find((l) => l.item.id === c.itemId) ?? soda;
      const read = (g: number): string =>
        g < 0.05 ? 'none' : asMeasured(g, line.ingredient, kitchen.measures, line.item.form);
      return `${c.grams < line.grams ? 'less' : 'more'} ${nameOf(line.ingredient)}, ${read(line.grams)} → ${read(c.grams)}`;
    });
    return { id, words: sentence(parts.join(', and '), why), changes, formula: applyChanges(formula, changes), why, anew: false, sure: 'likely' }; // prettier-ignore
  };
  const out = [idea('soda-to-its-acid', [change], 'what its acid can meet')];
  const powder = w.lines.find((l) => l.ingredient.leavener === 'powder');
  if (!powder || locked.includes(powder.item.id)) return out;
  const wanted = ((w.lift.target[0] * 0.6 + w.lift.target[1] * 0.4) * w.totals.baseG) / 100;
  const met = Math.min((right / SODA_G_PER_MOL) * 1000, w.ledger.acidMeq.typical);
  const perGram = gasMmolPerG(powderKind(powderTypeOf(powder.ingredient, kitchen)));
  const g = onStep(powder.ingredient, Math.max(powder.grams, (wanted - met) / perGram), w.totals.batterG, kitchen);
  if (g !== powder.grams)
    out.push(
      idea(
        'soda-and-powder',
        [change, { itemId: powder.item.id, grams: g }],
        `the powder lifts ${aFamily(w.family)} instead`,
      ),
    );
  return out;
}

/**
 * What to change, at most three: a line that is out of keeping with the rest as what fits it, and soda as what its acid
 * can meet where it would taste. Each is tried on the formula and judged before it is offered; locked lines are left. Where
 * nothing is named, yet three fifths of the ordinary formulas look less odd, the first suspect is a hint; others get none.
 */
export function adviceFor(
  formula: Formula,
  kitchen: Kitchen,
  w: Weighed,
  held: Held | null,
  locked: readonly string[] = [],
): Advice[] {
  if (w.totals.baseG <= 0 || !held) return [];
  const soapy = w.ledger.leftSodaGPer100gBatter.typical > soapyFrom(w.masked);
  if (held.merit <= 0 && !soapy) return [];
  const thought = suspectIdeas(formula, w, held, kitchen, locked);
  const named = thought.filter((i) => i.sure !== 'hint');
  // where a thing is likeliest missing or goes by another name, no weight of what is there mends it
  const anew = named.filter((i) => i.anew);
  const firm = named[0]?.anew ? anew : [...named, ...(soapy ? sodaIdeas(formula, w, kitchen, locked) : [])];
  const better = (x: Judged | null): boolean => x !== null && x.merit < held.merit + (soapy ? 0.5 : 0);
  const tried = (ideas: readonly Idea[], most: number): Advice[] => {
    const out: Advice[] = [];
    for (const { id, words, changes, formula: then, anew: whole, sure } of ideas) {
      if (out.length === most) break;
      const after = judge(linesOf(then, kitchen), then.family, saidOf(then), kitchen);
      if (!after || !better(after)) continue;
      out.push({ id, words, changes, ...(whole && { formula: then }), sure, merit: after.merit });
    }
    return out;
  };
  const said = tried(firm, MOST);
  return said.length > 0 ? said : tried(thought.filter((i) => i.sure === 'hint'), 1); // prettier-ignore
}
