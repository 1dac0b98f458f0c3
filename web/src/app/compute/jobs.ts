import type {
  BakeInput,
  BakePrediction,
  Browning,
  DayBake,
  DayOptions,
  DayPlan,
  DiagnosedBake,
  Diagnosis,
  ExerciseTask,
  Forecast,
  Formula,
  Kitchen,
  KnownBake,
  Lesson,
  ProbeReading,
  RackReading,
  SymptomId,
  Tin,
  TinChoice,
  Together,
} from '@orvin/core';
import type { RecipeDraft, RegionId, SeenPage, Written } from '@orvin/core/reading';

/** A tin of the kit with the formula in it, ready to be converted. */
export interface KitChoice {
  readonly choice: TinChoice;
  readonly input: BakeInput;
}

/** What a conversion table shows of one tin. */
export interface Converted {
  readonly same: BakePrediction['minutes'];
  readonly ovenC: number;
  readonly suited: BakePrediction['minutes'];
  readonly crust: string;
  readonly words: string;
}

/** A forecast, and what had been expected of the probe's readings before there were any. */
export interface Foretold {
  readonly forecast: Forecast;
  readonly expected: Forecast['path'];
  readonly doneC: number;
}

/** What a log has taught; null while bakes are left to be reckoned, and where there is no log. */
export interface Taught {
  readonly left: number;
  readonly lesson: Lesson | null;
}

/**
 * What a worker can do; one job in, one result out, both plain values. Where a bake is predicted, what the log has
 * taught comes with the kitchen, and a formula's stated time beside it.
 */
export interface Jobs {
  /** With `section` in the input, the field of temperatures is handed over, not copied. */
  predict(input: BakeInput, kitchen: Kitchen, stated?: KnownBake | null): BakePrediction;
  /** Samples `from` to `to` of a bake's time, for its range. */
  sample(input: BakeInput, kitchen: Kitchen, from: number, to: number): number[];
  /** The kit's tins with the formula in them, the best first. */
  choices(formula: Formula, tins: readonly Tin[], kitchen: Kitchen): KitChoice[];
  convert(input: BakeInput, wanted: Browning | null, kitchen: Kitchen, stated?: KnownBake | null): Converted;
  /** One batter over unlike tins, all done together. */
  alike(inputs: readonly BakeInput[], kitchen: Kitchen, stated?: KnownBake | null): Together;
  /** What the log of a kitchen's database teaches; a part of the way to it, where it was not reckoned yet. */
  lesson(database: string, kitchen: Kitchen): Promise<Taught>;
  diagnose(what: DiagnosedBake, seen: readonly SymptomId[], kitchen: Kitchen): Diagnosis;
  /** What one of the exercises asks, on a formula of the sample kitchen. @throws OrvinError `bad-argument` for one that there is not */
  exercise(id: string, formula: Formula, kitchen: Kitchen): ExerciseTask;
  /** Reads one recipe from any text. */
  read(text: string, kitchen: Kitchen, region?: RegionId): RecipeDraft;
  /** The recipes in what was seen in pictures, each with the places of its lines. */
  recipesSeen(pages: readonly SeenPage[]): readonly Written[];
  /** Reads one recipe from what was seen in pictures. */
  readPicture(seen: Written, kitchen: Kitchen, region?: RegionId): RecipeDraft;
  /** The texts of the recipes in a file. */
  texts(text: string): string[];
  /** When a bake will be done by what a probe and a thermometer have read; null when it cannot be foretold. */
  forecast(
    input: BakeInput,
    kitchen: Kitchen,
    readings: readonly ProbeReading[],
    rack: readonly RackReading[],
  ): Foretold | null;
  /** A day back from its serving time, or from the soonest it can be when there is none. */
  plan(bakes: readonly DayBake[], kitchen: Kitchen, serveAt: number | null, now: number, options: DayOptions): DayPlan;
}
export type JobName = keyof Jobs;
