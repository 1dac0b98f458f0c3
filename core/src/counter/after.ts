import { band, exactly } from '../formula/bands.js';
import { builds, groupIdOf } from '../finish/builds.js';
import { isWarm } from '../method/added.js';
import type { Operation } from '../method/types.js';
import { verbs, waits } from '../method/verbs.js';
import { apartAmounts, none, waitStep, type Parts } from './parts.js';
import type { Step } from './step.js';

const HOLDS_ON = [
  {
    sign: 'it holds on',
    rescue: 'back on the rack in its tin for 5 minutes, a warm cloth under the base, then again',
  },
  { sign: 'it breaks', rescue: 'let it cool, then turn the worst side down: crumbs and glaze hide the rest' },
];
const SPIRIT = /\b(?:whisky|whiskey|brandy|rum|sherry|spirit|liqueur|bourbon|port)\b/i;
const FLAME = 'Spirit vapour burns: brush it on away from any flame, on a cold or warm cake, never a hot one.';

/** Cooling, finishing, keeping: the baker's operations once it is out, and the finishes that no words speak of. */
export function after(ops: readonly Operation[], p: Parts): Step[] {
  const out: Step[] = [];
  const now = ops.filter((o) => o.phase === 'after');
  const later = ops.filter((o) => o.phase === 'later');
  const cool =
    now.findLast(
      (o) =>
        (o.verb === 'cool' || o.verb === 'rest' || o.verb === 'chill') &&
        (o.forMin?.typical ?? 0) >= 0.4 * p.family.coolRackMin,
    ) ?? now.findLast((o) => o.verb === 'cool');
  for (const o of now) out.push(afterStep(o, p, o === cool));
  return [...out, ...keeping(later, p)];
}

function afterStep(o: Operation, p: Parts, isCool: boolean): Step {
  const [low, typical, high] = verbs[o.verb].minutes;
  const own = o.by === 'baker';
  if (o.id.startsWith('finish:')) return finishStep(o.id.slice('finish:'.length), p, o.verb === 'pour');
  const base = {
    ...none,
    id: o.id,
    phase: o.phase,
    words: o.words,
    own,
    detail: o.remark ?? null,
    operations: [o.id],
  } as const;
  if (isCool)
    return {
      ...base,
      id: 'cool',
      kind: 'cool',
      detail: o.remark ?? 'air underneath, never on a flat counter; do not slice hot, the steam is its moisture',
      minutes: o.forMin ?? band(low, typical, high),
      hands: false,
      looks: o.until ?? 'no warmth felt underneath',
    };
  if (waits(o.verb))
    return {
      ...base,
      ...waitStep(o.id, o.forMin ?? band(low, typical, high), o.words, o.phase),
      own,
      detail: o.remark ?? null,
      amounts: p.amounts.get(o.id) ?? [],
    };
  if (o.verb === 'unmould' || o.verb === 'loosen' || o.verb === 'move')
    return {
      ...base,
      kind: 'unmould',
      detail:
        o.remark ??
        (own
          ? null
          : p.family.coolTinMin >= 120
            ? 'only when it is cold right through'
            : 'run a knife round the edge first'),
      minutes: band(low, typical, high),
      hands: true,
      wrong: o.verb === 'move' ? [] : HOLDS_ON,
    };
  return {
    ...base,
    kind: 'finish',
    minutes: o.forMin ?? band(low, typical, high),
    hands: true,
    amounts: p.amounts.get(o.id) ?? [],
    looks: o.until ?? null,
    caution: SPIRIT.test(o.words) || (p.amounts.get(o.id) ?? []).some((a) => SPIRIT.test(a.name)) ? FLAME : null,
    soak: isWarm(o),
  };
}

/** A group that goes on the baked cake, of which the method says nothing: a soak while it is warm, the rest when it is cold. */
function finishStep(groupId: string, { formula, kitchen }: Parts, soak: boolean): Step {
  const g = formula.groups.find((x) => x.id === groupId);
  const build = g && builds.find((b) => g.id === groupIdOf(b));
  return {
    ...none,
    id: `finish:${groupId}`,
    kind: 'finish',
    phase: 'after',
    words: g?.name ?? '',
    detail: build ? build.method.join(' ') : soak ? 'brush it on while the cake is warm' : 'only when the cake is cold',
    minutes: band(5, 10, 20),
    hands: true,
    amounts: g ? apartAmounts(formula, g, kitchen) : [],
    looks: build?.looks ?? null,
    caution:
      build?.caution ??
      (soak
        ? null
        : 'Uncooked egg in a frosting: pasteurised only. Keep what holds cream, cheese or egg in the fridge.'),
    soak,
  };
}

const LOCAL = 'Local food-safety advice comes first.';

function keeping(later: readonly Operation[], p: Parts): Step[] {
  const keeps = `keeps ${p.family.keeps}`;
  const own = later.map((o, i): Step => ({
    ...none,
    id: o.id,
    kind: 'keep',
    phase: 'later',
    words: o.words,
    own: true,
    detail: [o.remark, i === later.length - 1 ? keeps : null].filter((x) => x).join('. ') || null,
    minutes: exactly(0),
    hands: false,
    amounts: p.amounts.get(o.id) ?? [],
    caution: SPIRIT.test(o.words) ? `${FLAME} ${LOCAL}` : LOCAL,
    operations: [o.id],
  }));
  if (own.length > 0) return own;
  return [
    {
      ...none,
      id: 'keep',
      kind: 'keep',
      phase: 'later',
      words: `Keeps ${p.family.keeps}`,
      detail: 'wrapped, once it is cold right through',
      minutes: exactly(0),
      hands: false,
      caution: LOCAL,
    },
  ];
}
