import { applyChanges } from '../formula/formula.js';
import type { Change, Formula, Kitchen } from '../formula/types.js';
import { asMeasured } from '../quantity/amount.js';
import { onStep } from '../quantity/steps.js';
import { LEFT_SODA_STEPS } from '../leavening/ledger.js';
import { powderTypeOf, type Line } from '../leavening/parts.js';
import { powderKind, SODA_G_PER_MOL } from '../leavening/powders.js';
import { gasMmolPerG } from '../leavening/thumb.js';
import { weigh, type Weighed } from './weigh.js';
import { aFamily, type Family } from './families.js';
import { LEAN_USUAL } from './pulls.js';
import { outside } from './verdict.js';
import { LIFT_EDGE, measures, pctOf, rangeOf, waterOutside } from './verdicts.js';

export interface Advice {
  readonly id: string;
  readonly words: string;
  readonly changes: readonly Change[];
  /** What the merit falls to when it is followed. */
  readonly merit: number;
}

/** A merit not worth a change: what one measure may lie outside without being called unusual. */
const TRIFLE = 0.03;
/** Left-over soda that advice aims for: browner, not dark. */
const AIM_LEFT_G = 0.08;

interface Idea {
  readonly id: string;
  readonly changes: readonly Change[];
  readonly why: string;
}

/** Soda so that left-over is about AIM_LEFT_G per 100 g batter, given the acid that is there. */
function sodaIdeas(w: Weighed, family: Family, kitchen: Kitchen): Idea[] {
  const soda = w.lines.find((l) => l.ingredient.leavener === 'soda');
  if (!soda || soda.grams <= 0) return [];
  const aim = (AIM_LEFT_G * w.totals.batterG) / 100;
  const left = (w.ledger.leftSodaGPer100gBatter.typical * w.totals.batterG) / 100;
  const right = onStep(soda.ingredient, Math.max(0, soda.grams - Math.max(0, left - aim)), w.totals.batterG, kitchen);
  const change = { itemId: soda.item.id, grams: right };
  const out: Idea[] = [];
  if (right < soda.grams) out.push({ id: 'soda-to-its-acid', changes: [change], why: 'what its acid can meet' });
  const powder = w.lines.find((l) => l.ingredient.leavener === 'powder');
  if (powder && right < soda.grams) {
    const wanted = ((w.lift.target[0] * 0.6 + w.lift.target[1] * 0.4) * w.totals.baseG) / 100;
    const met = Math.min((right / SODA_G_PER_MOL) * 1000, w.ledger.acidMeq.typical);
    const perGram = gasMmolPerG(powderKind(powderTypeOf(powder.ingredient, kitchen)));
    const g = onStep(powder.ingredient, Math.max(powder.grams, (wanted - met) / perGram), w.totals.batterG, kitchen);
    if (g !== powder.grams)
      out.push({
        id: 'soda-and-powder',
        changes: [change, { itemId: powder.item.id, grams: g }],
        why: `the powder lifts ${aFamily(family)} instead`,
      });
  }
  return out;
}

/** Scales a leavener so that lift reaches a near place inside the band. */
function liftIdeas(w: Weighed, kitchen: Kitchen): Idea[] {
  if (w.lift.state === 'ok') return [];
  const out: Idea[] = [];
  const [lo, hi] = w.lift.target;
  const aim = w.lift.state === 'low' ? lo + 0.25 * (hi - lo) : hi - 0.2 * (hi - lo);
  const now = w.lift.mmolPer100gBase.typical;
  for (const line of w.lines) {
    const kind = line.ingredient.leavener;
    if ((kind !== 'powder' && kind !== 'soda') || line.grams <= 0) continue;
    const share = w.ledger.entries
      .filter((e) => e.itemId === line.item.id && e.side === 'soda')
      .reduce((s, e) => s + e.meq.typical, 0);
    const perBase = (share * 100) / w.totals.baseG;
    if (perBase <= 0) continue;
    const g = onStep(line.ingredient, line.grams * Math.max(0, 1 + (aim - now) / perBase), w.totals.batterG, kitchen);
    if (g !== line.grams && (kind === 'powder' || w.lift.state === 'high'))
      out.push({
        id: `lift-by-${line.item.id}`,
        changes: [{ itemId: line.item.id, grams: g }],
        why: w.lift.state === 'low' ? 'it will rise as it should' : 'it will not dome and crack',
      });
  }
  return out;
}

