import { allItems, ingredientFor, isBatter } from '../formula/formula.js';
import type { FamilyId, Formula, Kitchen, TinShape } from '../formula/types.js';
import { families, familyFor } from './families.js';
import { CREAMS } from './methods.js';
import type { Totals } from './totals.js';
import { outside } from './verdict.js';
import { measures, pctOf, rangeOf } from './verdicts.js';
import { isOil } from '../ingredient/kinds.js';
import { awayOf, type Away } from '../text/cooked.js';

/**
 * What a bake is, by what speaks for it: its title, the verbs of its method, its tin, what is in it and what it lacks,
 * and last its numbers, each of which can only say so much. Weights are judgement, set on formulas of many countries
 * by other hands; docs/science/reading.md has the share that comes out right on others.
 */
type Weights = Partial<Readonly<Record<FamilyId, number>>>;
type Clue = readonly [said: RegExp, weights: Weights];
/** What speaks for and against families, in words for those it speaks for. */
interface Reason {
  readonly because: string;
  readonly weights: Weights;
}

const cakes = (w: number): Weights => ({
  'butter-cake-lean': w,
  'butter-cake-high-ratio': w,
  'equal-weight-sponge': w,
  'pound-cake': w,
  'oil-cake': w,
  'chocolate-cake': w,
  'treacle-cake': w,
  'fruit-cake-rich': w,
  'fruit-cake-light': w,
});
const creamed: Weights = {
  'butter-cake-lean': 0.9,
  'butter-cake-high-ratio': 0.9,
  'equal-weight-sponge': 0.9,
  'pound-cake': 0.9,
  'fruit-cake-rich': 0.6,
  'fruit-cake-light': 0.5,
  'oil-cake': -2,
  muffin: -0.5,
};

