import { degreesIn } from '../quantity/degrees.js';
import { heightIn } from '../quantity/figures.js';
import { weigh } from '../balance/weigh.js';
import { allItems, ingredientFor } from '../formula/formula.js';
import type { Formula, Ingredient, Item, Kitchen } from '../formula/types.js';
import { dietsOf, nutAllergens } from '../ingredient/diet.js';
import { pressureRatio } from '../leavening/volume.js';
import { isBread } from './jobs.js';
import type { Preset } from './presets.js';
import { standIns } from './table/stand-ins.js';
import type { AdaptOptions, Wish } from './types.js';
import { inStock, measuredOf, shortOf } from './wishes.js';

export interface PresetOptions extends AdaptOptions {
  /** Wishes besides; those that speak of a line that has to go are left aside. */
  readonly wishes?: readonly Wish[];
  /** For less sugar, fat or salt: how much less, per cent; 25 unless said. */
  readonly byPct?: number;
  /** For high altitude: metres; the kitchen's own from 900 m, else 1500. */
  readonly altitudeM?: number;
  /** For whole grain: share of the flour, per cent; 50 unless said. */
  readonly sharePct?: number;
}

/** What a preset asks: lines that cannot stay, wishes, and what is said besides. */
export interface Asked {
  readonly out: readonly Item[];
  readonly wishes: readonly Wish[];
  /** Wishes that hold only as far as the family lets them. */
  readonly bending: boolean;
  readonly costs: readonly string[];
  readonly heatC: number;
  readonly extra: readonly { readonly ingredient: string; readonly maxG: number; readonly why: string }[];
  readonly kitchen: Kitchen;
  readonly fits: (i: Ingredient) => boolean;
}

/** Of its lift, what has to stay when the flour that brings it goes. */
const KEPT_LIFT = 0.92;

/** Turns a preset into what it asks of this formula in this kitchen. */
export function ask(preset: Preset, formula: Formula, kitchen: Kitchen, o: PresetOptions): Asked {
  const items = allItems(formula).filter((i) => i.grams > 0);
  const of = (i: Item): Ingredient => ingredientFor(formula, i, kitchen);
  const suits = (i: Ingredient): boolean => preset.suits.every((d) => dietsOf(i).includes(d));
  const base: Asked = {
    out: items.filter((i) => !suits(of(i))),
    wishes: [],
    bending: false,
    costs: [],
    heatC: 0,
    extra: [],
    kitchen,
    fits: suits,
  };
  const by = -Math.abs(o.byPct ?? 25);
  const w = weigh(formula, kitchen);
  switch (preset.id) {
    case 'less-sugar':
      return { ...base, wishes: [{ kind: 'change', of: 'sugar', byPct: by }] };
    case 'less-fat':
      return { ...base, wishes: [{ kind: 'change', of: 'fat', byPct: by }] };
    case 'lower-sodium':
      return { ...base, wishes: [{ kind: 'change', of: 'sodium', byPct: by }] };
    case 'whole-grain': {
      const bears =
        standIns.flour?.find((s) => s.id === 'wholemeal-flour')?.most?.[isBread(formula.family) ? 0 : 1] ?? 1;
      const to = Math.min(o.sharePct ?? 50, 100 * bears);
      const flours = w.lines.some((l) => l.ingredient.id === 'wholemeal-flour');
      // self-raising flour takes its powder with it
      const selfRaising = w.lines.some((l) => l.ingredient.co2Mmol);
      const lift = KEPT_LIFT * w.lift.mmolPer100gBase.typical;
      return {
        ...base,
        wishes: [
          {
            kind: 'measure',
            of: 'wholegrain',
            min: Math.max(to, measuredOf(w, kitchen).wholegrain),
            words: `whole grain for ${Math.round(to)} % of the flour`,
          },
          ...(selfRaising ? [{ kind: 'lift' as const, min: lift, words: 'as much lift as it had' }] : []),
        ],
        extra: [
          ...(flours
            ? []
            : [{ ingredient: 'wholemeal-flour', maxG: 1.2 * w.totals.flourG, why: 'flour from the whole grain' }]),
          ...(selfRaising && !w.lines.some((l) => l.ingredient.leavener === 'powder')
            ? [
                {
                  ingredient: 'baking-powder',
                  maxG: 0.06 * w.totals.flourG,
                  why: 'the powder of the self-raising flour',
                },
              ]
            : []),
        ],
        costs: ['let it stand 10 minutes before baking: bran drinks slowly'],
      };
    }
    case 'small-child': {
      const no = (i: Ingredient): boolean =>
        i.cautions?.includes('honey') === true ||
        i.alcohol !== undefined ||
        i.kind === 'tea or coffee' ||
        (i.pieces === true && i.allergens.some((a) => nutAllergens.has(a)));
      return {
        ...base,
        out: items.filter((i) => no(of(i))),
        wishes: [
          { kind: 'change', of: 'sugar', byPct: -40 },
          { kind: 'change', of: 'salt', byPct: -70 },
        ],
        bending: true,
        // seeds are as hard as nuts
        fits: (i) => !no(i) && !(i.pieces === true && i.per100.fat > 30),
      };
    }
    case 'high-altitude': {
      const at = o.altitudeM ?? (kitchen.altitudeM >= 900 ? kitchen.altitudeM : 1500);
      // asked for without a height in a high kitchen, the formula is taken to come from sea level; with a height, the
      // kitchen moves up from where it stands
      const from = kitchen.altitudeM >= 900 && o.altitudeM === undefined ? 0 : kitchen.altitudeM;
      const thin = pressureRatio(at) / pressureRatio(from);
      const rise = Math.max(0, at - Math.max(from, 600));
      const now = w.lift.mmolPer100gBase.typical;
      const wetter = Math.min(0.25, 0.06 + (0.03 * Math.max(0, at - 900)) / 300);
      return {
        ...base,
        kitchen: { ...kitchen, altitudeM: at },
        wishes: [
          { kind: 'lift', max: now * thin * 1.04, words: `lift for ${heightIn(kitchen.display, at)}` },
          { kind: 'measure', of: 'water', min: w.totals.waterPct * (1 + wetter * 0.6), words: 'a little more liquid' },
          {
            kind: 'measure',
            of: 'sugar',
            max: w.totals.sugarPct * (1 - Math.min(0.08, rise / 30_000)),
            words: 'a little less sugar',
          },
        ],
        bending: true,
        heatC: at >= 900 ? 10 : 0,
        costs: [
          `for ${heightIn(kitchen.display, at)}: water boils at about ${degreesIn(kitchen.display.temperature, 100 - at / 300)}, so test early and go by the middle, not the clock`,
        ],
      };
    }
    case 'what-i-have': {
      const short = shortOf(formula, kitchen);
      const gone = new Set(short.filter((s) => s.haveG < 0.35 * s.needG).map((s) => s.ingredient));
      return {
        ...base,
        out: items.filter((i) => gone.has(i.ingredient)),
        wishes: [{ kind: 'stock' }],
        fits: (i) => inStock(i, kitchen),
      };
    }
    default:
      return base;
  }
}
