import { band } from '../formula/bands.js';
import type { Band } from '../formula/types.js';
import type { Operation } from '../method/types.js';
import { PUT_AWAY_MIN, verbs, waits } from '../method/verbs.js';
import type { TinFit } from '../tin/fit.js';
import { outlineOf } from '../tin/geometry.js';
import { namesShape } from '../tin/spoken.js';
import { feelIn } from './amounts.js';
import { lookOf, type Scene } from './looks.js';
import { none, waitStep, type Parts, putAwayWords } from './parts.js';
import type { Step } from './step.js';

/** An ordinary home batch, g of batter; mixing times are given for it. */
const BATCH_G = 900;

/** Minutes of hands: a large batch takes longer, though not in proportion; the baker's own time wins. */
function minutesOf(o: Operation, batterG: number): Band {
  if (o.forMin) return o.forMin;
  const k = Math.min(2, Math.max(0.8, Math.pow(Math.max(1, batterG) / BATCH_G, 0.25)));
  const [low, typical, high] = waits(o.verb) ? PUT_AWAY_MIN : verbs[o.verb].minutes;
  return band(k * low, k * typical, k * high);
}

const inTins = /\b(?:tins?|cases|cups?|moulds?|pans?|muffin)\b/i;
/** Where the batter goes into what it bakes in: of each kind of tin, by its number, where the words fill them one by one; else once. */
export function fillingsOf(work: readonly Operation[], fits: readonly TinFit[]): ReadonlyMap<Operation, number> {
  const shape = work.filter((o) => o.phase === 'shape' && !o.meanwhile);
  const fills = shape.filter((o) => o.verb === 'fill' || (o.verb === 'divide' && inTins.test(o.words)));
  if (fits.length > 1 && fills.length >= fits.length) {
    const left = new Set(fits.keys());
    const named = fills.slice(0, fits.length).map((o): [Operation, number] => {
      const i = [...left].find((k) => namesShape(o.words, (fits[k] as TinFit).tin.shape)) ?? -1;
      left.delete(i);
      return [o, i];
    });
    return new Map(named.map(([o, i]) => [o, i >= 0 ? i : ([...left].find((k) => left.delete(k)) ?? 0)]));
  }
  const main =
    fills.at(-1) ??
    shape.find((o) => o.verb === 'cut') ??
    shape.findLast((o) => o.verb === 'divide' || o.verb === 'drop') ??
    shape.findLast((o) => o.verb === 'place') ??
    shape.find((o) => o.verb === 'shape' || o.verb === 'pat') ??
    shape[0];
  return new Map(main ? [[main, 0]] : []);
}

/** What it does by itself once the hands have left it. */
const STANDS: Readonly<Record<string, string>> = {
  soak: 'Let it soak',
  chill: 'Let it chill',
  freeze: 'Let it freeze',
  cool: 'Let it cool',
  drain: 'Let it drain',
  set: 'Let it set',
};

/** What has been done before an operation, as far as it changes how it should look. */
function sceneAt(p: Parts, upTo: number): Scene {
  const before = p.work.slice(0, upTo).filter((o) => o.phase !== 'after' && o.phase !== 'later');
  const line = (id: string) => p.lines.find((l) => l.item.id === id); // eslint-disable-line @typescript-eslint/explicit-function-return-type
  const takes = (p.work[upTo]?.takes ?? []).flatMap((t) => line(t.itemId) ?? []);
  const gone = before.flatMap((o) => o.takes).flatMap((t) => line(t.itemId) ?? []);
  const has = (of: typeof gone, test: (l: (typeof gone)[number]) => boolean): boolean => of.some(test);
  const flour = has([...gone, ...takes], (l) => l.ingredient.base === 'flour');
  const wet = has([...gone, ...takes], (l) => l.ingredient.role === 'liquid' || l.ingredient.role === 'egg');
  return {
    takes,
    wetted: flour && wet && !(takes.length > 0 && takes.every((l) => l.whole)),
    melted: before.some((o) => o.verb === 'melt'),
    rubbed: p.method === 'rub-in',
  };
}

const detailOf = (o: Operation, p: Parts): string | null => {
  const away = p.away?.operation.id === o.id ? putAwayWords(p.away, p.fits) : null;
  const said = o.remark ?? (o.id === 'mix:melt' ? 'over low heat, or in short bursts; it need only just melt' : null);
  return [away, said].filter((x) => x !== null).join('. ') || null;
};

/** One operation in the bowl or on the board as a step. */
function handStep(o: Operation, p: Parts, kind: 'mix' | 'fill', id: string): Step {
  const look = lookOf(o.verb, sceneAt(p, p.work.indexOf(o)));
  return {
    ...none,
    id,
    kind,
    phase: o.phase,
    words: o.words,
    own: o.by === 'baker',
    detail: detailOf(o, p),
    minutes: minutesOf(o, p.batterG),
    hands: true,
    amounts: p.amounts.get(o.id) ?? [],
    looks: o.until ?? look?.looks ?? null,
    wrong: look?.wrong.slice(0, 3) ?? [],
    wanted: o.id === 'mix:melt' ? 'below 45 °C before it meets the eggs' : (look?.wanted ?? null),
    feel: [...new Set([...feelIn(o.words), ...(look?.feel ?? [])])],
    mixer: p.kitchen.mixer !== undefined && look?.mixer === true,
    operations: [o.id],
  };
}