/** Words of the title. */
// prettier-ignore
const titles: readonly Clue[] = [
  [/\bmuffins?\b/i, { muffin: 4, ...{ 'oil-cake': -1 } }],
  [/\bcup\s?cakes?\b|\bfairy (?:cakes|buns)\b|\bqueen cakes\b/i, { 'oil-cake': 1.4, 'butter-cake-lean': 1.2, 'butter-cake-high-ratio': 1.2, 'equal-weight-sponge': 1.2, muffin: 0.2 }],
  [/\bdrop(?:ped)? (?:biscuits?|scones?)\b|\bdrops\b|\bspoon (?:biscuits|scones)\b/i, { 'drop-biscuit': 4.5 }],
  [/\bscones?\b/i, { scone: 3.6, biscuit: 0.4 }],
  [/\bbiscuits?\b/i, { biscuit: 3, 'drop-biscuit': 1.5, scone: 0.6 }],
  [/\bshortcakes?\b/i, { biscuit: 1.2, scone: 1.4, 'drop-biscuit': 1.6 }],
  [/\bwedges\b|\bhinn(?:y|ies)\b/i, { scone: 1.6 }],
  [/\bsoda (?:bread|farl|round|cake)|\bbannocks?\b|\bdampers?\b|\bfarls?\b|\bpogača|\bpogaca|\bpitka\b|\bspotted dog\b|\bcoconut bake\b|\bbrown soda\b|\bwhite soda\b/i, { 'soda-bread': 3.4, 'soda-loaf': 1.2 }],
  [/\bsoda loaf\b|\bwheaten\b|\bbrown (?:bread|loaf)\b|\bbeer bread\b|\b(?:oat|seeded|oaten) (?:loaf|bread)\b|\btreacle bread\b/i, { 'soda-loaf': 2.6, 'soda-bread': 1.4 }],
  [/\btea[- ]?(?:loaf|bread|brack)\b|\bbrack\b|\bbara brith\b|\bmalt(?:ed)? (?:loaf|bread)\b|\bmalt and\b|\bfr[uü]e?chtebrot\b|\bfruit bread\b|\bbran loaf\b/i, { 'tea-loaf': 3.2, 'quick-bread': 0.5 }],
  [/\bcorn\s?bread\b|\bjohnny\s?cakes?\b|\bmaize\b|\bmealie\b|\bpolenta\b|\bcornmeal\b|\bproja\b|\bbobota\b|\bmalai\b|\bfub[aá]\b|\bcorn (?:sticks|pone|loaf)\b|\bchimodho\b/i, { 'maize-bread': 2.6 }],
  [/\bginger\s?bread|\bparkin\b|\btreacle\b|\bmolasses\b|\bginger (?:cake|loaf|squares)\b|\blebkuchen\b|\bhoney (?:spice )?cake\b|\bhoney loaf\b|\bpain d.[eé]pices\b|\bhonningk\w+|\bontbijtkoek\b|\bshoo?fly\b|\bsyrup cake\b/i, { 'treacle-cake': 2.6, 'tea-loaf': 0.3 }],
  [/\bpound\b|\bmadeira\b|\bsand\s?cake\b|\bquatre|\bsandkuchen\b|\bbud[ií]n\b|\bbabka piaskowa\b|\bseed cake\b|\brich cake\b/i, { 'pound-cake': 2.8, 'equal-weight-sponge': 0.4 }],
  [/\bvictoria (?:sandwich|sponge|cake)s?\b|\bequal[- ]weights?\b/i, { 'equal-weight-sponge': 2.4 }],
  [/\bvictoria\b|\bsandwich\b|\bweigh|\ball[- ]in[- ]one\b|\bdrizzle\b|\bsponge\b|\btraybake\b|\bfairy\b/i, { 'equal-weight-sponge': 1.8, 'butter-cake-lean': 0.4 }],
  [/\bchoc(?:olate)?\b|\bcocoa\b|\bbrownies?\b|\bdevil|\bmud cake\b/i, { 'chocolate-cake': 2.4 }],
  [/\bchristmas\b|\bsimnel\b|\bdundee\b|\brich fruit\b|\bwedding\b|\bblack cake\b|\brich semolina\b/i, { 'fruit-cake-rich': 2.6, 'fruit-cake-light': 0.8 }],
  [/\bfruit\s?cake\b|\bboiled\b|\bgenoa\b|\bcherry cake\b|\bsultana\b|\bporter\b|\bwar cake\b|\bfruit (?:and|&) nut\b|\bcherry and almond\b|\bfruits confits\b|\bjam cake\b|\bdate cake\b/i, { 'fruit-cake-light': 2.2, 'fruit-cake-rich': 1.2 }],
  [/\b(?:banana|courgette|zucchini|pumpkin|cranberry|date|lemon|carrot|squash|savoury|cheese|herb|olive|onion) (?:\w+ )?(?:bread|loaf)\b|\bcake sal[eé]\b/i, { 'quick-bread': 1.8 }],
  [/\bloaf\b|\bloaves\b|\bbread\b/i, { 'quick-bread': 1.3, 'soda-loaf': 0.4, 'tea-loaf': 0.4, muffin: -1.5 }],
  [/\bcakes?\b|\btorte\b|\bkuchen\b|\bg[aâ]teau\b|\bqueque\b|\bbolo\b|\bbizcocho\b|\bciambell/i, { ...cakes(0.7), muffin: -1.6, 'quick-bread': -0.6, scone: -1.6, biscuit: -1.6, 'drop-biscuit': -1.6, 'soda-bread': -1.4, 'soda-loaf': -1, 'maize-bread': -0.3, 'tea-loaf': -0.4 }],
  [/\bwhisked\b|\bfatless\b/i, { free: 2.4 }],
  [/\bchiffon\b|\bangel\b|\bg[eé]noise\b|\bcastella\b|\broulade\b|\bflourless\b|\btres leches\b|\bravani\b|\bfoam cake\b|\bbasbousa\b|\bclafoutis\b/i, { free: 3.4 }],
  [/\brock (?:cakes?|buns?)\b|\bbuns\b|\bblondies?\b|\brusks?\b|\bpancakes?\b|\bwaffles?\b/i, { free: 1.6, scone: 0.8 }],
  [/\bcarrot cake\b|\byog(?:h)?urt\b|\bolive oil\b|\boil cake\b|\bhummingbird\b|\bbizcocho\b|\bkefir\b/i, { 'oil-cake': 1.2 }],
  [/\blayers?\b|\bwhite cake\b|\byellow cake\b|\bsheet\b|\blayer cake\b/i, { 'butter-cake-high-ratio': 0.6, 'oil-cake': 0.2 }],
];

