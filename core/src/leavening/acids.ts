import { band } from '../formula/bands.js';
import type { Band } from '../formula/types.js';

/** g/mol; computed from standard atomic weights. */
export const SODA_G_PER_MOL = 84.007;
export const CO2_G_PER_MOL = 44.009;
export const POTASSIUM_BICARBONATE_G_PER_MOL = 100.115;
export const SODIUM_G_PER_MOL = 22.99;

export type AcidId =
  | 'mcp'
  | 'mcp-coated'
  | 'sapp-28'
  | 'sapp-40'
  | 'salp'
  | 'sas'
  | 'dcpd'
  | 'tartar'
  | 'gdl'
  | 'citric'
  | 'citric-monohydrate'
  | 'tartaric'
  | 'fumaric'
  | 'malic';

/** A leavening acid: how much soda it meets, and when. */
export interface LeaveningAcid {
  readonly id: AcidId;
  readonly name: string;
  /** Neutralising value: grams of soda that 100 g of it neutralise. */
  readonly nv: number;
  /** Molar mass and acid equivalents, where the reaction is a plain titration; `nv` can then be computed. */
  readonly molar?: { readonly gPerMol: number; readonly equivalents: number };
  /** Share of its gas that comes in two minutes of mixing and eight of standing. */
  readonly bench: Band;
  /** Share of the rest that it gives up in each further minute at room temperature. */
  readonly slowPerMin: number;
  /** mmol of sodium in each gram. */
  readonly sodiumMmolPerG: number;
}

/**
 * Leavening acids. Neutralising values of the phosphates and of glucono-delta-lactone are industry titrations (general
 * knowledge, not looked up); the others can be computed from their formula, and a test does so. Shares at the bench are
 * general knowledge of dough reaction rates, ±10 points.
 */
// prettier-ignore
export const acids: readonly LeaveningAcid[] = [
  { id: 'mcp', name: 'monocalcium phosphate', nv: 80, bench: band(0.58, 0.65, 0.72), slowPerMin: 0.004, sodiumMmolPerG: 0 },
  { id: 'mcp-coated', name: 'coated monocalcium phosphate', nv: 83, bench: band(0.35, 0.45, 0.55), slowPerMin: 0.006, sodiumMmolPerG: 0 },
  { id: 'sapp-28', name: 'slow acid pyrophosphate', nv: 72, bench: band(0.24, 0.28, 0.32), slowPerMin: 0.004, sodiumMmolPerG: 9.01 },
  { id: 'sapp-40', name: 'acid pyrophosphate', nv: 72, bench: band(0.35, 0.4, 0.45), slowPerMin: 0.005, sodiumMmolPerG: 9.01 },
  { id: 'salp', name: 'sodium aluminium phosphate', nv: 100, bench: band(0.22, 0.27, 0.32), slowPerMin: 0.002, sodiumMmolPerG: 1.05 },
  { id: 'sas', name: 'sodium aluminium sulphate', nv: 104, molar: { gPerMol: 484.19, equivalents: 6 }, bench: band(0, 0.025, 0.05), slowPerMin: 0.001, sodiumMmolPerG: 4.13 },
  { id: 'dcpd', name: 'dicalcium phosphate', nv: 33, bench: band(0, 0, 0), slowPerMin: 0, sodiumMmolPerG: 0 },
  { id: 'tartar', name: 'cream of tartar', nv: 44.6, molar: { gPerMol: 188.18, equivalents: 1 }, bench: band(0.7, 0.75, 0.8), slowPerMin: 0.02, sodiumMmolPerG: 0 },
  { id: 'gdl', name: 'glucono delta-lactone', nv: 45, bench: band(0.15, 0.25, 0.35), slowPerMin: 0.015, sodiumMmolPerG: 0 },
  { id: 'citric', name: 'citric acid', nv: 131.2, molar: { gPerMol: 192.12, equivalents: 3 }, bench: band(0.75, 0.85, 0.92), slowPerMin: 0.03, sodiumMmolPerG: 0 },
  { id: 'citric-monohydrate', name: 'citric acid, monohydrate', nv: 119.9, molar: { gPerMol: 210.14, equivalents: 3 }, bench: band(0.75, 0.85, 0.92), slowPerMin: 0.03, sodiumMmolPerG: 0 },
  { id: 'tartaric', name: 'tartaric acid', nv: 111.9, molar: { gPerMol: 150.09, equivalents: 2 }, bench: band(0.75, 0.85, 0.92), slowPerMin: 0.03, sodiumMmolPerG: 0 },
  { id: 'fumaric', name: 'fumaric acid', nv: 144.8, molar: { gPerMol: 116.07, equivalents: 2 }, bench: band(0.3, 0.45, 0.6), slowPerMin: 0.01, sodiumMmolPerG: 0 },
  { id: 'malic', name: 'malic acid', nv: 125.3, molar: { gPerMol: 134.09, equivalents: 2 }, bench: band(0.75, 0.85, 0.92), slowPerMin: 0.03, sodiumMmolPerG: 0 },
];

const byId = new Map(acids.map((a) => [a.id, a]));
export const acidById = (id: AcidId): LeaveningAcid => byId.get(id) as LeaveningAcid;

/** meq of acid in 100 g of a leavening acid: its neutralising value over the soda's 84 g/mol. */
export const meqPer100G = (a: LeaveningAcid): number => (a.nv / SODA_G_PER_MOL) * 1000;

/** Catalogue ids of acids that are added as such. */
export const acidOfIngredient: Readonly<Record<string, AcidId>> = {
  'cream-of-tartar': 'tartar',
  'citric-acid': 'citric',
  'tartaric-acid': 'tartaric',
  'malic-acid': 'malic',
  gdl: 'gdl',
  'calcium-phosphate-acid': 'mcp',
  sapp: 'sapp-28',
};

/** Acid that is dissolved already (buttermilk, yogurt, juice, vinegar): its gas comes within minutes of contact. */
export const DISSOLVED = { bench: band(0.7, 0.8, 0.9), slowPerMin: 0.03 } as const;
