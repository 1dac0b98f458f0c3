import { band, exactly } from '../formula/bands.js';
import type { Band, Formula } from '../formula/types.js';
import { isDrySugar, isFirmFat, isLiquidFat, isSyrup } from '../ingredient/kinds.js';
import type { Line } from '../leavening/parts.js';
import type { Family, MixingMethod } from './families.js';
import type { Totals } from './totals.js';

export const methodWords: Readonly<Record<MixingMethod, string>> = {
  'rub-in': 'rubbing in',
  muffin: 'muffin method',
  creaming: 'creaming',
  'one-bowl': 'one bowl',
  'melt-and-stir': 'melt and stir',
  coating: 'coating the flour',
  whisking: 'whisking eggs to a foam',
};

/** Creaming as something one does; cream is also poured, whipped and filled with. */
export const CREAMS =
  /\bcream(?:ed|ing)\b(?! (?:cheese|corn|coconut))|(?:^|[.;,:] *|\b(?:and|then|to|hand) )cream\b(?! (?:of|cheese|and|if|on|over|for|is|in the (?:fridge|middle)))|\bcream (?:the|together|your|both|butter|fat|marg\w*|shortening|lard|sugar)\b/i;

/** Eggs or whites beaten until they stand. */
const EGG_FOAM =
  /\b(?:whisk|beat|whip)\w*\b[^.;]*\b(?:eggs?|yolks?|whites?)\b[^.;]*\b(?:pale|fluffy|frothy and|thick|thickened|mousse|tripled?|doubled?|ribbons?|stiff|peaks|foam|airy|(?:till|until) white)\b|\bwhites?\b[^.]*\b(?:stiff|peaks|snow|firm)\b|\b(?:eggs?|yolks?)\b[^.]*\b(?:ribbons?|tripled?|mousse)\b|\bfold\b[^.]*\b(?:meringue|snow|whites)\b|\bmeringue (?:firm|stiff)/i;

/** What the baker's own method says, by the words that only one way of mixing uses. */
const says: readonly (readonly [MixingMethod, RegExp])[] = [
  [
    'rub-in',
    /\brub(bed|bing)?\b[^.]*\b(in|into|butter|fat|flour)\b|\bcut\b[^.]*\b(butter|fat|lard)\b[^.]*\b(in|into)\b|\bgrate\b[^.]*\bbutter\b|coarse crumbs|breadcrumbs/i,
  ],
  ['coating', /wet sand|\b(work|beat|mix)\b[^.]*\b(butter|fat)\b[^.]*\binto\b[^.]*\b(flour|dry)\b/i],
  [
    'creaming',
    new RegExp(`${CREAMS.source}|${/(pale|light) and fluffy|\bbeat\b[^.]*\bbutter\b[^.]*\bsugar\b/.source}`, 'i'),
  ],
  ['whisking', EGG_FOAM],
  ['melt-and-stir', /\b(melt|warm|boil|simmer)\b[^.]*\b(butter|fat|syrup|treacle|stout|sugar)\b/i],
  [
    'muffin',
    /\bwet\b[^.]*\b(in|into|onto|to)\b[^.]*\bdry\b|\bdry\b[^.]*\b(in|into|to)\b[^.]*\bwet\b|only until no|just combined|no flour shows|barely combined/i,
  ],
  [
    'one-bowl',
    /\ball\b[^.]*\b(together|one bowl|at once)\b|\ball (?:of )?(?:the )?(?:other )?(?:cake |sponge |remaining )?ingredients\b|\bone bowl\b|\beverything\b/i,
  ],
];

const BESIDE = /\b(?:for|make) (?:the )?(?:topping|icing|frosting|filling|buttercream|glaze|streusel|crumble)\b/i;

export function methodRead(formula: Formula): MixingMethod | null {
  const all = formula.method.map((s) => s.text).join(' ');
  if (all === '') return null;
  // how a topping or an icing is made says nothing of the batter
  const own = all.split(/(?<=[.;])\s+/).filter((s) => !BESIDE.test(s));
  const text = own.length > 0 ? own.join(' ') : all;
  return says.find(([, re]) => re.test(text))?.[0] ?? null;
}

const melted = (l: Line): boolean => l.item.form === 'melted' || /\bmelted\b/i.test(l.item.words);

export interface MethodFit {
  readonly method: MixingMethod;
  readonly name: string;
  readonly fit: 'good' | 'possible' | 'poor';
  readonly words: string;
}

export interface Methods {
  /** What is assumed: what the method text says, or else what fits best. */
  readonly chosen: MixingMethod;
  readonly read: boolean;
  readonly fits: readonly MethodFit[];
}

/** Solid and liquid fat apart, % of flour; solid fat that is melted first counts as liquid. */
function fatKinds(lines: readonly Line[], t: Totals): { solid: number; liquid: number; syrup: number } {
  const per = t.flourG > 0 ? 100 / t.flourG : 0;
  let solid = 0;
  let liquid = 0;
  let syrup = 0;
  for (const l of lines) {
    if (l.ingredient.role === 'fat') {
      if (isLiquidFat(l.ingredient) || melted(l)) liquid += (l.grams * l.ingredient.per100.fat) / 100;
      else solid += (l.grams * l.ingredient.per100.fat) / 100;
    }
    if (isSyrup(l.ingredient)) syrup += l.grams;
  }
  return { solid: solid * per, liquid: liquid * per, syrup: syrup * per };
}