/**
 * Bowl, board and tin: operations before the oven, in order, one thing to do in each step.
 *
 * @param filling which of all operations puts the batter where it bakes
 */
export function beforeOven(ops: readonly Operation[], p: Parts, fillings: ReadonlyMap<Operation, number>): Step[] {
  const out: Step[] = [];
  ops.forEach((o, i) => {
    const before = ops[i - 1];
    if (waits(o.verb) && !(o.meanwhile && o.verb === 'freeze')) {
      const minutes = o.forMin ?? bandOf(o);
      const base = { own: o.by === 'baker', operations: [o.id] };
      // what goes in first takes hands; then it waits by itself
      if (o.takes.length > 0) {
        out.push({
          ...handStep({ ...o, forMin: band(1, 2, 3) }, p, 'mix', o.id),
          kind: o.phase === 'shape' ? 'fill' : 'mix',
        });
        out.push({
          ...waitStep(`${o.id}:wait`, minutes, STANDS[o.verb] ?? 'Let it rest', o.phase),
          operations: [o.id],
        });
      } else out.push({ ...waitStep(o.id, minutes, o.words, o.phase), ...base, detail: o.remark ?? null });
      return;
    }
    const kind = o.phase === 'shape' ? 'fill' : 'mix';
    const filled = fillings.get(o);
    const step = filled === undefined ? handStep(o, p, kind, o.id) : fillStep(o, p, filled);
    const last = out.at(-1);
    // "grease and line", "stir and leave": said in one breath, done with one hand
    if (
      before?.joined &&
      last &&
      last.kind === step.kind &&
      before.place &&
      o.place &&
      before.place.entry === o.place.entry &&
      !fillings.has(o) &&
      !fillings.has(before)
    ) {
      const text = p.formula.method[o.place.entry]?.text ?? '';
      out[out.length - 1] = {
        ...last,
        words: `${last.words}${text.slice(before.place.to, o.place.to)}`,
        minutes: band(
          last.minutes.low + step.minutes.low,
          last.minutes.typical + step.minutes.typical,
          last.minutes.high + step.minutes.high,
        ),
        amounts: [...last.amounts, ...step.amounts],
        looks: step.looks ?? last.looks,
        wrong: [...last.wrong, ...step.wrong].slice(0, 3),
        detail: step.detail ?? last.detail,
        operations: [...(last.operations ?? []), o.id],
      };
      return;
    }
    out.push(step);
  });
  const at = out.findIndex((s) => s.id === 'fill:0');
  if (at >= 0 && fillings.size < 2) out.splice(at + 1, 0, ...moreTins(p));
  return out;
}

const bandOf = (o: Operation): Band => {
  const [low, typical, high] = verbs[o.verb].minutes;
  return band(low, typical, high);
};

/** Filling a kind of tin by its number, in the baker's words, with what each takes. */
function fillStep(o: Operation, p: Parts, n: number): Step {
  const base = handStep(o, p, 'fill', `fill:${n}`);
  const fit = p.fits[n];
  if (!fit) return { ...base, words: o.by === 'baker' ? base.words : 'Fill the tin' };
  const free = outlineOf(fit.tin).free;
  return {
    ...base,
    words: o.by === 'baker' ? base.words : tinWords(p, n),
    detail: [portion(p, n), ...(o.remark ? [o.remark] : [])].join('. '),
    minutes: band(1, 1 + 0.25 * fit.count * (fit.tin.cups ?? 1), 6),
    looks:
      base.looks ??
      (free
        ? 'room between them, sides straight'
        : fit.tin.shape === 'cup'
          ? 'all equally full'
          : 'level, a little lower in the middle'),
    wrong: [
      { sign: 'one is fuller than the others', rescue: 'even them out by the scale, they bake alike only then' },
      ...base.wrong,
    ].slice(0, 3),
    caution: p.formula.bake?.hotTin ? 'Mind the hot tin and its handle.' : null,
  };
}

const tinWords = (p: Parts, i: number): string => {
  const fit = p.fits[i];
  if (!fit) return 'Fill the tin';
  const shaped = outlineOf(fit.tin).free || fit.tin.shape === 'slab';
  return `${shaped ? 'Shape' : 'Fill'} ${fit.count > 1 ? `${fit.count} × ` : 'the '}${fit.tin.name}`;
};

function portion(p: Parts, i: number): string {
  const fit = p.fits[i];
  if (!fit) return '';
  const each = fit.count * (fit.tin.cups ?? 1) > 1;
  const reads =
    fit.tinReadsG && p.formula.bake?.hotTin !== true ? `; full, the tin reads ${Math.round(fit.tinReadsG)} g` : '';
  return `${Math.round(fit.perCupG)} g${each ? ' in each' : ''}${reads}`;
}

/** Further kinds of tin, which the words do not speak of one by one. */
const moreTins = (p: Parts): Step[] =>
  p.fits.slice(1).map((fit, n): Step => ({
    ...none,
    id: `fill:${n + 1}`,
    kind: 'fill',
    phase: 'shape',
    words: tinWords(p, n + 1),
    detail: portion(p, n + 1),
    minutes: band(1, 1 + 0.25 * fit.count * (fit.tin.cups ?? 1), 6),
    hands: true,
    looks: fit.tin.shape === 'cup' ? 'all equally full' : 'level, a little lower in the middle',
    wrong: [{ sign: 'one is fuller than the others', rescue: 'even them out by the scale, they bake alike only then' }],
  }));
