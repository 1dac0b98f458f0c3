/**
 * All of the core but reading: what weighs up, explains, scales, fits, bakes and plans a formula that is there already.
 * Apart from `reading`, so that a page that only works on formulas need not load the reader and its libraries.
 */
export * from './formula/types.js';
export { OrvinError, type ErrorCode, type Problem } from './errors.js';

export { readTin, tinWords } from './recipe/tins.js';

export { degreesBetween, degreesIn, degreesMore, dialIn } from './quantity/degrees.js';

export { assess, type Assessment, type AssessOptions } from './balance/assess.js';
export type { Advice } from './balance/advice.js';
export { usualRanges, type Usual } from './balance/usual.js';
export { plausible, type NamedSuspect, type Plausibility } from './plausible/plausible.js';
export type { Suspect, Sure } from './plausible/suspects.js';
export type { Gauge, Span, Spans } from './plausible/spans.js';
export type { SuspectRole } from './plausible/sums.js';
export { effectOf, keepingTotal, moveTo, placeOnMap, toTotal, type Axis, type ItemEffect } from './balance/change.js';
export { allergensOf, cautionsOf, type Caution } from './balance/cautions.js';
export type { Verdict } from './balance/verdict.js';
export type { Totals } from './balance/totals.js';
export type { Beam, Pull, WaterLine, Wet } from './balance/pulls.js';
export type { Parts } from './balance/rules.js';
export { beside, type Beside, type BesideFigure, type BesideRow } from './balance/beside.js';
export type { Trait } from './balance/texture.js';
export { methodWords, type MethodFit, type Methods } from './balance/methods.js';
export { consistencyWords } from './balance/totals.js';
export {
  aFamily,
  families,
  familyFor,
  familyOf,
  hasRanges,
  type Consistency,
  type Family,
} from './balance/families.js';
export { capacityIn, heavyIn, heightIn, lengthIn, massBetween, massChange, massG, massIn, massUnit, massValue, rimIn, sizeIn, wholeMassIn } from './quantity/figures.js'; // prettier-ignore
export { readCapacity, readDial, readHeight, readLength, readMass, readTemperature } from './quantity/typed.js';
export { sliceChange } from './slice/change.js';
export { sliceOf, type Seen, type Slice } from './slice/slice.js';
export { explain, explainable, explainableOfItem, type Explanation, type ExplainKey } from './explain/explain.js';
export { explainBake, explainFit } from './explain/bake.js';

export {
  allItems,
  applyChanges,
  batterItems,
  differences,
  ingredientFor,
  isBatter,
  type Difference,
} from './formula/formula.js';
export { scale, batterForTins, type Scaled, type ScaleTarget } from './scale/scale.js';
export { bowlPlan, type BowlPlan } from './scale/bowls.js';
export { bakeAndFreeze, madeAndBaked, type Portion } from './scale/portions.js';
export { roundToKitchen, wholeEggFactors, type RoundedFormula, type Shift } from './scale/rounded.js';
export { capacityOf, heightFor, outlineOf, tinProblems, volumeTo, type Outline } from './tin/geometry.js';
export { wordedMethod, type Worded } from './counter/worded.js';
export { asFrozen, frozenFits } from './counter/from-freezer.js';
export { loadsOf, somePieces, type Loads } from './tin/loads.js';
export { shapedTin } from './tin/shaped.js';
export { fitTins, fitWith, piecesIn, shareOut, type Sharing, type TinFit } from './tin/fit.js';
export { asGroup, finish, type Covering, type FinishPlan, type FinishWish } from './finish/finish.js';
export { builds, type Build, type FinishId } from './finish/builds.js';
export { keepingOf, type Keeping } from './finish/keeping.js';
export { cutPlan, type CutPlan } from './finish/portions.js';
export { cutSlab, cutTin, type Cut, type CutShape } from './tin/cut.js';
export { footprint, rackOf, rackPlan, type Placed, type RackPlan } from './tin/rack.js';
export { commonTins, likelyTins, tinRegions, typicalTareG, type CommonTin, type TinRegion } from './tin/common.js';
export { kitchenIn, kitchenPlaces, movedTo, ovenKinds, placeFor, kitchenPlace, type KitchenPlace, type OvenKind } from './kitchen/places.js'; // prettier-ignore
export { rankTins, usesOf, type TinChoice } from './tin/rank.js';
export { acrossOf, matchTin, sizeWords } from './tin/naming.js';
export { scoopsFor, type Scoops } from './tin/scoop.js';
export { predictBake, statedBake, withRange, type BakePrediction, type PlanMark } from './bake/predict.js';
export { alsoSaid, ways, waysOf, withWay, type Way } from './bake/ways.js';
export { bakedAs, weightIn, type BakedAs } from './bake/bake-input.js';
export type { BakeInput, BatterParts, Calibration, Known, KnownBake, Layer } from './bake/bake-input.js';
export { bakeInputOf } from './bake/input.js';
export type { Cover } from './bake/oven.js';
export { coverAtFirst, laterStages, nextStage, putBy, statedSetting, withSetting, withStages } from './bake/stages.js';
export { forecast, forecastPlan, type Forecast, type ForecastPlan, type RackReading } from './bake/forecast.js';
export type { ProbeReading } from './bake/probe.js';
export { convertBake, equalHeat, type Conversion } from './bake/convert.js';
export { divideAlike, type Together } from './bake/together.js';

