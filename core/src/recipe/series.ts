import type { Kitchen } from '../formula/types.js';
import { middle, scanAmounts, type Found } from '../quantity/scan.js';
import { readNumber } from '../quantity/numbers.js';
import { plainChars } from './anatomy.js';
import { matchIngredient } from './match.js';

/** A thing of a line that holds several, and where it begins in it. */
export interface Piece {
  readonly text: string;
  readonly at: number;
  /** Where it stands in the line, when its text is not simply what stands there. */
  readonly place?: { readonly from: number; readonly to: number };
  /** What was reckoned to make its amount, to be asked about. */
  readonly reckoned?: string;
}

const madeUp =
  /((\d|one|two|three)\s+(?:(?:large|medium|small|beaten)\s+)*eggs?)\b[^\d.;]*\b(?:made|topped) up to\s+(?:(\d+)\s*ml|[¼½] pint)\s+with\s+(?:the\s+)?((?:\p{L}+[ -]?){1,2})/iu;
/** "1 egg + milk to make 200 ml", "2 eggs plus enough milk to come to 3/4 cup". */
const toMake =
  /((\d|one|two|three)\s+(?:(?:large|medium|small|beaten)\s+)*eggs?)\b,?\s*(?:beaten\s+)?(?:\+|&|plus|and|with|w\/?|,)\s*(?:enough\s+|some\s+|cold\s+)*((?:\p{L}+[ -]?){1,2}?)\s+to(?:\s+(?:make|come|give|reach|measure|fill)(?:\s+up)?(?:\s+(?:to|it up to))?)?\s+(?:about\s+)?(?:(\d+)\s*ml|([¼½¾]|\d\s*\/\s*\d|\d(?:[ -]\d\s*\/\s*\d)?)\s*(cups?|pints?)|[¼½] pint)/iu;
/** A cup between the US one (237) and the metric one (250), an imperial pint, ml: what comes of it is asked about. */
const CUP_ML = 240;
const PINT_ML = 568;
const counts: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3 };
/** An egg without its shell fills about 50 ml: 44 to 60 g by market size (quantity/amount.ts) at 1.03 g/ml; so it is asked about. */
const EGG_ML = 50;
/** "1 egg made up to 300 ml with milk": the egg, and of milk what is left to fill. Null where nothing is said so. */
export function fillUp(line: string): readonly Piece[] | null {
  const said = toMake.exec(line);
  const m = said ?? madeUp.exec(line);
  if (!m) return null;
  const [whole, eggs = '', n = '1'] = m;
  const [what = '', ml] = said ? [m[3], m[4]] : [m[4], m[3]];
  const share = said?.[5] ? (readNumber(said[5]) ?? 0) * (/^cup/i.test(said[6] ?? '') ? CUP_ML : PINT_ML) : null;
  const all = ml ? Number(ml) : (share ?? (/¼/.test(whole) ? 142 : 284));
  const rest = Math.round(all) - EGG_ML * (counts[n.toLowerCase()] ?? Number(n));
  if (rest <= 0) return null;
  const [from, to] = [m.index + eggs.length, m.index + whole.trimEnd().length];
  return [
    { text: eggs, at: m.index },
    {
      text: `${rest} ml ${what.trim()}`,
      at: from,
      place: { from, to },
      reckoned: `"${whole.trim()}" is taken as ${rest} ml of ${what.trim()}, with ${EGG_ML} ml for an egg.`,
    },
  ];
}

/** "yolks of 5, whites of 3": the number behind. Null where nothing is said so, or more than that. */
function eggParts(line: string): readonly Piece[] | null {
  const all = [...line.matchAll(/(?:^|[,;&+]|\band\b)\s*(?:the\s+)?(yolk|white)s?\s+(?:of|from)\s+(\d{1,2}|one|two|three|four|five|six)(?:\s+(?:(?:large|medium|small)\s+)?eggs?)?(?=\s*(?:[,;&+.]|and\b|$))/giu)]; // prettier-ignore
  const left = all.reduce((l, m) => l.replace(m[0], ''), line).replace(/[\s,;&+.]|\band\b/gi, '');
  if (all.length === 0 || left !== '') return null;
  return all.map((m) => ({
    text: `${m[2]} egg ${m[1]}s`,
    at: m.index,
    place: { from: m.index, to: m.index + m[0].length },
  }));
}

/** What is done to a thing and names no other. */
const state =
  /^(?:melted|grated|chopped|sifted|sieved|beaten|cold|warm|hot|soft(?:ened)?|packed|dry|diced|sliced|mashed|ripe|large|medium|small|level|fresh)$/i;
const known = (words: string, kitchen: Kitchen): boolean => {
  const m = matchIngredient(words, kitchen);
  return m !== null && !m.behind && m.odd.every((w) => state.test(w));
};
const leads = (text: string): boolean => scanAmounts(text)[0]?.from === text.length - text.trimStart().length;

