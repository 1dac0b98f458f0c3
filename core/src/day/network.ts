/** `x[to] - x[from] >= min`; a negative `min` is a longest distance the other way. `why` says what asks for it. */
export interface Link {
  readonly from: number;
  readonly to: number;
  readonly min: number;
  readonly why: string;
}

/** Links by the variable they end at: when that one has to be earlier, so may have those they come from. */
export type LinksInto = readonly (readonly Link[])[];

export function linksInto(n: number, links: readonly Link[]): Link[][] {
  const into: Link[][] = Array.from({ length: n }, () => []);
  for (const l of links) into[l.to]?.push(l);
  return into;
}

/**
 * Makes every variable as late as the links and upper bounds allow. The set of solutions of such links is a lattice, so
 * that one solution is the latest in every variable at once. Works on `upper` in place.
 *
 * @param touched variables whose bound was lowered, or the one that a new link ends at
 * @param closes the variable that the one new link ends at: if it has to move itself, the link closes a circle that
 *   cannot be met; -1 when there is no new link
 * @returns false when a variable would have to be before its lower bound, or a circle cannot be met
 */
export function makeLatest(
  upper: Int32Array,
  lower: Int32Array,
  into: LinksInto,
  more: readonly Link[],
  touched: readonly number[],
  closes = -1,
): boolean {
  const queue = [...touched];
  const waits = new Uint8Array(upper.length);
  for (const v of touched) waits[v] = 1;
  for (const v of queue) {
    waits[v] = 0;
    const at = upper[v] as number;
    if (at < (lower[v] as number)) return false;
    const pull = (l: Link): boolean => {
      const latest = at - l.min;
      if (latest >= (upper[l.from] as number)) return true;
      if (latest < (lower[l.from] as number) || l.from === closes) return false;
      upper[l.from] = latest;
      if (!waits[l.from]) {
        waits[l.from] = 1;
        queue.push(l.from);
      }
      return true;
    };
    for (const l of into[v] as readonly Link[]) if (!pull(l)) return false;
    for (const l of more) if (l.to === v && !pull(l)) return false;
  }
  return true;
}

/**
 * The links that hold a variable where it is, from it to one of `ends`: the reason why it cannot be later. Empty when
 * none does.
 */
export function heldBy(x: Int32Array, links: readonly Link[], from: number, ends: (v: number) => boolean): Link[] {
  const seen = new Set([from]);
  const walk = (at: number): Link[] | null => {
    if (ends(at)) return [];
    for (const l of links) {
      if (l.from !== at || seen.has(l.to) || (x[l.to] as number) - l.min !== x[at]) continue;
      seen.add(l.to);
      const rest = walk(l.to);
      if (rest) return [l, ...rest];
    }
    return null;
  };
  return walk(from) ?? [];
}
