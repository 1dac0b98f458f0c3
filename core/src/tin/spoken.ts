import type { TinShape } from '../formula/types.js';

/** Words by which bakers name tins, and the shapes they mean. */
export const tinsByWord: readonly (readonly [RegExp, readonly TinShape[]])[] = [
  [/\b(?:muffins?|cup ?cakes?|buns?|minis?|cases?|cups?|holes?)\b/i, ['cup']],
  [/\b(?:loaf|loaves|lb|pound)\b/i, ['loaf']],
  [/\b(?:rounds?|layers?|sandwich)\b/i, ['round']],
  [/\bsquares?\b/i, ['square']],
  [/\b(?:tray(?:bake)?s?|sheets?|slabs?)\b/i, ['rect', 'sheet', 'square']],
  [/\b(?:rings?|bundts?|tubes?)\b/i, ['tube']],
];

/** Whether words name a tin of a shape. */
export const namesShape = (words: string, shape: TinShape): boolean =>
  tinsByWord.some(([said, of]) => of.includes(shape) && said.test(words));
