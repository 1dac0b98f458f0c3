import { bakeInputOf, fitTins, forecast, forecastPlan, type BakeInput, type ForecastPlan } from '../src/index.js';
import { demo, demoIds, demoKitchen } from '../test/support/make.js';
import { alteredBake, matchedBake, strangeBake, type ProbedBake } from '../test/support/strange-oven.js';

/** Seeds that nothing was chosen on begin here. */
const FROM = 500_001;
const BAKES = 200;
const SHARES = [0, 0.25, 0.5, 0.75, 0.9] as const;

interface Case {
  readonly title: string;
  readonly input: BakeInput;
  readonly plan: ForecastPlan;
}
interface Met {
  readonly title: string;
  readonly share: number;
  /** ln of foretold over true. */
  readonly error: number;
  readonly held: boolean;
  readonly width: number;
}

const pct = (x: number): string => `${(100 * x).toFixed(0)} %`;
const rms = (list: readonly Met[]): string =>
  `${(100 * Math.sqrt(list.reduce((s, m) => s + m.error * m.error, 0) / list.length)).toFixed(1)} %`;
const share = (list: readonly Met[], is: (m: Met) => boolean): string => pct(list.filter(is).length / list.length);

/** How near the probe's forecast comes, in ovens that the model knows and in ovens built otherwise. Prints Markdown. */
export function forecastStudy(bakes = BAKES): void {
  const kitchen = demoKitchen();
  const cases = demoIds.flatMap((id): Case[] => {
    const f = demo(id);
    const fit = f.tins ? fitTins(f, f.tins, kitchen)[0] : undefined;
    const input = fit && bakeInputOf(f, fit, kitchen);
    const plan = input && forecastPlan(input, kitchen);
    return input && plan ? [{ title: f.title, input, plan }] : [];
  });
  const met = (make: typeof strangeBake, salt: number): Met[] =>
    Array.from({ length: bakes }, (_, i) => {
      const c = cases[i % cases.length] as Case;
      const b: ProbedBake = make(c.input, kitchen, FROM + salt + i);
      return SHARES.map((part): Met => {
        const f = forecast(
          b.readings.filter((r) => r.s <= part * 60 * b.doneMin),
          c.plan,
        );
        const { low, typical, high } = f.minutes;
        return {
          title: c.title,
          share: part,
          error: Math.log(typical / b.doneMin),
          held: b.doneMin >= low && b.doneMin <= high,
          width: (high - low) / typical,
        };
      });
    }).flat();
  const kinds = [
    ['as the model has it', met(matchedBake, 0)],
    ['same body, other laws', met(alteredBake, 2000)],
    ['built otherwise', met(strangeBake, 5000)],
  ] as const;
  console.log(`
## Forecast from a probe

${bakes} simulated bakes of the ${cases.length} sample formulas in each of three kinds of oven, on seeds that were first used for this table, after the forecast’s judgements had been chosen on others.

- **As the model has it**: the bake model with a hidden bias (10 K, one sigma) and pace (12 %), a probe up to 30 % off the middle.
- **Same body, other laws**: the same tin and batter with more or less vapour through the pores (35 %), another conductivity, water, fat and rise (25 %), another share of radiation and convection; a thermostat that swings 2–10 K, a door opened in half of them, a hidden bias of 10 K. At the dial’s heat it would be done in the predicted time but for 6 %.
- **Built otherwise**: nothing of the bake model is in it: shells of one dimension, plain conduction with laws of its own, boiling as a ceiling, a wet skin; thermostat, door, bias and the 6 % as before. The forecast’s own plain bodies are of one dimension too, with none of these laws.

In the last two the probe is up to a third off the middle, with up to 3.5 % of the oven’s heat coming in by its stem, slow, shivering, and silent for two and a half minutes.

| oven | read so far | within 8 % | in its 80 % band | rms error | width of the band |
|---|---|---|---|---|---|`);
  for (const [name, list] of kinds)
    for (const part of SHARES) {
      const at = list.filter((m) => m.share === part);
      const width = at.reduce((s, m) => s + m.width, 0) / at.length;
      console.log(`| ${name} | ${pct(part)} of the bake | ${share(at, (m) => Math.abs(m.error) <= 0.08)} | ${share(at, (m) => m.held)} | ${rms(at)} | ${pct(width)} |`); // prettier-ignore
    }
  console.log('\nAt half-time, formula by formula, mean and rms error:\n\n| formula | other laws | built otherwise |\n|---|---|---|'); // prettier-ignore
  for (const c of cases) {
    const cell = (list: readonly Met[]): string => {
      const at = list.filter((m) => m.title === c.title && m.share === 0.5);
      return `${pct(at.reduce((s, m) => s + m.error, 0) / at.length)}, ${rms(at)}`;
    };
    console.log(`| ${c.title} | ${cell(kinds[1][1])} | ${cell(kinds[2][1])} |`);
  }
}
