import { readdirSync, readFileSync } from 'node:fs';
import { operations, readRecipe, type Operation, type Phase } from '../../src/index.js';

/** One operation that a baker does, as core/test/corpus/methods/README.md writes it. */
export interface Expected {
  readonly verbs: readonly string[];
  readonly takes: readonly { readonly ids: readonly string[]; readonly share: string | null }[];
  readonly phases: readonly Phase[];
  readonly minutes: readonly [number, number] | null;
  readonly heatC: number | null;
  readonly cover: string | null;
  readonly repeat: readonly [number, number] | null;
}

export interface WholeMethod {
  readonly file: string;
  readonly id: string;
  readonly style: string;
  readonly text: string;
  readonly expected: readonly Expected[];
  /** What its list should weigh, g, by ingredient; names with a stroke between them are as good as one another. */
  readonly amounts: readonly { readonly ids: readonly string[]; readonly grams: number }[];
}

const folderOf = (name: string): URL => new URL(`../corpus/${name}/`, import.meta.url);

function expectedOf(line: string): Expected {
  const [head = '', tail = ''] = line.split(/\s+(?=@)|(?<=^[^@]*)$/);
  const [verbs = '', items = ''] = head.split(/:\s*/);
  const phase = /@(\S+)/.exec(tail)?.[1];
  const minutes = /(\d+)(?:-(\d+))? min/.exec(tail);
  const repeat = /repeat=(\d+)\/(\d+)/.exec(tail);
  return {
    verbs: verbs.trim().split('|'),
    takes: items
      .split(',')
      .map((s) => s.trim())
      .filter((s) => s !== '')
      .map((s) => {
        // "pecan=rest|pecan=0.3": either share will do, the first is asked
        const [first = ''] = s.split('|');
        const [ids = '', share] = first.split('=');
        return { ids: ids.split('/'), share: share ?? null };
      }),
    phases: (phase?.split('|') ?? []) as Phase[],
    minutes: minutes ? [Number(minutes[1]), Number(minutes[2] ?? minutes[1])] : null,
    heatC: Number(/(\d+)C\b/.exec(tail)?.[1] ?? NaN) || null,
    cover: /cover=(\w+)/.exec(tail)?.[1] ?? null,
    repeat: repeat ? [Number(repeat[1]), Number(repeat[2])] : null,
  };
}

/** Whole methods with their work, of one folder of the corpus. */
export const wholeMethods = (name: 'methods' | 'voices' = 'methods'): WholeMethod[] =>
  readdirSync(folderOf(name))
    .filter((f) => f.endsWith('.txt'))
    .sort()
    .flatMap((f) =>
      readFileSync(new URL(f, folderOf(name)), 'utf8')
        .split(/^=== /m)
        .slice(1)
        .map((block) => {
          const [name = '', ...lines] = block.split('\n');
          const [style = '', id = ''] = name.split(': ');
          const [text = '', expected = ''] = lines.join('\n').split('\n--\n');
          return {
            file: f,
            id,
            style,
            text,
            expected: expected
              .split('\n')
              .filter((l) => l.trim() !== '' && !l.startsWith('='))
              .map(expectedOf),
            amounts: [...(/^= (.*)$/m.exec(expected)?.[1] ?? '').matchAll(/([\w/-]+) ([\d.]+)/g)].map((a) => ({
              ids: (a[1] ?? '').split('/'),
              grams: Number(a[2]),
            })),
          };
        }),
    );

export type MethodFact =
  | 'amount'
  | 'done, in order'
  | 'phase'
  | 'takes'
  | 'share'
  | 'minutes'
  | 'heat'
  | 'cover'
  | 'repeat';
export interface HeldFact {
  readonly kind: MethodFact;
  readonly right: boolean;
  readonly words: string;
}

/** The longest run of expected operations that are found in their order: which operation each is. */
function aligned(expected: readonly Expected[], got: readonly Operation[]): (Operation | null)[] {
  const fits = (e: Expected, o: Operation): number => {
    if (!e.verbs.some((v) => v === o.verb || (v === 'pour' && o.verb === 'add') || synonyms[v]?.includes(o.verb)))
      return 0;
    return 1 + (e.phases.length === 0 || e.phases.includes(o.phase) ? 0.5 : 0);
  };
  const [n, m] = [expected.length, got.length];
  const best = Array.from({ length: n + 1 }, () => new Float64Array(m + 1));
  const at = (i: number, j: number): number => best[i]?.[j] ?? 0;
  for (let i = n - 1; i >= 0; i--)
    for (let j = m - 1; j >= 0; j--) {
      const f = fits(expected[i] as Expected, got[j] as Operation);
      (best[i] as Float64Array)[j] = Math.max(at(i + 1, j), at(i, j + 1), f > 0 ? f + at(i + 1, j + 1) : 0);
    }
  const out: (Operation | null)[] = expected.map(() => null);
  for (let i = 0, j = 0; i < n && j < m;) {
    const f = fits(expected[i] as Expected, got[j] as Operation);
    if (f > 0 && at(i, j) === f + at(i + 1, j + 1)) out[i++] = got[j++] as Operation;
    else if (at(i, j) === at(i + 1, j)) i++;
    else j++;
  }
  return out;
}
/** Words of the expected lists for verbs of Orvin's table. */
const synonyms: Readonly<Record<string, readonly string[]>> = {
  dust: ['grease'], 'take out': ['take from the cold', 'take out'], stir: ['mix'], spoon: ['fill', 'pour'], mark: ['score'], lay: ['place', 'layer'], gather: ['re-roll'],
  tent: ['cover'], lift: ['unmould', 'move'], check: ['test'], feed: ['feed', 'pour', 'brush'], squeeze: ['squeeze', 'press'], frost: ['frost', 'spread'], break: ['slice'],
  split: ['slice', 'divide'], peel: ['unmould', 'peel'], dampen: ['brush'], pile: ['drop'], bind: ['bring together'], work: ['mix', 'rub in'], wait: ['rest', 'chill'], wilt: ['fry'], cook: ['boil'],
  flatten: ['pat'], crumble: ['top'], store: ['keep'],
}; // prettier-ignore

