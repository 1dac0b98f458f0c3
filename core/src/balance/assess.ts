import { toldAll } from '../quantity/figures.js';
import { allItems, usableGrams } from '../formula/formula.js';
import type { Band, FamilyId, Formula, Kitchen } from '../formula/types.js';
import { defaultKitchen } from '../kitchen/default.js';
import { crumbOf, type Crumb } from '../leavening/crumb.js';
import type { Ledger } from '../leavening/ledger.js';
import type { Lift } from '../leavening/lift.js';
import { thumbOf, type Thumb } from '../leavening/thumb.js';
import { adviceFor, type Advice } from './advice.js';
import { allergensOf, cautionsOf, type Caution } from './cautions.js';
import type { Family, Consistency } from './families.js';
import type { NamedSuspect } from '../plausible/plausible.js';
import { waterLeft, type Span, type Spans } from '../plausible/spans.js';
import { heldAgainst } from './held.js';
import { nearestFamily } from '../plausible/kinship.js';
import type { Methods } from './methods.js';
import type { Beam, WaterLine } from './pulls.js';
import { jointVerdicts, partsOf, processVerdicts, thumbVerdicts, type Parts } from './rules.js';
import { temperatureWarnings } from './temperature.js';
import { textureOf, type Trait } from './texture.js';
import { densityOf, type Totals } from './totals.js';
import type { Verdict } from './verdict.js';
import { verdictsOf } from './verdicts.js';
import { weigh } from './weigh.js';

export interface Assessment {
  readonly items: readonly {
    readonly itemId: string;
    readonly grams: number;
    readonly bakersPct: number;
    readonly part: number;
  }[];
  readonly totals: Totals;
  readonly lift: Lift;
  readonly ledger: Ledger;
  /** What is left over will do: crumb pH, taste, colour, sodium. */
  readonly crumb: Crumb;
  /** The per-cup reading beside the chemistry. */
  readonly thumb: Thumb;
  /** Structure against tenderness. */
  readonly beam: Beam;
  readonly water: WaterLine;
  readonly parts: Parts;
  readonly methods: Methods;
  readonly texture: readonly Trait[];
  readonly verdicts: readonly Verdict[];
  readonly batter: {
    readonly densityGPerMl: number;
    readonly temperatureC: number;
    readonly temperatureBandC: Band;
    readonly consistency: Consistency;
  };
  /** What it is called, how sure by its figures, what it plainly is instead if anything, and the relative it is judged as. */
  readonly family: {
    readonly id: FamilyId;
    readonly confidence: number;
    readonly nearest: FamilyId;
    readonly as: Family;
  };
  readonly cautions: readonly Caution[];
  readonly allergens: readonly string[];
  readonly advice: readonly Advice[];
  /** How implausible it is, in log odds; 0 where it is as ordinary as three fifths of the ordinary formulas are. */
  readonly merit: number;
  /** How ordinary the whole is, and which line would make it so; null without flour or nuts to judge by. */
  readonly plausible: {
    /** Share of ordinary formulas that look as odd as this one or odder, 0–1. */
    readonly typical: number;
    readonly suspects: readonly NamedSuspect[];
    readonly spans: Spans;
    /** How many ordinary formulas it was held against. */
    readonly against: number;
    readonly words: string;
    /** Where to look first, if it is a little odd; else empty. */
    readonly hint: string;
  } | null;
}

export interface AssessOptions {
  /** Items whose weight advice must leave alone. */
  readonly locked?: readonly string[];
}

/**
 * Weighs a formula up: amounts, lift, soda, balance and what to do about it. Pure, total for any formula (bad amounts
 * become verdicts) and fast enough to run on every keystroke.
 *
 * @param kitchen altitude, powder, room temperature and own ingredients; an undescribed kitchen when absent
 * @throws OrvinError `unknown-family` when `formula.family` is not one of `families`
 */
export function assess(formula: Formula, kitchen: Kitchen = defaultKitchen, options: AssessOptions = {}): Assessment {
  const w = weigh(formula, kitchen, true);
  const { family, totals, lines, ledger, beam, water, methods } = w;
  const per = totals.flourG > 0 ? 100 / totals.flourG : totals.baseG > 0 ? 100 / totals.baseG : 0;
  const parts = partsOf(lines, totals, family);
  const thumb = thumbOf(lines, totals.baseG, family.id, kitchen);
  const warnings = temperatureWarnings(lines, methods.chosen, w.temperatureC.typical, kitchen.roomC);
  const held = heldAgainst(formula, w, kitchen);
  const lift = held ? within(w.lift, held.spans.lift) : w.lift;
  const shown = <T>(of: T): T => toldAll(kitchen, of, ['formula', 'ingredient', 'item']);
  const verdicts = verdictsOf(formula, lines, totals, lift, ledger, family, held, kitchen);
  return {
    items: allItems(formula).map((i) => {
      const grams = usableGrams(i.grams);
      return { itemId: i.id, grams, bakersPct: grams * per, part: (grams * per * family.flourParts) / 100 };
    }),
    totals,
    lift,
    ledger,
    crumb: crumbOf(lines, ledger, totals, w.masked, kitchen),
    thumb: shown(thumb),
    beam,
    water: held ? { ...water, usual: waterLeft(held.spans, water) } : water,
    parts,
    methods: shown(methods),
    texture: textureOf(lines, totals, w.lift, ledger, beam, water, family, methods.chosen),
    verdicts: shown(
      totals.baseG - totals.cocoaG <= 0
        ? verdicts
        : [
            ...verdicts,
            ...jointVerdicts(totals, lift, beam, water, family),
            ...processVerdicts(methods, warnings, family),
            ...thumbVerdicts(totals, parts, thumb, family),
          ],
    ),
    batter: {
      densityGPerMl: densityOf(totals, family),
      temperatureC: w.temperatureC.typical,
      temperatureBandC: w.temperatureC,
      consistency: w.consistency,
    },
    family: { ...nearestFamily(formula.family, held?.kin ?? []), as: family },
    cautions: shown(cautionsOf(formula, kitchen)),
    allergens: allergensOf(formula, kitchen),
    advice: shown(adviceFor(formula, kitchen, w, held, options.locked ?? [])),
    // without flour or anything in its place there is nothing ordinary about it
    merit: held?.merit ?? (lines.length > 0 && totals.baseG <= 0 ? NO_FLOUR : 0),
    plausible: held && {
      typical: held.typical,
      suspects: held.suspects,
      spans: held.spans,
      against: held.against,
      words: held.words,
      hint: held.hint,
    },
  };
}

/** Merit of something without flour: as odd as can be. */
const NO_FLOUR = 20;

/** The lift held against what the rest of the formula leads one to expect. */
function within(lift: Lift, { low, high }: Span): Lift {
  const x = lift.mmolPer100gBase.typical;
  return { ...lift, target: [low, high], state: x < low ? 'low' : x > high ? 'high' : 'ok' };
}
