import { readSpoken, spokenPattern } from '../quantity/spoken.js';
import { GAS_C } from '../quantity/degrees.js';
import { toCelsius } from '../quantity/units.js';
import { durationAt } from './durations.js';
import { at } from './sticky.js';

/** One statement of heat, with every way in which it was put: "180C/160C fan/gas 4". */
export interface Heat {
  readonly ovenC: number;
  readonly fan: boolean;
  readonly said: string;
  /** The figure as said. */
  readonly value: number;
  /** The scale as written; null when the number stands alone. */
  readonly scale: 'C' | 'F' | 'gas' | 'words' | null;
  /** True where a sign, a scale, a mark or "fan" says that it is a heat. */
  readonly marked: boolean;
  /** The other scale's figure when both are given and disagree by more than rounding. */
  readonly clashC: number | null;
  readonly from: number;
  readonly to: number;
}

/** °C of the words that ovens without a dial were known by; the usual tables of cookery books, general knowledge. */
const ovenWords: readonly (readonly [RegExp, number])[] = [
  [/^(?:very|extremely)\s+(?:hot|quick)/i, 230],
  [/^(?:moderately|fairly|mod\.?)\s+hot/i, 195],
  [/^(?:moderately|fairly)\s+(?:slow|cool)/i, 165],
  [/^very\s+(?:slow|cool|low)/i, 125],
  [/^(?:hot|quick|brisk)/i, 215],
  [/^(?:mod\.?|moderate|medium)/i, 180],
  [/^warm/i, 165],
  [/^(?:slow|cool|low|gentle)/i, 150],
];

