/**
 * Fits the judgement of formulas to the ordinary ones in core/src/plausible/ordinary: writes weights.ts, and what it
 * finds of formulas that it had not seen into docs/science/judgement.md. See docs/science/plausibility.md.
 */
import { writeFileSync } from 'node:fs';
import { ordinaryFormulas } from '../src/plausible/data.js';
import { learnExpected, learnTelling } from '../src/plausible/learn.js';
import { slips, type Slip } from '../src/plausible/slips.js';
import {
  common,
  crossValidated,
  gross,
  namedRightly,
  oddnessAt,
  partByCountry,
  sharesAt,
  weightsOf,
  type Judgement,
} from '../test/support/plausible.js';

const root = new URL('../../', import.meta.url);
const pc = (x: number): string => `${Math.round(100 * x)} %`;
const table = (head: readonly string[], rows: readonly (readonly string[])[]): string =>
  [head, head.map(() => '---'), ...rows].map((r) => `| ${r.join(' | ')} |`).join('\n');
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

function slipName({ role, kind, factor, only }: Slip): string {
  if (kind === 'missing') return `${role} forgotten`;
  if (kind === 'name') return only === 'powder' ? 'powder called soda' : 'soda called powder';
  const times = factor >= 1 ? `× ${String(factor)}` : `× ${factor.toFixed(2)}`;
  return `${only ?? role} ${times}`;
}

/** False alarms against what is found, for one hand. */
function curve(judged: readonly Judgement[]): string[][] {
  const named = namedRightly(judged);
  return [0.02, 0.05, 0.08, 0.12, 0.2].map((fa) => {
    const s = sharesAt(judged, fa);
    const first = fa === 0.08 ? `${pc(named.first)} / ${pc(named.three)}` : '';
    return [pc(fa), pc(s.found), pc(s.foundGross), first];
  });
}

const share = (of: readonly Judgement[], from: number): string =>
  of.length === 0 ? '–' : pc(of.filter((j) => j.told.any > from).length / of.length);

function study(title: string, judged: readonly Judgement[]): string {
  const hands = [
    ['by six other hands', judged.filter((j) => !j.formula.own)],
    ['of our own', judged.filter((j) => j.formula.own)],
  ] as const;
  return [
    `## ${title}`,
    ...hands.map(([hand, of]) => {
      const n = of.filter((j) => j.slip === null).length;
      return `${n} formulas ${hand}:\n\n${table(['false alarms', 'common slips found', 'gross ones', 'first suspect / in three'], curve(of))}`;
    }),
  ].join('\n\n');
}

const all = ordinaryFormulas();
const counted = (of: readonly Judgement[]): Judgement[] => of.filter((j) => !j.formula.beside);
const { told: trained, asWeighed } = crossValidated(all);
const judged = counted(trained);
const at = oddnessAt(judged, 0.08);
const slipped = judged.filter((j) => j.formula.families[0] !== 'free');
const byFault = slips.map((slip) => {
  const of = slipped.filter((j) => j.slip === slip);
  const named = namedRightly(of, () => true);
  const kind = of[0] && gross(of[0]) ? 'gross' : of[0] && common(of[0]) ? 'common' : '';
  return [capital(slipName(slip)), String(of.length), share(of, at), `${pc(named.first)} / ${pc(named.three)}`, kind];
});
const families = [...new Set(all.map((f) => f.families[0] ?? 'free'))].map((id) => {
  const of = judged.filter((j) => j.formula.families[0] === id);
  const ordinary = of.filter((j) => j.slip === null);
  return [
    id,
    String(ordinary.length),
    share(ordinary, at),
    share(of.filter((j) => common(j)), at),
    share(of.filter((j) => gross(j)), at),
  ]; // prettier-ignore
});

const doc = `# What the judgement finds

Made by \`npm run fit\`. [How it judges](plausibility.md). Every formula here is judged by models that saw neither it nor slips in it.
Common: the twelve slips that are made most, of which the gross ones are a role forgotten, leavener three times, and powder called soda.

${study('Left out by name, in ten parts', judged)}

## By slip, at 8 % false alarms of all

${table(['slip', 'cases', 'found', 'first suspect / in three', ''], byFault)}

## By family, at 8 % false alarms of all

${table(['family', 'formulas', 'false alarms', 'common slips found', 'gross ones'], families)}

${study('Left out by country, in ten parts: no formula of the same country is in the ground', counted(crossValidated(all, partByCountry).told))}

${study('As weighed: nothing is known of how it is worked', counted(asWeighed))}
`;
writeFileSync(new URL('docs/science/judgement.md', root), doc);
console.log(doc);
const weights = weightsOf(learnExpected(all), learnTelling(trained), judged);
writeFileSync(
  new URL('core/src/plausible/weights.ts', root),
  `/** Made by \`npm run fit\` from the ordinary formulas; see model.ts and docs/science/plausibility.md. */\nexport const weights = ${JSON.stringify(weights)};\n`,
);