/** Verbs and remarks of the method. */
// prettier-ignore
const doings: readonly Clue[] = [
  [new RegExp(`${CREAMS.source}|${/\bbeat (?:the )?(?:soft )?(?:butter|marg\w*)\b|\bbutter and (?:the )?sugar (?:beaten|creamed|until)/.source}`, 'i'), creamed],
  [/\brub(?:bed)?\b(?! the zest)|\bcut(?: in)? (?:the )?(?:cold )?(?:butter|fat|shortening|lard|marg)|\bcut in\b|\bgrate in\b|\bcrumbs\b/i, { biscuit: 0.9, scone: 0.9, 'soda-bread': 0.5, ...{ 'oil-cake': -1, 'pound-cake': -0.8, muffin: -0.8, 'equal-weight-sponge': -1, 'quick-bread': -0.3 } }],
  [/\b(?:pat|roll|knead)\b[^.]*\b(?:thick|out|round)|\bcutter\b|\bcut (?:out|\w+ (?:rounds|wedges|squares|scones|biscuits))/i, { biscuit: 1.2, scone: 1.2, 'soda-bread': 0.2 }],
  [/\bdrop\b[^.]*\b(?:spoon|tray|sheet|scoop|mound)|\bheaps?\b|\bmounds?\b|\bscoops?\b[^.]*\b(?:sheet|tray)/i, { 'drop-biscuit': 1.6, free: 0.3 }],
  [/\bcross\b(?! (?:them|the tins))|\b(?:cut|slash|score)\w*\b[^.]*\bx\b|\bhollow\b/i, { 'soda-bread': 1.4, 'soda-loaf': 0.5 }],
  [/\b(?:soak|steep)\w*\b[^.]*\b(?:tea|overnight)/i, { 'tea-loaf': 1.1, 'fruit-cake-rich': 0.5 }],
  [/\bboil\b[^.]*\b(?:fruit|raisins|sultanas|dates)|\bsimmer\b[^.]*\bfruit/i, { 'fruit-cake-light': 1.2 }],
  [/\bfeed\b|\bbrandy\b|\bwrap (?:it )?(?:in|and)[^.]*\bweeks?\b|\bbrown paper\b|\bdouble[- ]lined\b/i, { 'fruit-cake-rich': 1.2, 'fruit-cake-light': 0.3 }],
  [/\bmelt\b[^.]*\b(?:syrup|treacle|honey|molasses)/i, { 'treacle-cake': 0.9 }],
  [/\b(?:until just|just (?:until|till) (?:combined|mixed|moist)|lumpy|lumps are|strokes|do not overmix|wet into dry)\b/i, { muffin: 0.6, 'quick-bread': 0.4, 'maize-bread': 0.2 }],
  [/\b(?:whites?|snow)\b[^.]*\b(?:stiff|peaks|fold|soft)|\bhang (?:it )?(?:upside|till|until)?|\bupside[- ]down till\b/i, { free: 0.7 }],
  [/\bskillet\b|\bdrippings?\b|\bsizzl/i, { 'maize-bread': 0.5 }],
];

const tinWeights: Partial<Readonly<Record<TinShape, Weights>>> = {
  cup: {
    muffin: 1.5,
    scone: -1.5,
    biscuit: -1.5,
    'soda-bread': -2,
    'soda-loaf': -2,
    'quick-bread': -1.2,
    'pound-cake': -1,
    'tea-loaf': -2,
    'fruit-cake-rich': -1,
    'fruit-cake-light': -1,
    'maize-bread': -0.2,
  },
  loaf: {
    'quick-bread': 0.9,
    'tea-loaf': 0.7,
    'soda-loaf': 0.8,
    'pound-cake': 0.4,
    'soda-bread': -1.2,
    muffin: -2,
    scone: -2,
    biscuit: -2,
    'drop-biscuit': -2,
    'butter-cake-high-ratio': -0.4,
  },
  mound: {
    'soda-bread': 0.9,
    'drop-biscuit': 0.9,
    scone: 0.7,
    biscuit: 0.7,
    muffin: -2,
    'quick-bread': -2,
    'soda-loaf': -1,
    ...cakes(-2),
  },
  slab: {
    biscuit: 1.2,
    scone: 1.2,
    'drop-biscuit': -0.8,
    'soda-bread': -0.8,
    muffin: -2,
    'quick-bread': -2,
    'soda-loaf': -1.2,
    ...cakes(-2),
  },
  tube: { ...cakes(0.4), muffin: -2, scone: -2, biscuit: -2, 'soda-bread': -2, 'quick-bread': -0.6 },
};
const flatTin: Weights = {
  ...cakes(0.5),
  muffin: -2,
  scone: -0.7,
  biscuit: -0.7,
  'drop-biscuit': -0.7,
  'quick-bread': -0.7,
  'soda-loaf': -0.8,
  'maize-bread': 0.4,
  'tea-loaf': -0.6,
};

