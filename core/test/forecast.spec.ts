import type { BakeInput, ForecastPlan, ProbeReading } from '../src/index.js';
import { bakeInputOf, fitTins, forecast, forecastPlan } from '../src/index.js';
import { demo, demoKitchen } from './support/make.js';
import { size } from './support/runs.js';
import { alteredBake, matchedBake, strangeBake, type ProbedBake } from './support/strange-oven.js';

const kitchen = demoKitchen();
const inputs = ['buckwheat-cocoa-squares', 'lime-and-coconut-tray-cake', 'maize-and-chive-skillet-bread'].map(
  (id): BakeInput => {
    const f = demo(id);
    const fit = fitTins(f, f.tins ?? [], kitchen)[0];
    if (!fit) throw new Error(id);
    return bakeInputOf(f, fit, kitchen);
  },
);
const plans = inputs.map((i) => forecastPlan(i, kitchen) as ForecastPlan);
const upTo = (b: ProbedBake, share: number): ProbeReading[] => b.readings.filter((r) => r.s <= share * b.doneMin * 60);

/** Of some bakes: how often the forecast at a share of the bake is within 8 %, and within its own band; its rms error. */
function score(bakes: readonly { readonly b: ProbedBake; readonly plan: ForecastPlan }[], share: number) {
  let [near, held, squares] = [0, 0, 0];
  for (const { b, plan } of bakes) {
    const f = forecast(upTo(b, share), plan);
    const e = f.minutes.typical / b.doneMin - 1;
    if (Math.abs(e) <= 0.08) near++;
    if (b.doneMin >= f.minutes.low && b.doneMin <= f.minutes.high) held++;
    squares += e * e;
  }
  return { near: near / bakes.length, held: held / bakes.length, rms: Math.sqrt(squares / bakes.length) };
}