export type { Sample, Section } from './bake/record.js';
export { rangeFrom, sampleTimes, SAMPLES, type Range } from './bake/sample.js';
export { DARK, GOLDEN, PALE, type Browning } from './bake/browning.js';
export { operations, workOf, type Work } from './method/operations.js';
export { awayOf, type Away } from './text/cooked.js';
export { putAway, type PutAway } from './method/put-away.js';
export { shared, togetherIn, type Shared } from './method/together.js';
export { standingAsked, type Asked } from './method/standing.js';
export { asWritten, moveOperation, withMethod } from './method/correct.js';
export { withWords } from './recipe/with-words.js';
export {
  phases,
  type LaidOver,
  type Operation,
  type Phase,
  type Share,
  type Take,
  type Unworked,
} from './method/types.js';
export { verbs, type VerbId } from './method/verbs.js';
export { steps, type CounterPlan } from './counter/steps.js';
export { stepKinds, type Rescue, type Step, type StepAmount, type StepKind } from './counter/step.js';
export { alarmsOf, doneTasks, endsAt, type Alarm } from './counter/alarms.js';
export {
  counting,
  dayBakeOf,
  isSimulated,
  marksOf,
  nextFirst,
  pausedSince,
  PASSIVE,
  probeIn,
  SET_OUT,
  standingOfBake,
  takenUp,
  takesBack,
  timeOf,
  heldEven,
  JUMP_MS,
  type By,
  type Happening,
  type MadeBake,
  type Making,
  type Standing,
  type TrialClock,
} from './counter/making.js';
export {
  beginPouring,
  MOST_SCALED,
  pour,
  pouredNow,
  readScale,
  scaleSilent,
  tooLittleFor,
  zeroScale,
  type Poured,
  type Pouring,
  type Weight,
} from './counter/pouring.js';
export { plainName } from './counter/amounts.js';
export { butterWait, eggWait } from './counter/prepare.js';
export { earliestServe, planDay } from './day/plan.js';
export { laterOf, type Feeding, type Later } from './day/later.js';
export {
  taskKinds,
  type Concession,
  type DayBake,
  type DayOptions,
  type DayPlan,
  type OvenStay,
  type Pin,
  type Task,
  type TaskKind,
} from './day/task.js';

export { exerciseTask, exercises, type Exercise, type Task as ExerciseTask } from './exercise/exercises.js';
export { defaultKitchen } from './kitchen/default.js';
export { catalogueRow, ingredientOf, ingredients } from './ingredient/catalogue.js';
export { fromLabel, labelProblems, nearest, type FromLabel, type Inferred, type Label } from './ingredient/label.js';
export { dietsOf, type Diet } from './ingredient/diet.js';
export { roundings, type Rounded, type Roundings } from './quantity/rounding.js';
export { powders, type PowderKind } from './leavening/powders.js';
export type { Ledger, LedgerEntry } from './leavening/ledger.js';
export { standingAt, type Lift, type LiftPart, type LiftSource, type Stood } from './leavening/lift.js';
export { MAX_STAND_MIN, type StandPoint } from './leavening/standing.js';
export { acids, type LeaveningAcid } from './leavening/acids.js';
export { acidToMeet, homeMade, sodaInPowder, spoonsOf, type Thumb } from './leavening/thumb.js';
export type { Crumb, Effect } from './leavening/crumb.js';
export { pressureRatio, gasMl, type Volume } from './leavening/volume.js';

