import type { Band, PowderType } from '../formula/types.js';
import { band } from '../formula/bands.js';

/**
 * What a baking powder is made of. Shares are of the powder's weight; `met` is the share of its soda that its own acids
 * can neutralise; `bench` the share of its gas that comes in two minutes of mixing and eight of standing.
 * Basis: general knowledge of powder types, not looked up; the regulatory floor of 12 % available CO2 is a check.
 */
export interface PowderKind {
  readonly type: PowderType;
  readonly name: string;
  readonly soda: Band;
  readonly gPerMol: number;
  readonly met: number;
  readonly bench: Band;
  readonly acids: string;
}

/** g/mol; computed from standard atomic weights. */
export const SODA_G_PER_MOL = 84.007;
export const CO2_G_PER_MOL = 44.009;
const POTASSIUM_BICARBONATE_G_PER_MOL = 100.115;

export const powders: readonly PowderKind[] = [
  {
    type: 'double-acting',
    name: 'Double-acting',
    soda: band(0.28, 0.29, 0.3),
    gPerMol: SODA_G_PER_MOL,
    met: 1,
    bench: band(0.25, 0.33, 0.42),
    acids: 'monocalcium phosphate and sodium aluminium sulphate',
  },
  {
    type: 'aluminium-free',
    name: 'Aluminium-free, double-acting',
    soda: band(0.26, 0.285, 0.31),
    gPerMol: SODA_G_PER_MOL,
    met: 1,
    bench: band(0.3, 0.4, 0.5),
    acids: 'monocalcium phosphate and sodium acid pyrophosphate',
  },
  {
    type: 'single-acting tartrate',
    name: 'Tartrate, single-acting',
    soda: band(0.25, 0.265, 0.28),
    gPerMol: SODA_G_PER_MOL,
    met: 1,
    bench: band(0.7, 0.75, 0.8),
    acids: 'cream of tartar',
  },
  {
    type: 'low-sodium',
    name: 'Low-sodium',
    soda: band(0.31, 0.33, 0.35),
    gPerMol: POTASSIUM_BICARBONATE_G_PER_MOL,
    met: 1,
    bench: band(0.3, 0.4, 0.5),
    acids: 'monocalcium phosphate, with potassium bicarbonate',
  },
  {
    // by volume 1 soda (5.0 g) : 2 cream of tartar (6.4 g) : 1 starch (2.7 g); 6.4 g tartar meets 34 of its 60 mmol
    type: 'home-made 1:2:1',
    name: 'Home-made, 1 soda : 2 tartar : 1 starch',
    soda: band(0.33, 0.355, 0.38),
    gPerMol: SODA_G_PER_MOL,
    met: 0.57,
    bench: band(0.7, 0.75, 0.8),
    acids: 'cream of tartar, too little for its soda',
  },
];

/** Share of its gas that a powder still gives, by the spoon-in-hot-water test. A judgement, not a measurement. */
export const strengthShare: Readonly<Record<'vigorous' | 'weak' | 'none', Band>> = {
  vigorous: band(0.95, 1, 1),
  weak: band(0.4, 0.6, 0.8),
  none: band(0, 0.1, 0.2),
};

export const powderKind = (type: PowderType): PowderKind =>
  powders.find((p) => p.type === type) ?? (powders[0] as PowderKind);