/** Which ways of mixing suit a formula, best first, with the reason; and which one its method says. */
export function methodsOf(formula: Formula, lines: readonly Line[], t: Totals, family: Family): Methods {
  const { solid, liquid, syrup } = fatKinds(lines, t);
  const score: Record<MixingMethod, readonly [number, string]> = {
    'rub-in':
      solid < 8
        ? [0, 'there is no solid fat to rub in']
        : t.sugarPct > 45 || t.waterPct > 112
          ? [0.25, 'too sweet or too wet to stay in flakes']
          : [1, 'cold solid fat in a stiff dough gives flakes'],
    creaming:
      solid < 20 || t.sugarPct < 35
        ? [0, 'it takes solid fat and enough sugar to beat air in']
        : [solid >= 30 ? 1 : 0.6, `${Math.round(solid)} % of solid fat, and sugar to cut air into it`],
    coating:
      solid < 18
        ? [0, 'there is no solid fat to coat the flour with']
        : [t.sugarPct >= 90 ? 0.9 : 0.55, 'fat round the flour keeps a sweet, wet batter tender'],
    muffin:
      liquid >= 8 && liquid + solid <= 75
        ? [1, 'liquid fat goes in with the wet part, stirred briefly']
        : solid > 0
          ? [0.55, 'it works if the fat is melted first']
          : [0.5, 'little fat: stir as little as you can'],
    'one-bowl':
      liquid >= 8
        ? [0.9, 'oil needs no creaming']
        : solid >= 60
          ? [0.6, 'with very soft fat, if an open crumb is not wanted']
          : solid < 8
            ? [0.95, 'there is hardly any fat to work in']
            : [0.35, 'the fat would stay in lumps unless it is soft'],
    whisking:
      t.eggPct < 35 || t.sugarPct < 35
        ? [0, 'there is not egg and sugar enough to hold a foam']
        : [
            solid > 45 ? 0.5 : t.eggPct >= 100 ? 1 : t.eggPct >= 75 ? 0.6 : 0.45,
            `${Math.round(t.eggPct)} % of egg, whipped with the sugar, carries the air`,
          ],
    'melt-and-stir':
      syrup >= 25 && solid + liquid >= 10
        ? [1, 'syrup and fat run together when warm']
        : solid >= 10
          ? [0.5, 'gives a moist, close crumb without air']
          : [0.2, 'there is little to melt'],
  };
  const usual = (m: MixingMethod): number => {
    const at = family.methods.indexOf(m);
    return at < 0 ? (family.id === 'free' ? 0 : -0.35) : 0.2 - 0.1 * at;
  };
  const fits = (Object.keys(score) as MixingMethod[])
    .map((method) => {
      const [own, words] = score[method];
      const sum = own + usual(method);
      const fit = own < 0.3 ? 'poor' : sum >= 0.75 ? 'good' : sum >= 0.3 ? 'possible' : 'poor';
      return { method, name: methodWords[method], fit, words, sum } as const;
    })
    .sort((a, b) => b.sum - a.sum);
  const read = methodRead(formula);
  return {
    chosen: read ?? fits[0]?.method ?? 'one-bowl',
    read: read !== null,
    fits: fits.map(({ method, name, fit, words }) => ({ method, name, fit, words })),
  };
}

/** Air that well-creamed fat and sugar hold, and that egg or aquafaba beaten to a foam keeps once folded in, ml per g. */
const CREAMED_AIR = band(0.4, 0.6, 0.9);
const FOAMED_AIR = band(1.2, 2.2, 3.5);
const FOAM = /\b(stiff|peaks|foam(?!ing)|ribbon|meringue|tripled|whipp?ed)\b/i;

/** Air beaten in by creaming and by foaming, ml for the whole batter. */
export function airOf(formula: Formula, lines: readonly Line[], t: Totals, method: MixingMethod): Band {
  let creamed = 0;
  if (method === 'creaming')
    for (const l of lines) {
      const i = l.ingredient;
      if ((isFirmFat(i) && !melted(l)) || (isDrySugar(i) && !l.whole)) creamed += l.grams;
    }
  const text = formula.method.map((s) => s.text);
  const foams = (l: Line): boolean =>
    (l.ingredient.role === 'egg' || l.ingredient.id === 'aquafaba') &&
    (l.item.form === 'whipped' ||
      FOAM.test(l.item.words) ||
      text.some((s) => FOAM.test(s) && /\b(egg|white|yolk|aquafaba|chickpea)/i.test(s)));
  const foamed = lines.filter(foams).reduce((s, l) => s + l.grams, 0);
  if (creamed + foamed === 0 || t.batterG <= 0) return exactly(0);
  return {
    low: CREAMED_AIR.low * creamed + FOAMED_AIR.low * foamed,
    typical: CREAMED_AIR.typical * creamed + FOAMED_AIR.typical * foamed,
    high: CREAMED_AIR.high * creamed + FOAMED_AIR.high * foamed,
  };
}
