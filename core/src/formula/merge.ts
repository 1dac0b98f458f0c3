type Json = unknown;
const isObject = (x: Json): x is Record<string, Json> => typeof x === 'object' && x !== null && !Array.isArray(x);
const hasIds = (x: Json): x is { id: string }[] =>
  Array.isArray(x) && x.every((e) => isObject(e) && typeof e['id'] === 'string');

/** Deep equality of plain values. */
export function same(a: Json, b: Json): boolean {
  if (a === b || Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((x, i) => same(x, b[i]));
  if (isObject(a) && isObject(b)) {
    const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
    return [...keys].every((k) => same(a[k], b[k]));
  }
  return false;
}

/**
 * Three-way merge of plain values: whatever only one side changed is taken from that side; lists of things with ids are
 * merged thing by thing; where both changed the same value, `mine` wins. So an edit made on an old copy keeps what
 * another tab did in the meantime.
 */
export function merge3<T>(base: T, mine: T, theirs: T): T {
  return merge(base, mine, theirs) as T;
}

function merge(base: Json, mine: Json, theirs: Json): Json {
  if (same(mine, base)) return theirs;
  if (same(theirs, base) || same(mine, theirs)) return mine;
  if (hasIds(base) && hasIds(mine) && hasIds(theirs)) return mergeLists(base, mine, theirs);
  if (isObject(mine) && isObject(theirs)) {
    const from = isObject(base) ? base : {};
    const out: Record<string, Json> = {};
    for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
      const value = merge(from[key], mine[key], theirs[key]);
      if (value !== undefined) out[key] = value;
    }
    return out;
  }
  return mine;
}

function mergeLists(base: { id: string }[], mine: { id: string }[], theirs: { id: string }[]): Json {
  const at = (list: { id: string }[]): Map<string, { id: string }> => new Map(list.map((x) => [x.id, x]));
  const [b, m, t] = [at(base), at(mine), at(theirs)];
  const out: Json[] = [];
  for (const x of mine) {
    const other = t.get(x.id);
    if (other) out.push(merge(b.get(x.id), x, other));
    else if (!b.has(x.id) || !same(b.get(x.id), x)) out.push(x); // added here, or changed here and removed there
  }
  for (const x of theirs) if (!m.has(x.id) && (!b.has(x.id) || !same(b.get(x.id), x))) out.push(x);
  return out;
}
