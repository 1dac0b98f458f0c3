import { OrvinError } from '../errors.js';
import { withItem } from '../formula/formula.js';
import type { Formula, Item } from '../formula/types.js';
import type { Choice, Doubt, Edit, RecipeDraft } from './draft.js';

const mapItems = (f: Formula, change: (i: Item) => Item | null): Formula => ({
  ...f,
  groups: f.groups
    .map((g) => ({ ...g, items: g.items.flatMap((i) => change(i) ?? []) }))
    .filter((g) => g.items.length > 0),
});

export function applyEdit(f: Formula, e: Edit): Formula {
  switch (e.kind) {
    case 'keep':
      return f;
    case 'amount':
      return mapItems(f, (i) =>
        i.id === e.itemId ? { ...i, grams: Math.round(e.grams * 100) / 100, entered: e.entered } : i,
      );
    case 'ingredient':
      return mapItems(f, (i) =>
        i.id === e.itemId
          ? {
              ...i,
              ingredient: e.ingredient,
              grams: Math.round(e.grams * 100) / 100,
              ...(e.entered && { entered: e.entered }),
            }
          : i,
      );
    case 'drop':
      return mapItems(f, (i) => (i.id === e.itemId ? null : i));
    case 'add':
      return added(f, e.ingredient, e.words);
    case 'item':
      return withItem(f, e.item, e.role);
    case 'source': {
      const grams = new Map(e.grams);
      return { ...mapItems(f, (i) => ({ ...i, grams: grams.get(i.id) ?? i.grams })), source: e.source };
    }
    case 'bake':
      return { ...f, bake: e.bake };
    case 'tins':
      return { ...f, tins: e.tins };
    case 'family':
      return { ...f, family: e.family };
  }
}

/** An item whose amount is to come. */
const added = (f: Formula, ingredient: string, words: string): Formula =>
  withItem(f, { id: 'i1', ingredient, words, entered: null, grams: 0 });

/**
 * Settles one doubt with one of its choices and returns the draft without it.
 * @throws OrvinError `unknown-doubt` when the draft has no such doubt or the doubt no such choice
 */
export function settle(draft: RecipeDraft, doubtId: string, choice: string | Choice): RecipeDraft {
  const doubt = draft.doubts.find((d) => d.id === doubtId);
  if (!doubt) throw new OrvinError('unknown-doubt', `The draft has no doubt '${doubtId}'.`);
  const id = typeof choice === 'string' ? choice : choice.id;
  const chosen = doubt.choices.find((c) => c.id === id);
  if (!chosen) throw new OrvinError('unknown-doubt', `Doubt '${doubtId}' has no choice '${id}'.`);
  const { edit } = chosen;
  const settledAmount = edit.kind === 'amount' ? [edit.itemId] : [];
  const before = draft.chosen ?? [];
  // an amount that was chosen stays when its name is chosen afterwards
  const kept = edit.kind === 'ingredient' && before.includes(edit.itemId) ? amountOf(draft.formula, edit.itemId) : null;
  const formula = applyEdit(
    draft.formula,
    kept !== null && edit.kind === 'ingredient' ? { ...edit, grams: kept } : edit,
  );
  const rest = draft.doubts.filter((d) => d.id !== doubtId && !answered(d, doubt, chosen.edit, formula));
  return {
    ...draft,
    formula,
    doubts: rest,
    ...(before.length + settledAmount.length > 0 && { chosen: [...before, ...settledAmount] }),
    confidence: Math.min(
      1,
      draft.confidence + (1 - draft.confidence) * (1 - rest.length / Math.max(1, draft.doubts.length)),
    ),
  };
}

const amountOf = (f: Formula, id: string): number | null =>
  f.groups.flatMap((g) => g.items).find((i) => i.id === id)?.grams ?? null;

/** Whether a doubt has nothing left to ask once another was settled. */
function answered(d: Doubt, settled: Doubt, edit: Edit, f: Formula): boolean {
  if (edit.kind === 'bake' && (d.id === 'heat-family' || d.kind === 'no-bake')) return true;
  if (edit.kind === 'family' && (d.kind === 'family' || d.id === 'heat-family')) return true;
  if (edit.kind === 'add' && d.kind === 'no-flour') return true;
  if (d.itemId === undefined) return false;
  const grams = amountOf(f, d.itemId);
  if (grams === null) return true;
  if (d.itemId !== settled.itemId) return false;
  if (d.kind === 'no-amount' && grams > 0) return true;
  // one answer to what a thing is, or to how much of it, is enough
  const asks = (x: Doubt): string =>
    x.kind === 'unknown-ingredient' || x.kind === 'alternative'
      ? 'name'
      : ['amount', 'disagree', 'leavener', 'no-amount'].includes(x.kind)
        ? 'amount'
        : x.kind;
  return (edit.kind === 'ingredient' && asks(d) === 'name') || (edit.kind === 'amount' && asks(d) === 'amount');
}
