/** Linear expressions and mixed-integer programmes, and their text for a solver. No baking in here. */

/** `constant + Σ coefficient · variable`. */
export interface Linear {
  readonly constant: number;
  readonly terms: ReadonlyMap<string, number>;
}

export const constant = (c: number): Linear => ({ constant: c, terms: new Map() });
export const term = (name: string, coefficient = 1): Linear => ({ constant: 0, terms: new Map([[name, coefficient]]) });

/** Sum of expressions, each with a factor. */
export function combine(parts: readonly (readonly [Linear, number])[]): Linear {
  let c = 0;
  const terms = new Map<string, number>();
  for (const [e, k] of parts) {
    if (k === 0) continue;
    c += e.constant * k;
    for (const [name, x] of e.terms) terms.set(name, (terms.get(name) ?? 0) + x * k);
  }
  return { constant: c, terms };
}

export const plus = (...parts: readonly Linear[]): Linear => combine(parts.map((e) => [e, 1] as const));
export const minus = (a: Linear, b: Linear): Linear =>
  combine([
    [a, 1],
    [b, -1],
  ]);
export const scaled = (e: Linear, k: number): Linear => combine([[e, k]]);

/** What an expression comes to with these values. */
export function valueOf(e: Linear, values: ReadonlyMap<string, number>): number {
  let sum = e.constant;
  for (const [name, k] of e.terms) sum += k * (values.get(name) ?? 0);
  return sum;
}

export type Sense = '<=' | '>=' | '=';

export interface Variable {
  readonly name: string;
  readonly low: number;
  readonly high: number;
  readonly whole: boolean;
}

/** A solver of programmes in LP text; the `highs` package is one. */
export interface Solver {
  solve(
    problem: string,
    options?: Record<string, unknown>,
  ): {
    readonly Status: string;
    readonly Columns: Readonly<Record<string, { readonly Primal?: number }>>;
  };
}

export interface Limits {
  /** Nodes of the search tree, so that results repeat; seconds would not. */
  readonly maxNodes: number;
  /** How far from the best a solution may be, as a share of the objective. */
  readonly gap: number;
  readonly seed: number;
}

export type Answer =
  | { readonly kind: 'solved'; readonly values: ReadonlyMap<string, number>; readonly proven: boolean }
  | { readonly kind: 'infeasible' }
  | { readonly kind: 'limit' };

const number = (x: number): string => {
  const s = x.toPrecision(10);
  return s.includes('e') ? Number(s).toExponential() : String(Number(s));
};

/** A programme that is put together step by step: variables with bounds, rows, and costs to keep small. */
export class Programme {
  private readonly variables: Variable[] = [];
  private readonly rows: { readonly e: Linear; readonly sense: Sense }[] = [];
  private readonly costs = new Map<string, number>();

  variable(name: string, low: number, high: number, whole = false): Linear {
    this.variables.push({ name, low, high, whole });
    return term(name);
  }

  /** A continuous variable from 0 up that costs something. */
  slack(name: string, cost: number, high = 1e5): Linear {
    this.cost(name, cost);
    return this.variable(name, 0, high);
  }

  cost(name: string, by: number): void {
    if (by !== 0) this.costs.set(name, (this.costs.get(name) ?? 0) + by);
  }

  /** Requires `e` to be at most, at least or exactly 0. */
  row(e: Linear, sense: Sense): void {
    this.rows.push({ e, sense });
  }

  private rowText({ e, sense }: { readonly e: Linear; readonly sense: Sense }): string {
    const terms = [...e.terms].filter(([, k]) => Math.abs(k) > 1e-9);
    // a row without variables that does not hold makes the whole programme impossible
    if (terms.length === 0) return holds(e.constant, sense, 1e-7) ? 'nil >= 0' : 'nil >= 1';
    return `${this.written(terms)} ${sense} ${number(-e.constant)}`;
  }

  private written(terms: readonly (readonly [string, number])[]): string {
    // the format allows lines of 560 characters
    return terms
      .map(([name, k], i) => `${k < 0 ? '-' : '+'} ${number(Math.abs(k))} ${name}${i % 12 === 11 ? '\n' : ''}`)
      .join(' ');
  }

  text(): string {
    const whole = this.variables.filter((v) => v.whole).map((v) => v.name);
    const objective = [...this.costs].filter(([, k]) => k !== 0);
    return [
      'Minimize',
      `obj: ${objective.length > 0 ? this.written(objective) : '0 nil'}`,
      'Subject To',
      ...this.rows.map((r, i) => `r${i}: ${this.rowText(r)}`),
      'r: nil >= 0',
      'Bounds',
      ...this.variables.map((v) => `${number(v.low)} <= ${v.name} <= ${number(v.high)}`),
      '0 <= nil <= 0',
      ...(whole.length > 0 ? ['General', ...chunks(whole, 30).map((c) => c.join(' '))] : []),
      'End',
    ].join('\n');
  }

  solve(solver: Solver, limits: Limits): Answer {
    const out = solver.solve(this.text(), {
      output_flag: false,
      // searches for a first solution, and for symmetry, cost more than they save on programmes this small: off, 132 of them
      // took 3.1–4.3 s for 5.8–7.2 s, and 113 of the 114 that have a solution came out the same
      mip_heuristic_run_feasibility_jump: false,
      mip_detect_symmetry: false,
      mip_heuristic_run_root_reduced_cost: false,
      mip_heuristic_run_rins: false,
      mip_heuristic_run_rens: false,
      mip_max_nodes: limits.maxNodes,
      mip_rel_gap: limits.gap,
      random_seed: limits.seed,
      threads: 1,
    });
    if (out.Status === 'Infeasible') return { kind: 'infeasible' };
    const values = new Map<string, number>();
    for (const v of this.variables) {
      const x = out.Columns[v.name]?.Primal;
      if (x === undefined || !Number.isFinite(x)) return { kind: 'limit' };
      values.set(v.name, v.whole ? Math.round(x) : x);
    }
    if (out.Status === 'Optimal') return { kind: 'solved', values, proven: true };
    // stopped at a limit: what it holds is used only when it keeps every row
    return this.keeps(values) ? { kind: 'solved', values, proven: false } : { kind: 'limit' };
  }

  private keeps(values: ReadonlyMap<string, number>): boolean {
    return (
      this.variables.every((v) => {
        const x = values.get(v.name) ?? 0;
        return x >= v.low - 1e-5 && x <= v.high + 1e-5;
      }) &&
      this.rows.every(({ e, sense }) =>
        holds(
          valueOf(e, values),
          sense,
          1e-5 * (1 + Math.max(Math.abs(e.constant), ...[...e.terms.values()].map(Math.abs))),
        ),
      )
    );
  }
}

const holds = (x: number, sense: Sense, within: number): boolean =>
  sense === '<=' ? x <= within : sense === '>=' ? x >= -within : Math.abs(x) <= within;

function chunks<T>(list: readonly T[], n: number): T[][] {
  const out: T[][] = [];
  for (let i = 0; i < list.length; i += n) out.push(list.slice(i, i + n));
  return out;
}