const HEATS: Readonly<Record<Away, string>> = { griddle: 'its griddle or pan', fat: 'its hot fat', steam: 'its steam', microwave: 'its microwave' }; // prettier-ignore
/** What is not baked in an oven is seldom of a family that is named for its tin. */
const away: Readonly<Record<Away, Weights>> = {
  griddle: {
    ...cakes(-1),
    free: 2.6,
    muffin: -2,
    'quick-bread': -2,
    'drop-biscuit': -3,
    'soda-loaf': -2,
    biscuit: -1,
    'maize-bread': -0.5,
  },
  fat: {
    ...cakes(-1),
    free: 2,
    scone: 0.4,
    muffin: -2,
    'quick-bread': -2,
    'drop-biscuit': -2,
    'soda-loaf': -2,
    biscuit: -1,
    'maize-bread': -0.5,
  },
  steam: {
    free: 1.6,
    muffin: -1.5,
    scone: -1,
    biscuit: -2,
    'drop-biscuit': -2,
    'soda-bread': -1,
    'butter-cake-lean': -0.6,
  },
  microwave: {},
};

interface Shares {
  readonly oil: number;
  readonly cocoa: number;
  readonly chocolate: number;
  readonly maize: number;
  readonly syrup: number;
  readonly fruit: number;
  readonly nut: number;
  readonly flour: number;
  readonly tea: boolean;
  readonly sour: boolean;
  readonly leavener: boolean;
  readonly ginger: boolean;
  readonly savoury: boolean;
}

/** What there is of each thing, to the weight of flour; of oil, to that of fat. */
function sharesOf(formula: Formula, t: Totals, kitchen: Kitchen): Shares {
  let [oil, fat, chocolate, fruit, nut] = [0, 0, 0, 0, 0];
  let [tea, sour, leavener, ginger, savoury] = [false, false, false, false, false];
  for (const g of formula.groups.filter(isBatter))
    for (const item of g.items) {
      const i = ingredientFor(formula, item, kitchen);
      if (i.role === 'fat') {
        fat += item.grams;
        if (isOil(i)) oil += item.grams;
      }
      if (i.chocolate) chocolate += item.grams;
      if (i.role === 'fruit' && i.per100.water < 40) fruit += item.grams;
      if (i.base === 'nut' || i.id === 'desiccated-coconut') nut += item.grams;
      if (i.id === 'tea') tea = true;
      if (i.kind === 'sour milk') sour = true;
      if (i.leavener === 'soda' || i.leavener === 'powder' || i.co2Mmol) leavener = true;
      if (i.kind === 'spice' && i.masksSoda) ginger = true;
      if (i.savoury) savoury = true;
    }
  const per = (g: number): number => g / Math.max(1, t.flourG);
  return {
    oil: fat > 0 ? oil / fat : 0,
    cocoa: per(t.cocoaG),
    chocolate: per(chocolate),
    maize: per(t.maizeG),
    syrup: per(t.syrupG),
    fruit: per(fruit),
    nut: per(nut),
    flour: t.flourG / Math.max(1, t.batterG),
    tea,
    sour,
    leavener,
    ginger,
    savoury: savoury && t.sugarPct < 15,
  };
}

