import { defaultKitchen, type BakeRecord } from '@orvin/core';

/** A bake as it is logged, for specs. */
export const record = (more: Partial<BakeRecord> = {}): BakeRecord => ({
  id: 'a',
  formulaId: 'oat',
  versionId: null,
  title: 'Oat scones',
  family: 'scone',
  densityGPerMl: 1.1,
  rise: 1.8,
  at: Date.UTC(2026, 9, 3, 10),
  tin: { tin: defaultKitchen.tins[0] as BakeRecord['tin']['tin'], count: 1 },
  batterG: 500,
  ovenId: 'oven',
  ovenC: 200,
  fan: false,
  predicted: { early: 16, likely: 18, late: 20 },
  minutes: 18,
  outcome: 'good',
  notes: '',
  ...more,
});
