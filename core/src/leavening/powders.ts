import type { Band, PowderType } from '../formula/types.js';
import { band } from '../formula/bands.js';
import { acidById, POTASSIUM_BICARBONATE_G_PER_MOL, SODA_G_PER_MOL, type AcidId } from './acids.js';

export { CO2_G_PER_MOL, SODA_G_PER_MOL } from './acids.js';

/**
 * What a baking powder is made of. Shares are of the powder's weight; `met` is the share of its soda that its own acids
 * can neutralise, `acidShares` how that is divided among them, `bench` the share of its gas that comes in two minutes of
 * mixing and eight of standing, which follows from its acids.
 * Basis: general knowledge of powder types, not looked up; the regulatory floor of 12 % available CO2 is a check.
 */
export interface PowderKind {
  readonly type: PowderType;
  readonly name: string;
  readonly soda: Band;
  readonly gPerMol: number;
  readonly met: number;
  readonly acidShares: readonly (readonly [AcidId, number])[];
  readonly bench: Band;
  readonly slowPerMin: number;
  /** Grams of its acids in 100 g, computed from neutralising values; the rest is starch and moisture. */
  readonly acidGPer100: number;
  /** mmol sodium in each gram. */
  readonly sodiumMmolPerG: number;
  readonly acids: string;
}

function kind(
  type: PowderType,
  name: string,
  soda: Band,
  acidShares: readonly (readonly [AcidId, number])[],
  words: string,
  more: { gPerMol?: number; met?: number } = {},
): PowderKind {
  const gPerMol = more.gPerMol ?? SODA_G_PER_MOL;
  const met = more.met ?? 1;
  const mix = (f: (id: AcidId) => number): number => acidShares.reduce((s, [id, share]) => s + share * f(id), 0);
  const mmolPerG = (soda.typical / gPerMol) * 1000;
  // the soda that acids meet, as grams of NaHCO3, whichever bicarbonate it is
  const metG = (mmolPerG * met * SODA_G_PER_MOL) / 1000;
  const acidG = mix((id) => (metG * 100) / acidById(id).nv);
  const sodium = mix((id) => ((metG * 100) / acidById(id).nv) * acidById(id).sodiumMmolPerG);
  return {
    type,
    name,
    soda,
    gPerMol,
    met,
    acidShares,
    bench: band(
      mix((id) => acidById(id).bench.low),
      mix((id) => acidById(id).bench.typical),
      mix((id) => acidById(id).bench.high),
    ),
    slowPerMin: mix((id) => acidById(id).slowPerMin),
    acidGPer100: 100 * acidG,
    sodiumMmolPerG: sodium + (gPerMol === SODA_G_PER_MOL ? mmolPerG : 0),
    acids: words,
  };
}

export const powders: readonly PowderKind[] = [
  kind(
    'double-acting',
    'Double-acting',
    band(0.28, 0.29, 0.3),
    [
      ['mcp', 0.4],
      ['sas', 0.6],
    ],
    'monocalcium phosphate and sodium aluminium sulphate',
  ),
  kind(
    'aluminium-free',
    'Aluminium-free, double-acting',
    band(0.26, 0.285, 0.31),
    [
      ['mcp', 0.3],
      ['sapp-28', 0.7],
    ],
    'monocalcium phosphate and slow acid pyrophosphate',
  ),
  kind(
    'pyrophosphate',
    'Acid pyrophosphate, slow',
    band(0.26, 0.28, 0.3),
    [['sapp-28', 1]],
    'slow acid pyrophosphate alone',
  ),
  kind(
    'single-acting tartrate',
    'Tartrate, single-acting',
    band(0.25, 0.265, 0.28),
    [['tartar', 1]],
    'cream of tartar',
  ),
  kind(
    'low-sodium',
    'Low-sodium',
    band(0.31, 0.33, 0.35),
    [
      ['mcp', 0.5],
      ['mcp-coated', 0.5],
    ],
    'monocalcium phosphate, half of it coated, with potassium bicarbonate',
    { gPerMol: POTASSIUM_BICARBONATE_G_PER_MOL },
  ),
  // by volume 1 soda (5.0 g) : 2 cream of tartar (6.4 g) : 1 starch (2.7 g); 6.4 g tartar meets 34 of its 60 mmol
  kind(
    'home-made 1:2:1',
    'Home-made, 1 soda : 2 tartar : 1 starch',
    band(0.33, 0.355, 0.38),
    [['tartar', 1]],
    'cream of tartar, too little for its soda',
    { met: 0.57 },
  ),
];

/** Share of its gas that a powder still gives, by the spoon-in-hot-water test. A judgement, not a measurement. */
export const strengthShare: Readonly<Record<'vigorous' | 'weak' | 'none', Band>> = {
  vigorous: band(0.95, 1, 1),
  weak: band(0.4, 0.6, 0.8),
  none: band(0, 0.1, 0.2),
};

const byType = new Map(powders.map((p) => [p.type, p]));
export const powderKind = (type: PowderType): PowderKind => byType.get(type) ?? (powders[0] as PowderKind);
