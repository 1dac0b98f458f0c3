import { recut } from '../tin/shaped.js';
import { familyOf } from '../balance/families.js';
import { densityOf } from '../balance/totals.js';
import { weigh, type Weighed } from '../balance/weigh.js';
import { allItems, ingredientFor, isBatter } from '../formula/formula.js';
import type { FamilyId, Formula, Kitchen, TinUse } from '../formula/types.js';
import { degreesIn } from '../quantity/degrees.js';
import { plain } from '../quantity/numbers.js';
import { toFahrenheit } from '../quantity/units.js';
import { capacityOf, outlineOf } from '../tin/geometry.js';
import type { Baking } from './baking.js';
import type { Choice, Doubt } from './draft.js';
import { mentions } from './mentions.js';
import { heldAgainst, type Held } from '../balance/held.js';
import { outOfKeeping } from './out-of-keeping.js';
import { amountOf, meant, type Places } from './places.js';

export type { Places } from './places.js';

/** Doubts that only the whole recipe shows. */
export function across(
  formula: Formula,
  baking: Baking,
  guess: { readonly confidence: number; readonly near?: readonly { readonly id: FamilyId }[] },
  at: Places,
  kitchen: Kitchen,
  /** Whether an amount is in doubt already, on which the judgement of the rest would hang. */
  unsettled = false,
): Doubt[] {
  const w = weigh(formula, kitchen);
  const listed = listAndMethod(formula, at, kitchen);
  // the method names what the list lacks: that is asked, and no more
  const named = listed.some((d) => d.kind === 'unlisted');
  const held = heldAgainst(formula, w, kitchen);
  const single = [...outOfProportion(formula, w, at), ...spoons(formula, w, held, at, kitchen)];
  return [
    ...single,
    ...(single.length === 0 && !unsettled
      ? outOfKeeping(formula, w, at, kitchen).filter((d) => d.itemId !== undefined || !named)
      : []),
    ...heat(formula, baking, at, kitchen),
    ...time(formula, at),
    ...openTin(formula, baking),
    ...uncounted(formula, baking),
    ...hugeTin(baking),
    ...tin(formula, w),
    ...listed,
    ...family(formula, guess),
  ];
}

interface Rule {
  readonly of: 'soda' | 'powder' | 'salt';
  /** Grams to 100 g flour from which the line is asked about, and the share above which powder for soda is likelier. */
  readonly above: number;
  readonly usual: string;
}
/** Judgement; the usual shares are those of docs/science/leavening.md and balance.md. */
const rules: readonly Rule[] = [
  { of: 'soda', above: 3, usual: '0.5 to 1.5' },
  { of: 'powder', above: 9, usual: '3 to 6' },
  { of: 'salt', above: 4, usual: '0.5 to 2' },
];

/** Times the flour's weight from which a line is asked about: fruit may be four times it, and a torte has little flour. */
const PROPORTION = 8;

/** An amount out of all proportion to the flour: a heat read as cups, a point that parts thousands. */
function outOfProportion(formula: Formula, w: Weighed, at: Places): Doubt[] {
  const flour = w.totals.flourG;
  if (flour < 50) return [];
  return formula.groups
    .flatMap((g) => g.items)
    .filter((i) => i.grams > PROPORTION * flour && i.grams > 800)
    .map((item): Doubt => ({
      id: `${item.id}-proportion`,
      place: at.item(item.id),
      kind: 'amount',
      itemId: item.id,
      likely: 'by-10',
      words: `"${item.words.slice(0, 60)}" comes to ${plain(item.grams / 1000)} kg beside ${plain(flour)} g of flour. Is that meant?`,
      choices: [
        meant,
        amountOf('by-10', 'a tenth', item, item.grams / 10),
        { id: 'drop', words: 'it is no ingredient', edit: { kind: 'drop', itemId: item.id } },
      ],
    }));
}

/** So many times what is asked about nobody makes a bake with. Judgement. */
const NOBODY = 1.5;

