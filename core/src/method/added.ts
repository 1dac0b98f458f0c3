import { wholeMassIn } from '../quantity/figures.js';
import { familyFor, type MixingMethod } from '../balance/families.js';
import { methodsOf } from '../balance/methods.js';
import { totalsOf } from '../balance/totals.js';
import { band, exactly } from '../formula/bands.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { isFirmFat } from '../ingredient/kinds.js';
import { linesOf, type Line } from '../leavening/parts.js';
import { awayOf, type Away } from '../text/cooked.js';
import { outlineOf } from '../tin/geometry.js';
import { stages } from './stages.js';
import type { Operation, Phase, Take } from './types.js';
import { PUT_AWAY_MIN, verbs, waits, type VerbId } from './verbs.js';

/** Oven from cold to steady, min: with the walls hot, not only the air. General knowledge: 15 to 30. */
export const PREHEAT_MIN = 25;
/** Pre-oven work longer than this has the oven put on in its midst, min. A judgement. */
const EARLY_MIN = 50;
/** A wait that parts the work into two sittings, min. A judgement. */
const SITTING_MIN = 60;
/** Little fat has nothing that cold liquid could set, % of flour. */
const FAT_TO_SET = 8;

/** What is said in the place of the oven: how it gets hot, and how a thing comes in and out of it. */
const INSTEAD: Readonly<Record<Away, { readonly on: string | null; readonly into: string; readonly outOf: string }>> = {
  griddle: { on: 'Griddle or pan on', into: 'Onto the hot griddle', outOf: 'Off the griddle' },
  fat: { on: 'Heat the fat', into: 'Into the hot fat', outOf: 'Out of the fat, onto paper' },
  steam: { on: 'Water to the boil', into: 'Into the steam', outOf: 'Out of the steam' },
  microwave: { on: null, into: 'Into the microwave', outOf: 'Out of the microwave' },
};
/** In these stands no tin. */
const TINLESS: ReadonlySet<Away | null> = new Set<Away | null>(['griddle', 'fat', 'microwave']);
const ON_THE_HOB = /\b(?:pan|griddle|girdle|skillet|iron|oil|fat|water|pot|steamer)\b/i;
/** Frying is what hot fat does in the oven's place: what follows it is done once it is out. */
function fried(own: readonly Operation[]): readonly Operation[] {
  const at = own.findIndex((o) => o.verb === 'fry');
  return own.map((o, i) =>
    at < 0 || i < at || o.phase === 'later' ? o : { ...o, phase: i === at ? 'oven' : 'after' },
  );
}

/** What the bowl needs to be known of, for what the text leaves out. */
export interface Mixed {
  readonly method: MixingMethod;
  readonly lines: readonly Line[];
  readonly fatPct: number;
}

export function mixedOf(formula: Formula, kitchen?: Kitchen): Mixed {
  const lines = linesOf(formula, kitchen);
  const totals = totalsOf(lines);
  const { chosen } = methodsOf(formula, lines, totals, familyFor(formula.family, totals, formula.title));
  return { method: chosen, lines, fatPct: totals.fatPct };
}

/** Fats that are hard in the fridge, and enough of them to matter. */
export const solidFats = (lines: readonly Line[]): Line[] =>
  lines.filter((l) => isFirmFat(l.ingredient) && l.grams >= 20);
/** Dairy that goes in at room temperature when eggs do. */
export const isDairy = (l: Line): boolean =>
  l.ingredient.role === 'liquid' && l.ingredient.allergens.includes('milk') && l.grams >= 40;

const orvin = (id: string, verb: VerbId, phase: Phase, words: string, more: Partial<Operation> = {}): Operation => ({
  id,
  verb,
  phase,
  takes: [],
  forMin: null,
  words,
  place: null,
  by: 'orvin',
  ...more,
});

/** What has to come out of the cold, or be made colder, before it is mixed. */
function fromTheCold({ method, lines, fatPct }: Mixed): Operation[] {
  const solid = solidFats(lines);
  const name = (solid[0]?.ingredient.name ?? 'Fat').split(',')[0] ?? 'Fat';
  const out: Operation[] = [];
  const soft = method === 'creaming' || method === 'coating';
  if (method === 'rub-in' && solid.length > 0)
    out.push(
      orvin('take out:cold', 'take from the cold', 'ahead', `${name}, in small pieces, made ice-cold`, {
        forMin: band(10, 12, 15),
      }),
    );
  if (soft && solid.length > 0)
    out.push(orvin('take out:butter', 'take from the cold', 'ahead', `${name} from the fridge, to soften`));
  // what holds hardly any fat has nothing that cold liquid could set
  const cold =
    method === 'rub-in' || fatPct < FAT_TO_SET ? [] : lines.filter((l) => l.ingredient.role === 'egg' || isDairy(l));
  const eggs = cold.some((l) => l.ingredient.role === 'egg');
  const dairy = cold.some((l) => l.ingredient.role !== 'egg');
  if (cold.length > 0)
    out.push(
      orvin(
        'take out:eggs',
        'take from the cold',
        'ahead',
        `${eggs && dairy ? 'Eggs and dairy' : eggs ? 'Eggs' : 'Dairy'} from the fridge`,
      ),
    );
  return out;
}

