import { readFileSync } from 'node:fs';
import { defaultKitchen, fitTins, laterOf, readRecipe, shared, workOf, type Formula, type TinFit } from '../../src/index.js'; // prettier-ignore

/** A short recipe of a shaped dough with what comes of it, as core/test/corpus/shaped/README.md writes it. */
export interface ShapedCase {
  readonly id: string;
  readonly text: string;
  readonly facts: ReadonlyMap<string, string>;
}

export const shapedCases = (name: 'worked' | 'fresh'): ShapedCase[] =>
  readFileSync(new URL(`../corpus/shaped/${name}.txt`, import.meta.url), 'utf8')
    .split(/^=== /m)
    .slice(1)
    .map((block) => {
      const [id = '', said = '', ...lines] = block.split('\n');
      const facts = new Map(said.split(/\s\|\s/).map((f) => [f.slice(0, f.indexOf(' ')), f.slice(f.indexOf(' ') + 1)]));
      return { id, text: lines.join('\n').trim(), facts };
    });

export const within = (range: string, x: number): boolean => {
  const [low = NaN, high = low] = range.split('-').map(Number);
  return x >= low && x <= high;
};

/** All pieces, of all uses. */
const piecesOf = (fits: readonly TinFit[]): number => fits.reduce((n, f) => n + f.count * (f.tin.cups ?? 1), 0);
const matches = (want: string, got: string): boolean => new RegExp(`^(?:${want})$`).test(got);

/** What Orvin's reading has of each fact. */
function readAs(formula: Formula): Readonly<Record<string, (want: string) => readonly [boolean, string]>> {
  const fits = fitTins(formula, formula.tins ?? []);
  const tin = fits[0]?.tin;
  const { loads } = shared(workOf(formula).operations, fits, defaultKitchen.ovens[0]);
  const count = (n: number): ((want: string) => readonly [boolean, string]) => (want) => [want.split('|').some((w) => within(w.replace(/^pieces /, ''), n)), String(n)]; // prettier-ignore
  const one = (of: readonly string[], want: string): readonly [boolean, string] => {
    const got = of.join('+');
    return [want.split(/\|(?![^(]*\))/).some((w) => matches(w.replace(/\+/g, '\\+'), got)), got];
  };
  const wide = tin?.topMm ?? 0;
  return {
    pieces: count(piecesOf(fits)),
    outline: (want) => {
      const got = tin?.cut ?? tin?.shaped ?? (tin?.shape !== 'mound' ? 'none' : tin.top2Mm ? 'oval' : 'round');
      return [matches(want, got), got];
    },
    // of wedges, the disc that one round's share of them came from
    across: count(tin?.cut === 'wedges' ? wide * Math.sqrt((tin.cups ?? 1) / (tin.rounds ?? 1)) : wide),
    thick: count(fits[0]?.batterMm ?? 0),
    scored: (want) => [matches(want, tin?.scored ?? 'not'), tin?.scored ?? 'not'],
    now: count(loads.each.reduce((n, x) => n + piecesOf(x), 0)),
    loads: count(loads.each.length),
    tins: (want) => one((formula.tins ?? []).map((t) => `${t.count}x${t.tin.shape}${t.tin.shape === 'cup' ? t.tin.cups : ''}`), want), // prettier-ignore
    times: (want) =>
      one(
        (formula.tins ?? []).map((t) => `${t.minutes?.early}-${t.minutes?.late}`),
        want,
      ),
    ahead: () => {
      const dry = laterOf(formula).some((l) => l.afterDays < 0);
      return [dry, dry ? 'dry' : 'none'];
    },
  };
}

/** The facts of a case, and whether Orvin's reading bears them out. */
export function judgeShaped(c: ShapedCase): { kind: string; right: boolean; words: string }[] {
  const of = readAs(readRecipe(c.text).formula);
  return [...c.facts].map(([kind, want]) => {
    const [right, got] = of[kind]?.(want) ?? [false, 'no such fact'];
    return { kind, right, words: `${c.id}: ${kind} ${got}, meant ${want}` };
  });
}
