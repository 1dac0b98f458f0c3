import type { BakeInput, ForecastPlan, ProbeReading } from '../src/index.js';
import { bakeInputOf, fitTins, forecast, forecastPlan } from '../src/index.js';
import { demo, demoKitchen } from './support/make.js';
import { matchedBake, strangeBake, type ProbedBake } from './support/strange-oven.js';

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
  const matched = Array.from({ length: 30 }, (_, i) => ({ b: matchedBake(inputs[i % 3] as BakeInput, kitchen, i + 1), plan: plans[i % 3] as ForecastPlan })); // prettier-ignore
  const strange = Array.from({ length: 15 }, (_, i) => ({ b: strangeBake(inputs[i % 3] as BakeInput, kitchen, i + 1), plan: plans[i % 3] as ForecastPlan })); // prettier-ignore

  it('comes nearer as it is read, where the oven is as the model thinks', () => {
    const [half, late] = [score(matched, 0.5), score(matched, 0.75)];
    expect(half.rms).toBeLessThan(0.75 * score(matched, 0).rms);
    expect(late.rms).toBeLessThan(half.rms);
    expect(half.near).toBeGreaterThanOrEqual(0.6);
    expect(late.near).toBeGreaterThanOrEqual(0.9);
  });

  it('is honest of what it does not know, in ovens built otherwise', () => {
    expect(score(strange, 0).held).toBeGreaterThanOrEqual(0.7);
    expect(score(strange, 0.5).held).toBeGreaterThanOrEqual(0.65);
    expect(score(strange, 0.5).rms).toBeLessThan(0.16);
  });

  it('narrows, does not mind the order, gaps or a wild reading, and begins with what was predicted', () => {
    for (const { b, plan } of matched.slice(0, 6)) {
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
