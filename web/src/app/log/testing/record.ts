import type { BakeRecord } from '@orvin/core';
import { bakeOf } from '../../data/testing/kitchen';

/** A bake as it is logged, with what was foretold of it. */
export const record = (more: Partial<BakeRecord> = {}): BakeRecord =>
  bakeOf('a', { at: Date.UTC(2026, 9, 3, 10), predicted: { early: 16, likely: 18, late: 20 }, ...more });