/**
 * Liquid so that what is left after drinking lies just inside the family's range; where plain water is out of range,
 * `rangeIdeas` sees to it.
 */
function waterIdeas(w: Weighed, family: Family, kitchen: Kitchen): Idea[] {
  if (family.id === 'free' || outside(w.totals.waterPct, family.water) > 0.02) return [];
  const { availablePct, usual } = w.water;
  if (outside(availablePct, usual) <= 0.03) return [];
  const dry = availablePct < usual[0];
  const aim = dry ? usual[0] + 0.12 * (usual[1] - usual[0]) : usual[1] - 0.12 * (usual[1] - usual[0]);
  const line = w.lines
    .filter((l) => l.ingredient.role === 'liquid' && l.grams > 0)
    .sort((a, b) => b.grams * b.ingredient.per100.water - a.grams * a.ingredient.per100.water)[0];
  if (!line) return [];
  const need = ((aim - availablePct) * w.totals.flourG) / line.ingredient.per100.water;
  const grams = onStep(line.ingredient, line.grams + need, w.totals.batterG, kitchen);
  if (grams === line.grams || grams <= 0) return [];
  return [
    {
      id: 'water-left',
      changes: [{ itemId: line.item.id, grams }],
      why: dry ? 'enough for what drinks it, and for the flour' : 'sets through the middle',
    },
  ];
}

/** Brings the beam just inside its usual span by one of the lines that pull hardest. */
function beamIdeas(w: Weighed, kitchen: Kitchen): Idea[] {
  const { beam } = w;
  if (Math.abs(beam.lean) <= LEAN_USUAL) return [];
  const middle = (beam.usual[0] + beam.usual[1]) / 2;
  const half = (beam.usual[1] - beam.usual[0]) / 2;
  const aim = (middle + Math.sign(beam.lean) * half) / 100;
  const out: Idea[] = [];
  for (const role of ['sugar', 'fat', 'egg'] as const) {
    const line = w.lines
      .filter((l) => l.ingredient.role === role && l.grams > 0 && !l.whole)
      .sort((a, b) => b.grams - a.grams)[0];
    const pull = line && beam.pulls.find((p) => p.itemId === line.item.id);
    if (!line || !pull) continue;
    // (T + t x) − (S + h x) = aim (T + t x + S + h x), solved for the grams x to add
    const [h, t] = [pull.holds / line.grams, pull.tenders / line.grams];
    const slope = t - h - aim * (t + h);
    if (Math.abs(slope) < 1e-9) continue;
    const x = (aim * (beam.tenders + beam.holds) - (beam.tenders - beam.holds)) / slope;
    const grams = onStep(line.ingredient, line.grams + x, w.totals.batterG, kitchen);
    if (grams > 0 && grams !== line.grams && grams < 3 * line.grams)
      out.push({
        id: `beam-by-${role}`,
        changes: [{ itemId: line.item.id, grams }],
        why: beam.lean > 0 ? 'firm enough to stand' : 'tender, as it should be',
      });
  }
  return out;
}

const movers: Readonly<Record<(typeof measures)[number], (l: Line) => number>> = {
  fat: (l) => (l.ingredient.fatCounts && !l.ingredient.pieces ? l.ingredient.per100.fat / 100 : 0),
  sugar: (l) => (l.ingredient.sugarCounts && !l.ingredient.pieces ? l.ingredient.per100.sugar / 100 : 0),
  egg: (l) => (l.ingredient.role === 'egg' ? 1 : 0),
  water: (l) => (l.ingredient.role === 'liquid' ? l.ingredient.per100.water / 100 : 0),
  salt: (l) => (l.ingredient.role === 'salt' ? 1 : 0),
};

const reasons: Readonly<Record<(typeof measures)[number], readonly [string, string]>> = {
  fat: ['more tender, keeps longer', 'less greasy, holds up better'],
  sugar: ['moister and better coloured', 'sets sooner and will not sink'],
  egg: ['more to hold it up', 'less springy'],
  water: ['a softer crumb', 'sets through the middle'],
  salt: ['not bland', 'not salty'],
};