describe('the forecast from a probe', () => {
  const of = (make: typeof strangeBake, n: number) =>
    Array.from({ length: n }, (_, i) => ({ b: make(inputs[i % 3] as BakeInput, kitchen, i + 1), plan: plans[i % 3] as ForecastPlan })); // prettier-ignore
  const [matched, altered, strange] = [
    of(matchedBake, size(18, 12)),
    of(alteredBake, size(15, 12)),
    of(strangeBake, size(12, 9)),
  ];

  it('comes nearer as it is read, where the oven is as the model thinks', () => {
    const [half, late] = [score(matched, 0.5), score(matched, 0.75)];
    expect(half.rms).toBeLessThan(0.6 * score(matched, 0).rms);
    expect(late.rms).toBeLessThan(half.rms);
    expect(half.near).toBeGreaterThanOrEqual(0.8);
    expect(late.near).toBeGreaterThanOrEqual(0.9);
  });

  it('is within 8 % at half-time in most, where other laws hold than the model’s', () => {
    const half = score(altered, 0.5);
    expect(half.near).toBeGreaterThanOrEqual(0.8);
    expect(half.held).toBeGreaterThanOrEqual(0.75);
    expect(score(altered, 0.75).near).toBeGreaterThanOrEqual(0.9);
  });

  it('is honest of what it does not know, in ovens built otherwise', () => {
    expect(score(strange, 0).held).toBeGreaterThanOrEqual(0.7);
    const half = score(strange, 0.5);
    expect(half.held).toBeGreaterThanOrEqual(0.6);
    expect(half.rms).toBeLessThan(0.16);
  });

  it('believes a thermometer on the rack as far as one can be believed', () => {
    const plan = plans[0] as ForecastPlan;
    const hot = [900, 1200, 1500].map((s) => ({ s, ovenC: (plan.stages[0]?.ovenC ?? 180) + 20 }));
    const [before, after] = [forecast([], plan), forecast([], plan, hot)];
    expect(after.minutes.typical).toBeLessThan(before.minutes.typical);
    expect(after.biasC.typical).toBeGreaterThan(3);
    expect(after.biasC.typical).toBeLessThan(20);
    // while the door's loss is made good it says nothing
    expect(forecast([], plan, [{ s: 60, ovenC: 120 }]).minutes.typical).toBeCloseTo(before.minutes.typical, 1);
  });

  it('does not take the oven’s heat in the stem, or a batter that went in warmer, for a bake that is further on', () => {
    for (const { b, plan } of matched.slice(0, 6)) {
      const half = upTo(b, 0.5);
      const usual = forecast(half, plan).minutes.typical;
      const stem = half.map((r) => ({ ...r, c: 0.97 * r.c + 0.03 * ((plan.stages[0]?.ovenC ?? 180) - 20) }));
      expect(Math.abs(Math.log(forecast(stem, plan).minutes.typical / usual))).toBeLessThan(0.04);
      const warm = half.map((r) => ({ ...r, c: r.c + 6 * (1 - (r.c - plan.startC) / (plan.doneC - plan.startC)) }));
      expect(Math.abs(Math.log(forecast(warm, plan).minutes.typical / usual))).toBeLessThan(0.06);
    }
  });

  it('does not call a cake done that is far from it, in an oven that was never hot', () => {
    for (const { b, plan } of matched.slice(0, 3))
      for (const times of [1.5, 2.5]) {
        const slow = b.readings
          .map((r) => ({ s: times * r.s, c: r.c }))
          .filter((r) => r.s < 0.65 * times * 60 * b.doneMin);
        const f = forecast(slow, plan);
        if (times < 2) expect(f.minutes.typical).toBeGreaterThan(1.15 * plan.minutes.likely);
        expect(f.words).toMatch(/min more|far from done/);
      }
  });

  it('begins narrower in an oven that is known, and ends no narrower than it is itself off by', () => {
    const input = inputs[0] as BakeInput;
    const known = { speed: 1, biasC: 0, sdLog: 0.05, timeSd: 0.08, used: 3, words: '', doubts: [] };
    const width = (p: ForecastPlan): number => Math.log(p.minutes.late / p.minutes.early);
    const calibrated = forecastPlan({ ...input, calibration: known }, kitchen) as ForecastPlan;
    expect(width(calibrated)).toBeLessThan(0.95 * width(plans[0] as ForecastPlan));
    for (const { b, plan } of matched.slice(0, 3)) {
      const { low, typical, high } = forecast(b.readings, plan).minutes;
      expect(low).toBeLessThan(typical);
      expect(high).toBeGreaterThan(typical);
      expect((high - low) / typical).toBeGreaterThan(0.07);
    }
  });

  it('says what the time says of bias and of heat, and the two agree with it', () => {
    for (const { b, plan } of matched.slice(0, 6)) {
      const f = forecast(upTo(b, 0.9), plan);
      const sooner = f.minutes.typical < plan.minutes.likely;
      // a bake that is done sooner has a hotter oven, or heat that comes faster, and as likely as not some of both
      if (Math.abs(Math.log(f.minutes.typical / plan.minutes.likely)) < 0.03) continue;
      expect(f.biasC.typical > 0).toBe(sooner);
      expect(f.speed.typical > 1).toBe(sooner);
      for (const band of [f.biasC, f.speed]) {
        expect(band.low).toBeLessThan(band.typical);
        expect(band.typical).toBeLessThan(band.high);
      }
    }
  });

  it('takes nothing from what cannot be a reading', () => {
    const plan = plans[0] as ForecastPlan;
    const { minutes } = forecast([], plan);
    for (const r of [
      { s: NaN, c: 40 },
      { s: -60, c: 40 },
      { s: 600, c: 400 },
      { s: 600, c: -60 },
    ]) {
      const f = forecast([r], plan);
      expect(f.used).toBe(0);
      expect(f.words).toBe('nothing read yet');
      expect(Math.abs(f.minutes.typical - minutes.typical)).toBeLessThan(0.2);
    }
  });

  it('draws the way it foretells: through what was read, up to the end', () => {
    const { b, plan } = matched[1] as (typeof matched)[0];
    const read = upTo(b, 0.6);
    const f = forecast(read, plan);
    const last = read.at(-1) as ProbeReading;
    const here = f.path.find((p) => p.min === Math.round(last.s / 60));
    expect(Math.abs((here?.c.typical ?? 0) - last.c)).toBeLessThan(6);
    for (const p of f.path) expect(p.c.low).toBeLessThanOrEqual(p.c.high);
    expect(f.path.at(-1)?.min).toBeGreaterThanOrEqual(Math.floor(f.minutes.high));
  });

  it('narrows, does not mind the order, gaps or a wild reading, and begins with what was predicted', () => {
    for (const { b, plan } of matched.slice(0, size(4, 2))) {
      const half = upTo(b, 0.5);
      const f = forecast(half, plan);
      const start = forecast([], plan);
      expect(start.minutes.typical).toBeCloseTo(plan.minutes.likely, 0);
      const late = forecast(upTo(b, 0.9), plan);
      expect(late.minutes.high - late.minutes.low).toBeLessThan(start.minutes.high - start.minutes.low);
      expect(forecast([...half].reverse(), plan)).toEqual(f);
      const wide = f.minutes.high - f.minutes.low;
      const gaps = forecast(
        half.filter((r) => r.s % 600 > 200 || r.s > half.length * 8),
        plan,
      );
      expect(Math.abs(gaps.minutes.typical - f.minutes.typical)).toBeLessThan(wide);
      const wild = [
        ...half.slice(0, -3),
        { s: (half.at(-3)?.s ?? 0) + 1, c: 5 },
        { s: (half.at(-3)?.s ?? 0) + 3, c: NaN },
      ];
      expect(Math.abs(forecast(wild, plan).minutes.typical - f.minutes.typical)).toBeLessThan(wide / 2);
      expect(f.leftMin.typical).toBeGreaterThanOrEqual(0);
    }
  });
});
