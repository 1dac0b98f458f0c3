import { chance } from './chance.mjs';

/** Smallest step it shows and the most it carries, g. */
export const STEP_G = 1;
export const CAPACITY_G = 5000;

/** Readings a second. */
const HZ = 10;
/** Platform and filter together follow a change with this time constant, s; twice over, so that a jump is rounded. */
const FOLLOW_S = 0.22;
/** One sigma of a reading, g; of how far the zero wanders, g in a minute. */
const NOISE_G = 0.18;
const DRIFT_G_MIN = 0.25;
/** It calls a weight stable when the last readings lie within this, g. */
const STABLE_G = 0.9;
const STABLE_READINGS = 8;
/** What a mixer beside it does, g, and for how long, s. */
const SHAKE_G = 9;
const SHAKE_S = 6;

/**
 * A kitchen scale that is not there: what lies on it settles, shivers and drifts as on a cheap one with strain gauges.
 * The figures are what such scales state: steps of 1 g to 5 kg, a second or two to settle, a gram of drift in some minutes.
 */
export class SimulatedScale {
  /** @param {string | number} seed */
  constructor(seed) {
    this.chance = chance(`scale ${seed}`);
    this.plugged = true;
    /** What really lies on it, g, and what is still on its way. */
    this.load = 0;
    /** @type {{ left: number, perS: number }[]} */
    this.flows = [];
    this.followed = [0, 0];
    this.drift = 0;
    this.zero = 0;
    this.shakeS = 0;
    this.owed = 0;
    /** @type {number[]} */
    this.last = [];
  }

  /**
   * Something begins to be poured on, or to be taken off.
   *
   * @param {number} grams negative for what is taken off
   * @param {number} seconds how long it takes; 0 puts it down at once
   */
  pour(grams, seconds) {
    if (seconds > 0) this.flows.push({ left: grams, perS: grams / seconds });
    else this.load = Math.max(0, this.load + grams);
  }

  clear() {
    this.flows = [];
    this.load = 0;
  }

  shake() {
    this.shakeS = SHAKE_S;
  }

  tare() {
    this.zero = (this.followed[1] ?? 0) + this.drift;
    this.last = [];
  }

  /** @param {boolean} in_ */
  plug(in_) {
    if (in_ === this.plugged) return;
    this.plugged = in_;
    this.last = [];
    if (!in_) return;
    // as it starts it takes for nothing what lies on it
    this.followed = [this.load, this.load];
    this.tare();
  }

  /**
   * Lets time pass.
   *
   * @param {number} seconds
   * @returns {{ grams: number, stable: boolean, over: boolean } | null} what it shows; null while unplugged, and before the next reading
   */
  after(seconds) {
    this.owed = Math.min(this.owed + seconds, 60);
    /** @type {{ grams: number, stable: boolean, over: boolean } | null} */
    let shown = null;
    while (this.owed >= 1 / HZ - 1e-9) {
      this.owed -= 1 / HZ;
      shown = this.read(1 / HZ);
    }
    return shown;
  }

  /** @param {number} dt s */
  read(dt) {
    for (const f of this.flows) {
      // a pour comes in lumps
      const part = Math.sign(f.left) * Math.min(Math.abs(f.left), Math.abs(f.perS) * dt * this.chance.even(0.4, 1.6));
      f.left -= part;
      this.load = Math.max(0, this.load + part);
    }
    this.flows = this.flows.filter((f) => Math.abs(f.left) > 1e-9);
    if (!this.plugged) return null;
    const follow = 1 - Math.exp(-dt / FOLLOW_S);
    const [a = 0, b = 0] = this.followed;
    const first = a + (this.load - a) * follow;
    this.followed = [first, b + (first - b) * follow];
    this.drift += this.chance.normal(DRIFT_G_MIN * Math.sqrt(dt / 60));
    this.shakeS = Math.max(0, this.shakeS - dt);
    const noise = this.chance.normal(this.shakeS > 0 ? SHAKE_G : NOISE_G);
    const raw = (this.followed[1] ?? 0) + this.drift + noise - this.zero;
    this.last = [...this.last, raw].slice(-STABLE_READINGS);
    const stable = this.last.length === STABLE_READINGS && Math.max(...this.last) - Math.min(...this.last) <= STABLE_G;
    const over = (this.followed[1] ?? 0) > CAPACITY_G;
    const mean = this.last.reduce((s, x) => s + x, 0) / this.last.length;
    // at rest it shows the mean of the last readings, while something moves the newest; never −0
    return { grams: Math.round((stable ? mean : raw) / STEP_G) * STEP_G + 0, stable: stable && !over, over };
  }
}
