/** Reading recipes in words and files, settling what is doubtful, and writing them again. */
export { readRecipe, readRecipes, recipeTexts } from './recipe/read.js';
export { settle } from './recipe/settle.js';
export { addLine, removeItem, type Added } from './recipe/edit.js';
export { write, type WriteAs } from './recipe/write.js';
export type { Choice, Doubt, DoubtKind, Edit, Mark, Place, RecipeDraft } from './recipe/draft.js';
export { itemLine } from './recipe/cards.js';
export { findIngredients } from './recipe/match.js';
