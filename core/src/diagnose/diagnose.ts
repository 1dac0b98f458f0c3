import { toldAll } from '../quantity/figures.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { symptomName, type SymptomId } from '../log/symptoms.js';
import type { BakeRecord } from '../log/types.js';
import type { CauseId } from './causes.js';
import { factsOf, type Diagnosed } from './facts.js';
import { historyOf, type History } from './history.js';
import { nextOf, type NextTry } from './next.js';
import { rank, type Ranked } from './rank.js';
import { tellingApart, type Check } from './checks.js';
import { capital } from '../text/plain.js';

/** One reason for or against a cause. */
export interface Evidence {
  readonly for: boolean;
  readonly words: string;
  /** Times by which it makes the cause likelier, or less likely: 3 is three times. */
  readonly factor: number;
}

export interface LikelyCause {
  readonly id: CauseId;
  readonly name: string;
  readonly words: string;
  readonly probability: number;
  /** Strongest first. */
  readonly evidence: readonly Evidence[];
  /** One change that would show whether it is so; null where nothing can be changed. */
  readonly next: NextTry | null;
}

export interface Diagnosis {
  /** Likeliest first, at most six; none below 3 % but the first three when something was seen. */
  readonly causes: readonly LikelyCause[];
  /** How likely it is that nothing in particular was wrong. */
  readonly nothing: number;
  /** Whether one cause stands out: likelier than nothing in particular, and than one in four. */
  readonly stands: boolean;
  readonly words: string;
  /** What would tell the likeliest causes apart, the most telling first. */
  readonly checks: readonly Check[];
  /** Symptoms that the likeliest cause does not explain, in case there are two. */
  readonly unexplained: readonly SymptomId[];
}

/** What is known besides of a bake that is to be diagnosed. */
export interface DiagnosedBake {
  readonly formula: Formula;
  /** The bake as it was logged; without it, only the formula speaks. */
  readonly bake?: BakeRecord | null;
  /** Other bakes of the kitchen. */
  readonly history?: readonly BakeRecord[];
}

const STANDS = 0.25;

/**
 * From symptoms, and what is known in numbers, to causes with how likely each is, the evidence for and against, what
 * would tell them apart, and one next experiment. A likelihood model with documented weights (docs/science/
 * diagnosis.md); it takes about as long as a prediction, so that it belongs in a worker.
 *
 * @param seen what was seen of the bake; unknown names are left out
 */
export function diagnose(what: DiagnosedBake, seen: readonly SymptomId[], kitchen: Kitchen): Diagnosis {
  const bake = what.bake ?? null;
  const d = factsOf(what.formula, bake, kitchen);
  const history = historyOf(what.formula.id, bake, what.history ?? [], seen);
  const { ranked, nothing } = rank(seen, d.facts, what.formula.family, (c) => history.speaks(c));
  const first = ranked[0];
  const stands = first !== undefined && first.probability > nothing && first.probability > STANDS;
  // somebody who saw something is owed three thoughts at least
  const list = ranked.filter((r, i) => r.probability >= 0.03 || (seen.length > 0 && i < 3)).slice(0, 6);
  return toldAll(
    kitchen,
    {
      causes: list.map((r) => ({
        id: r.cause.id,
        name: r.cause.name,
        words: r.cause.words,
        probability: r.probability,
        evidence: evidenceOf(r, d, seen, history),
        next: nextOf(r.cause, d, kitchen),
      })),
      nothing,
      stands,
      words: wordsOf(list, nothing, stands, seen),
      checks: tellingApart(ranked, nothing, d, kitchen),
      unexplained: first ? seen.filter((s) => (first.cause.shows[s] ?? 0) < 0.1) : [...seen],
    },
    ['formula'],
  );
}

function wordsOf(list: readonly Ranked[], nothing: number, stands: boolean, seen: readonly SymptomId[]): string {
  const [first, second] = list;
  if (!first || (!stands && nothing > first.probability))
    return seen.length === 0
      ? 'Nothing in its numbers stands out.'
      : 'Nothing in its numbers explains it: it may have been chance. Bake it once more as it was.';
  const sure = first.probability > 0.75 ? 'Most likely' : first.probability > 0.45 ? 'Probably' : 'Perhaps';
  const or = second && second.probability > 0.5 * first.probability ? `, or ${second.cause.name}` : '';
  return `${sure} ${first.cause.name}${or}.`;
}

/** Weights below this, in nats, are not worth a line. */
const SLIGHT = 0.25;

function evidenceOf(r: Ranked, d: Diagnosed, seen: readonly SymptomId[], history: History): Evidence[] {
  const lines = [
    ...r.byFact.map((x) => ({ weight: x.weight, words: d.facts[x.fact]?.words ?? '' })),
    ...r.bySymptom.map((x) => ({
      weight: x.weight,
      words: seen.includes(x.symptom)
        ? r.cause.shows[x.symptom]
          ? `It is ${symptomName(x.symptom)}, as ${shareWords(r.cause.shows[x.symptom] ?? 0)} such bakes are.`
          : `${capital(symptomName(x.symptom))} is no sign of it.`
        : `It is not ${symptomName(x.symptom)}, as ${shareWords(r.cause.shows[x.symptom] ?? 0)} such bakes are.`,
    })),
    ...history.evidence(r.cause),
  ];
  return lines
    .filter((l) => Math.abs(l.weight) >= SLIGHT && l.words !== '')
    .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
    .map((l) => ({ for: l.weight > 0, words: l.words, factor: Math.exp(Math.abs(l.weight)) }));
}

const shareWords = (x: number): string =>
  x > 0.8 ? 'nearly all' : x > 0.6 ? 'most' : x > 0.4 ? 'about half of' : x > 0.2 ? 'some' : 'a few';
