// What must be on the disk, as a baker has seen it: what was shown as stored, and what was on its way when it ended.

/** The name that a kitchen has until it is known under which it was stored. */
export const NEW = 'new';

/**
 * The device as names and values: `current`, and for each kitchen's database `db|name`. A value that only the disk can tell
 * stands there as a test of it until it has been looked at.
 *
 * @typedef {Map<string, unknown>} World
 *
 * @typedef {object} Act something a baker does
 * @property {string} what in words
 * @property {((w: World) => [string, unknown][])[]} [stages] what becomes of the world, one after another; each by itself may
 *   be the last that there was time for
 * @property {[string, unknown][]} [step] names and their values, as a step that undo takes back
 * @property {string} [scope] the document whose undo takes it back
 * @property {boolean} [undo] the last step of the document is taken back
 */
export class Model {
  /** @param {World} world */
  constructor(world) {
    this.world = world;
    /** Steps of each document that count and that can be undone, oldest first. */
    this.steps = new Map();
    /** @type {Act[]} what was asked for and not yet shown as stored */
    this.flying = [];
    this.acknowledged = 0;
  }

  /** @param {Act} act */
  begin(act) {
    this.flying.push(act);
    return act;
  }

  /** It was shown as stored. */
  landed(act) {
    this.flying = this.flying.filter((a) => a !== act);
    this.acknowledged++;
    this.apply(act);
  }

  stepsOf(scope) {
    if (!this.steps.has(scope)) this.steps.set(scope, []);
    return this.steps.get(scope);
  }

  put(name, value) {
    if (value === undefined) this.world.delete(name);
    else this.world.set(name, value);
  }

  /** @param {Act} act @param {number} [upTo] how many of its stages there was time for */
  apply(act, upTo = Infinity) {
    if (act.undo) {
      for (const [name, from] of this.stepsOf(act.scope).pop() ?? []) this.put(name, from);
    } else if (act.step) {
      this.stepsOf(act.scope).push(act.step.map(([name]) => [name, this.world.get(name)]));
      for (const [name, to] of act.step) this.put(name, to);
    } else
      for (const stage of act.stages.slice(0, upTo)) for (const [name, to] of stage(this.world)) this.put(name, to);
  }

  /** A copy with some of what was flying done as well, in this order. */
  with(acts) {
    const m = new Model(new Map(this.world));
    for (const [scope, s] of this.steps) m.steps.set(scope, [...s]);
    for (const [act, upTo] of acts) m.apply(act, upTo);
    return m;
  }

  /**
   * Takes over what is on the disk: all that was acknowledged, with any of what was flying. What differs from that is lost or
   * made up, in words.
   *
   * @param {World} disk
   * @returns {string[]}
   */
  settle(disk) {
    const orders = subsets(this.flying).flatMap(permutations).flatMap(cutOff);
    const tries = orders.map((acts) => {
      const m = this.with(acts);
      return { m, differ: differences(m.world, renamed(disk, freshOf(this.world, disk), NEW)) };
    });
    const best = tries.reduce((a, b) => (b.differ.length < a.differ.length ? b : a));
    const flying = this.flying.map((a) => a.what).join(', ');
    this.world = disk;
    this.steps = best.differ.length === 0 ? best.m.steps : new Map();
    this.flying = [];
    return best.differ.map((d) => `${d}${flying === '' ? '' : ` (under way: ${flying})`}`);
  }
}

/** The database that the model does not know yet; null where there is none, or more than one. */
function freshOf(world, disk) {
  const all = [...disk.keys()].filter((k) => k.startsWith('at|')).map((k) => k.slice(3));
  const fresh = all.filter((db) => !world.has(`at|${db}`));
  return fresh.length === 1 ? fresh[0] : null;
}
function renamed(world, from, to) {
  if (from === null) return world;
  const name = (k) => (k === `at|${from}` ? `at|${to}` : k.startsWith(`${from}|`) ? `${to}|${k.slice(from.length + 1)}` : k);
  return new Map([...world].map(([k, v]) => [name(k), v === from ? to : v]));
} // prettier-ignore
function differences(wanted, disk) {
  const names = new Set([...wanted.keys(), ...disk.keys()]);
  return [...names].flatMap((n) => {
    const [w, d] = [wanted.get(n), disk.get(n)];
    if (typeof w === 'function' ? w(d) : w === d) return [];
    return [`${n}: ${d} instead of ${typeof w === 'function' ? 'what it may be' : w}`];
  });
}

const subsets = (list) => list.reduce((all, x) => all.concat(all.map((s) => [...s, x])), [[]]);
const permutations = (list) =>
  list.length < 2 ? [list] : list.flatMap((x, i) => permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [x, ...rest])); // prettier-ignore
/** Each act as far as there was time for it: at least its first stage. */
const cutOff = (acts) =>
  acts.reduce(
    (all, act) => all.flatMap((done) => Array.from({ length: act.stages?.length ?? 1 }, (_, i) => [...done, [act, i + 1]])),
    [[]],
  ); // prettier-ignore
