import { catalogueRow } from '../ingredient/catalogue.js';
import type { Line } from '../leavening/parts.js';
import { roleOf, type SuspectRole } from './sums.js';

/** What may have gone wrong with a line: its amount, that it is not there, that powder is called soda or soda powder. */
export type SlipKind = 'times' | 'missing' | 'name';

/** A slip that a baker makes, as a hypothesis: a role's lines so many times what was meant. */
export interface Slip {
  readonly role: SuspectRole;
  readonly kind: SlipKind;
  /** What was meant, times this, is what stands there; 0 where it is missing. */
  readonly factor: number;
  /** Only these of the leaveners, where a slip is theirs alone. */
  readonly only?: 'powder' | 'soda';
  /** How often it is made, beside the others. Judgement: forgetting, doubling and a confused leavener come most. */
  readonly often: number;
}

const times = (role: SuspectRole, factor: number, often = RARE): Slip => ({ role, kind: 'times', factor, often });
const missing = (role: SuspectRole, often: number): Slip => ({ role, kind: 'missing', factor: 0, often });
const RARE = 0.2;

/**
 * ⅓ to 3 times for the large lines: a half or a doubled recipe, a cup for half a cup, ounces read as something else, a
 * third that was meant as a whole. Leaveners also by a spoon of another size, and by each other's name.
 */
export const slips: readonly Slip[] = [
  ...[1 / 3, 1 / 2, 2, 3].map((k) => times('flour', k)),
  times('flour', 2 / 3, 1),
  times('flour', 3 / 2, 1),
  ...[1 / 3, 2 / 3, 3 / 2, 2, 3].map((k) => times('liquid', k)),
  times('liquid', 1 / 2, 0.8),
  missing('liquid', RARE),
  ...(['fat', 'sugar'] as const).flatMap((r) => [
    ...[1 / 3, 1 / 2, 2 / 3, 3 / 2, 3].map((k) => times(r, k)),
    times(r, 2, 0.9),
    missing(r, 4.6),
  ]),
  ...[1 / 3, 1 / 2, 2 / 3, 3 / 2, 2, 3].map((k) => times('egg', k)),
  missing('egg', 5.4),
  times('leavener', 1 / 3, 0.7),
  times('leavener', 1 / 2, 0.3),
  times('leavener', 2),
  times('leavener', 3, 5),
  missing('leavener', 5),
  { role: 'leavener', kind: 'times', factor: 3, only: 'powder', often: RARE },
  { role: 'leavener', kind: 'times', factor: 3, only: 'soda', often: RARE },
  { role: 'leavener', kind: 'name', factor: 1, only: 'powder', often: 5.4 },
  { role: 'leavener', kind: 'name', factor: 1, only: 'soda', often: RARE },
  ...[2, 3].map((k) => times('salt', k)),
  times('salt', 4, 0.8),
];

/** How much of a role, as a share of the flour, there must be for a slip of it to be seen at all. Judgement. */
const ENOUGH: Readonly<Record<SuspectRole, number>> = {
  flour: 0.1,
  liquid: 0.3,
  fat: 0.15,
  sugar: 0.3,
  egg: 0.2,
  leavener: 0.001,
  salt: 0.003,
};

/** The lines with a slip made in them; null where there is not enough of it, or of both leaveners, to make it with. */
export function planted(lines: readonly Line[], slip: Slip): readonly Line[] | null {
  const flour = lines.reduce((s, l) => s + (l.ingredient.base === 'flour' ? l.grams : 0), 0);
  const is = (l: Line): boolean =>
    roleOf(l) === slip.role && (slip.only === undefined || l.ingredient.leavener === slip.only);
  const mine = lines.filter(is);
  const grams = mine.reduce((s, l) => s + l.grams, 0);
  if (grams <= ENOUGH[slip.role] * flour) return null;
  if (slip.only && slip.kind === 'times' && mine.length === lines.filter((l) => roleOf(l) === 'leavener').length)
    return null;
  const other = slip.only === 'powder' ? 'baking-soda' : 'baking-powder';
  return lines.map((l) => {
    if (!is(l)) return l;
    if (slip.kind === 'name') return { ...l, ingredient: catalogueRow(other) };
    return { ...l, grams: l.grams * slip.factor };
  });
}
