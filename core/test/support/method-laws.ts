import { allItems, operations, workOf, type Formula, type Operation, type Step } from '../../src/index.js';

/** Letters of the method that neither an operation nor a named remark holds, but for words that only join. */
export function unsaid(f: Formula): string {
  const { operations: ops, unworked } = workOf(f);
  const places = [...ops.flatMap((o) => o.place ?? []), ...unworked.map((u) => u.place)];
  return f.method
    .map((m, entry) =>
      [...m.text.split('')]
        .map((c, i) => (places.some((p) => p.entry === entry && p.from <= i && i < p.to) ? ' ' : c))
        .join(''),
    )
    .join(' ')
    .replace(/\b(?:and|then|but|or|so)\b|[^\p{L}\d]/giu, '');
}

/** Words of a method that its steps say nowhere. */
export function lost(f: Formula, made: readonly Step[]): string[] {
  const words = (t: string): string[] => t.toLowerCase().match(/[\p{L}\d]+/gu) ?? [];
  const said = new Set(made.flatMap((s) => words([s.words, s.detail ?? '', ...s.marks.map((m) => m.words)].join(' '))));
  // "turning the tray" is said as "turn the tray", and what joins is not said
  return f.method
    .flatMap((m) => words(m.text))
    .filter(
      (w) =>
        !said.has(w) &&
        !/ing$|^(?:and|then|but|or|so|degrees|before|now|you|ok|okay|well|right|um|uh|oh|er|ah)$/.test(w),
    );
}

/** Lines of a formula whose shares over the operations do not add to one. */
export function uneven(f: Formula): string[] {
  const ops = operations(f);
  const greasing = new Set(f.groups.filter((g) => g.role === 'grease').flatMap((g) => g.items.map((i) => i.id)));
  return allItems(f)
    .filter((i) => !greasing.has(i.id))
    .flatMap((i) => {
      const shares = ops.flatMap((o) => o.takes.filter((t) => t.itemId === i.id).map((t) => t.share));
      const sum = shares.reduce((s: number, x) => s + (typeof x === 'number' ? x : 0), 0);
      const ends = shares.at(-1) === 'rest' || shares.at(-1) === 'kept back';
      // "the rest" closes what fractions and "some" opened; fractions alone add to one
      const right = shares.length > 0 && (ends ? sum < 1 && shares.length > 1 : Math.abs(sum - 1) < 0.02);
      return right ? [] : [`${i.words}: ${JSON.stringify(shares)}`];
    });
}

const order = ['ahead', 'mix', 'shape', 'oven', 'after', 'later'];
/** Operations that stand before one which has to come first: in before out, nothing of the bowl after the oven. */
export function outOfOrder(ops: readonly Operation[]): string[] {
  const out: string[] = [];
  const into = ops.findIndex((o) => o.verb === 'put in' && o.phase === 'oven');
  const taken = ops.findLastIndex((o) => o.verb === 'take out' && o.phase === 'oven');
  if (into < 0 || taken < into) out.push(`in ${into}, out ${taken}`);
  ops.forEach((o, i) => {
    const late = order.indexOf(o.phase) >= order.indexOf('after');
    const early = order.indexOf(o.phase) < order.indexOf('oven');
    if ((late && i < taken) || (early && i > into)) out.push(`${o.phase} ${o.verb} at ${i}`);
  });
  return out;
}
