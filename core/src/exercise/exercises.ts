import { OrvinError } from '../errors.js';
import { assess } from '../balance/assess.js';
import { predictBake } from '../bake/predict.js';
import { bakeInputOf } from '../bake/input.js';
import { allItems, applyChanges, ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen, Tin } from '../formula/types.js';
import { steps } from '../counter/steps.js';
import { asMeasured } from '../quantity/amount.js';
import { dialIn } from '../quantity/degrees.js';
import { heightIn, massIn } from '../quantity/figures.js';
import { fitTins } from '../tin/fit.js';
import { withSetting } from '../bake/stages.js';
import { shortName } from '../adapt/proposal.js';

/** One of the things that can be answered. */
export interface Choice {
  readonly id: string;
  readonly words: string;
  /** What to draw beside it: a formula's slice to come. */
  readonly formula?: Formula;
}

/** What is to be found out, with its answers. The right ones follow from the same figures as everything else. */
export interface Task {
  readonly ask: string;
  /** What is looked at: its slice is drawn, its lines are listed. */
  readonly formula: Formula | null;
  readonly choices: readonly Choice[];
  /** Ids of the choices that are right. */
  readonly right: readonly string[];
  /** Why, in a sentence or two; said once it is answered. */
  readonly because: string;
}

export interface Exercise {
  readonly id: string;
  readonly title: string;
  /** Which of the sample kitchen's formulas it is tried on. */
  readonly on: string;
  readonly of: (formula: Formula, kitchen: Kitchen) => Task;
}

const itemOf = (f: Formula, ingredient: string): string =>
  allItems(f).find((i) => i.ingredient === ingredient)?.id ?? '';
const gramsOf = (f: Formula, id: string): number => allItems(f).find((i) => i.id === id)?.grams ?? 0;
const times = (f: Formula, id: string, by: number): Formula => applyChanges(f, [{ itemId: id, grams: Math.round(100 * by * gramsOf(f, id)) / 100 }]); // prettier-ignore

/** Every line as it is measured, to be pointed at. */
const linesOf = (f: Formula, kitchen: Kitchen): Choice[] =>
  allItems(f).map((i) => {
    const ingredient = ingredientFor(f, i, kitchen);
    const measured = asMeasured(i.grams, ingredient, kitchen.measures, i.form);
    return { id: i.id, words: `${shortName(ingredient)}, ${measured} (${massIn(kitchen.display, i.grams)})` };
  });

/** A formula with a slip in one line: which is it? */
const slip = (id: string, title: string, on: string, ingredient: string, by: number, because: string): Exercise => ({
  id,
  title,
  on,
  of: (f, kitchen) => {
    const line = itemOf(f, ingredient);
    const spoilt = times(f, line, by);
    return {
      ask: 'Somebody misread one line. Look at the slice to come, and press the line that spoils it.',
      formula: spoilt,
      choices: linesOf(spoilt, kitchen),
      right: [line],
      because,
    };
  },
});

const swapped = (f: Formula, from: string, to: string): Formula => ({
  ...f,
  groups: f.groups.map((g) => ({
    ...g,
    items: g.items.map((i) => (i.ingredient === from ? { ...i, ingredient: to, words: to } : i)),
  })),
});

const plainTin = (id: string, name: string, more: Partial<Tin>): Tin => ({ id, name, shape: 'round', topMm: 180, depthMm: 50, material: 'light metal', ...more }); // prettier-ignore

