/** A mark on a scale of five; what each step means is written at it. */
export type Mark = 1 | 2 | 3 | 4 | 5;
export type MarkId = 'crumb' | 'moisture' | 'crust' | 'taste';
export type Marks = Partial<Readonly<Record<MarkId, Mark>>>;

export interface MarkScale {
  readonly id: MarkId;
  readonly name: string;
  /** What each of the five steps means. */
  readonly steps: readonly [string, string, string, string, string];
  /** The best step: the middle of a scale that can go too far either way, or its end. */
  readonly best: Mark;
}

/**
 * Scales of five with each step anchored in words, three of them with the best in the middle ("just right" scales) and
 * taste with the best at the end: short enough to be marked in a breath, and the same word means the same in a year.
 */
export const markScales: readonly MarkScale[] = [
  { id: 'crumb', name: 'Crumb', steps: ['heavy', 'close', 'even', 'open', 'coarse'], best: 3 },
  { id: 'moisture', name: 'Moisture', steps: ['wet', 'damp', 'moist', 'a little dry', 'dry'], best: 3 },
  { id: 'crust', name: 'Crust', steps: ['pale', 'light', 'golden', 'dark', 'burnt'], best: 3 },
  { id: 'taste', name: 'Taste', steps: ['not again', 'dull', 'all right', 'good', 'make it again'], best: 5 },
];
