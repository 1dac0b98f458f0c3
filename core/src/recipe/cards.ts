import { alsoSaid, readAlsoSaid, ways, waysOf, withWay } from '../bake/ways.js';
import { families } from '../balance/families.js';
import type { About, BakeSetting, Stated, EggSize, FamilyId, Formula, Item, Source } from '../formula/types.js';
import { ingredientFor } from '../formula/formula.js';
import type { Kitchen } from '../formula/types.js';
import { printUnit } from '../quantity/amount.js';
import { fractions } from '../quantity/numbers.js';
import { tinWords } from './tins.js';

/**
 * The lines of a written card that say, in plain words, what a formula holds beside its ingredients and steps: measures,
 * heat, tins, yield and family. Writing and reading of each line stand side by side, so that they cannot drift apart.
 */

/** A number as a fraction where it is one to a thousandth, else in up to four decimals. */
export function exactly(x: number): string {
  const whole = Math.floor(x + 1e-9);
  const rest = x - whole;
  const found = fractions.find(([v]) => Math.abs(v - rest) < 6e-4);
  return found ? `${whole > 0 ? whole : ''}${found[1]}` : String(Number(x.toFixed(4)));
}

const grams = (g: number): string => String(Number(g.toFixed(2)));

/** An ingredient line that the reader takes back as it was: "1½ cups Plain flour (180 g)". */
export function itemLine(formula: Formula, item: Item, kitchen?: Kitchen): string {
  const { entered } = item;
  const name = item.ingredient === 'unknown' ? item.words : ingredientFor(formula, item, kitchen).name;
  const more = item.optional ? ', optional' : '';
  if (item.ingredient === 'unknown') return name;
  if (!entered || entered.unit === 'g') return `${grams(item.grams)} g ${name}${more}`;
  const value = typeof entered.value === 'number' ? exactly(entered.value) : entered.value.map(exactly).join('–');
  const unit = entered.unit === 'piece' ? '' : ` ${printUnit(entered)}`;
  return `${value}${unit} ${name} (${grams(item.grams)} g)${more}`;
}

const eggWords: Readonly<Record<EggSize, string>> = {
  'us-s': 'US small',
  'us-m': 'US medium',
  'us-l': 'US large',
  'us-xl': 'US extra large',
  'us-jumbo': 'US jumbo',
  'eu-s': 'European small',
  'eu-m': 'European medium',
  'eu-l': 'European large',
  'eu-xl': 'European extra large',
};

/** "Measures: cup 240 ml, spoon 5 ml, flour spooned, salt fine, eggs European medium". */
export const measuresLine = (s: Source): string =>
  `Measures: cup ${s.cupMl} ml, spoon ${s.spoonMl} ml, flour ${s.flourHabit}, salt ${s.saltKind}, eggs ${eggWords[s.eggSize]}`;

export function readMeasuresLine(text: string): Source | null {
  const m =
    /^measures:\s*cup ([\d.]+) ml, spoon ([\d.]+) ml, flour (sifted|spooned|dipped|packed), salt (fine|coarse|flake), eggs (.+?)\s*$/i.exec(
      text,
    );
  const eggs = Object.entries(eggWords).find(([, w]) => w.toLowerCase() === m?.[5]?.toLowerCase())?.[0];
  if (!m || !eggs) return null;
  return {
    cupMl: Number(m[1]),
    spoonMl: Number(m[2]),
    flourHabit: m[3]?.toLowerCase() as Source['flourHabit'],
    saltKind: m[4]?.toLowerCase() as Source['saltKind'],
    eggSize: eggs as EggSize,
  };
}

const coverWords = { none: ', uncovered', tent: ', under foil', lid: ', under a lid' } as const;

/** "220 °C, fan, into a hot tin, 40–45 minutes; from minute 10: 180 °C". */
function settingWords(b: BakeSetting): string {
  const time = b.minutes
    ? `, ${b.minutes.early === b.minutes.late ? b.minutes.early : `${b.minutes.early}–${b.minutes.late}`} minutes`
    : '';
  const stages = (b.stages ?? [])
    .map((s) => `; from minute ${s.fromMin}: ${s.ovenC} °C${s.cover ? coverWords[s.cover] : ''}`)
    .join('');
  return `${b.ovenC} °C${b.fan ? ', fan' : ''}${b.hotTin ? ', into a hot tin' : ''}${[...waysOf(b).map((w) => w.words), ...alsoSaid(b)].map((w) => `, ${w}`).join('')}${time}${stages}`; // prettier-ignore
}

function readSetting(text: string): BakeSetting | null {
  const said = ways.filter((w) => new RegExp(`, ${w.words}(?=,|;|\\s*$)`, 'i').test(text));
  const { rest, conditions } = readAlsoSaid(text);
  const plain = said.reduce((t, w) => t.replace(`, ${w.words}`, ''), rest);
  const m =
    /^\s*(-?[\d.]+) °C(, fan)?(, into a hot tin)?(?:, ([\d.]+)(?:[–-]([\d.]+))? minutes)?((?:; from minute [\d.]+: -?[\d.]+ °C(?:, (?:uncovered|under foil|under a lid))?)*)\s*$/i.exec(
      plain,
    );
  if (!m?.[1]) return null;
  const stages = [
    ...(m[6] ?? '').matchAll(/from minute ([\d.]+): (-?[\d.]+) °C(?:, (uncovered|under foil|under a lid))?/gi),
  ].map((s) => {
    const cover = (['none', 'tent', 'lid'] as const).find((c) => coverWords[c] === `, ${s[3]?.toLowerCase()}`);
    return { fromMin: Number(s[1]), ovenC: Number(s[2]), ...(cover && { cover }) };
  });
  const setting: BakeSetting = {
    ovenC: Number(m[1]),
    fan: m[2] !== undefined,
    ...(m[3] && { hotTin: true }),
    ...(m[4] && { minutes: { early: Number(m[4]), late: Number(m[5] ?? m[4]) } }),
    ...(stages.length > 0 && { stages }),
    ...(Object.keys(conditions).length > 0 && { conditions }),
  };
  return said.reduce((b, w) => withWay(b, w.group, w.id), setting);
}

