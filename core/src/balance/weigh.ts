import { readings, typically } from '../formula/bands.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { ledgerOf, type Ledger } from '../leavening/ledger.js';
import { liftOf, type Lift } from '../leavening/lift.js';
import { linesOf, premixed, type Line } from '../leavening/parts.js';
import { pool } from '../leavening/pool.js';
import { familyFor, type Consistency, type Family } from './families.js';
import { airOf, methodsOf, type Methods } from './methods.js';
import { beamOf, waterLineOf, type Beam, type WaterLine } from './pulls.js';
import { batterTemperature } from './temperature.js';
import { consistencyOf, looseness, totalsOf, type Totals } from './totals.js';
import type { Band } from '../formula/types.js';
import { masks, strayOf } from './verdicts.js';

/** Everything that can be weighed up without looking for advice; what the search for advice runs on. */
export interface Weighed {
  /** What it is judged as. */
  readonly family: Family;
  readonly lines: readonly Line[];
  readonly totals: Totals;
  readonly lift: Lift;
  readonly ledger: Ledger;
  readonly beam: Beam;
  readonly water: WaterLine;
  readonly methods: Methods;
  readonly consistency: Consistency;
  readonly temperatureC: Band;
  readonly masked: boolean;
  /** How far outside the family's ranges, summed, each in widths of its range; what a search for wishes keeps small. */
  readonly stray: number;
}

/**
 * @param banded whether every result carries its band; the search for advice does without, which is ten times as quick
 */
export function weigh(formula: Formula, kitchen: Kitchen, banded = false): Weighed {
  const lines = linesOf(formula, kitchen);
  const totals = totalsOf(lines);
  const family = familyFor(formula.family, totals, formula.title);
  const stirredFirst = premixed(formula, lines);
  const pools = {
    typical: pool(lines, typically, kitchen, stirredFirst),
    readings: banded ? readings.map((read) => pool(lines, read, kitchen, stirredFirst)) : [],
  };
  const methods = methodsOf(formula, lines, totals, family);
  const temperatureC = batterTemperature(lines, methods.chosen, kitchen.roomC);
  const lift = liftOf(pools, {
    baseG: totals.baseG,
    batterG: totals.batterG,
    waterG: totals.waterG,
    looseness: looseness(totals),
    airMl: airOf(formula, lines, totals, methods.chosen),
    family,
    altitudeM: kitchen.altitudeM,
    batterC: temperatureC.typical,
  });
  const ledger = ledgerOf(lines, pools, totals.batterG, kitchen);
  const masked = masks(lines, totals);
  const beam = beamOf(lines, family);
  const water = waterLineOf(lines, totals, family);
  return {
    family,
    lines,
    totals,
    lift,
    ledger,
    beam,
    water,
    methods,
    consistency: consistencyOf(totals),
    temperatureC,
    masked,
    stray: strayOf(totals, lift, ledger, family, masked, beam, water),
  };
}