const figure = /(\d{2,3})(?:\s*(?:-|–|to|or)\s*(\d{3}))?(?![\d]|[.,]\d)/y;
const degree = /(?<=\d)o(?=[cf]\b)|\s*-?\s*(?:°|º|˚|degrees?|degs?\.?|grad\b|grados|gradi|degr[eé]s?)/iy;
const scaleWord = /\s*(?:(c(?:elsius|entigrade|els\.?)?)|(f(?:ahrenheit|ahr\.?)?))(?![\p{L}\p{N}])\.?/iuy;
const fanBefore =
  /(?:fan(?:[- ](?:forced|assisted|bake))?|convection|hot[- ]air|umluft|heißluft|chaleur tournante|ventilado|ventilato)(?:\s+(?:oven|setting))?\s*(?:at|to|on|:|,)?\s*\(?$/i;
const fanBehind =
  /[\s,(]*(?:(?:in|for|with)\s+(?:an?|the|my)\s+)?(?:fan(?![a-z])(?!\s+off)(?:[- ](?:forced|assisted|oven))?|convection|hot air|umluft|heißluft|chaleur tournante|ventilado|ventilato)\b/iy;
/** Marks in figures and in words; "gas 4", "oven no. 4", "regulo five". */
const gasMark = '(½|¼|1\\/2|1\\/4|10|\\d|one|two|three|four|five|six|seven|eight|nine)';
const gas = new RegExp(
  `(?:(?:gas|oven)\\s*(?:mark|no\\.?|number)|gas|reg(?:ulo)?\\.?(?:\\s*mark)?|mark)\\s*${gasMark}(?![\\d/\\p{L}]|\\s*(?:minutes?|mins?|hours?)\\b)(?:\\s*(?:-|–|or|to)\\s*\\d(?!\\d))?`,
  'iyu',
);
/** The mark in front: "on 4 (gas)", "number five on the gas". */
const gasBehind = new RegExp(
  `(?:(?:number|no\\.?|mark)\\s*)?${gasMark}\\s*(?:\\(\\s*gas\\s*\\)|(?:on|in) the gas\\b)`,
  'iyu',
);
/** "Oven on, seven.": of an oven that has marks. */
const gasAloud = new RegExp(`oven\\s+on,?(?:\\s+at)?\\s+${gasMark}(?=\\s*[,.;)]|\\s*$)`, 'iyu');
const marks: Readonly<Record<string, string>> = { one: '1', two: '2', three: '3', four: '4', five: '5', six: '6', seven: '7', eight: '8', nine: '9' }; // prettier-ignore
const thermostat = /th(?:ermostat|\.)?\s*(\d{1,2})(?:\s*[-/]\s*\d)?(?!\d)/iy;
const worded =
  /(?:(?:very|moderately|fairly|extremely)\s+)?(?:slow|cool|low|gentle|moderate|mod\.?|medium|warm|hot|quick|brisk)(?:\s+hot)?\s+oven\b/iy;
const spoken = new RegExp(`(?:${spokenPattern})(?![\\p{L}])`, 'yiu');
/** "three fifty", "four twenty-five", "one eighty". */
const byHundreds =
  /(one|two|three|four|five)[\s-]+((?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)(?:[\s-]five)?)(?!\s*-?\s*(?:min|hour|g\b|gram|ml))(?![\p{L}])/iuy;
const hundreds: Readonly<Record<string, number>> = { one: 100, two: 200, three: 300, four: 400, five: 500 };

const build = (p: Pick<Heat, 'value' | 'scale' | 'fan' | 'marked' | 'said' | 'from' | 'to'>, ovenC: number): Heat => ({
  ...p,
  ovenC,
  clashC: null,
});

/** A figure that may be a heat, with its scale. */
function figureAt(text: string, from: number): Heat | null {
  const m = at(figure, text, from);
  const aloud = m ? null : (at(byHundreds, text, from) ?? at(spoken, text, from));
  let value: number;
  let to: number;
  if (m) {
    value = m[2] ? (Number(m[1]) + Number(m[2])) / 2 : Number(m[1]);
    to = from + m[0].length;
  } else if (aloud) {
    value = aloud[2]
      ? (hundreds[(aloud[1] ?? '').toLowerCase()] ?? 0) + (readSpoken(aloud[2]) ?? 0)
      : (readSpoken(aloud[0]) ?? 0);
    to = from + aloud[0].length;
    if (value < 100 || value > 550 || value % 5 !== 0) return null;
  } else return null;
  const sign = at(degree, text, to);
  if (sign) to += sign[0].length;
  const unit = at(scaleWord, text, to);
  // "2 dl", "200 c." of a list line: a scale needs a sign or three figures
  const scaled = unit && (sign || (value >= 90 && /^\s*[cf]/i.test(unit[0])));
  if (scaled) to += unit[0].length;
  const behind = at(fanBehind, text, to);
  const before = fanBefore.test(text.slice(Math.max(0, from - 34), from));
  const fan = before || (behind !== null && !/^\s*(?:off|\d{3})/i.test(text.slice(to + behind[0].length)));
  if (value < 75 || value > 600) return null;
  const scale = scaled ? (unit[1] ? 'C' : 'F') : null;
  const said = text.slice(from, to).trim();
  if (fan && behind && !before) to += behind[0].length;
  const ovenC = scale === 'F' || (scale === null && value >= 275) ? Math.round(toCelsius(value)) : value;
  return build({ value, scale, fan, marked: sign !== null || Boolean(scaled) || fan, said, from, to }, ovenC);
}

function heatAt(text: string, from: number): Heat | null {
  const g = at(gas, text, from) ?? at(gasBehind, text, from) ?? at(gasAloud, text, from);
  const mark = (g?.[1] ?? '').toLowerCase();
  const c = g ? GAS_C[marks[mark] ?? mark] : undefined;
  if (g && c !== undefined) {
    // "mark in four", "mark 8 wedges" are knives, not ovens
    const knife =
      /^mark/i.test(g[0]) &&
      !/^\s*,?\s*(?:for\s+)?(?:about\s+)?\d+[\d\s–-]*(?:min|hr|hour)/i.test(text.slice(from + g[0].length)) &&
      !/\b(?:oven|gas|at|to)\b[^.]{0,16}$/i.test(text.slice(Math.max(0, from - 60), from));
    if (!knife)
      return build({ value: c, scale: 'gas', fan: false, marked: true, said: g[0], from, to: from + g[0].length }, c);
  }
  const t = at(thermostat, text, from);
  if (t && Number(t[1]) >= 2 && Number(t[1]) <= 9) {
    const value = Number(t[1]) * 30;
    return build({ value, scale: 'gas', fan: false, marked: true, said: t[0], from, to: from + t[0].length }, value);
  }
  const w = at(worded, text, from);
  const word = w && ovenWords.find(([re]) => re.test(w[0]));
  if (w && word)
    return build(
      { value: word[1], scale: 'words', fan: false, marked: true, said: w[0], from, to: from + w[0].length },
      word[1],
    );
  return figureAt(text, from);
}

/** What follows a figure that is no heat: a weight, a size, a time, a count. */
const otherUnit =
  /^\s*(?:-\s*)?(?:(?:[x×]|by)\s*\d|%|(?:min|hour|hr|sec|g\b|gr\b|gms?\b|gram|kg|ml|l\b|cl\b|dl\b|oz|lb|cm|mm|inch|in\b(?!\s+(?:(?:an?|the|your)\b|\d))|"|”|cups?\b|tsp|tbsp|kcal|cal|people|pieces|eggs?\b|slices|portions|servings))/i;
/** Words in front of a bare figure that make it a heat. */
const ovenLead =
  /\b(?:oven|bake[ds]?|baking|preheat(?:ed)?|pre-heat|heat(?:ed|s)?|at|to|temp(?:erature)?\.?|then|about|set|down to|up to)\b[^.;!?\d]{0,24}$/i;

const spokenLead =
  /\b(?:oven(?:['’]?s)?|bake[ds]?|baking|preheat(?:ed)?|heat(?:ed|s)?|temp(?:erature)?|degrees)\b[^.;!?\d]{0,34}$|\b(?:at|to|hot,)\s+$/i;

/** Every statement of heat in a text, bare figures included where words about the oven stand in front. */
export function rawHeats(text: string, barely: (from: number, to: number) => boolean): Heat[] {
  const out: Heat[] = [];
  let end = 0;
  for (const m of text.matchAll(/[\p{L}\p{N}]+/gu)) {
    if (m.index < end) continue;
    const before = text.slice(Math.max(0, m.index - 2), m.index);
    // a figure behind a point or a slash is the end of another one, unless that was a heat: "180/160"
    if (/^\d/.test(m[0]) && (/\d[.,]$/.test(before) || (/\S\/$/.test(before) && out.at(-1)?.to !== m.index - 1)))
      continue;
    // "two-hundred-degree": the end of a number that was not read
    if (/\p{L}-$/u.test(before) && !/^\d/.test(m[0])) continue;
    const h = heatAt(text, m.index);
    if (!h) continue;
    if (!h.marked) {
      if (h.value < 90 || otherUnit.test(text.slice(h.to, h.to + 14))) continue;
      const aloud = !/\d/.test(h.said);
      const lead = aloud ? spokenLead : ovenLead;
      const said =
        aloud && at(byHundreds, text, h.from) !== null && /^\s*(?:[,.;]|$|or\b|for\b|if\b)/i.test(text.slice(h.to));
      // "180/160fan": what stands before a fan's heat is the other oven's
      const withFan = /^\s*[/(]\s*(?:fan\s*)?\d{2,3}\s*(?:°\s*)?C?\s*(?:fan|convection)\b/i.test(text.slice(h.to));
      const withOven = /^[\s-]*(?:degrees?[\s-]+)?oven\b/i.test(text.slice(h.to));
      const paired = said || withFan || withOven || (text[h.from - 1] === '/' && out.at(-1)?.to === h.from - 1);
      if (!paired && !lead.test(text.slice(Math.max(0, h.from - 80), h.from)) && !barely(h.from, h.to)) continue;
      if (
        /^\s+(?:of\b|\p{L}+[- ](?:flour|sugar|raising|rising)|(?:plain|caster|sugar|flour|butter|milk)\b)/iu.test(
          text.slice(h.to),
        )
      )
        continue;
    }
    out.push(h);
    end = h.to;
  }
  return out;
}

const between =
  /^[\s/(,;)–-]*(?:or|and|that is|=|i\.e\.|fan|for a fan oven|fan oven|conventional|static|still|in a fan oven|electric|elec\.?)?[\s/(,;:)=]*$/i;

/** Brings the ways of saying one heat together; the still oven's Celsius is the one that counts. */
export function heatsIn(text: string, barely: (from: number, to: number) => boolean): Heat[] {
  const out: Heat[] = [];
  let group: Heat[] = [];
  const close = (): void => {
    // "180/160 fan": of a pair of bare figures the second is the fan's
    const still = group.filter((h) => !h.fan);
    const numbers = still.filter((h) => h.scale !== 'words');
    const best =
      numbers.find((h) => h.scale === 'C') ??
      numbers.find((h) => h.scale === 'F') ??
      numbers.find((h) => h.scale !== 'gas') ??
      numbers[0] ??
      group.find((h) => h.scale !== 'words') ??
      group[0];
    if (best) {
      const c = still.find((h) => h.scale === 'C');
      const f = still.find((h) => h.scale === 'F');
      const clash = c && f && Math.abs(c.ovenC - f.ovenC) > 9 ? f.ovenC : null;
      out.push({ ...best, clashC: clash, from: group[0]?.from ?? best.from, to: group.at(-1)?.to ?? best.to });
    }
    group = [];
  };
  for (const h of rawHeats(text, barely)) {
    const last = group.at(-1);
    if (last && !between.test(text.slice(last.to, h.from))) close();
    group.push(h);
  }
  close();
  return out;
}

/** Whether a bare figure may be a heat: beside a time, as in "350, 35-40", or alone between commas beside a tin. */
export function barelyHeat(text: string, from: number, to: number): boolean {
  const value = Number(text.slice(from, to).replace(/\D.*$/, '')) || 100;
  if (value < 100 || value % 5 !== 0) return false;
  // "170. 40-45 min.": a sentence of nothing else
  if (
    text.slice(0, from).trim() === '' &&
    /^(?:[\s.;,]*|\s*,?\s*(?:and\s+)?no fan\b.*)$/i.test(text.slice(to)) &&
    value <= 500
  )
    return true;
  // "350, 9x13, 35 min."
  if (text.slice(0, from).trim() === '' && value <= 500 && /^\s*,\s[^.;]{2,36}?,?\s\d{1,3}(?:\s*(?:-|–|to)\s*\d{1,3})?\s*-?\s*(?:min|mins|minutes|hrs?|hours?)\b/i.test(text.slice(to))) return true; // prettier-ignore
  // "180: cupcakes 18 min, round 30"
  if (text.slice(0, from).trim() === '' && /^\s*:\s[^.]{0,40}?\d\s*-?\s*(?:min|mins|m)\b/i.test(text.slice(to)) && value <= 500) return true; // prettier-ignore
  const next =
    /^(?:\s*,?\s*(?:\(?(?:no fan|fan off|without (?:the )?fan)\)?|(?:middle|top|bottom|centre|center|lower|upper)(?:\s+(?:shelf|rack|third|half|of the oven))?)(?=\s*,))?[\s,;:@–/-]*(?:for\s+(?:the first\s+)?|about\s+|abt\.?\s+|approx\.?\s+|around\s+|~\s*|ca\.?\s+|mins?\b){0,2}/.exec(
      text.slice(to),
    );
  const behind = to + (next?.[0].length ?? 0);
  const d = behind > to ? durationAt(text, behind) : null;
  if (d && (d.unit || (d.early >= 5 && d.late <= 180 && d.late !== d.early))) return true;
  // "45 mins @ 160", "half an hour, 200"
  if (
    /(?:min(?:ute)?s?|h(?:ou)?rs?)\.?\s*[,@-]\s*$/i.test(text.slice(Math.max(0, from - 40), from)) &&
    /^\s*(?:[.,;)]|$)/.test(text.slice(to))
  )
    return true;
  return (
    /(?:tins?|pans?|tray|sheet|mould|skillet)\s*[,.;:-]\s*$/i.test(text.slice(Math.max(0, from - 40), from)) &&
    /^\s*(?:[.,;(]|$)/.test(text.slice(to))
  );
}
