import {
  allItems,
  bakeInputOf,
  fitTins,
  ingredientFor,
  predictBake,
  symptomIds,
  type BakeRecord,
  type Formula,
  type FamilyId,
  type Ingredient,
  type Item,
  type Kitchen,
  type SymptomId,
  type Tin,
} from '../../src/index.js';
import { simulate } from '../../src/bake/run.js';
import { setupOf } from '../../src/bake/setup.js';
import { demo, demoIds, demoKitchen } from './make.js';
import { dice } from './strange-oven.js';

/** A bake with one fault that was planted in it, and what a baker would report of it. */
export interface Planted {
  readonly cause: string | null;
  readonly formula: Formula;
  readonly bake: BakeRecord;
  readonly kitchen: Kitchen;
  readonly symptoms: readonly SymptomId[];
}

/** What is changed when a fault is planted, before the bake is made. */
interface Making {
  formula: Formula;
  kitchen: Kitchen;
  tin: Tin;
  count: number;
  /** Factors and shifts on what really happens. */
  batter: number;
  time: number;
  airK: number;
  rise: number;
  stood: number;
  flourRead: number;
  spread: number;
  factor: number;
  rack?: BakeRecord['rack'];
  skipped: string[];
}
type D = ReturnType<typeof dice>;
type Is = (x: { item: Item; ingredient: Ingredient }) => boolean;

interface Fault {
  readonly id: string;
  /** What it shows; the first are nearly always there. Written apart from the table that is being tried. */
  readonly always: readonly SymptomId[];
  readonly often?: readonly SymptomId[];
  readonly fits?: (f: Formula, kitchen: Kitchen) => boolean;
  readonly plant: (m: Making, d: D) => void;
}

const lines = (f: Formula, kitchen: Kitchen) => allItems(f).map((item) => ({ item, ingredient: ingredientFor(f, item, kitchen) })); // prettier-ignore
const times = (f: Formula, kitchen: Kitchen, is: Is, k: number): Formula => ({
  ...f,
  groups: f.groups.map((g) => ({
    ...g,
    items: g.items.map((item) => (is({ item, ingredient: ingredientFor(f, item, kitchen) }) ? { ...item, grams: item.grams * k } : item)), // prettier-ignore
  })),
});
const swap = (f: Formula, kitchen: Kitchen, is: Is, to: string, k = 1): Formula => ({
  ...f,
  groups: f.groups.map((g) => ({
    ...g,
    items: g.items.map((item) => (is({ item, ingredient: ingredientFor(f, item, kitchen) }) ? { ...item, ingredient: to, grams: item.grams * k } : item)), // prettier-ignore
  })),
});
const has = (is: Is) => (f: Formula, kitchen: Kitchen): boolean => lines(f, kitchen).some((l) => l.item.grams > 0 && is(l)); // prettier-ignore
const family =
  (...ids: FamilyId[]) =>
  (f: Formula): boolean =>
    ids.includes(f.family);
const not =
  (...ids: FamilyId[]) =>
  (f: Formula): boolean =>
    !ids.includes(f.family);
const leavens: Is = ({ ingredient: i }) => i.leavener === 'soda' || i.leavener === 'powder';
const isSoda: Is = ({ ingredient: i }) => i.leavener === 'soda';
const isPowder: Is = ({ ingredient: i }) => i.leavener === 'powder';
const isFlour: Is = ({ ingredient: i }) => i.base === 'flour';
const isSugar: Is = ({ ingredient: i }) => i.role === 'sugar';
const isFat: Is = ({ ingredient: i }) => i.role === 'fat';
const isEgg: Is = ({ ingredient: i }) => i.role === 'egg';
const isLiquid: Is = ({ ingredient: i }) => i.role === 'liquid';
const isSour: Is = ({ ingredient: i }) => ['buttermilk', 'yogurt', 'stout'].includes(i.id);
const isPiece: Is = ({ item, ingredient: i }) => (item.pieces ?? i.pieces ?? false) && item.grams > 25;
const tinned = not('scone', 'biscuit', 'drop-biscuit', 'soda-bread');
const CREAMED = family('butter-cake-lean', 'butter-cake-high-ratio', 'pound-cake', 'chocolate-cake', 'muffin');
const change = (m: Making, is: Is, k: number): void => void (m.formula = times(m.formula, m.kitchen, is, k));
const withPiece = (f: Formula, ingredient: string): Formula => ({
  ...f,
  groups: f.groups.map((g, i) => (i > 0 ? g : { ...g, items: [...g.items, { id: 'planted', ingredient, words: ingredient, entered: null, grams: 120, pieces: true }] })), // prettier-ignore
});

