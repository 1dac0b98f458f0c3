/** Reading recipes in words and files, settling what is doubtful, and writing them again. */
export { readRecipe, readRecipes, recipeTexts, type ReadOptions } from './recipe/read.js';
export { measuresMean, regions, type RegionId } from './recipe/origin.js';
export { languageName } from './recipe/language.js';
export { settle } from './recipe/settle.js';
export { ranked, SLIGHT } from './recipe/effect.js';
export { addLine, removeItem, type Added } from './recipe/edit.js';
export { write, type WriteAs } from './recipe/write.js';
export type {
  Choice,
  Doubt,
  DoubtKind,
  Edit,
  Fate,
  Mark,
  Origin,
  Place,
  RecipeDraft,
  Stretch,
} from './recipe/draft.js';
export { itemLine } from './recipe/cards.js';
export { findIngredients } from './recipe/match.js';
export {
  mayBeFraction,
  written,
  type PictureBox,
  type PictureLine,
  type PicturePlace,
  type SeenLine,
  type SeenPage,
  type SeenWord,
  type Unsure,
  type Written,
} from './recipe/picture/written.js';
export { readPicture, recipesSeen } from './recipe/picture/read-picture.js';
export { drawnSigns, fractionReadings, lastSigns, type Drawn, type Greys } from './recipe/picture/likeness.js';
