import { defaultKitchen, predictBake } from '@orvin/core';
import { chance } from './chance.mjs';

// all of these are judgements of what home ovens and cheap probes are like
/** One sigma of what is hidden: how much hotter the oven is than its dial, K, and how fast heat comes, ln. */
const BIAS_K = 9;
const SPEED_SD = 0.1;
/** Its thermostat switches: half the swing, K, and the period, min. */
const SWING_K = [4, 9];
const PERIOD_MIN = [4, 9];
/** What an opened door costs, K, for as long as it is open. */
const DOOR_K = 60;
/** Probe: its lag, s, one sigma of a reading, K, and the share of its readings that do not arrive. */
const LAG_S = 18;
const NOISE_K = 0.3;
const LOST = 0.04;
/** How soon a cake cools on the rack, s. */
const COOLS_S = 1500;

/**
 * @typedef {import('@orvin/core').BakeInput} BakeInput
 * @typedef {{ id: string, input: BakeInput, roomC: number, altitudeM: number }} PutIn
 */

/**
 * An oven that is not there, with a probe in the cake. The cake bakes by the bake model, but in an oven whose bias, pace,
 * swinging thermostat and opened doors nobody is told, and the probe sits a little off the middle, is slow, shivers and
 * loses readings.
 */
export class SimulatedOven {
  /** @param {string | number} seed */
  constructor(seed) {
    this.seed = seed;
    this.plugged = true;
    /** @type {PutIn | null} */
    this.bake = null;
    this.inS = 0;
    /** When it came out, s after it went in. @type {number | null} */
    this.outS = null;
    /** Doors opened, s after it went in. @type {{ at: number, s: number }[]} */
    this.doors = [];
    /** How far the probe has slipped from the middle, beyond where it was put. */
    this.slipped = 0;
    this.shown = 21;
    this.roomC = 21;
    this.dice = chance(`probe ${seed}`);
    this.hidden = this.hide('');
    /** @type {import('@orvin/core').BakePrediction['curve']} */
    this.curve = [];
  }

  /** What nobody is told, the same each time for the same bake. @param {string} id */
  hide(id) {
    // the oven's bias stays with the oven; the rest comes with each bake
    const oven = chance(`oven ${this.seed}`);
    const bake = chance(`bake ${this.seed} ${id}`);
    return {
      biasC: oven.normal(BIAS_K),
      swingK: oven.even(SWING_K[0] ?? 4, SWING_K[1] ?? 9),
      periodMin: oven.even(PERIOD_MIN[0] ?? 4, PERIOD_MIN[1] ?? 9),
      speed: Math.exp(bake.normal(SPEED_SD)),
      off: bake.even(0, 0.25),
      stem: bake.even(0, 0.02),
    };
  }

  /** Whether a cake is in it already. @param {string} id */
  holds(id) {
    return this.bake?.id === id && this.outS === null;
  }

  /**
   * A cake goes in with the probe in it; the same cake again changes nothing.
   *
   * @param {PutIn} bake
   * @param {number} elapsedS how long it has been in already, as after a start of this server in mid-bake
   * @returns {string | null} what is wrong with it
   */
  putIn(bake, elapsedS) {
    if (this.holds(bake.id)) {
      this.inS = Math.max(this.inS, elapsedS);
      return null;
    }
    const before = this.bake;
    [this.bake, this.doors, this.slipped, this.hidden] = [bake, [], 0, this.hide(bake.id)];
    const problem = this.attempt();
    if (problem !== null) {
      this.bake = before;
      return problem;
    }
    [this.inS, this.outS, this.roomC] = [elapsedS, null, bake.roomC];
    this.shown = this.crumbC();
    return null;
  }

  /** What came over the socket may be no bake at all. */
  attempt() {
    try {
      return this.run();
    } catch (e) {
      return `This cannot be baked: ${e instanceof Error ? e.message : String(e)}`;
    }
  }

  takeOut() {
    if (this.bake && this.outS === null) this.outS = this.inS;
  }

  /** @param {number} seconds */
  openDoor(seconds) {
    if (!this.bake || this.outS !== null || this.doors.length >= 30) return;
    this.doors.push({ at: this.inS, s: seconds });
    this.run();
  }