/** A name with its amount behind it and nothing else: "soda .25t", "poppy 2T". */
const trails = (text: string, kitchen: Kitchen): boolean => {
  const [a, ...more] = scanAmounts(text);
  return a !== undefined && more.length === 0 && a.from > 0 && (a.unit !== null || /\d\s/.test(text.slice(a.from, a.to + 1))) && a.to >= text.trimEnd().length - 1 && matchIngredient(text.slice(0, a.from), kitchen) !== null; // prettier-ignore
};

/** "zest 2 lemons": of fruit the count stands in the middle. */
const ofFruit = /^\s*(?:zest|juice|rind|peel)\s+(?:of\s+)?(?:\d|½|an?\b|one|two|three)/i;

/** A full stop between two counted things: "3 bananas. 75g butter."; not that of a shortened unit. */
const stops =
  /(?<!\b(?:oz|ozs|lb|lbs|tsp|tsps|tbsp|tbs|c|t|T|pt|pkt|g|ml|approx|no|sq|in))\.\s+(?=[\d½¼¾⅓⅔]|pinch\b|an?\s)/g;

/**
 * Several things in one line, each with its amount: parted by semicolons ("8 oz flour; 3 oz butter or lard; 1 egg"), by
 * commas where one of them is a choice, or by nothing ("150 ml oil 3 eggs"). Null for any other line.
 */
export function seriesIn(line: string, kitchen: Kitchen): readonly Piece[] | null {
  const text = plainChars(line);
  const whole = alone(text, fillUp) ?? eggParts(text);
  if (whole) return whole;
  const parted = text.includes(';')
    ? /\s*;\s*/g
    : text.split(stops).length > 2
      ? stops
      : /\sor\s/i.test(text) ||
          text.split(', ').length > 2 ||
          text.split(', ').every((p) => trails(p, kitchen) || ofFruit.test(p))
        ? /,\s+/g
        : null;
  return (parted ? byMarks(text, line, parted, kitchen) : null) ?? inRow(text, line, kitchen);
}

/** What a reading makes of a line, where nothing else with an amount stands before or behind it. */
function alone(text: string, read: (line: string) => readonly Piece[] | null): readonly Piece[] | null {
  const found = read(text);
  const [from, to] = [found?.[0]?.at ?? 0, found?.at(-1)?.place?.to ?? text.length];
  return found && scanAmounts(`${text.slice(0, from)} ; ${text.slice(to)}`).length === 0 ? found : null;
}

function byMarks(text: string, line: string, mark: RegExp, kitchen: Kitchen): readonly Piece[] | null {
  const pieces: Piece[] = [];
  let from = 0;
  for (const m of [...text.matchAll(mark), { index: text.length, 0: '' }]) {
    const piece = { text: line.slice(from, m.index), at: from };
    const last = pieces.at(-1);
    // what is no thing of its own is a remark on the one before it
    const own = text.slice(from, m.index);
    if (
      !last ||
      leads(own) ||
      trails(own, kitchen) ||
      ofFruit.test(own) ||
      known(piece.text.replace(/[.!]\s*$/, ''), kitchen)
    )
      pieces.push(piece);
    else pieces[pieces.length - 1] = { text: line.slice(last.at, m.index), at: last.at };
    from = m.index + m[0].length;
  }
  const counted = pieces.filter(
    (p) =>
      (leads(p.text) && matchIngredient(p.text.replace(/^[\d\s./½¼¾⅓⅔⅛-]+/, ''), kitchen)) ||
      trails(p.text, kitchen) ||
      ofFruit.test(p.text),
  );
  // "200 of caster sugar" has its unit from what stands before it
  const bare = pieces.some((p) => {
    const [a] = scanAmounts(plainChars(p.text));
    return a !== undefined && a.unit === null && middle(a.value) >= 20;
  });
  return !bare && pieces.length > 1 && counted.length > 1 && counted.length >= pieces.length - 1
    ? pieces
        .filter((p) => p.text.trim() !== '')
        .flatMap(
          (p) =>
            fillUp(p.text)?.map((f) => ({
              text: f.text,
              at: p.at + f.at,
              ...(f.place && { place: { from: p.at + f.place.from, to: p.at + f.place.to } }),
              ...(f.reckoned && { reckoned: f.reckoned }),
            })) ?? [{ ...p, text: p.text.replace(/[.;]\s*$/, '') }], // prettier-ignore
        )
    : null;
}

function inRow(text: string, line: string, kitchen: Kitchen): readonly Piece[] | null {
  if (/[,;()+]|(?<!\d)\/|\b(?:and|or|plus|x|each|to)\b/i.test(text)) return null;
  const amounts = scanAmounts(text);
  const [first] = amounts;
  if (amounts.length < 2 || first?.from !== text.length - text.trimStart().length) return null;
  const end = (i: number): number => amounts[i + 1]?.from ?? text.length;
  const named = (a: Found, i: number): boolean => known(text.slice(a.to, end(i)).replace(/[.!]\s*$/, ''), kitchen);
  return amounts.every(named)
    ? amounts.map((a, i) => ({ text: line.slice(a.from, end(i)).trimEnd(), at: a.from }))
    : null;
}