/** Twelve things to try on the sample kitchen, a minute each; all of them are reckoned, none is written down beforehand. */
export const exercises: readonly Exercise[] = [
  slip('soda', 'A dark, soapy muffin', 'parsnip-and-ginger-muffins', 'baking-soda', 6, 'Six times the soda: no acid is left to meet it, so it darkens the crumb and tastes soapy.'), // prettier-ignore
  slip('powder', 'Up and over, then down', 'cardamom-yogurt-round', 'baking-powder', 3, 'Three times the powder: it rises past what its crumb can hold, and sinks in the middle.'), // prettier-ignore
  slip('flour', 'A wet streak', 'cardamom-yogurt-round', 'plain-flour', 0.5, 'Half the flour: too little structure for all that liquid, fat and sugar.'), // prettier-ignore
  slip('dry', 'A brick', 'cardamom-yogurt-round', 'yogurt', 0.15, 'Without most of its yogurt the flour has little to drink, and the soda no acid.'), // prettier-ignore
  {
    id: 'sweet-milk',
    title: 'Sweet milk for sour',
    on: 'wholemeal-seeded-soda-loaf',
    of: (f, kitchen) => {
      const made = swapped(f, 'buttermilk', 'milk');
      const milk = itemOf(made, 'milk');
      const soda = itemOf(made, 'baking-soda');
      return {
        ask: 'There was no buttermilk, and sweet milk went in. Which two lines no longer go together? Press either.',
        formula: made,
        choices: linesOf(made, kitchen),
        right: [milk, soda],
        because: 'Soda needs something sour: with sweet milk it hardly lifts, and what is left of it tastes. Sour the milk, or take powder.', // prettier-ignore
      };
    },
  },
  {
    id: 'two-tins',
    title: 'Fit it to another tin',
    on: 'cardamom-yogurt-round',
    of: (f, kitchen) => {
      const inches = kitchen.display.length === 'in';
      const size = (cm: number, wide: number): string => (inches ? `${wide} in` : `${cm} cm`);
      const tins: readonly { readonly tin: Tin; readonly count: number; readonly words: string }[] = [
        { count: 1, words: `one round of ${size(15, 6)}`, tin: plainTin('small', '', { topMm: 150 }) },
        { count: 2, words: `two rounds of ${size(18, 7)}`, tin: plainTin('two', '', {}) },
        { count: 1, words: `one sheet of ${inches ? '18 × 13 in' : '46 × 33 cm'}`, tin: plainTin('sheet', '', { shape: 'rect', topMm: 460, top2Mm: 330 }) }, // prettier-ignore
        { count: 6, words: `six rounds of ${size(18, 7)}`, tin: plainTin('six', '', {}) },
      ];
      return {
        ask: `The round of ${size(23, 9)} is lent out. Which of these holds this batter, neither over the rim nor a thin biscuit?`,
        formula: f,
        choices: tins.map((t) => ({ id: t.tin.id, words: t.words })),
        right: tins.filter((t) => fitTins(f, [t], kitchen).every((fit) => fit.state === 'ok')).map((t) => t.tin.id),
        because: `Areas decide, and they go by the square: two rounds of ${size(18, 7)} are a little more than one of ${size(23, 9)}, six are nearly four of it.`, // prettier-ignore
      };
    },
  },
  {
    id: 'how-full',
    title: 'How full is a muffin?',
    on: 'parsnip-and-ginger-muffins',
    of: (f, kitchen) => {
      const [use] = f.tins ?? [];
      const cups = [24, 12, 6];
      const uses = cups.map((n) => ({ id: `cups-${n}`, n, use: use && { ...use, tin: { ...use.tin, id: `cups-${n}`, cups: n } } })); // prettier-ignore
      const fit = (u: (typeof uses)[number]) => (u.use ? fitTins(f, [u.use], kitchen)[0] : undefined);
      return {
        ask: 'One bowl of batter. Into how many cups does it go, if none is to run over and none to be a button?',
        formula: f,
        choices: uses.map((u) => ({ id: u.id, words: `${u.n} cups, ${massIn(kitchen.display, Math.round(fit(u)?.perCupG ?? 0))} in each` })), // prettier-ignore
        right: uses.filter((u) => fit(u)?.state === 'ok').map((u) => u.id),
        because: 'Two thirds full leaves room for the rise; half of that bakes dry, and twice as much runs over.',
      };
    },
  },
  {
    id: 'curdled',
    title: 'Rescue the curdled batter',
    on: 'cardamom-yogurt-round',
    of: (f, kitchen) => {
      const all = steps(f, {}, kitchen).flatMap((s) => s.wrong);
      const curdled = all.find((r) => r.sign.includes('curdled'));
      const others = all.filter((r) => r !== curdled && r.rescue !== curdled?.rescue);
      const options = [...new Set([curdled, ...others].flatMap((r) => (r ? [r.rescue] : [])))].slice(0, 4);
      // an order that gives nothing away
      const order = [...options].sort((a, b) => a.length - b.length || a.localeCompare(b));
      return {
        ask: 'The creamed butter and sugar look curdled after the second egg. What saves it?',
        formula: null,
        choices: order.map((words) => ({ id: words, words })),
        right: curdled ? [curdled.rescue] : [],
        because: 'Cold eggs set the butter into flecks. Warmth, or a little flour to hold the water, brings it together again.', // prettier-ignore
      };
    },
  },
  {
    id: 'too-hot',
    title: 'Which bake was too hot?',
    on: 'cardamom-yogurt-round',
    of: (f, kitchen) => {
      const [fit] = f.tins ? fitTins(f, f.tins, kitchen) : [];
      const usual = f.bake?.ovenC ?? 175;
      const heats = [usual - 25, usual, usual + 45];
      const baked = heats.map((ovenC) => {
        const at: Formula = { ...f, bake: withSetting({ ovenC, fan: false }, { ovenC }) };
        const p = fit && predictBake(bakeInputOf(at, fit, kitchen), kitchen);
        return { id: `heat-${ovenC - usual}`, words: p ? `${Math.round(p.minutes.likely)} minutes; crust ${p.browning.words}` : '' }; // prettier-ignore
      });
      return {
        ask: 'Three bakes of one batter in one tin, each taken out when its middle was done. Which oven was far too hot?',
        formula: null,
        choices: baked,
        right: [baked[2]?.id ?? ''],
        because: `The crust goes by heat and time together, the middle hardly by the heat: at ${dialIn(kitchen.display.temperature, heats[2] ?? 0)} the outside is dark before the middle sets.`, // prettier-ignore
      };
    },
  },
  {
    id: 'waits',
    title: 'The telephone rings',
    on: 'wholemeal-seeded-soda-loaf',
    of: (f, kitchen) => {
      const { lift } = assess(f, kitchen);
      const at = (min: number): number => lift.standing.find((p) => p.min >= min)?.mmol.typical ?? 0;
      const enough = lift.target[0];
      const minutes = [5, 90];
      const right = minutes.filter((m) => at(m) >= enough);
      return {
        ask: 'The batter is mixed, and the telephone rings. How long may it stand and still have the lift it needs?',
        formula: f,
        choices: [...minutes.map((m) => ({ id: `min-${m}`, words: `${m} minutes` })), { id: 'never', words: 'not a minute: it is spoilt at once' }], // prettier-ignore
        right: right.length > 0 ? [`min-${Math.max(...right)}`] : ['never'],
        because: 'Gas comes as soon as soda meets acid, and some of it leaves the bowl each minute: a few are no matter, an hour is.', // prettier-ignore
      };
    },
  },
  {
    id: 'mountain',
    title: 'On a mountain',
    on: 'cardamom-yogurt-round',
    of: (f, kitchen) => {
      const high: Kitchen = { ...kitchen, altitudeM: 2200 };
      const line = itemOf(f, 'baking-powder');
      const tries = [0.6, 1, 1.5].map((by) => ({ by, volume: assess(times(f, line, by), high).lift.volume.mlPer100gBatter.typical })); // prettier-ignore
      const home = assess(f, kitchen).lift.volume.mlPer100gBatter.typical;
      const best = tries.reduce((a, b) => (Math.abs(b.volume - home) < Math.abs(a.volume - home) ? b : a));
      const words = (by: number): string => (by < 1 ? 'less' : by > 1 ? 'more' : 'as much');
      return {
        ask: `At ${heightIn(kitchen.display, 2200)} the air is thin, and every bubble grows larger. Which amount of powder rises as at home?`,
        formula: f,
        choices: tries.map((t) => ({ id: words(t.by), words: `${words(t.by)} powder` })),
        right: [words(best.by)],
        because: 'The same gas fills more room under less air: with all of the powder it would rise too far and fall.',
      };
    },
  },
  {
    id: 'less-sugar',
    title: 'Less sweet, still a cake',
    on: 'cardamom-yogurt-round',
    of: (f, kitchen) => {
      const line = itemOf(f, 'caster-sugar');
      const tries = [0.8, 0.4, 0].map((by) => ({ by, formula: times(f, line, by) }));
      const typical = (x: Formula): number => assess(x, kitchen).plausible?.typical ?? 0;
      const right = tries.filter((t) => typical(t.formula) >= 0.1);
      const least = right.at(-1);
      return {
        ask: 'How much of the sugar can be left out before it is no longer an ordinary cake of its kind?',
        formula: f,
        choices: tries.map((t) => ({ id: `sugar-${t.by}`, words: t.by === 0 ? 'all of it' : `${Math.round(100 * (1 - t.by))} % of it`, formula: t.formula })), // prettier-ignore
        right: least ? [`sugar-${least.by}`] : ['sugar-0.8'],
        because: 'Sugar keeps a crumb tender and moist and lets it brown: a fifth less is hardly seen, without most of it the slice is a pale bread.', // prettier-ignore
      };
    },
  },
];

/**
 * What an exercise asks, on its formula of the sample kitchen, in the units of a kitchen.
 * @throws OrvinError `bad-argument` for one that there is not
 */
export function exerciseTask(id: string, formula: Formula, kitchen: Kitchen): Task {
  const found = exercises.find((e) => e.id === id);
  if (!found) throw new OrvinError('bad-argument', `There is no exercise '${id}'.`);
  return found.of(formula, kitchen);
}
