import type { Verdict } from '../balance/verdict.js';
import type { Change, Formula, Item } from '../formula/types.js';
import type { Solver } from './linear.js';

/** What can be asked to be more or less: shares of flour, whole grain as a share of the flour, sodium per 100 g batter. */
export type Measured = 'fat' | 'sugar' | 'egg' | 'water' | 'salt' | 'wholegrain' | 'sodium';
export type TraitId = 'crumb' | 'bite' | 'mouth' | 'colour';

/** One thing that is fixed, limited or wanted. */
export type Wish =
  /** This line keeps its weight. */
  | { readonly kind: 'hold'; readonly itemId: string }
  /** Between so much and so much of it, g; the same twice to have exactly that. */
  | { readonly kind: 'amount'; readonly itemId: string; readonly minG?: number; readonly maxG?: number }
  /** No more of an ingredient than this, over all its lines, g. */
  | { readonly kind: 'have'; readonly ingredient: string; readonly grams: number }
  /** No more of anything than the kitchen has in stock; what is not listed there is not there, but for water. */
  | { readonly kind: 'stock' }
  /** A share within limits: % of flour; for sodium mg per 100 g batter. */
  | {
      readonly kind: 'measure';
      readonly of: Measured;
      readonly min?: number;
      readonly max?: number;
      readonly words?: string;
    }
  /** A share changed by so many per cent of what it is: −25 is a quarter less. */
  | { readonly kind: 'change'; readonly of: Measured; readonly byPct: number }
  /** Crumb opener (+) or tighter, bite more tender, mouth moister, colour darker, by points of the trait's index. */
  | { readonly kind: 'texture'; readonly trait: TraitId; readonly by: number }
  /** The trait's index at least, or at most, so much. */
  | {
      readonly kind: 'trait';
      readonly trait: TraitId;
      readonly min?: number;
      readonly max?: number;
      readonly words?: string;
    }
  /** Lift, mmol CO2 per 100 g of flour and cocoa. */
  | { readonly kind: 'lift'; readonly min?: number; readonly max?: number; readonly words?: string }
  /** Soda left over, g per 100 g batter. */
  | { readonly kind: 'left-soda'; readonly min?: number; readonly max?: number }
  /** The batter's weight, g, within so many per cent (2 unless said). */
  | { readonly kind: 'batter'; readonly grams: number; readonly withinPct?: number };

/** A line that is not in the formula and may be brought in. */
export interface Candidate {
  readonly item: Item;
  readonly groupId: string;
  /** The line that it stands in for. */
  readonly instead?: string;
  /** What bringing it in costs, in touches of a line; 1 is willing. */
  readonly reluctance: number;
  readonly maxG: number;
  /** Least that comes in, where any does, g. */
  readonly minG?: number;
  /** Why it is there, for its reason when nothing figures: "for the egg's foam". */
  readonly why?: string;
}

export interface Request {
  readonly wishes?: readonly Wish[];
  /** Lines that keep their weight; the same as a `hold` wish each. */
  readonly locked?: readonly string[];
  /** Lines that may be brought in. Where nothing is said, a leavener or a liquid that is missing may. */
  readonly candidates?: readonly Candidate[];
  /** Lines that go to nothing, their place taken by candidates. */
  readonly out?: readonly string[];
  /** Lines whose weight is the search's to find, at no cost: what a swap has just put in. */
  readonly eased?: readonly string[];
  /** Sets of candidates of which exactly one is to come in, by their item ids. */
  readonly oneOf?: readonly (readonly string[])[];
  /** The formula whose character is to be kept, where it is not the one that is changed. */
  readonly like?: Formula;
}

export interface AdaptOptions {
  /** A solver; in Node the `highs` package is loaded when none is given. */
  readonly solver?: Solver | Promise<Solver>;
  /** Nodes of a search, 1–; 4000 unless said. */
  readonly maxNodes?: number;
  /** How far from the best, as a share; 0.01 unless said. */
  readonly gap?: number;
  readonly seed?: number;
  /** Lines that keep their weight, for searches that take no request. */
  readonly locked?: readonly string[];
  /** Asked between searches; true ends the work. A promise lets a worker hear its messages meanwhile. */
  readonly cancelled?: () => boolean | Promise<boolean>;
}

export interface ProposalLine {
  /** The item's id. */
  readonly id: string;
  readonly kind: 'amount' | 'added' | 'replaced' | 'left out' | 'heat' | 'family';
  readonly name: string;
  readonly fromG: number;
  readonly toG: number;
  /** `less baking soda, 1½ tsp → ⅝ tsp`. */
  readonly words: string;
  readonly reason: string;
  /** For a line that was added or replaced: the item as it is to stand. */
  readonly item?: Item;
  readonly groupId?: string;
  /** For a line that is the oven's heat, °C. */
  readonly fromC?: number;
  readonly toC?: number;
}

/** How a formula stands: its merit, and what is worth saying of it. */
export interface Judged {
  readonly merit: number;
  readonly verdicts: readonly Verdict[];
  /** One line: "lift too high, soda left over" or "in balance". */
  readonly words: string;
}

/** `restored` undoes a slip, `hint` undoes what may be one; the others are searched for. */
export type ProposalKind =
  | 'restored'
  | 'hint'
  | 'fewest'
  | 'nearest'
  | 'stock'
  | 'another'
  | 'swap'
  | 'new'
  | 'possible'
  | 'anyway';

export interface Proposal {
  readonly id: string;
  readonly kind: ProposalKind;
  /** `Fewest changes`. */
  readonly title: string;
  /** The whole of it in a line. */
  readonly words: string;
  readonly formula: Formula;
  /** Weights of lines that are in the formula already. */
  readonly changes: readonly Change[];
  readonly lines: readonly ProposalLine[];
  readonly before: Judged;
  readonly after: Judged;
  readonly merit: number;
  /** Whether it makes something out of the ordinary that was not, or the slice sink or damp where it did not. */
  readonly spoils: boolean;
  /** What it does to taste, crumb and time beyond the verdicts, and what could not be kept. */
  readonly costs: readonly string[];
  /** What the search cannot know and may hurt someone; always shown. */
  readonly cautions: readonly string[];
  /** The request with relative wishes turned into figures, so that it can be asked again. */
  readonly request: Request;
}

export interface NamedWish {
  /** Place in `request.wishes`, or null for a lock, a line that is out, or what the family expects. */
  readonly index: number | null;
  readonly words: string;
  readonly itemId?: string;
  readonly band?: string;
}

/** Why there is no proposal, in words. */
export interface Conflict {
  readonly kind: 'conflict';
  readonly why: 'wishes' | 'locked' | 'no-flour' | 'no-family' | 'limit' | 'cannot' | 'cancelled';
  readonly words: string;
  /** The smallest set of wishes that cannot be had together. */
  readonly wishes: readonly NamedWish[];
  /** As near as can be had, where something can. */
  readonly nearest: Proposal | null;
  /** All that was wished, where only what the family usually has stands against it; what it costs is said with it. */
  readonly anyway?: Proposal;
}

export const isConflict = (x: unknown): x is Conflict =>
  typeof x === 'object' && x !== null && (x as { kind?: unknown }).kind === 'conflict';
