import { weigh } from '../balance/weigh.js';
import type { FamilyId, Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { capacityOf, outlineOf } from '../tin/geometry.js';
import type { Doubt, DoubtKind, RecipeDraft } from './draft.js';
import { applyEdit } from './settle.js';

/** Under this effect a doubt's answers make next to no difference. */
export const SLIGHT = 0.12;
/** Of more doubts than these the others are not weighed one by one; they come behind, in the order of the text. */
const MOST_WEIGHED = 80;
/** What ends a reading or leaves a part of the text out is told first of all. */
const FIRST = 9;
const losses: ReadonlySet<DoubtKind> = new Set(['several', 'too-long', 'no-ingredients', 'no-flour', 'broken-json', 'not-text', 'empty']); // prettier-ignore
/** A line or a fact that is missing is never slight, though its amount is still to come. */
const missing: ReadonlySet<DoubtKind> = new Set(['unlisted', 'told', 'unplaced', 'no-amount', 'unknown-ingredient', 'no-bake']); // prettier-ignore

/** What of a formula shows in what comes out of the oven; every figure over the step that is tasted or seen. */
function figuresOf(f: Formula, kitchen: Kitchen): number[] {
  const { totals: t, lift, ledger } = weigh(f, kitchen);
  const per = 100 / Math.max(1, t.baseG);
  const log = (x: number): number => Math.log(Math.max(1, x));
  const minutes = f.bake?.minutes;
  // steps: judgement, about what bakers set two bakes apart by; docs/science/reading.md
  return [
    log(t.batterG) / 0.3,
    t.availablePct / 15,
    t.fatPct / 12,
    t.sugarPct / 20,
    t.eggPct / 20,
    t.saltPct / 0.8,
    (t.piecesG * per) / 40,
    lift.mmolPer100gBase.typical / 6,
    ledger.leftSodaGPer100gBatter.typical / 0.15,
    (f.bake?.ovenC ?? 0) / 20,
    minutes ? log((minutes.early + minutes.late) / 2) / 0.25 : 0,
    log((f.tins ?? []).reduce((s, u) => s + (outlineOf(u.tin).free ? 0 : capacityOf(u.tin) * u.count), 0)) / 0.3,
  ];
}

/**
 * A draft with its doubts in the order of what their answers would change, the weightiest first, each with its effect.
 * Takes as long as weighing the formula once for each choice.
 */
export function ranked(draft: RecipeDraft, kitchen: Kitchen = defaultKitchen): RecipeDraft {
  if (draft.doubts.length === 0) return draft;
  const now = figuresOf(draft.formula, kitchen);
  const stray = (family: FamilyId): number => weigh({ ...draft.formula, family }, kitchen).stray;
  const before = stray(draft.formula.family);
  const effectOf = (d: Doubt): number => {
    if (losses.has(d.kind)) return FIRST;
    const effects = d.choices.map(({ edit }): number => {
      if (edit.kind === 'keep') return 0;
      // of families those that fit nearly as well count: what matters is whether it is judged otherwise
      if (edit.kind === 'family')
        return draft.near?.some((n) => n.id === edit.family) ? Math.abs(stray(edit.family) - before) / 0.4 : 0;
      const then = figuresOf(applyEdit(draft.formula, edit), kitchen);
      return Math.max(...then.map((x, i) => Math.abs(x - (now[i] ?? 0))));
    });
    // what was taken, with nothing else to choose, may be anything: it is told, not folded away
    const unknown = d.choices.length < 2;
    return Math.max(missing.has(d.kind) ? 0.5 : unknown ? 0.2 : 0, ...effects);
  };
  const first = draft.doubts.filter((d) => losses.has(d.kind));
  const others = draft.doubts.filter((d) => !losses.has(d.kind));
  const weighed = [...first, ...others.slice(0, MOST_WEIGHED)]
    .map((d): Doubt => ({ ...d, effect: Math.min(FIRST, Math.round(100 * effectOf(d)) / 100) }))
    .sort((a, b) => (b.effect ?? 0) - (a.effect ?? 0));
  return { ...draft, doubts: [...weighed, ...others.slice(MOST_WEIGHED)] };
}