/** A leavener or salt out of proportion: a tablespoon for a teaspoon, soda for powder. */
function spoons(formula: Formula, w: Weighed, held: Held | null, at: Places, kitchen: Kitchen): Doubt[] {
  const flour = w.totals.flourG;
  if (flour <= 0) return [];
  const out: Doubt[] = [];
  const batter = formula.groups.filter(isBatter).flatMap((g) => g.items);
  const kinds = batter.map((i) => ({ item: i, ingredient: ingredientFor(formula, i, kitchen) }));
  for (const { item, ingredient } of kinds) {
    const of =
      ingredient.leavener === 'soda' || ingredient.leavener === 'powder'
        ? ingredient.leavener
        : ingredient.role === 'salt'
          ? 'salt'
          : null;
    const rule = rules.find((r) => r.of === of);
    if (!rule) continue;
    // cocoa is leavened as flour is
    const share = (100 * item.grams) / (flour + w.totals.cocoaG);
    if (share <= rule.above) continue;
    // a cocoa cake with two teaspoons of soda is as many make it: where the whole can be judged, that decides, up to what nobody does
    const odd =
      held?.suspects.some((s) => s.sure !== 'hint' && s.role === (of === 'salt' ? 'salt' : 'leavener')) ?? true;
    if (!odd && share <= NOBODY * rule.above) continue;
    const choices: Choice[] = [];
    if (of === 'soda')
      choices.push({
        id: 'powder',
        words: 'baking powder is meant',
        edit: { kind: 'ingredient', itemId: item.id, ingredient: 'baking-powder', grams: item.grams * 0.9 },
      });
    choices.push(
      amountOf('third', of === 'soda' ? 'a third of it' : 'teaspoons are meant', item, item.grams / 3),
      meant,
    );
    out.push({
      id: `${item.id}-${of}`,
      place: at.item(item.id),
      kind: 'leavener',
      itemId: item.id,
      likely: of === 'soda' && share > 4.5 ? 'powder' : 'third',
      words: `"${item.words}" is ${share.toFixed(share < 10 ? 1 : 0)} g ${of} to 100 g flour${w.totals.cocoaG > 0 ? ' and cocoa' : ''}; ${rule.usual} is usual. ${of === 'soda' ? 'A spoon of another size, or powder?' : 'Teaspoons rather than tablespoons?'}`,
      choices,
    });
  }
  return out;
}

/** Celsius or Fahrenheit, two scales that disagree, and heat far from what the family is baked at. */
function heat(formula: Formula, { heatDoubt: odd, byWords }: Baking, at: Places, kitchen: Kitchen): Doubt[] {
  const bake = formula.bake;
  if (!bake) return [];
  const to = (id: string, words: string, ovenC: number): Choice => ({
    id,
    words,
    edit: { kind: 'bake', bake: { ...bake, ovenC } },
  });
  if (odd) {
    const clash = odd.asC === bake.ovenC && odd.likely === 'C' && odd.asF !== Math.round(((odd.asC - 32) * 5) / 9);
    return [
      {
        id: 'heat',
        place: odd.place,
        kind: 'temperature',
        likely: odd.likely,
        words: clash
          ? `"${odd.said}": the two scales disagree. Which is meant?`
          : `"${odd.said}": Celsius or Fahrenheit?`,
        choices: [
          to('C', `${odd.asC} °C`, odd.asC),
          to(
            'F',
            clash
              ? `${Math.round(toFahrenheit(odd.asF))} °F, that is ${odd.asF} °C`
              : `${odd.said} °F, that is ${odd.asF} °C`,
            odd.asF,
          ),
        ],
      },
    ];
  }
  if (byWords) {
    const say = (c: number): string => degreesIn(kitchen.display.temperature, c);
    return [
      {
        id: 'heat',
        place: byWords.place,
        kind: 'temperature',
        likely: 'keep',
        words: `"${byWords.said}" is taken as ${say(byWords.ovenC)}.`,
        choices: [
          { id: 'keep', words: say(byWords.ovenC), edit: { kind: 'keep' } },
          ...[-20, -10, 10, 20].map((k) => to(`by${k}`, say(byWords.ovenC + k), byWords.ovenC + k)),
        ],
      },
    ];
  }
  if (formula.family === 'free') return [];
  const f = familyOf(formula.family);
  const stillC = bake.ovenC + (bake.fan ? 20 : 0);
  const off = stillC < f.ovenC[0] ? f.ovenC[0] - stillC : stillC - f.ovenC[1];
  if (off <= 22 || bake.stages) return [];
  const shift = bake.fan ? 20 : 0;
  const usual = Math.round((f.ovenC[0] + f.ovenC[1]) / 20) * 10 - shift;
  return [
    {
      id: 'heat-family',
      place: at.step(-1),
      kind: 'temperature',
      likely: 'keep',
      words: `${Math.round(bake.ovenC)} °C${bake.fan ? ' fan' : ''} is ${stillC < f.ovenC[0] ? 'cool' : 'hot'} for ${f.plural}; ${f.ovenC[0] - shift} to ${f.ovenC[1] - shift} °C is usual.`,
      choices: [meant, to('usual', `${usual} °C`, usual)],
    },
  ];
}