export {
  asMeasured,
  densityIn,
  eggG,
  gramsOf,
  habitFactor,
  pieceGrams,
  printEntered,
  readAmount,
} from './quantity/amount.js';
export { asFraction, plain, readNumber } from './quantity/numbers.js';
export { scanAmounts, type Found } from './quantity/scan.js';
export {
  convert,
  tablespoonMl,
  teaspoonMl,
  toCelsius,
  toFahrenheit,
  unitOf,
  units,
  type Dimension,
  type Unit,
} from './quantity/units.js';

export { rebalance } from './adapt/rebalance.js';
export { substitute, type SubstituteOptions } from './adapt/substitute.js';
export { adapt } from './adapt/adapt.js';
export type { PresetOptions } from './adapt/ask.js';
export { compose, type ComposeWishes } from './adapt/compose.js';
export { presets, presetOf, type Preset, type PresetId } from './adapt/presets.js';
export { replacements, type Replacement } from './adapt/replacements.js';
export { withLines } from './adapt/proposal.js';
export { wishWords } from './adapt/wishes.js';
export { isMeasurable, stepG } from './quantity/steps.js';
export type { Solver } from './adapt/linear.js';
export {
  isConflict,
  type AdaptOptions,
  type Candidate,
  type Conflict,
  type NamedWish,
  type Proposal,
  type ProposalKind,
  type ProposalLine,
  type Request,
  type TraitId,
  type Wish,
} from './adapt/types.js';

/** Shapes a tin can have, in plain words. */
export const shapes = [
  { id: 'round', name: 'round' },
  { id: 'square', name: 'square' },
  { id: 'rect', name: 'rectangle' },
  { id: 'loaf', name: 'loaf' },
  { id: 'cup', name: 'muffin cups' },
  { id: 'tube', name: 'tube' },
  { id: 'sheet', name: 'sheet' },
  { id: 'mound', name: 'free-form' },
  { id: 'slab', name: 'cut from a slab' },
] as const;
export { merge3, same } from './formula/merge.js';
export { outcomes, type BakeRecord, type Observed, type Outcome, type Result, type Trial } from './log/types.js';
export { markScales, type Mark as MarkStep, type MarkId, type Marks, type MarkScale } from './log/marks.js';
export { symptomIds, symptomName, symptoms, type SymptomId } from './log/symptoms.js';
export { inputOf } from './log/seen.js';
export { taughtOf, type TaughtKind, type TaughtOf } from './log/taught.js';
export {
  learn,
  reckonBake,
  reckonKey,
  teaches,
  type Lesson,
  type LogDoubt,
  type LogErrors,
  type Told,
} from './log/learn.js';
export { calibrationFor } from './bake/calibration.js';
export { reckon, type Reckoned } from './bake/reckon.js';
export { knownOf, ovenOff, placeOf, type Estimate, type Place as BakePlace } from './bake/learned.js';
export { PRIORS, USUAL_WAIT_MIN, type ParamKey } from './bake/priors.js';
export { diagnose, type DiagnosedBake, type Diagnosis, type Evidence, type LikelyCause } from './diagnose/diagnose.js';
export { followUp, type FollowUp } from './diagnose/history.js';
export { causes, causeOf, type Cause, type CauseId } from './diagnose/causes.js';
export type { Check } from './diagnose/checks.js';
export type { NextTry } from './diagnose/next.js';
export { cost, money, ovenEnergy, piecesOf, priceOf, type Cost, type OvenEnergy } from './larder/cost.js';
export { nutrition, type Nutrients, type Nutrition } from './larder/nutrition.js';
export { dietsOfFormula, stallLabel, STALL_CAUTION, type StallLabel } from './larder/label.js';
export { shopping, type PlannedBake, type Shopping, type ShoppingLine } from './larder/shopping.js';
export { shopOf } from './ingredient/kinds.js';
export { shopSections, type ShopSection } from './formula/types.js';
export { boughtFor, stockNow, usedBy } from './larder/used.js';
export {
  judgeSeries,
  likingWords,
  orderFor,
  planSeries,
  type Batch,
  type Contrast,
  type Factor,
  type Liking,
  type Series,
  type SeriesResult,
  type Taster,
} from './log/series.js';
