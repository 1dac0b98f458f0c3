import type { MixingMethod } from '../balance/families.js';
import type { GroupRole } from '../formula/types.js';
import type { VerbId } from './verbs.js';

/** One stage of a way of mixing, for a formula whose method does not say how it is mixed. */
export interface Stage {
  readonly id: string;
  readonly verb: VerbId;
  readonly words: string;
  /** Roles of the lines that go in here. */
  readonly takes: readonly GroupRole[];
}

const dry = (takes: readonly GroupRole[] = ['dry']): Stage => ({
  id: 'dry',
  verb: 'whisk',
  words: 'Whisk the dry things together',
  takes,
});
const wet: Stage = {
  id: 'wet',
  verb: 'whisk',
  words: 'Whisk the wet things and the sugar until smooth',
  takes: ['wet', 'egg', 'fat-sugar'],
};
const fold: Stage = { id: 'fold', verb: 'fold', words: 'Fold in the additions', takes: ['fold-in'] };

/** The stages of each way of mixing, in order. General baking knowledge, not looked up. */
export const stages: Readonly<Record<MixingMethod, readonly Stage[]>> = {
  creaming: [
    { id: 'cream', verb: 'cream', words: 'Cream the fat and sugar until pale and fluffy', takes: ['fat-sugar'] },
    { id: 'eggs', verb: 'beat', words: 'Beat in the eggs one at a time', takes: ['egg'] },
    dry([]),
    {
      id: 'alternate',
      verb: 'fold',
      words: 'Fold in the dry things in three parts and the liquid in two, dry first and last',
      takes: ['dry', 'wet'],
    },
    fold,
  ],
  coating: [
    dry(),
    { id: 'coat', verb: 'rub in', words: 'Work the soft fat into the dry things and sugar', takes: ['fat-sugar'] },
    { id: 'liquid', verb: 'beat', words: 'Beat in half the liquid, then the rest', takes: ['wet', 'egg'] },
    fold,
  ],
  'rub-in': [
    dry(),
    { id: 'rub', verb: 'rub in', words: 'Rub in the cold fat', takes: ['fat-sugar'] },
    { ...fold, verb: 'toss', words: 'Toss the additions through' },
    { id: 'liquid', verb: 'bring together', words: 'Add the cold liquid and bring it together', takes: ['wet', 'egg'] },
  ],
  muffin: [
    dry(),
    wet,
    { id: 'combine', verb: 'mix', words: 'Tip the wet into the dry and turn it over', takes: [] },
    fold,
  ],
  whisking: [
    {
      id: 'foam',
      verb: 'whisk',
      words: 'Whisk the eggs with the sugar until thick and pale',
      takes: ['egg', 'fat-sugar'],
    },
    dry(),
    { id: 'combine', verb: 'fold', words: 'Fold in the dry things, then what is liquid', takes: ['dry', 'wet'] },
    fold,
  ],
  'one-bowl': [dry(), wet, { id: 'combine', verb: 'mix', words: 'Stir everything together', takes: [] }, fold],
  'melt-and-stir': [
    {
      id: 'melt',
      verb: 'melt',
      words: 'Melt the fat with the sugar and syrup over a low heat',
      takes: ['fat-sugar', 'wet'],
    },
    { id: 'eggs', verb: 'beat', words: 'Beat in the eggs', takes: ['egg'] },
    { id: 'combine', verb: 'mix', words: 'Stir in the dry things', takes: ['dry'] },
    fold,
  ],
};