/** What a family cannot be without, and what rules it out. */
function essentials(s: Shares, t: Totals): Reason[] {
  const out: Reason[] = [];
  const say = (because: string, weights: Weights): void => void out.push({ because, weights });
  // almonds or coconut stand in for a part of the flour
  const whole = 1 / (1 + s.nut);
  const near = (x: number, to: number, by: number): boolean => Math.abs(x - to) <= by;
  say('its cocoa or chocolate', {
    'chocolate-cake': s.cocoa < 0.04 && s.chocolate < 0.25 ? -4.5 : s.cocoa >= 0.1 || s.chocolate >= 0.3 ? 1.6 : 0,
  });
  say('its maize', { 'maize-bread': s.maize < 0.25 ? -4.5 : s.maize >= 0.5 ? 1.2 : 0.4 });
  say('its syrup or treacle', {
    'treacle-cake': s.syrup < 0.12 ? -2.4 : s.syrup >= 0.3 ? 1 + (s.ginger ? 0.7 : 0) : s.ginger ? 0.5 : 0,
  });
  say('its dried fruit', {
    'fruit-cake-rich': s.fruit < 0.7 ? -3 : s.fruit < 1.3 ? -0.8 : 1.3,
    'fruit-cake-light': s.fruit < 0.35 ? -2.6 : s.fruit > 2 ? -0.6 : s.fruit > 0.6 ? 0.9 : 0,
  });
  say(s.tea ? 'its tea' : 'its dried fruit and little fat', {
    'tea-loaf': (s.fruit >= 0.35 ? 0.6 : -1) + (t.fatPct <= 15 ? 0.7 : t.fatPct > 30 ? -1.6 : 0) + (s.tea ? 1 : 0),
  });
  if (t.fatPct < 12 && t.eggPct >= 90) say('its eggs and hardly any fat', { free: 2.6 });
  if (t.fatPct < 8)
    say('hardly any fat', { 'butter-cake-lean': -1.8, 'butter-cake-high-ratio': -1.8, 'equal-weight-sponge': -2, 'pound-cake': -2, 'oil-cake': -1.8 }); // prettier-ignore
  if (t.fatPct > 8)
    say(
      s.oil < 0.5 ? 'its butter' : 'its oil',
      s.oil < 0.5
        ? { 'oil-cake': -2, 'butter-cake-lean': 0.2, 'butter-cake-high-ratio': 0.2 }
        : {
            'oil-cake': 0.9,
            'butter-cake-lean': -1.6,
            'butter-cake-high-ratio': -1.6,
            'equal-weight-sponge': -2,
            'pound-cake': -1.6,
          },
    );
  // little flour, or none: a foam or nuts hold it, and no rule of flour fits
  // (with neither flour nor anything in its place a line is missing, and no family is named for that)
  const held = t.flourG > 0 || s.nut > 0 || s.chocolate > 0;
  if (held && (t.flourG <= 0 || s.nut > 1 || s.flour < 0.12)) say('hardly any flour', { free: 3.6, muffin: 0.4 });
  else if (s.nut > 0.6) say('its nuts for flour', { free: 1.2 });
  else if (!held) say('', { free: -4 });
  if (!s.leavener)
    say('nothing that raises it', {
      free: held ? (t.eggPct > 120 ? 2.6 : 0.6) : 0,
      'pound-cake': 0.6,
      biscuit: -1,
      scone: -1,
      muffin: -1.5,
      'soda-bread': -2,
      'oil-cake': -0.6,
    });
  say(s.sour ? 'its sour milk, with little fat and sugar' : 'little fat and sugar', {
    'soda-bread': t.fatPct < 20 && t.sugarPct < 20 ? (s.sour ? 0.8 : 0.2) : -1.6,
    'soda-loaf': t.fatPct < 20 && t.sugarPct < 22 ? (s.sour ? 0.7 : 0.2) : -1.6,
  });
  say('equal weights', {
    'equal-weight-sponge':
      near(whole * t.fatPct, 82, 16) && near(whole * t.sugarPct, 100, 16) && near(whole * t.eggPct, 100, 26)
        ? 1.9
        : -1.3,
  });
  say('its sugar and fat to the flour', {
    'pound-cake': t.fatPct < 45 || t.eggPct < 40 ? -1.6 : 0,
    'butter-cake-high-ratio': t.sugarPct >= 98 ? 0.9 : -1.5,
    'butter-cake-lean': t.sugarPct > 105 ? -1 : 0.2,
  });
  if (s.savoury)
    say('cheese, herbs or vegetables and little sugar', { ...cakes(-1.6), 'quick-bread': 0.6, 'soda-loaf': 0.3 });
  if (t.sugarPct < 14) say('little sugar', { ...cakes(-1.2), 'quick-bread': -0.2 });
  if (t.sugarPct > 40) say('much sugar', { biscuit: -1.5, scone: -0.8, 'soda-bread': -1, 'soda-loaf': -1 });
  return out;
}

