// What must be on the disk, as a baker has seen it: what was shown as stored, and what was on its way when it ended.

/** A formula's lines, and the steps that undo takes back. */
export class Model {
  /** @param {Map<string, Map<string, number>>} formulas grams by line, by formula */
  constructor(formulas) {
    this.grams = formulas;
    /** Steps of each formula that count and that can be undone, oldest first. */
    this.steps = new Map([...formulas.keys()].map((id) => [id, []]));
    /** Steps that were taken back and can be done again, the last taken back at the end. */
    this.undone = new Map([...formulas.keys()].map((id) => [id, []]));
    /** What was asked for and not yet shown as stored. */
    this.flying = [];
    this.acknowledged = 0;
  }

  /** @param {{ kind: 'set' | 'undo' | 'redo', id: string, line?: string, to?: number }} act */
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

  apply({ kind, id, line, to }) {
    const [grams, steps, undone] = [this.grams.get(id), this.steps.get(id), this.undone.get(id)];
    if (kind === 'set') {
      steps.push({ line, from: grams.get(line), to });
      undone.length = 0;
      grams.set(line, to);
    } else if (kind === 'undo') {
      const s = steps.pop();
      if (!s) return;
      undone.push(s);
      grams.set(s.line, s.from);
    } else {
      const s = undone.pop();
      if (!s) return;
      steps.push(s);
      grams.set(s.line, s.to);
    }
  }

  /** A copy with some of what was flying done as well, in its order. */
  with(acts) {
    const m = new Model(new Map([...this.grams].map(([id, g]) => [id, new Map(g)])));
    for (const [id, s] of this.steps) m.steps.set(id, [...s]);
    for (const [id, s] of this.undone) m.undone.set(id, [...s]);
    for (const a of acts) m.apply(a);
    return m;
  }

  /**
   * Takes over what a killed browser left: all that was acknowledged, with any of what was flying. What differs from that
   * is lost or made up, in words.
   *
   * @param {Map<string, Map<string, number>>} found
   * @returns {string[]}
   */
  settle(found) {
    const orders = subsets(this.flying).flatMap(permutations);
    const same = (m) => [...m.grams].every(([id, g]) => [...g].every(([line, x]) => found.get(id)?.get(line) === x));
    const fit = orders.map((acts) => this.with(acts)).find(same);
    if (fit) {
      [this.grams, this.steps, this.undone, this.flying] = [fit.grams, fit.steps, fit.undone, []];
      return [];
    }
    const wrong = [];
    for (const [id, g] of this.grams)
      for (const [line, x] of g) {
        const is = found.get(id)?.get(line);
        if (is !== x && !this.flying.some((a) => a.id === id)) wrong.push(`${id} ${line}: ${is} instead of ${x}`);
      }
    this.grams = new Map([...this.grams].map(([id, g]) => [id, new Map([...g.keys()].map((l) => [l, found.get(id)?.get(l)]))])); // prettier-ignore
    for (const id of this.grams.keys()) [this.steps, this.undone].forEach((m) => m.set(id, []));
    const flying = JSON.stringify(this.flying);
    this.flying = [];
    return wrong.length > 0 ? wrong : [`neither before nor after what was under way: ${flying}`];
  }
}

const subsets = (list) => list.reduce((all, x) => all.concat(all.map((s) => [...s, x])), [[]]);
const permutations = (list) =>
  list.length < 2 ? [list] : list.flatMap((x, i) => permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [x, ...rest])); // prettier-ignore