  /** The bake with all that is hidden, from its beginning; what was read until now comes out the same. */
  run() {
    const bake = this.bake;
    if (!bake) return null;
    const { biasC, swingK, periodMin, speed } = this.hidden;
    const { input } = bake;
    const dial = [{ fromMin: 0, ovenC: input.ovenC }, ...(input.stages ?? [])].sort((a, b) => a.fromMin - b.fromMin);
    const set = (/** @type {number} */ min) => dial.reduce((now, d) => (min >= d.fromMin ? d : now), dial[0] ?? { fromMin: 0, ovenC: 180 }); // prettier-ignore
    const moments = new Set(dial.map((d) => d.fromMin));
    for (let m = 0; m < 180; m += periodMin / 2) moments.add(m);
    for (const d of this.doors) moments.add(d.at / 60).add((d.at + d.s) / 60);
    const stages = [...moments].sort((a, b) => a - b).map((fromMin) => {
      const swing = Math.floor(fromMin / (periodMin / 2) + 1e-6) % 2 === 0 ? -swingK : swingK;
      const open = this.doors.some((d) => fromMin * 60 >= d.at - 1e-6 && fromMin * 60 < d.at + d.s - 1e-6);
      return { ...set(fromMin), fromMin, ovenC: set(fromMin).ovenC + swing - (open ? DOOR_K : 0) };
    }); // prettier-ignore
    const known = input.calibration;
    const p = predictBake(
      {
        ...input,
        stages,
        calibration: {
          ...(known ?? { sdLog: 0.1, timeSd: 0.1, used: 0, words: '', doubts: [] }),
          speed: (known?.speed ?? 1) * speed,
          biasC: (known?.biasC ?? 0) + biasC,
        },
      },
      // of the kitchen only where it stands is told
      { ...defaultKitchen, roomC: bake.roomC, altitudeM: bake.altitudeM, ovens: [] },
    );
    if (p.curve.length < 2) return p.problems.map((x) => `${x.words} ${x.remedy}`).join(' ') || 'This cannot be baked.';
    this.curve = p.curve;
    return null;
  }

  /** The crumb where the probe is, °C. */
  crumbC(s = this.inS) {
    const last = this.curve.at(-1);
    if (!last) return this.roomC;
    const i = Math.max(
      1,
      this.curve.findIndex((x) => x.s >= s),
    );
    const [a, b] = [this.curve[i - 1], this.curve[i]];
    const off = Math.min(1, this.hidden.off + this.slipped);
    const at = (/** @type {typeof last} */ x) => (1 - off) * x.centreC + off * x.meanC;
    if (s <= last.s && a && b) return at(a) + ((at(b) - at(a)) * (s - a.s)) / (b.s - a.s);
    // left in longer than the model goes on: it nears what a crust lets through
    const end = at(last);
    return end + (104 - Math.min(104, end)) * (1 - Math.exp(-(s - last.s) / 900));
  }

  airC() {
    const bake = this.bake;
    if (!bake) return this.roomC;
    const { periodMin, swingK, biasC } = this.hidden;
    const open = this.doors.some((d) => this.inS >= d.at && this.inS < d.at + d.s + 60);
    const swing = swingK * Math.sin((2 * Math.PI * this.inS) / (60 * periodMin));
    return bake.input.ovenC + biasC + swing - (open ? DOOR_K / 2 : 0);
  }

  /** What a thermometer on the rack shows, to 2 °C as such dials are read; null while nothing is in. */
  rackC() {
    return this.bake && this.outS === null ? 2 * Math.round(this.airC() / 2) : null;
  }

  /**
   * Lets time pass.
   *
   * @param {number} seconds of the kitchen's time
   * @returns {{ c: number } | null} what the probe says; null when it is silent
   */
  after(seconds) {
    this.inS += this.bake ? seconds : 0;
    let is = this.roomC;
    if (this.bake && this.outS === null) is = (1 - this.hidden.stem) * this.crumbC() + this.hidden.stem * this.airC();
    else if (this.bake && this.outS !== null)
      is = this.roomC + (this.crumbC(this.outS) - this.roomC) * Math.exp(-(this.inS - this.outS) / COOLS_S);
    this.shown += (is - this.shown) * (1 - Math.exp(-seconds / LAG_S));
    if (!this.plugged || this.dice.happens(LOST)) return null;
    return { c: Math.round(10 * (this.shown + this.dice.normal(NOISE_K))) / 10 };
  }
}
