import type { Diet } from '../ingredient/diet.js';
import type { Wish } from './types.js';

export type PresetId =
  | 'eggless'
  | 'dairy-free'
  | 'vegan'
  | 'whole-grain'
  | 'less-sugar'
  | 'less-fat'
  | 'lower-sodium'
  | 'nut-free'
  | 'gluten-free'
  | 'small-child'
  | 'high-altitude'
  | 'what-i-have';

/** A request that many bakers have. What it asks of the search is in `adapt.ts`; here is what it is called and warns of. */
export interface Preset {
  readonly id: PresetId;
  readonly name: string;
  readonly about: string;
  /** Diets that every ingredient has to suit. */
  readonly suits: readonly Diet[];
  /** Said with every proposal: what the search cannot know. Local advice and qualified people come first. */
  readonly cautions: readonly string[];
}

const LABELS =
  'Read the packets: what else a factory handles is not known here. With an allergy, follow your clinician.';

// prettier-ignore
export const presets: readonly Preset[] = [
  { id: 'eggless', name: 'without egg', about: 'something else to bind and moisten', suits: ['egg-free'], cautions: [LABELS] },
  { id: 'dairy-free', name: 'without milk', about: 'no butter, milk, cheese or cream', suits: ['dairy-free'], cautions: [LABELS] },
  { id: 'vegan', name: 'vegan', about: 'nothing from animals', suits: ['vegan'], cautions: [LABELS] },
  { id: 'whole-grain', name: 'more whole grain', about: 'half of the flour from the whole grain, or as much as the crumb bears', suits: [], cautions: [] },
  { id: 'less-sugar', name: 'less sugar', about: 'a quarter less sweet', suits: [], cautions: ['For diabetes, follow your clinician, not this program.'] },
  { id: 'less-fat', name: 'less fat', about: 'a quarter less fat', suits: [], cautions: [] },
  { id: 'lower-sodium', name: 'less salt', about: 'a quarter less sodium, salt and leavener together', suits: [], cautions: ['For a diet that a doctor has set, follow the doctor, not this program.'] },
  { id: 'nut-free', name: 'without nuts', about: 'no tree nuts and no peanut', suits: ['nut-free'], cautions: [LABELS] },
  { id: 'gluten-free', name: 'without gluten', about: 'no wheat, rye, barley, or oats', suits: ['gluten-free'], cautions: [LABELS, 'Boards, sieves, tins and toasters hold crumbs of other flours. Coeliacs follow their clinician, not this program.'] },
  { id: 'small-child', name: 'for a small child', about: 'less sugar and salt, nothing hard, no honey, alcohol or coffee', suits: [], cautions: ['No honey before 12 months, baked or not. No whole nuts or hard pieces under 5 years. Babies need no added sugar or salt at all: ask a health professional.'] },
  { id: 'high-altitude', name: 'high up', about: 'less leavener and sugar, more liquid, a hotter oven', suits: [], cautions: ['Rules for altitude are rough: bake one small batch first.'] },
  { id: 'what-i-have', name: 'from what I have', about: 'nothing but what the Larder lists in stock', suits: [], cautions: [] },
];

export const presetOf = (id: string): Preset | undefined => presets.find((p) => p.id === id);

/** What is to be said where less of something is wished for, as its preset says it. */
export const wishCautions = (wishes: readonly Wish[]): string[] =>
  wishes.flatMap((w) => {
    if (w.kind !== 'change' || w.byPct >= 0) return [];
    const id = w.of === 'sugar' ? 'less-sugar' : w.of === 'sodium' || w.of === 'salt' ? 'lower-sodium' : '';
    return presetOf(id)?.cautions ?? [];
  });