// prettier-ignore
export const faults: readonly Fault[] = [
  { id: 'too much leavener', always: ['sunk', 'coarse'], often: ['bitter'], fits: has(leavens), plant: (m, d) => change(m, leavens, d.even(1.6, 2.3)) },
  { id: 'low lift', always: ['flat'], often: ['gummy', 'tough'], fits: has(isPowder), plant: (m, d) => change(m, leavens, d.even(0.3, 0.55)) },
  { id: 'acid missing', always: ['flat', 'soapy'], often: ['very dark'], fits: (f, k) => has(isSoda)(f, k) && has(isSour)(f, k) && !['spelt-stout-gingerbread', 'buckwheat-cocoa-squares'].includes(f.id), plant: (m) => { m.formula = swap(m.formula, m.kitchen, isSour, 'milk'); m.formula = swap(m.formula, m.kitchen, isPowder, 'baking-soda', 0.3); } },
  { id: 'left soda', always: ['soapy', 'very dark'], fits: has(isSoda), plant: (m, d) => change(m, isSoda, d.even(2.4, 3.2)) },
  { id: 'soda for powder', always: ['soapy', 'very dark'], often: ['bitter', 'sunk'], fits: has(isPowder), plant: (m) => void (m.formula = swap(m.formula, m.kitchen, isPowder, 'baking-soda')) },
  { id: 'too sweet', always: ['sunk', 'stuck'], often: ['very dark', 'gummy'], fits: (f, k) => has(isSugar)(f, k) && tinned(f), plant: (m, d) => change(m, isSugar, d.even(1.6, 2.1)) },
  { id: 'too fat', always: ['greasy'], often: ['sunk', 'crumbly', 'spread'], fits: has(isFat), plant: (m, d) => change(m, isFat, d.even(1.6, 2.2)) },
  { id: 'too wet', always: ['gummy'], often: ['wet streak', 'sunk', 'spread'], fits: has(isLiquid), plant: (m, d) => change(m, isLiquid, d.even(1.4, 1.8)) },
  { id: 'weak structure', always: ['gummy', 'sunk'], often: ['crumbly'], fits: has(isEgg), plant: (m, d) => { change(m, isFlour, d.even(0.6, 0.75)); change(m, isEgg, 0.6); change(m, leavens, 0.7); change(m, isLiquid, 0.65); } },
  { id: 'lean', always: ['tough', 'dry'], often: ['tunnels', 'pale'], fits: has(isFat), plant: (m, d) => { change(m, isFat, d.even(0.15, 0.35)); change(m, isSugar, 0.5); } },
  { id: 'whole grain dry', always: ['dry', 'crumbly'], fits: has(({ ingredient: i }) => i.id === 'plain-flour'), plant: (m, d) => { m.formula = swap(m.formula, m.kitchen, ({ ingredient: i }) => i.id === 'plain-flour', d.even(0, 1) < 0.5 ? 'wholemeal-flour' : 'oat-bran'); change(m, isLiquid, 0.8); } },
  { id: 'acid crust', always: ['pale'], often: ['flat'], fits: (f, k) => has(isSour)(f, k) && has(isSoda)(f, k), plant: (m) => { change(m, isSoda, 0); change(m, isSour, 1.15); } },
  { id: 'alkali colours', always: ['specks'], fits: (f, k) => has(isSoda)(f, k), plant: (m, d) => { m.formula = withPiece(m.formula, d.even(0, 1) < 0.5 ? 'blueberry' : 'walnut'); change(m, isSoda, 1.5); } },
  { id: 'pieces too big', always: ['add-ins sank'], often: ['wet streak'], fits: has(isPiece), plant: () => undefined },
  { id: 'flour heavy', always: ['dry', 'cracked'], often: ['tough', 'crumbly', 'flat'], plant: (m, d) => void (m.flourRead = d.even(1.15, 1.35)) },
  { id: 'old powder', always: ['flat'], often: ['tough', 'gummy'], fits: (f, k) => has(isPowder)(f, k) && !has(isSoda)(f, k), plant: (m, d) => { m.rise = d.even(0.68, 0.82); if (d.even(0, 1) < 0.5) m.kitchen = { ...m.kitchen, powders: m.kitchen.powders.map((p) => ({ ...p, strength: 'weak' as const })) }; } },
  { id: 'underbaked', always: ['sunk', 'gummy'], often: ['wet streak', 'pale'], plant: (m, d) => void (m.time = d.even(0.74, 0.87)) },
  { id: 'overbaked', always: ['dry'], often: ['very dark', 'crumbly'], plant: (m, d) => void (m.time = d.even(1.17, 1.4)) },
  { id: 'oven hot', always: ['cracked'], often: ['dark outside, raw inside', 'very dark', 'peaked'], plant: (m, d) => void (m.airK = d.even(18, 40)) },
  { id: 'oven cool', always: ['pale'], often: ['flat', 'dry'], plant: (m, d) => void (m.airK = d.even(-40, -18)) },
  { id: 'door opened', always: ['sunk'], fits: tinned, plant: () => undefined },
  { id: 'burnt base', always: ['bitter'], often: ['very dark', 'stuck'], plant: (m) => void (m.rack = 'bottom') },
  { id: 'oven tilts', always: ['lopsided'], often: ['uneven layers'], fits: tinned, plant: () => undefined },
  { id: 'overfull', always: ['overflowed'], often: ['sunk'], fits: (f) => tinned(f), plant: (m, d) => void (m.batter = d.even(1.35, 1.7)) },
  { id: 'deep tin', always: ['dark outside, raw inside'], often: ['cracked', 'gummy'], fits: (f) => tinned(f) && f.family !== 'muffin', plant: (m, d) => { const k = d.even(0.6, 0.72); const { capacityMl: _c, ...tin } = m.tin; m.tin = { ...tin, topMm: tin.topMm * k, ...(tin.top2Mm && { top2Mm: tin.top2Mm * k }), ...(tin.baseMm && { baseMm: tin.baseMm * k }), ...(tin.base2Mm && { base2Mm: tin.base2Mm * k }), depthMm: tin.depthMm * 2.4 }; } },
  { id: 'dark tin', always: ['dark outside, raw inside'], often: ['very dark', 'dry'], fits: (f) => tinned(f), plant: (m, d) => void (m.tin = { ...m.tin, material: d.even(0, 1) < 0.5 ? 'dark metal' : 'glass' }) },
  { id: 'light tin', always: ['pale'], often: ['wet streak'], fits: (f) => tinned(f), plant: (m, d) => void (m.tin = { ...m.tin, material: d.even(0, 1) < 0.5 ? 'silicone' : 'shiny metal' }) },
  { id: 'tin not prepared', always: ['stuck'], fits: tinned, plant: (m, d) => void (d.even(0, 1) < 0.5 && m.skipped.push('tins')) },
  { id: 'cooled in the tin', always: ['stuck', 'soggy base'], fits: tinned, plant: (m, d) => void (d.even(0, 1) < 0.4 && m.skipped.push('unmould')) },
  { id: 'no rack', always: ['soggy base'], plant: (m, d) => void (d.even(0, 1) < 0.4 && m.skipped.push('cool')) },
  { id: 'cut hot', always: ['gummy'], often: ['crumbly'], fits: not('scone', 'biscuit', 'drop-biscuit'), plant: (m, d) => void (d.even(0, 1) < 0.5 && m.skipped.push('cool')) },
  { id: 'overmixed', always: ['tunnels', 'tough'], often: ['peaked', 'shrank'], plant: () => undefined },
  { id: 'big batch', always: ['tough', 'shrank'], often: ['tunnels'], plant: (m, d) => void (m.factor = Math.round(d.even(2, 4.4))) },
  { id: 'over-rested', always: ['flat'], often: ['coarse'], plant: (m, d) => { m.stood = d.even(28, 70); m.rise = 0.82; } },
  { id: 'not tapped', always: ['coarse'], fits: tinned, plant: () => undefined },
  { id: 'cold eggs', always: ['curdled'], often: ['coarse'], fits: (f, k) => CREAMED(f) && has(isEgg)(f, k), plant: (m, d) => void (d.even(0, 1) < 0.5 && m.skipped.push('take out:eggs')) },
  { id: 'broken emulsion', always: ['greasy'], often: ['curdled'], fits: (f, k) => tinned(f) && has(isFat)(f, k), plant: () => undefined },
  { id: 'warm fat', always: ['spread', 'greasy'], fits: (f, k) => family('scone', 'biscuit', 'drop-biscuit')(f) && has(isFat)(f, k), plant: (m, d) => void (m.kitchen = { ...m.kitchen, roomC: d.even(26, 31) }) },
  { id: 'twisted cutter', always: ['lopsided'], fits: family('scone', 'biscuit'), plant: () => undefined },
  { id: 'egg wash ran', always: ['lopsided', 'stuck'], fits: family('scone', 'biscuit'), plant: () => undefined },
  { id: 'uneven division', always: ['uneven layers'], fits: (f) => tinned(f) && f.family !== 'muffin', plant: (m, d) => { m.count = 2; m.spread = d.even(0.1, 0.2); } },
];