/** The stages of the way it is mixed, where the baker's words do not say how, with the lines that nothing has taken yet. */
function mixing(formula: Formula, { method, lines }: Mixed, own: readonly Operation[]): Operation[] {
  const roles = new Map(formula.groups.flatMap((g) => g.items.map((i) => [i.id, g.role ?? 'batter'] as const)));
  const taken = new Set(own.flatMap((o) => o.takes.map((t) => t.itemId)));
  const list = stages[method];
  const stageOf = (l: Line): (typeof list)[number] | undefined =>
    list.find((s) => s.takes.some((r) => r === roles.get(l.item.id))) ?? list.find((s) => s.takes.length > 0);
  const here = lines.filter((l) => !taken.has(l.item.id));
  return list.flatMap((s) => {
    const takes = here.filter((l) => stageOf(l) === s).map((l): Take => ({ itemId: l.item.id, share: 1 }));
    return takes.length > 0 || s.takes.length === 0 ? [orvin(`mix:${s.id}`, s.verb, 'mix', s.words, { takes })] : [];
  });
}

/** Whether the batter is put where it bakes: in a tin, on a tray, cut and laid out. */
const FILLS: ReadonlySet<VerbId> = new Set<VerbId>([
  'fill',
  'divide',
  'drop',
  'place',
  'shape',
  'cut',
  'spread',
  'pat',
  'roll',
  'press',
]);
const READY: ReadonlySet<VerbId> = new Set<VerbId>(['heat', 'grease', 'line', 'take from the cold']);
const typical = (o: Operation): number =>
  o.forMin?.typical ?? (waits(o.verb) && o.meanwhile ? PUT_AWAY_MIN[1] : verbs[o.verb].minutes[1]);

/**
 * The baker's operations with what they leave out, in working order: what comes from the cold, oven, tin and weighing first, or
 * after a long wait; the mixing, where nothing is said of it; in and out of the oven; out of the tin; cooling.
 */
export function withAdded(read: readonly Operation[], formula: Formula, kitchen?: Kitchen): Operation[] {
  const away = awayOf(formula);
  const own = away === 'fat' ? fried(read) : read;
  const mixed = mixedOf(formula, kitchen);
  const pre = own.filter((o) => o.phase === 'ahead' || o.phase === 'mix' || o.phase === 'shape');
  const free = formula.tins?.[0] ? outlineOf(formula.tins[0].tin).free || formula.tins[0].tin.shape === 'slab' : false;
  const ready = pre.filter((o) => READY.has(o.verb));
  const work = pre.filter((o) => !READY.has(o.verb));
  const mixes = work.some((o) => o.phase !== 'shape' && verbs[o.verb].at === 'mix');
  const stagesHere = mixes ? [] : mixing(formula, mixed, work);
  const taken = new Set(own.flatMap((o) => o.takes.map((t) => t.itemId)));
  const tops = formula.groups
    .filter((g) => g.role === 'top' && g.items.length > 0 && !g.items.some((i) => taken.has(i.id)))
    .map((g) =>
      orvin(`top:${g.id}`, 'top', 'shape', g.name, { takes: g.items.map((i) => ({ itemId: i.id, share: 1 })) }),
    );
  const fill =
    work.some((o) => FILLS.has(o.verb)) || TINLESS.has(away)
      ? []
      : [orvin('fill:0', 'fill', 'shape', free ? 'Shape it on the tray' : 'Fill the tin')];
  const firstShape = work.findIndex((o) => o.phase === 'shape');
  const at = firstShape < 0 ? work.length : firstShape;
  const list = [...work.slice(0, at), ...stagesHere, ...fill, ...work.slice(at), ...tops];

  const tins = ready.filter((o) => o.verb === 'grease' || o.verb === 'line');
  const heat = ready.filter((o) => o.verb === 'heat');
  const chilled = ready.filter((o) => o.verb === 'take from the cold');
  const from = fromTheCold(mixed);
  // the baker's word for it stands with the times it takes; what is for the frosting stays apart
  const same = chilled.filter(
    (o) =>
      from.length > 0 &&
      /\b(?:everything|all|ingredients|butter|eggs?|milk)\b/i.test(o.words) &&
      !/\b(?:frosting|icing|filling|buttercream)\b/i.test(o.words),
  );
  const cold = [
    ...from.map((o, i) => (i === 0 && same.length > 0 ? { ...o, remark: same.map((x) => x.words).join(' ') } : o)),
    ...chilled.filter((o) => !same.includes(o)),
  ];
  const instead = away && INSTEAD[away];
  const hot = away !== null && own.some((o) => (o.verb === 'warm' || o.verb === 'heat') && ON_THE_HOB.test(o.words));
  const oven: Operation[] =
    heat.length > 0
      ? heat
      : instead
        ? hot || instead.on === null
          ? []
          : [orvin('oven on', 'heat', 'ahead', instead.on)]
        : [orvin('oven on', 'heat', 'ahead', 'Oven on', formula.bake ? { heatC: formula.bake.ovenC } : {})];
  const tin: Operation[] =
    tins.length > 0 || TINLESS.has(away)
      ? tins
      : [orvin('tins', 'line', 'ahead', free ? 'Get the tray ready' : 'Get the tin ready')];
  const weighed = orvin('weigh', 'weigh', 'ahead', 'Weigh everything out');

  const sitting = list.findLastIndex((o) => waits(o.verb) && !o.meanwhile && typical(o) >= SITTING_MIN);
  const first = list.slice(0, sitting + 1);
  const second = list.slice(sitting + 1);
  const melts = mixed.method !== 'melt-and-stir' ? melted(mixed, own, kitchen) : [];
  const before = sitting < 0 ? cold : [];
  const between = sitting < 0 ? [] : cold;
  // the oven need not be on while a dough is chilled for half an hour
  let ovenAt = 0;
  const minutes = (from: number): number => second.slice(from).reduce((s, o) => s + typical(o), 0);
  if (minutes(0) > EARLY_MIN) while (ovenAt < second.length && minutes(ovenAt + 1) >= PREHEAT_MIN) ovenAt++;
  const start = [...before, ...(sitting < 0 && ovenAt === 0 ? oven : []), ...(sitting < 0 ? tin : []), weighed];
  const going = sitting < 0 ? [] : [...between, ...(ovenAt === 0 ? oven : []), ...tin];
  const body = [...melts, ...second.slice(0, ovenAt), ...(ovenAt > 0 ? oven : []), ...second.slice(ovenAt)];
  return [...start, ...first, ...going, ...body, ...inOven(own, formula), ...afterwards(own, formula, free)];
}