/** Moves the largest carrier of a measure just inside its range. */
function rangeIdeas(w: Weighed, family: Family, kitchen: Kitchen): Idea[] {
  const out: Idea[] = [];
  if (family.id === 'free' || w.totals.flourG <= 0) return out;
  for (const m of measures) {
    const range = rangeOf(family, m, w.totals);
    const x = pctOf(w.totals, m);
    if (outside(x, range) < 0.02 || (m === 'salt' && x < range[0])) continue;
    if (m === 'water' && waterOutside(w.totals, w.water, family) === 0) continue;
    const low = x < range[0];
    const width = range[1] - range[0];
    const aim = low ? range[0] + 0.05 * width : range[1] - 0.05 * width;
    const best = w.lines
      .map((line) => ({ line, rate: movers[m](line) }))
      .filter(({ line, rate }) => rate > 0 && line.grams > 0)
      .sort((a, b) => b.rate * b.line.grams - a.rate * a.line.grams)[0];
    if (!best) continue;
    const need = ((aim - x) * w.totals.flourG) / 100 / best.rate;
    const g = onStep(best.line.ingredient, best.line.grams + need, w.totals.batterG, kitchen);
    if (g !== best.line.grams && g > 0)
      out.push({
        id: `${m}-into-range`,
        changes: [{ itemId: best.line.item.id, grams: g }],
        why: reasons[m][low ? 0 : 1],
      });
  }
  return out;
}

/** Whether an amount reads the same as the one that is there. */
function sameBySpoon(c: Change, w: Weighed, kitchen: Kitchen): boolean {
  const line = w.lines.find((l) => l.item.id === c.itemId);
  const read = (g: number): string => (line ? asMeasured(g, line.ingredient, kitchen.measures, line.item.form) : '');
  return line !== undefined && read(c.grams) === read(line.grams);
}

function wordsFor(idea: Idea, w: Weighed, kitchen: Kitchen): string {
  const parts = idea.changes.map((c) => {
    const line = w.lines.find((l) => l.item.id === c.itemId);
    if (!line) return '';
    const name = line.ingredient.name.replace(/,.*/, '').toLowerCase();
    const to = c.grams < 0.05 ? 'none' : asMeasured(c.grams, line.ingredient, kitchen.measures, line.item.form);
    const now = asMeasured(line.grams, line.ingredient, kitchen.measures, line.item.form);
    return c.grams < line.grams ? `less ${name}, ${now} → ${to}` : `more ${name}, ${now} → ${to}`;
  });
  const said = parts.join(', and ');
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}: ${idea.why}.`;
}

/**
 * Ideas that strictly lower the merit, those of most consequence first, at most three. Each is tried on the formula and
 * weighed in full before it is offered, so that none makes another figure worse than it mends; locked lines are left.
 */
export function adviceFor(formula: Formula, kitchen: Kitchen, w: Weighed, locked: readonly string[] = []): Advice[] {
  const out: Advice[] = [];
  if (w.totals.baseG <= 0) return out;
  const { family } = w;
  const unsettled =
    w.ledger.leftSodaGPer100gBatter.typical > (w.masked ? LEFT_SODA_STEPS.soapy : LEFT_SODA_STEPS.unusualPlain);
  // what lies a hair outside, or lift at the edge of its band, is not worth a change
  const lift = family.id === 'free' ? 0 : outside(w.lift.mmolPer100gBase.typical, w.lift.target);
  if (w.merit - (lift <= LIFT_EDGE ? lift : 0) <= TRIFLE && !unsettled) return out;
  const ideas = [
    ...sodaIdeas(w, family, kitchen),
    ...liftIdeas(w, kitchen),
    ...rangeIdeas(w, family, kitchen),
    ...waterIdeas(w, family, kitchen),
    ...beamIdeas(w, kitchen),
  ];
  for (const idea of ideas) {
    if (idea.changes.some((c) => locked.includes(c.itemId))) continue;
    if (idea.changes.some((c) => sameBySpoon(c, w, kitchen))) continue;
    const merit = weigh(applyChanges(formula, idea.changes), kitchen).merit;
    if (merit < w.merit - 1e-6)
      out.push({ id: idea.id, words: wordsFor(idea, w, kitchen), changes: idea.changes, merit });
  }
  out.sort((a, b) => a.merit - b.merit || a.changes.length - b.changes.length);
  // half as good as the best is not worth a second thought
  const enough = (w.merit + (out[0]?.merit ?? 0)) / 2;
  // two reasons for the same spoons are one piece of advice
  const change = (a: Advice): string => a.words.replace(/:[^:]*$/, '');
  return out.filter((a, i) => a.merit <= enough && out.findIndex((b) => change(b) === change(a)) === i).slice(0, 3);
}