/** Every fact of a method against the operations read from it. */
export function judgeMethod(c: WholeMethod): {
  readonly facts: readonly HeldFact[];
  readonly got: readonly Operation[];
} {
  const formula = readRecipe(c.text).formula;
  const byId = new Map(formula.groups.flatMap((g) => g.items.map((i) => [i.id, i.ingredient] as const)));
  const held = new Set(byId.values());
  // what Orvin adds is no reading; heating, greasing and lining may stand anywhere before the oven
  const all = operations(formula).filter((o) => o.by === 'baker');
  const ready = (v: string): boolean => /^(?:heat|grease|line|dust|take out|take from the cold)$/.test(v);
  const list = [...all].sort(
    (a, b) => (a.place?.entry ?? 0) - (b.place?.entry ?? 0) || (a.place?.from ?? 0) - (b.place?.from ?? 0) || 0,
  );
  const loose = c.expected.filter((e) => ready(e.verbs[0] ?? '') && e.phases.includes('ahead'));
  const strict = c.expected.filter((e) => !loose.includes(e));
  const strictGot = aligned(
    strict,
    all.filter((o) => !ready(o.verb) || o.phase !== 'ahead'),
  );
  const used = new Set<Operation>();
  const looseGot = loose.map((e) => {
    const o = list.find((x) => !used.has(x) && aligned([e], [x])[0] !== null) ?? null;
    if (o) used.add(o);
    return o;
  });
  const facts: HeldFact[] = [];
  const put = (kind: MethodFact, right: boolean, words: string): void => void facts.push({ kind, right, words });
  for (const a of c.amounts) {
    const grams = formula.groups.flatMap((g) => g.items).filter((i) => a.ids.includes(i.ingredient)).reduce((t, i) => t + i.grams, 0); // prettier-ignore
    put(
      'amount',
      Math.abs(grams - a.grams) <= 0.12 * a.grams + 0.5,
      `${a.ids.join('/')} ${Math.round(grams)}, not ${a.grams}`,
    );
  }
  const judge = (e: Expected, o: Operation | null): void => {
    const name = e.verbs.join('|');
    put('done, in order', o !== null, name);
    if (!o) return;
    if (e.phases.length > 0) put('phase', e.phases.includes(o.phase), `${name}: ${o.phase}, not ${e.phases.join('|')}`);
    for (const t of e.takes) {
      // what the list does not hold under such a name is the list's matter, not the method's
      if (!t.ids.some((id) => held.has(id))) continue;
      const took = o.takes.find((x) => t.ids.includes(byId.get(x.itemId) ?? ''));
      put('takes', took !== undefined, `${name}: no ${t.ids.join('/')} in «${o.words}»`);
      if (took && t.share !== null) {
        const number = t.share === 'half' ? 0.5 : Number(t.share);
        const right = Number.isFinite(number)
          ? typeof took.share === 'number' && Math.abs(took.share - number) < 0.1
          : took.share !== 1;
        put('share', right, `${name}: ${t.ids.join('/')} ${took.share}, not ${t.share}`);
      }
    }
    if (e.minutes)
      put(
        'minutes',
        o.forMin !== null &&
          o.forMin.low <= e.minutes[1] + 0.6 &&
          o.forMin.high >= e.minutes[0] - 0.6 &&
          o.forMin.low >= e.minutes[0] * 0.9 - 0.6,
        `${name}: ${o.forMin?.typical}, not ${e.minutes.join('-')}`,
      );
    if (e.heatC !== null)
      put('heat', o.heatC !== undefined && Math.abs(o.heatC - e.heatC) <= 3, `${name}: ${o.heatC}, not ${e.heatC}`);
    if (e.cover) put('cover', o.cover === e.cover, `${name}: ${o.cover}, not ${e.cover}`);
    if (e.repeat)
      put(
        'repeat',
        o.repeat !== undefined &&
          Math.abs(o.repeat.everyDays - e.repeat[0]) < 0.6 &&
          Math.abs(o.repeat.forDays - e.repeat[1]) < 1,
        `${name}: ${JSON.stringify(o.repeat)}`,
      );
  };
  strict.forEach((e, i) => judge(e, strictGot[i] ?? null));
  loose.forEach((e, i) => judge(e, looseGot[i] ?? null));
  return { facts, got: all };
}