/** Solid fat that goes in melted, where no words melt it. */
function melted({ lines }: Mixed, own: readonly Operation[], kitchen?: Kitchen): Operation[] {
  const fat = lines.find(
    (l) =>
      isFirmFat(l.ingredient) &&
      (l.item.form === 'melted' || own.some((o) => /\bmelted (?:butter|fat)\b/i.test(o.words))),
  );
  if (!fat || own.some((o) => o.verb === 'melt' && o.phase !== 'after')) return [];
  const name = (fat.ingredient.name.split(',')[0] ?? 'Fat').toLowerCase();
  return [
    orvin(
      'mix:melt',
      'melt',
      'mix',
      `Melt the ${name}, ${wholeMassIn(kitchen?.display, fat.grams)}, and let it cool a little`,
    ),
  ];
}

function inOven(own: readonly Operation[], formula: Formula): Operation[] {
  const these = own.filter((o) => o.phase === 'oven');
  const away = awayOf(formula);
  const instead = away && INSTEAD[away];
  const out: Operation[] = [];
  if (these[0]?.verb !== 'put in') out.push(orvin('in', 'put in', 'oven', instead?.into ?? 'Into the oven'));
  const bakes = these.some(
    (o) =>
      o.verb === 'bake' ||
      o.verb === 'fry' ||
      (o.verb === 'put in' && o.forMin !== null) ||
      (o.verb === 'lower' && o.forMin !== null),
  );
  const m = formula.bake?.minutes;
  const bake = orvin('bake', 'bake', 'oven', instead ? 'Cook' : 'Bake', {
    ...(formula.bake && { heatC: formula.bake.ovenC }),
    forMin: m ? band(m.early, Math.sqrt(m.early * m.late), m.late) : null,
  });
  const taken = these.some((o) => o.verb === 'take out');
  return [
    ...out,
    ...these.slice(0, these[0]?.verb === 'put in' ? 1 : 0),
    ...(bakes ? [] : [bake]),
    ...these.slice(these[0]?.verb === 'put in' ? 1 : 0),
    ...(taken ? [] : [orvin('out', 'take out', 'oven', instead?.outOf ?? 'Take it from the oven')]),
  ];
}