/** "Oven: 220 °C, fan, 40–45 minutes". */
export const ovenLine = (b: BakeSetting): string => `Oven: ${settingWords(b)}`;
export function readOvenLine(text: string): BakeSetting | null {
  const m = /^oven:(.*)$/i.exec(text);
  return m?.[1] === undefined ? null : readSetting(m[1]);
}

/** "Time stated for: 175 °C, 40–48 minutes; with 700 g in a tin", of another heat or batter than the formula has now. */
export const statedLine = (s: Stated): string =>
  `Time stated for: ${settingWords(s)}${s.batterG === undefined ? '' : `; with ${s.batterG} g in a tin`}`;
export function readStatedLine(text: string): Stated | null {
  const m = /^time stated for:(.*?)(?:; with ([\d.]+) g in a tin)?\s*$/i.exec(text);
  const setting = m?.[1] === undefined ? null : readSetting(m[1]);
  return setting && { ...setting, ...(m?.[2] && { batterG: Number(m[2]) }) };
}

/** "Makes: 12 muffins". */
export const yieldLine = (y: NonNullable<Formula['yield']>): string =>
  `Makes: ${y.pieces}${y.name ? ` ${y.name}` : ''}`;
export function readYieldLine(text: string): Formula['yield'] | null {
  const m = /^makes:\s*([\d.]+)(?:\s+(.+?))?\s*$/i.exec(text);
  return m?.[1] ? { pieces: Number(m[1]), ...(m[2] && { name: m[2] }) } : null;
}

/** "May contain: nuts, sesame": traces that the baker speaks of. */
export const mayContainLine = (what: readonly string[]): string => `May contain: ${what.join(', ')}`;
export function readMayContainLine(text: string): string[] | null {
  const m = /^may contain:\s*(.+?)\s*$/i.exec(text);
  return m?.[1] ? m[1].split(/\s*,\s*/).filter((x) => x !== '') : null;
}

const aboutLines = ({ by, description, prepMinutes, totalMinutes }: About): string[] => [
  ...(by ? [`By: ${oneLine(by)}`] : []),
  ...(description ? [`About: ${oneLine(description)}`] : []),
  ...(prepMinutes ? [`Preparation time: ${prepMinutes} minutes`] : []),
  ...(totalMinutes ? [`Total time: ${totalMinutes} minutes`] : []),
];
/** One of the lines that tell of a recipe; null when it is none. */
export function readAboutLine(text: string): About | null {
  const m = /^(by|about|preparation time|total time):\s*(\S.*?)\s*$/i.exec(text);
  const [label, said] = [m?.[1]?.toLowerCase(), m?.[2] ?? ''];
  if (label === 'by') return { by: said };
  if (label === 'about') return { description: said };
  const minutes = /^([\d.]+) minutes$/i.exec(said)?.[1];
  if (label === undefined || minutes === undefined) return null;
  return label === 'total time' ? { totalMinutes: Number(minutes) } : { prepMinutes: Number(minutes) };
}

/** One line, however it was typed: formats that live on lines cannot carry a break inside one. */
export const oneLine = (s: string): string => s.replace(/\s*[\r\n]+\s*/g, ' ').trim();

export const familyLine = (id: FamilyId): string => `Family: ${id}`;
export function readFamilyLine(text: string): FamilyId | null {
  const said = /^family:\s*([a-z-]+)\s*$/i.exec(text)?.[1]?.toLowerCase();
  return families.find((f) => f.id === said)?.id ?? null;
}

export const tinsLine = (tins: NonNullable<Formula['tins']>): string => `Tin: ${tins.map(tinWords).join(' and ')}`;

/** Whether a line is one of a card's head, and so neither a note nor said of the oven by anyone else. */
export const isHeadLine = (text: string): boolean =>
  [
    readMeasuresLine,
    readFamilyLine,
    readOvenLine,
    readStatedLine,
    readYieldLine,
    readMayContainLine,
    readAboutLine,
  ].some((read) => read(text) !== null);

/** Every line of the card's head that this formula has something for. */
export const headLines = (f: Formula): string[] => [
  familyLine(f.family),
  measuresLine(f.source),
  ...(f.yield ? [yieldLine(f.yield)] : []),
  ...(f.mayContain && f.mayContain.length > 0 ? [mayContainLine(f.mayContain)] : []),
  ...(f.tins && f.tins.length > 0 ? [tinsLine(f.tins)] : []),
  ...(f.bake ? [ovenLine(f.bake)] : []),
  ...(f.bake?.stated ? [statedLine(f.bake.stated)] : []),
  ...aboutLines(f.about ?? {}),
];
