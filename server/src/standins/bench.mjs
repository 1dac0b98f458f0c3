import { SimulatedOven } from './oven.mjs';
import { CAPACITY_G, SimulatedScale, STEP_G } from './scale.mjs';

/** How often something is said, ms. */
const SAY_MS = 200;
/** A reading of the probe each so many seconds of the kitchen's time, unless it runs so fast that one is said each time. */
const PROBE_S = 5;
/** Time that passed while nobody was listening counts, but no more than this, s. */
const MOST_AWAY_S = 12 * 3600;

/**
 * A scale and a probe for one kitchen. Time goes on while nobody listens: a page that was closed finds the cake further on.
 */
export class Bench {
  /**
   * @param {string} key
   * @param {() => number} now ms
   */
  constructor(key, now = Date.now) {
    this.now = now;
    this.scale = new SimulatedScale(key);
    this.oven = new SimulatedOven(key);
    this.pace = 1;
    this.at = now();
    this.sinceProbe = Infinity;
    /** @type {Set<(message: object) => void>} */
    this.listeners = new Set();
    /** @type {ReturnType<typeof setInterval> | null} */
    this.timer = null;
    this.last = '';
  }

  /** @param {(message: object) => void} say */
  listen(say) {
    this.listeners.add(say);
    say({ hello: { stepG: STEP_G, capacityG: CAPACITY_G, names: { scale: 'simulated scale', probe: 'simulated probe' } } });
    this.last = '';
    this.tick();
    this.timer ??= setInterval(() => this.tick(), SAY_MS);
    return () => {
      this.listeners.delete(say);
      if (this.listeners.size > 0 || !this.timer) return;
      clearInterval(this.timer);
      this.timer = null;
    };
  } // prettier-ignore

  /** @param {object} message */
  say(message) {
    for (const l of this.listeners) l(message);
  }

  tick() {
    const now = this.now();
    const real = Math.max(0, Math.min(MOST_AWAY_S, (now - this.at) / 1000));
    this.at = now;
    const weight = this.scale.after(real);
    if (weight) this.say({ scale: weight });
    this.sinceProbe += real * this.pace;
    const due = this.sinceProbe >= PROBE_S;
    if (due) {
      const read = this.oven.after(Math.min(MOST_AWAY_S, this.sinceProbe === Infinity ? 0 : this.sinceProbe));
      this.sinceProbe = 0;
      if (read) this.say({ probe: read });
    }
    this.state();
  }

  /** How things stand, when it has changed. */
  state() {
    const state = {
      scale: this.scale.plugged,
      probe: this.oven.plugged,
      bake: this.oven.bake && this.oven.outS === null ? this.oven.bake.id : null,
      rackC: this.oven.rackC(),
      pace: this.pace,
    };
    const text = JSON.stringify(state);
    if (text !== this.last) this.say({ state });
    this.last = text;
  }

  /**
   * Does what is wished; what is wrong with it, in words.
   *
   * @param {import('./messages.mjs').Wish} wish
   * @returns {string | null}
   */
  do(wish) {
    this.tick();
    /** @type {string | null} */
    let problem = null;
    if (wish.do === 'tare') this.scale.tare();
    else if (wish.do === 'pour') this.scale.pour(wish.grams, wish.seconds);
    else if (wish.do === 'clear') this.scale.clear();
    else if (wish.do === 'shake') this.scale.shake();
    else if (wish.do === 'plug') {
      if (wish.device === 'scale') this.scale.plug(wish.in);
      else this.oven.plugged = wish.in;
    } else if (wish.do === 'in') problem = this.oven.putIn(wish.bake, wish.elapsedS);
    else if (wish.do === 'door') this.oven.openDoor(wish.seconds);
    else if (wish.do === 'slip') this.oven.slipped = wish.share;
    else if (wish.do === 'pace') this.pace = wish.pace;
    else this.oven.takeOut();
    this.state();
    return problem;
  }
}

/** How many kitchens can have one at a time. */
const MOST = 16;

/** Benches by key, the one used last at the end; one that nobody listens to makes room. */
export class Benches {
  constructor() {
    /** @type {Map<string, Bench>} */
    this.all = new Map();
  }

  /** @param {string} key */
  get(key) {
    const bench = this.all.get(key) ?? new Bench(key);
    this.all.delete(key);
    for (const [k, b] of this.all) if (this.all.size >= MOST && b.listeners.size === 0) this.all.delete(k);
    if (this.all.size >= MOST) return null;
    this.all.set(key, bench);
    return bench;
  }

  close() {
    for (const b of this.all.values()) if (b.timer) clearInterval(b.timer);
    this.all.clear();
  }
}