/** What is done once it is out, with cooling and unmoulding where nothing is said of them. */
function afterwards(own: readonly Operation[], formula: Formula, free: boolean): Operation[] {
  const these = own.filter((o) => o.phase === 'after');
  const later = own.filter((o) => o.phase === 'later');
  if (TINLESS.has(awayOf(formula))) return [...these, ...finishes(formula, own), ...later];
  const family = familyFor(formula.family, totalsOf(linesOf(formula)), formula.title);
  const inTin = /\b(?:in|inside) (?:(?:the|its|their) )?(?:tins?|pans?|skillet|dish|mould|form|hollows|cups)\b/i;
  const out = [...these];
  const unmoulds = these.some((o) => o.verb === 'unmould' || o.verb === 'move' || /\brack\b/i.test(o.words));
  const rested = these.findLastIndex((o) => waits(o.verb) && inTin.test(o.words));
  const stays =
    rested >= 0 &&
    ((these[rested]?.forMin?.typical ?? 0) >= 0.4 * family.coolRackMin ||
      these.slice(rested + 1).some((o) => o.verb === 'cut' || o.verb === 'slice'));
  const unmould = orvin('unmould', 'unmould', 'after', 'From the tin onto a rack');
  if (!unmoulds && !free && !stays && family.coolTinMin > 0) {
    if (rested >= 0) out.splice(rested + 1, 0, unmould);
    else {
      // warm work on the cake comes before it is cold: pricking, syrup, a glaze on hot crust
      const early = these.findIndex((o) => !isWarm(o));
      const wait = orvin('wait:tin', 'rest', 'after', 'Leave it in its tin, on a rack', {
        forMin: exactly(family.coolTinMin),
      });
      out.splice(early < 0 ? these.length : early, 0, wait, unmould);
    }
  }
  const cools = out.some(
    (o) =>
      (o.verb === 'cool' || o.verb === 'chill') &&
      !o.meanwhile &&
      (o.forMin?.typical ?? 0) >= 0.4 * family.coolRackMin &&
      o.place !== null,
  );
  const rests = out.some(
    (o) => o.verb === 'rest' && o.place !== null && (o.forMin?.typical ?? 0) >= 0.6 * family.coolRackMin,
  );
  if (!cools && !rests) {
    const coldWork = out.findIndex(
      (o, i) =>
        i > 0 &&
        (o.verb === 'frost' ||
          o.verb === 'sandwich' ||
          o.verb === 'slice' ||
          o.verb === 'cut' ||
          o.verb === 'serve' ||
          o.verb === 'dust' ||
          o.verb === 'wrap' ||
          (o.takes.length > 0 && !isWarm(o) && verbs[o.verb].at === 'mix')),
    );
    const minutes = band(family.coolRackMin * 0.8, family.coolRackMin, family.coolRackMin * 1.3);
    out.splice(
      coldWork < 0 ? out.length : coldWork,
      0,
      orvin(
        'cool',
        'cool',
        'after',
        free || family.coolTinMin === 0 ? 'Onto a rack to cool' : 'Let it cool on the rack',
        { forMin: minutes },
      ),
    );
  }
  const unsaid = finishes(formula, own);
  const coldAt = out.findLastIndex((o) => o.verb === 'cool' || o.id === 'cool');
  const turned = out.findLastIndex((o, i) => (o.verb === 'unmould' || o.verb === 'move') && (coldAt < 0 || i < coldAt));
  const soaks = unsaid.filter((o) => o.verb === 'pour');
  const cold = unsaid.filter((o) => o.verb !== 'pour');
  const at = turned >= 0 ? turned + 1 : coldAt >= 0 ? coldAt : out.length;
  return [
    ...out.slice(0, at),
    ...soaks,
    ...out.slice(at, coldAt + 1),
    ...cold,
    ...out.slice(Math.max(at, coldAt + 1)),
    ...later,
  ];
}

/** Groups that go on the baked cake and of which the method says nothing. */
function finishes(formula: Formula, own: readonly Operation[]): Operation[] {
  const taken = new Set(own.flatMap((o) => o.takes.map((t) => t.itemId)));
  return formula.groups
    .filter(
      (g) =>
        (g.role === 'soak' || g.role === 'icing' || g.role === 'filling') &&
        g.items.length > 0 &&
        !g.items.some((i) => taken.has(i.id)),
    )
    .map((g) =>
      orvin(
        `finish:${g.id}`,
        g.role === 'soak' ? 'pour' : g.role === 'filling' ? 'sandwich' : 'frost',
        'after',
        g.name,
        {
          takes: g.items.map((i) => ({ itemId: i.id, share: 1 })),
        },
      ),
    );
}

/** Done while it is hot or warm from the oven. */
export const isWarm = (o: Operation): boolean =>
  o.verb === 'prick' ||
  (o.atMin !== undefined && o.atMin <= 20) ||
  /\b(?:hot|warm|as soon as|the minute|the moment|when it comes out|while it'?s hot|soon as it)\b/i.test(o.words);