/**
 * Minutes below which not even a spoonful of batter is done, and those beyond which nothing is left of it: three hours
 * above 180 °C, seven above 120 °C, sixteen below (drying meringue). Judgement.
 */
const LEAST = 5;
const mostAt = (ovenC: number): number => (ovenC > 180 ? 180 : ovenC > 120 ? 420 : 960);

/** A time that no bake has: hours for minutes, a figure too few. */
function time(formula: Formula, at: Places): Doubt[] {
  const bake = formula.bake;
  const minutes = bake?.minutes;
  if (!bake || !minutes || (minutes.late >= LEAST && minutes.early <= mostAt(bake.ovenC))) return [];
  const short = minutes.late < LEAST;
  const k = short ? 10 : minutes.early >= 600 ? 1 / 60 : 1 / 10;
  const other = { early: Math.round(minutes.early * k), late: Math.round(minutes.late * k) };
  const say = ({ early, late }: typeof minutes): string => {
    const [unit, per] = early >= 180 ? (['hours', 60] as const) : (['minutes', 1] as const);
    return `${plain(early / per)}${early === late ? '' : ` to ${plain(late / per)}`} ${unit}`;
  };
  return [
    {
      id: 'time',
      place: at.time,
      kind: 'time',
      likely: 'keep',
      words: `${say(minutes)} in the oven is ${short ? 'hardly any time' : 'very long'} at this heat. Is it meant?`,
      choices: [meant, { id: 'other', words: say(other), edit: { kind: 'bake', bake: { ...bake, minutes: other } } }],
    },
  ];
}

/** A tin that the text names without its size: the usual one is taken, and asked about. */
function openTin(formula: Formula, { openTin: place }: Baking): Doubt[] {
  const use = formula.tins?.[0];
  if (!place || !use || !['round', 'square'].includes(use.tin.shape)) return [];
  const { tin, count } = use;
  const sized = (mm: number): TinUse => ({
    tin: { ...tin, id: `${tin.shape}-${mm}`, name: `${mm / 10} cm ${tin.shape}`, topMm: mm },
    count,
  });
  return [
    {
      id: 'tin-size',
      place: { line: place.line, from: place.from, to: place.to },
      kind: 'tin',
      likely: 'keep',
      words: `The text does not say how large the tin is; ${tin.topMm / 10} cm is taken.`,
      choices: [
        { id: 'keep', words: `${tin.topMm / 10} cm`, edit: { kind: 'keep' } },
        ...[180, 230, 250].map((mm): Choice => ({
          id: `mm-${mm}`,
          words: `${mm / 10} cm`,
          edit: { kind: 'tins', tins: [sized(mm)] },
        })),
      ],
    },
  ];
}

/** Pieces that the text does not count: reckoned from the dough, and asked about. */
function uncounted(formula: Formula, { countedAt: place }: Baking): Doubt[] {
  const use = formula.tins?.[0];
  if (!place || !use) return [];
  const { tin, count } = use;
  const n = count * (tin.cups ?? 1);
  const so = (many: number): TinUse =>
    tin.cups === undefined ? { tin, count: many } : { tin: recut(tin, many), count: 1 };
  return [
    {
      id: 'pieces',
      place: { line: place.line, from: place.from, to: place.to },
      kind: 'tin',
      likely: 'keep',
      words: `The text does not say how many pieces it makes; ${n} are reckoned from the dough.`,
      choices: [
        { id: 'keep', words: `${n}`, edit: { kind: 'keep' } },
        ...[0.75, 1.25, 1.5]
          .map((k) => Math.max(2, Math.round(k * n)))
          .filter((many, i, all) => many !== n && all.indexOf(many) === i)
          .map((many): Choice => ({ id: `n-${many}`, words: `${many}`, edit: { kind: 'tins', tins: [so(many)] } })),
      ],
    },
  ];
}