const SOUND = demoIds.filter((id) => id !== 'oat-and-rhubarb-muffins' && id !== 'lime-and-coconut-tray-cake');

/** A bake with this fault, or none; everything else as in a home kitchen, with noise, and only a part of it measured. */
export function plantedBake(seed: number, cause: string | null): Planted {
  const d = dice(seed);
  const plain = demoKitchen();
  const fault = cause === null ? null : (faults.find((f) => f.id === cause) as Fault);
  const fitting = SOUND.map(demo).filter((f) => !fault?.fits || fault.fits(f, plain));
  const base = fitting[Math.floor(d.even(0, fitting.length - 1e-6))] as Formula;
  const own = base.tins?.[0] as { tin: Tin; count: number };
  const m: Making = {
    formula: base, kitchen: plain, tin: own.tin, count: own.count,
    batter: 1, time: Math.exp(d.normal(0.05)), airK: d.normal(5), rise: 1, stood: d.even(1, 6),
    flourRead: Math.exp(d.normal(0.015)), spread: d.even(0.01, 0.04), factor: 1, skipped: [],
  }; // prettier-ignore
  fault?.plant(m, d);
  const use = { tin: m.tin, count: m.count };
  const fit = fitTins({ ...base, tins: [use] }, [own], plain)[0];
  if (!fit) throw new Error('no fit');
  const input = {
    ...bakeInputOf(m.formula, { ...fit, tin: m.tin }, m.kitchen),
    tin: m.tin,
    batterG: fit.batterG * m.batter,
  };
  const air = simulate({ ...setupOf(input, m.kitchen), stages: setupOf(input, m.kitchen).stages.map((s) => ({ ...s, ovenC: s.ovenC + m.airK })), resolution: 0.7 }); // prettier-ignore
  const expected = predictBake(input, m.kitchen).minutes.likely;
  // bakers look: they take it out by what they see, mostly, and by the time on the card somewhat
  const seen = air.doneMin ?? expected;
  const minutes = Math.max(4, Math.round(seen ** 0.7 * expected ** 0.3 * m.time));
  const at = air.curve.findIndex((p) => p.s >= minutes * 60);
  const centre = (air.curve[at < 0 ? air.curve.length - 1 : at]?.centreC ?? 90) + d.normal(1);
  const measured = (share: number): boolean => d.even(0, 1) < share;
  const [counter, byThermometer, byScale, byRule, rackRead, wasWeighed] = [measured(0.6), measured(0.33), measured(0.33), measured(0.4), measured(0.25), measured(0.6)] as const; // prettier-ignore
  const grown = (fitTins({ ...m.formula, tins: [use] }, [{ tin: m.tin, count: 1 }], m.kitchen)[0]?.rise ?? 1.6) * m.rise * Math.exp(d.normal(0.06)); // prettier-ignore
  const loss = air.lossPct * (minutes / seen) ** 1.3 * Math.exp(d.normal(0.12));
  const flour = lines(m.formula, plain).find((l) => isFlour(l));
  const bake: BakeRecord = {
    id: `p${seed}`, formulaId: base.id, versionId: null, title: base.title, family: base.family,
    densityGPerMl: input.densityGPerMl, rise: input.rise,
    ...(input.composition && { composition: input.composition }),
    ...(input.hotTin && { hotTin: true }), ...(input.stages && { stages: input.stages }),
    at: 1e6 + seed, tin: use, batterG: input.batterG, ovenId: 'big', ovenC: input.ovenC, fan: input.fan ?? false,
    predicted: null, minutes, outcome: 'fine', notes: '',
    ...(m.rack && measured(0.7) && { rack: m.rack }),
    ...(m.factor > 1 && { factor: m.factor }),
    result: {
      ...(byThermometer && { centreC: Math.round(10 * centre) / 10 }),
      ...(byScale && { outG: Math.round(input.batterG * (1 - loss / 100)) }),
      ...(byRule && { heightMm: Math.round(air.batterMm * grown * 1.12) }),
    },
    ...(counter && {
      observed: {
        beganAt: 0, intoOvenAt: 0, added: [], skipped: m.skipped,
        weighed: wasWeighed && flour ? [{ itemId: flour.item.id, grams: Math.round(flour.item.grams * m.flourRead * m.factor) }] : [],
        ovenReadings: rackRead ? [{ min: 14, ovenC: Math.round(input.ovenC + m.airK + d.normal(4)) }] : [],
        stoodMin: Math.round(m.stood),
        ...(m.count > 1 && measured(0.6) && { filled: [fit.batterG * (1 + m.spread), fit.batterG * (1 - m.spread)] }),
      },
    }),
  }; // prettier-ignore
  return { cause, formula: m.formula, bake, kitchen: m.kitchen, symptoms: reported(fault, d) };
}

/** What a baker says: most of what is there; a fifth of it is missing or something else. At least one thing is said. */
function reported(fault: Fault | null, d: D): SymptomId[] {
  const random = (): SymptomId => symptomIds[Math.floor(d.even(0, symptomIds.length - 1e-6))] as SymptomId;
  // without a fault, one baker in five finds something all the same
  if (!fault) return d.even(0, 1) < 0.2 ? [random()] : [];
  const there = [...fault.always.filter(() => d.even(0, 1) < 0.92), ...(fault.often ?? []).filter(() => d.even(0, 1) < 0.4)]; // prettier-ignore
  const true_ = there.length > 0 ? there : [fault.always[0] as SymptomId];
  const said = true_.flatMap((s) => (d.even(0, 1) >= 0.2 ? [s] : d.even(0, 1) < 0.5 ? [] : [random()]));
  return said.length > 0 ? [...new Set(said)] : [true_[0] as SymptomId];
}
