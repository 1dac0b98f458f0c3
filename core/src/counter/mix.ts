import { band } from '../formula/bands.js';
import type { Band } from '../formula/types.js';
import type { Line } from '../leavening/parts.js';
import { amountOf, feelIn, plainName } from './amounts.js';
import type { Stage } from './mixing.js';
import { none, SOLID_FAT, waitStep, type Parts } from './parts.js';
import type { Step, StepAmount } from './step.js';

/** An ordinary home batch, g of batter; mixing times are given for it. */
const BATCH_G = 900;
/** Minutes of the stages together, by the size of the batch: a large one takes longer, though not in proportion. */
function minutesOf(list: readonly Stage[], batterG: number): Band {
  const k = Math.min(2, Math.max(0.8, Math.pow(Math.max(1, batterG) / BATCH_G, 0.25)));
  const sum = (i: 0 | 1 | 2): number => list.reduce((s, x) => s + x.minutes[i], 0);
  return list.length === 0 ? band(0.5, 1, 2) : band(k * sum(0), k * sum(1), k * sum(2));
}

function mixStep(
  id: string,
  words: string,
  own: boolean,
  list: readonly Stage[],
  amounts: readonly StepAmount[],
  batterG: number,
  machine: boolean,
): Step {
  return {
    ...none,
    id,
    kind: 'mix',
    words,
    own,
    minutes: minutesOf(list, batterG),
    hands: true,
    amounts,
    looks: (list.findLast((s) => s.id !== 'fold') ?? list.at(-1))?.looks ?? null,
    wrong: [...new Set([...list].reverse().flatMap((s) => s.wrong))].slice(0, 3),
    wanted: list.find((s) => s.wanted)?.wanted ?? null,
    feel: [...new Set([...feelIn(words), ...list.flatMap((s) => s.feel ?? [])])],
    mixer: machine && list.some((s) => s.mixer),
  };
}

/** The mixing: the baker's own method where there is one, and what it leaves out; else the stages of the method. */
export function mixing(p: Parts): Step[] {
  const { formula, kitchen, lines, entries, stages, batterG, shares } = p;
  const machine = kitchen.mixer !== undefined;
  const roles = new Map(formula.groups.flatMap((g) => g.items.map((i) => [i.id, g.role ?? 'batter'] as const)));
  const out: Step[] = [];
  const melts =
    stages[0]?.id !== 'melt' &&
    lines.find((l) => l.ingredient.role === 'fat' && SOLID_FAT.test(l.ingredient.id) && (l.item.form === 'melted' || entries.some((e) => /\bmelted (butter|fat)\b/i.test(e.text)))); // prettier-ignore
  if (melts)
    out.push({
      ...none,
      id: 'mix:melt',
      kind: 'mix',
      words: `Melt the ${plainName(melts.ingredient.name).toLowerCase()}, ${Math.round(melts.grams)} g, and let it cool a little`,
      detail: 'over low heat, or in short bursts; it need only just melt',
      minutes: band(4, 6, 10),
      hands: true,
      amounts: [],
      wanted: 'below 45 °C before it meets the eggs',
    });
  const own = entries
    .map((e, i) => ({ e, i, amounts: shares.at[i] ?? [] }))
    .filter(({ e }) => e.place === 'mix' || e.place === 'wait');
  const mixed = own.filter(({ e }) => e.place === 'mix');
  if (mixed.length === 0) {
    // a line belongs to the first stage that takes its group, or to the first stage of all
    const stageOf = (l: Line): Stage | undefined =>
      stages.find((s) => s.takes.some((r) => r === roles.get(l.item.id))) ?? stages.find((s) => s.takes.length > 0);
    const elsewhere = new Set(shares.at.flat().map((a) => a.itemId));
    const here = lines.filter((l) => !elsewhere.has(l.item.id));
    for (const s of stages) {
      const amounts = here.filter((l) => stageOf(l) === s).map((l) => amountOf(l, kitchen));
      if (amounts.length > 0 || s.takes.length === 0)
        out.push(mixStep(`mix:${s.id}`, s.words, false, [s], amounts, batterG, machine));
    }
  }
  own.forEach(({ e, i, amounts }) => {
    if (e.place === 'wait') {
      out.push({ ...waitStep(`wait:${i}`, e.waitMin ?? 0, e.text), own: true });
      return;
    }
    const rest = mixed.at(-1)?.i === i ? shares.left.map((l) => amountOf(l, kitchen)) : [];
    out.push(mixStep(`mix:${i}`, e.text, true, e.stages, [...amounts, ...rest], batterG, machine));
    if (e.waitMin !== null && !e.bakes) out.push(waitStep(`wait:${i}`, e.waitMin, waitWords(e.text)));
  });
  return out;
}

const waitWords = (text: string): string =>
  /\bsoak\b/i.test(text) ? 'Let it soak' : /\bchill|freez/i.test(text) ? 'Let it chill' : /\bwarm|cool|cold\b/i.test(text) ? 'Let it cool' : 'Let it rest'; // prettier-ignore
