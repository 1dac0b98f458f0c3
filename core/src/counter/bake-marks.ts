import type { PlanMark } from '../bake/plan.js';
import type { Operation } from '../method/types.js';
import { asLine } from '../method/lines.js';
import { dialIn } from '../quantity/degrees.js';
import type { Formula } from '../formula/types.js';
import type { Parts } from './parts.js';
import { within } from '../text/plain.js';

interface Timed {
  readonly op: Operation;
  /** Minutes from the door; null where the words give no place. */
  readonly atMin: number | null;
}

/** The oven's operations along its time: each stage begins where the one before ends. */
function timed(work: readonly Operation[], wholeMin: number): Timed[] {
  let t = 0;
  let began = 0;
  return work
    .filter((o) => o.phase === 'oven' && o.place !== null && !o.meanwhile && o.load === undefined)
    .map((op, i, all): Timed => {
      const here = t;
      if (op.verb === 'bake' || op.verb === 'put in' || op.verb === 'lower' || op.verb === 'raise') {
        began = here;
        t += op.forMin?.typical ?? 0;
        return { op, atMin: here };
      }
      if (op.atShare !== undefined) return { op, atMin: op.atShare * wholeMin };
      if (op.beforeEnd) return { op, atMin: op.atMin !== undefined ? wholeMin - op.atMin : null };
      // "turn after 8" counts from the door, "cover after 20" behind a stage of its own from there, when that fits
      if (op.atMin !== undefined)
        return { op, atMin: op.atMin + (op.atMin + began <= wholeMin && began > 0 && op.atMin < began ? began : 0) };
      // without a time of its own a turn is half-way, unless it stands between two stages: then it is where they meet
      const between = here > 0 && all.slice(i + 1).some((x) => x.verb === 'bake' && x.forMin !== null);
      const loose = op.verb === 'test' || ((op.verb === 'turn' || op.verb === 'swap') && !between);
      return { op, atMin: loose ? null : here };
    });
}

const SHORT: Readonly<Record<string, string>> = {
  turn: 'turn',
  swap: 'swap',
  cover: 'cover',
  uncover: 'uncover',
  test: 'look',
};

/** Unlike tins come out when each is done: those that the words give a shorter time than the whole. */
function soonerOut(formula: Formula, wholeMin: number): PlanMark[] {
  const tins = formula.tins ?? [];
  if (tins.length < 2) return [];
  return tins.flatMap(({ tin, count, minutes }): PlanMark[] => {
    if (!minutes || minutes.late >= wholeMin - 2) return [];
    const name = `${count > 1 ? `the ${count} × ` : 'the '}${tin.name}`;
    return [
      {
        kind: 'change',
        atMin: Math.round((minutes.early + minutes.late) / 2),
        words: `${name}: look, likely done (${[...new Set([minutes.early, minutes.late])].join('–')} min)`,
        short: 'out',
        own: true,
      },
    ];
  });
}

/**
 * What to do when while it bakes: what the baker's own words ask for, and what the prediction adds. The baker's turn, cover and
 * look take the place of predicted ones; changes of heat are said once; a small tin beside a large one comes out at its own time.
 *
 * @param wholeMin likely minutes in the oven
 */
export function bakeMarks(
  { work, plan, kitchen, formula }: Pick<Parts, 'work' | 'plan' | 'kitchen' | 'formula'>,
  wholeMin: number,
): PlanMark[] {
  const own: PlanMark[] = soonerOut(formula, wholeMin);
  const said = new Set<string>();
  for (const { op, atMin } of timed(work, wholeMin)) {
    if (op.verb === 'bake' || op.verb === 'put in' || op.verb === 'take out') continue;
    const heats = op.verb === 'lower' || op.verb === 'raise';
    const stated = plan.some((m) => m.kind === 'change' && atMin !== null && Math.abs(m.atMin - atMin) <= 2);
    // the stages of the bake say it already
    if ((heats || op.verb === 'cover' || op.verb === 'uncover') && stated) continue;
    const words = asLine(op.words).replace(/[.;,]+$/, '');
    const lower = within(words);
    const kind =
      op.verb === 'turn' || op.verb === 'swap'
        ? 'turn'
        : op.verb === 'test'
          ? 'first look'
          : op.onlyIf && op.verb === 'cover'
            ? 'tent'
            : 'change';
    const likely =
      atMin ??
      (kind === 'turn' ? wholeMin / 2 : kind === 'first look' ? 0.95 * wholeMin : op.onlyIf ? 0.7 * wholeMin : null);
    if (likely === null || likely < 0 || likely > wholeMin + 1) continue;
    said.add(kind);
    const short = heats && op.heatC !== undefined ? dialIn(kitchen.display.temperature, op.heatC) : SHORT[op.verb];
    own.push({
      kind,
      atMin: Math.max(0, Math.round(likely)),
      words: lower,
      own: true,
      ...(kind === 'change' && { short: short ?? op.verb }),
    });
  }
  const rest = plan.filter(
    (m) =>
      !(said.has(m.kind) && (m.kind === 'turn' || m.kind === 'first look' || m.kind === 'tent')) &&
      !(m.kind === 'tent' && own.some((x) => x.kind === 'change' && x.short === 'cover')),
  );
  return [...rest, ...own].sort((a, b) => a.atMin - b.atMin);
}
