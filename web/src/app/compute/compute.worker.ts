import {
  bakeInputOf,
  calibrationFor,
  convertBake,
  diagnose,
  divideAlike,
  exerciseTask,
  earliestServe,
  forecast,
  forecastPlan,
  placeOf,
  planDay,
  predictBake,
  rankTins,
  sampleTimes,
} from '@orvin/core';
import { ranked, readPicture, readRecipe, recipesSeen, recipeTexts, written } from '@orvin/core/reading';
import { giveJudgement, judgementData } from '@orvin/core/judgement';
import { expose, transfer } from 'comlink';
import type { BakeInput, DayBake, DayOptions, Forecast, ForecastPlan, Kitchen, KnownBake } from '@orvin/core';
import type { Jobs } from './jobs';
import { lessonOf } from './lesson';

giveJudgement(judgementData);

const QUARTER = 15 * 60_000;
/** The next full quarter of an hour that can still be met, with a moment to begin in. */
const soonest = (bakes: readonly DayBake[], kitchen: Kitchen, now: number, options: DayOptions): number =>
  Math.ceil((earliestServe(bakes, kitchen, now + 3 * 60_000, options) - 1) / QUARTER) * QUARTER;

interface Begun {
  readonly plan: ForecastPlan;
  readonly expected: Forecast['path'];
}
/** What the bakes that were asked for last start from; a second's work each. */
const begun = new Map<string, Begun | null>();
function begunOf(input: BakeInput, kitchen: Kitchen): Begun | null {
  const key = JSON.stringify([input, kitchen.roomC, kitchen.altitudeM, kitchen.ovens]);
  const known = begun.get(key);
  if (known !== undefined) return known;
  const plan = forecastPlan(input, kitchen);
  const both = plan && { plan, expected: forecast([], plan).path };
  if (begun.size >= 3) begun.delete(begun.keys().next().value ?? '');
  begun.set(key, both);
  return both;
}

/** A bake with what the log and its stated time say of it. */
const calibrated = (input: BakeInput, kitchen: Kitchen, stated: KnownBake | null = null): BakeInput =>
  input.calibration ? input : { ...input, calibration: calibrationFor(placeOf(input, kitchen), stated, kitchen) };

const jobs: Jobs = {
  predict: (input, kitchen, stated) => {
    const p = predictBake(calibrated(input, kitchen, stated), kitchen);
    return p.section ? transfer(p, [p.section.frames.buffer as ArrayBuffer]) : p;
  },
  sample: (input, kitchen, from, to) => sampleTimes(input, kitchen, from, to),
  choices: (formula, tins, kitchen) =>
    rankTins(formula, tins, kitchen).map((choice) => ({ choice, input: bakeInputOf(formula, choice.fit, kitchen) })),
  convert: (input, wanted, kitchen, stated) => {
    const c = convertBake(calibrated(input, kitchen, stated), wanted, kitchen);
    const { prediction, ovenC } = c.suited;
    return {
      same: c.same.minutes,
      ovenC,
      suited: prediction.minutes,
      crust: prediction.browning.words,
      words: c.words,
    };
  },
  alike: (inputs, kitchen, stated) =>
    divideAlike(
      inputs.map((i) => calibrated(i, kitchen, stated)),
      kitchen,
    ),
  lesson: (database, kitchen) => lessonOf(database, kitchen),
  exercise: (id, formula, kitchen) => exerciseTask(id, formula, kitchen),
  diagnose: (what, seen, kitchen) => diagnose(what, seen, kitchen),
  read: (text, kitchen, region) => ranked(readRecipe(text, kitchen, { ...(region && { region }) }), kitchen),
  recipesSeen: (pages) => recipesSeen(written(pages)),
  readPicture: (seen, kitchen, region) => ranked(readPicture(seen, kitchen, { ...(region && { region }) }), kitchen),
  texts: (text) => recipeTexts(text),
  forecast: (input, kitchen, readings, rack) => {
    const known = begunOf(input, kitchen);
    return (
      known && { forecast: forecast(readings, known.plan, rack), expected: known.expected, doneC: known.plan.doneC }
    );
  },
  plan: (bakes, kitchen, serveAt, now, options) =>
    planDay(bakes, kitchen, serveAt ?? soonest(bakes, kitchen, now, options), now, options),
};
expose(jobs);
