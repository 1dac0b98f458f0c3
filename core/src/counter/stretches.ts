import type { Step } from './step.js';

/** Steps of one kind of work that follow one another without a wait, as one task of the day; or a wait. */
export interface Stretch {
  readonly kind: 'mix' | 'fill' | 'wait';
  /** Counted within its kind, from 1: with the bake's id and the kind it names the task. */
  readonly n: number;
  readonly steps: readonly Step[];
}

/** The name of a stretch's task, without the bake's. */
export const stretchName = (s: Pick<Stretch, 'kind' | 'n'>): string => `${s.kind}${s.n > 1 ? `:${s.n}` : ''}`;

/** The work between weighing and the oven, in order: stretches of hands, parted by waits and by where bowl becomes board. */
export function stretchesOf(list: readonly Step[]): Stretch[] {
  const into = list.findIndex((s) => s.kind === 'in');
  const out: { kind: Stretch['kind']; n: number; steps: Step[] }[] = [];
  const counts = { mix: 0, fill: 0, wait: 0 };
  for (const s of list.slice(0, into < 0 ? list.length : into)) {
    if (s.kind !== 'mix' && s.kind !== 'fill' && s.kind !== 'wait') continue;
    const last = out.at(-1);
    if (last && last.kind === s.kind && s.kind !== 'wait') last.steps.push(s);
    else out.push({ kind: s.kind, n: ++counts[s.kind], steps: [s] });
  }
  return out;
}

/** Whether a finish is done while the cake is warm: a soak, or anything before it has cooled. */
export function isEarlyFinish(s: Step, list: readonly Step[]): boolean {
  const cool = list.findIndex((x) => x.kind === 'cool');
  return s.soak || (cool >= 0 && list.indexOf(s) < cool);
}