/** A tin that no oven takes: a figure too many, most likely. */
function hugeTin({ hugeTin: huge }: Baking): Doubt[] {
  if (!huge) return [];
  const { said, mark, instead } = huge;
  const [first] = instead;
  return [
    {
      id: 'tin-huge',
      place: { line: mark.line, from: mark.from, to: mark.to },
      kind: 'tin',
      likely: first ? 'shorter' : 'keep',
      words: `No oven of a kitchen takes a tin of ${said}.`,
      choices: [
        ...(first ? [{ id: 'shorter', words: first.tin.name, edit: { kind: 'tins' as const, tins: instead } }] : []),
        { id: 'keep', words: 'leave the tin open', edit: { kind: 'keep' } },
      ],
    },
  ];
}

function tin(formula: Formula, w: Weighed): Doubt[] {
  const uses = formula.tins ?? [];
  const first = uses[0];
  if (!first || uses.some((u) => outlineOf(u.tin).free)) return [];
  const ml = w.totals.batterG / densityOf(w.totals, familyOf(formula.family));
  const holds = uses.reduce((s, u) => s + capacityOf(u.tin) * u.count, 0);
  if (ml <= holds) return [];
  const need = Math.ceil((ml / holds) * first.count * 1.4);
  return [
    {
      id: 'tin',
      place: null,
      kind: 'tin',
      likely: 'more',
      words: `${Math.round(ml)} ml of batter do not fit ${first.count === 1 ? 'a' : first.count} ${first.tin.name} of ${Math.round(holds)} ml.`,
      choices: [
        { id: 'more', words: `${need} such tins`, edit: { kind: 'tins', tins: [{ tin: first.tin, count: need }] } },
        { id: 'keep', words: 'keep it and see', edit: { kind: 'keep' } },
      ],
    },
  ];
}

/** What the method speaks of and the list lacks, and the other way round. */
function listAndMethod(formula: Formula, at: Places, kitchen: Kitchen): Doubt[] {
  const { unused: unnamed, unlisted } = mentions(formula, kitchen);
  // "Night before: 300 g dried fruit, 150 g sugar, 300 ml tea. Stir, leave.": what a step lists, it takes
  const stepLines = new Set(formula.method.map((_, i) => at.step(i)?.line));
  const unused = unnamed.filter((i) => !stepLines.has(at.item(i.id).line));
  // a method that names few of its ingredients says nothing by leaving one out
  const quiet = unused.length > Math.max(2, allItems(formula).length / 3);
  return [
    ...unlisted.map(({ name, id, step }): Doubt => ({
      id: `unlisted-${id}`,
      place: at.step(step),
      kind: 'unlisted',
      likely: 'add',
      words: `The method speaks of ${name}, and the list has none.`,
      choices: [
        {
          id: 'add',
          words: `put ${name} on the list, amount to come`,
          edit: { kind: 'add', ingredient: id, words: name },
        },
        { id: 'keep', words: 'nothing is missing', edit: { kind: 'keep' } },
      ],
    })),
    ...(quiet ? [] : unused).map((item): Doubt => ({
      id: `${item.id}-unused`,
      place: at.item(item.id),
      kind: 'unused',
      itemId: item.id,
      likely: 'keep',
      words: `The method never says what becomes of "${item.words}".`,
      choices: [
        { id: 'keep', words: 'it goes in with the rest', edit: { kind: 'keep' } },
        { id: 'drop', words: 'take it off the list', edit: { kind: 'drop', itemId: item.id } },
      ],
    })),
  ];
}

/** Which family, where two are near. */
function family(
  formula: Formula,
  { confidence, near = [] }: { readonly confidence: number; readonly near?: readonly { readonly id: FamilyId }[] },
): Doubt[] {
  if (confidence >= 0.5) return [];
  const ids = [
    ...new Set([
      formula.family,
      ...near.map((n) => n.id),
      'quick-bread',
      'muffin',
      'butter-cake-lean',
      'free',
    ] as const),
  ].slice(0, 5);
  return [
    {
      id: 'family',
      place: null,
      kind: 'family',
      likely: formula.family,
      words: 'What is it? Its family decides which ranges it is judged by.',
      choices: ids.map((id) => ({ id, words: familyOf(id).name, edit: { kind: 'family', family: id } })),
    },
  ];
}