/** What the numbers say: each figure outside its usual range costs, and none costs more than one. */
function byNumbers(t: Totals, liftMmol: number, id: FamilyId): number {
  if (id === 'free') return -1.1;
  const family = familyFor(id, t);
  let sum = 0;
  for (const m of measures) if (m !== 'salt') sum += Math.min(1, outside(pctOf(t, m), rangeOf(family, m, t)));
  return -0.55 * (sum + Math.min(1, outside(liftMmol, family.lift)));
}

export interface FamilyFound {
  readonly family: FamilyId;
  /** 0–1: how clearly the best stands out from the next. */
  readonly confidence: number;
  /** The best three with their weights, which add to at most one. */
  readonly near: readonly { readonly id: FamilyId; readonly weight: number }[];
  /** What speaks most for the best, at most three: "“scones” in the title", "its tin". */
  readonly because: readonly string[];
}

/** The family of a formula that was just read: by title, method, tin, contents and numbers together. */
export function familyByEvidence(formula: Formula, t: Totals, liftMmol: number, kitchen: Kitchen): FamilyFound {
  const score = new Map<FamilyId, number>(families.map((f) => [f.id, t.baseG > 0 ? byNumbers(t, liftMmol, f.id) : 0]));
  const reasons: Reason[] = [];
  const clues = (list: readonly Clue[], text: string, where: string): void => {
    for (const [said, weights] of list) {
      const m = said.exec(text);
      if (m) reasons.push({ because: `“${m[0].trim().split(/\s+/).slice(0, 4).join(' ')}”${where}`, weights });
    }
  };
  clues(titles, formula.title.replace(/\([^)]*\)/g, ' '), ' in the title');
  clues(doings, formula.method.map((m) => m.text).join(' '), ' in the method');
  const cooking = awayOf(formula);
  if (cooking) reasons.push({ because: HEATS[cooking], weights: away[cooking] });
  const use = formula.tins?.[0];
  const shape = use?.tin.shape;
  if (shape) reasons.push({ because: shape === 'mound' || shape === 'slab' ? 'baked without a tin' : 'its tin', weights: tinWeights[shape] ?? flatTin }); // prettier-ignore
  if (shape === 'mound' && (use?.count ?? 1) > 1)
    reasons.push({ because: '', weights: { 'drop-biscuit': 0.5, 'soda-bread': -1.4 } });
  if (allItems(formula).length > 0) reasons.push(...essentials(sharesOf(formula, t, kitchen), t));
  for (const { weights } of reasons)
    for (const [id, w] of Object.entries(weights)) score.set(id as FamilyId, (score.get(id as FamilyId) ?? 0) + w);
  const ranked = [...score].sort((a, b) => b[1] - a[1]);
  const sum = ranked.reduce((s, [, x]) => s + Math.exp(1.6 * (x - (ranked[0]?.[1] ?? 0))), 0);
  const near = ranked
    .slice(0, 3)
    .map(([id, x]) => ({ id, weight: Math.round((100 * Math.exp(1.6 * (x - (ranked[0]?.[1] ?? 0)))) / sum) / 100 }));
  const best = near[0]?.id ?? 'free';
  const speaks = reasons
    .map((r) => ({ because: r.because, weight: r.weights[best] ?? 0 }))
    .filter((r) => r.weight >= 0.3 && r.because !== '')
    .sort((x, y) => y.weight - x.weight);
  return {
    because: [...new Set(speaks.map((r) => r.because))].slice(0, 3),
    family: best,
    confidence: near[0] ? Math.max(0, 1 - (near[1]?.weight ?? 0) / Math.max(0.01, near[0].weight)) : 0,
    near,
  };
}
