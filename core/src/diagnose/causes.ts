import type { FamilyId } from '../formula/types.js';
import type { SymptomId } from '../log/symptoms.js';
import type { FactId } from './facts.js';

/** Where a cause lies: what is changed to be rid of it, and which other bakes say something of it. */
export type CauseKind = 'formula' | 'oven' | 'hand' | 'tin' | 'powder';

export interface Cause {
  readonly id: string;
  readonly name: string;
  /** How it makes what is seen. */
  readonly words: string;
  readonly kind: CauseKind;
  /** How common it is among the faults of home bakes, before anything is known; relative. */
  readonly base: number;
  /** Only in these families, where it is theirs alone. */
  readonly families?: readonly FamilyId[];
  /** Of bakes with this fault, the share in which each symptom is seen. */
  readonly shows: Partial<Readonly<Record<SymptomId, number>>>;
  /** Facts that move with it, and by how many sigmas in a typical case; negative for downwards. */
  readonly tells: readonly (readonly [fact: FactId, shift: number])[];
}

const RUBBED: readonly FamilyId[] = ['biscuit', 'drop-biscuit', 'scone', 'soda-bread'];
const CUT: readonly FamilyId[] = ['biscuit', 'scone'];
const CREAMED: readonly FamilyId[] = [
  'butter-cake-lean',
  'butter-cake-high-ratio',
  'equal-weight-sponge',
  'pound-cake',
  'fruit-cake-rich',
  'fruit-cake-light',
  'chocolate-cake',
  'muffin',
];

/**
 * The causes, what they show and what moves with them. The pairs of symptom and cause are general baking knowledge; the
 * shares and shifts are judgements, not measured, written so that they can be disputed one by one. docs/science/
 * diagnosis.md explains how they are weighed, and the study there what they are worth.
 */
// prettier-ignore
export const causes: readonly Cause[] = [
  // formula
  { id: 'too much leavener', name: 'too much leavener', words: 'It blew up faster than the crumb could set, tore, and fell; the rest tastes bitter.', kind: 'formula', base: 3,
    shows: { sunk: 0.6, coarse: 0.55, bitter: 0.3, overflowed: 0.2, cracked: 0.2, crumbly: 0.15 }, tells: [['lift', 3.2]] },
  { id: 'low lift', name: 'too little leavener', words: 'There was not gas enough to open the crumb.', kind: 'formula', base: 2,
    shows: { flat: 0.85, pale: 0.1, gummy: 0.15, tough: 0.15 }, tells: [['lift', -3], ['height', 0]] },
  { id: 'acid missing', name: 'soda without acid to meet', words: 'Soda that meets no acid gives little gas and stays behind.', kind: 'formula', base: 2,
    shows: { flat: 0.7, soapy: 0.45, 'very dark': 0.35 }, tells: [['unmet soda', 2.6], ['lift', -2], ['left soda', 2], ['free soda', 0.3]] },
  { id: 'left soda', name: 'soda left over', words: 'What acid does not use up stays as alkali: dark, tender, soapy.', kind: 'formula', base: 2.5,
    shows: { soapy: 0.75, 'very dark': 0.6, bitter: 0.15, spread: 0.2, specks: 0.15 }, tells: [['left soda', 3.2], ['unmet soda', 1.6], ['free soda', 0.8], ['lift', 0.6]] },
  { id: 'soda for powder', name: 'soda taken for powder', words: 'Soda is three to four times as strong as powder, and its taste gives it away.', kind: 'formula', base: 1,
    shows: { soapy: 0.9, 'very dark': 0.75, bitter: 0.3, sunk: 0.3, spread: 0.25, coarse: 0.25 }, tells: [['free soda', 5], ['left soda', 5], ['unmet soda', 2.6]] },
  { id: 'too sweet', name: 'too much sugar', words: 'Sugar delays setting: the middle falls, the crust darkens and clings.', kind: 'formula', base: 1.5,
    shows: { sunk: 0.5, stuck: 0.35, 'very dark': 0.3, gummy: 0.3, spread: 0.2, coarse: 0.1 }, tells: [['sugar', 2.8], ['lean', -1.2]] },
  { id: 'too fat', name: 'too much fat', words: 'More fat than the flour and egg can carry: short, greasy, weak.', kind: 'formula', base: 1.2,
    shows: { greasy: 0.7, sunk: 0.25, crumbly: 0.3, spread: 0.3 }, tells: [['fat', 2.8], ['lean', -1]] },
  { id: 'too wet', name: 'too much liquid', words: 'More water than the starch can bind: it sets late, or not at all over the base.', kind: 'formula', base: 2.2,
    shows: { gummy: 0.55, 'wet streak': 0.45, sunk: 0.35, spread: 0.35, 'add-ins sank': 0.3 }, tells: [['water', 2.8], ['thin', 0.8]] },
  { id: 'weak structure', name: 'too little to hold it up', words: 'Too little flour, egg or gluten for what it has to carry.', kind: 'formula', base: 1,
    shows: { gummy: 0.4, sunk: 0.45, crumbly: 0.4, 'wet streak': 0.2 }, tells: [['lean', -3], ['sugar', 0.3], ['fat', 0.3]] },
  { id: 'lean', name: 'little fat or sugar', words: 'Nothing keeps the gluten short or the crumb moist.', kind: 'formula', base: 1.6,
    shows: { tough: 0.5, dry: 0.45, tunnels: 0.3, peaked: 0.25, pale: 0.35, shrank: 0.15, crumbly: 0.15 }, tells: [['lean', 2.8], ['sugar', -1.2], ['fat', -1.5]] },
  { id: 'whole grain dry', name: 'bran and cocoa drank the water', words: 'Whole grain, bran, cocoa and coconut drink water that the crumb then lacks.', kind: 'formula', base: 1.2,
    shows: { dry: 0.65, crumbly: 0.55, flat: 0.25, cracked: 0.1 }, tells: [['whole grain', 2.8], ['water', -1.8]] },
  { id: 'acid crust', name: 'acid left over', words: 'An acid batter sets early and hardly browns.', kind: 'formula', base: 0.8,
    shows: { pale: 0.75, flat: 0.2, tough: 0.1 }, tells: [['left acid', 3], ['left soda', -1]] },
  { id: 'alkali colours', name: 'alkali coloured the pieces', words: 'Blue fruit turns green, walnuts grey and sunflower seed green where soda is left over.', kind: 'formula', base: 0.8,
    shows: { specks: 0.95 }, tells: [['alkali colours', 3], ['left soda', 1]] },
  { id: 'pieces too big', name: 'pieces too big or wet', words: 'Big or wet pieces fall through a batter that cannot carry them.', kind: 'hand', base: 1,
    shows: { 'add-ins sank': 0.9, 'wet streak': 0.2 }, tells: [['pieces', 1.6], ['thin', 0.3], ['water', 0]] },
  { id: 'flour heavy', name: 'too much flour', words: 'A packed or dipped cup holds a third more flour than meant.', kind: 'hand', base: 2.6,
    shows: { dry: 0.5, crumbly: 0.3, cracked: 0.45, flat: 0.4, tough: 0.3, peaked: 0.15 }, tells: [['flour weighed', 4], ['by the cup', 1.1], ['water', -1.2], ['height', -0.6]] },
  // powder
  { id: 'old powder', name: 'old powder', words: 'Powder that has drawn damp gives a part of its gas, or none.', kind: 'powder', base: 1.2,
    shows: { flat: 0.9, tough: 0.15, gummy: 0.15, pale: 0.1 }, tells: [['powder', 2.8], ['rises', -2], ['height', -2.4], ['lift', 0]] },
  // oven and time
  { id: 'underbaked', name: 'taken out too soon', words: 'The middle had not set when it left the oven, and fell or stayed wet.', kind: 'oven', base: 3,
    shows: { sunk: 0.65, gummy: 0.6, 'wet streak': 0.3, pale: 0.3, stuck: 0.15 }, tells: [['centre', -3.2], ['time', -2], ['loss', -1.6]] },
  { id: 'overbaked', name: 'left in too long', words: 'The water left after the crumb was done.', kind: 'oven', base: 2.2,
    shows: { dry: 0.85, crumbly: 0.35, 'very dark': 0.35, tough: 0.15 }, tells: [['time', 2], ['centre', 2], ['loss', 1.8]] },
  { id: 'oven hot', name: 'oven too hot', words: 'The crust set while the middle was still rising, and the middle had to burst it.', kind: 'oven', base: 2.4,
    shows: { cracked: 0.6, peaked: 0.35, 'dark outside, raw inside': 0.5, tunnels: 0.25, 'very dark': 0.4 }, tells: [['air', 2.4], ['dial', 1.4], ['centre', -0.6], ['time', -0.8]] },
  { id: 'oven cool', name: 'oven too cool', words: 'It dried out before it browned, and rose late.', kind: 'oven', base: 1.4,
    shows: { pale: 0.8, flat: 0.3, dry: 0.2, coarse: 0.15, gummy: 0.15 }, tells: [['air', -2.4], ['dial', -1.4], ['time', 1.2]] },
  { id: 'door opened', name: 'door opened early', words: 'Cold air and a jolt before the middle had set.', kind: 'hand', base: 0.9,
    shows: { sunk: 0.85 }, tells: [['centre', 0], ['lift', 0]] },
  { id: 'burnt base', name: 'burnt from below', words: 'Too near the bottom heat.', kind: 'oven', base: 0.7,
    shows: { bitter: 0.8, 'very dark': 0.4, stuck: 0.2 }, tells: [['rack', 2.4], ['dark tin', 0.5], ['air', 0.6]] },
  { id: 'oven tilts', name: 'oven or rack not level', words: 'Batter runs to the low side, or one side is hotter.', kind: 'oven', base: 0.9,
    shows: { lopsided: 0.75, 'uneven layers': 0.4 }, tells: [['fill spread', -0.6]] },
  // tin
  { id: 'overfull', name: 'tin too full', words: 'It rose past the rim before it had set.', kind: 'tin', base: 1.4,
    shows: { overflowed: 0.85, sunk: 0.35, 'dark outside, raw inside': 0.15 }, tells: [['fill', 2.6]] },
  { id: 'deep tin', name: 'tin too deep or narrow', words: 'The way to the middle is long: the crust is done, splits or darkens first.', kind: 'tin', base: 1,
    shows: { 'dark outside, raw inside': 0.6, cracked: 0.4, gummy: 0.2, sunk: 0.2 }, tells: [['depth', 2.6], ['air', -0.3]] },
  { id: 'dark tin', name: 'dark or glass tin', words: 'It takes up more radiation: the crust runs ahead.', kind: 'tin', base: 0.9,
    shows: { 'dark outside, raw inside': 0.55, 'very dark': 0.45, dry: 0.2 }, tells: [['dark tin', 2], ['air', -0.3]] },
  { id: 'light tin', name: 'thick, light or lined tin', words: 'It keeps the heat off the crust.', kind: 'tin', base: 0.7,
    shows: { pale: 0.85, gummy: 0.1, 'wet streak': 0.15 }, tells: [['light tin', 2.4], ['air', 0]] },
  { id: 'tin not prepared', name: 'tin not prepared', words: 'No fat, paper or flour between tin and cake.', kind: 'hand', base: 1.3,
    shows: { stuck: 0.95 }, tells: [['tins skipped', 3], ['sugar', 0]] },
  { id: 'cooled in the tin', name: 'cooled in the tin too long', words: 'Steam condenses between cake and tin, sugar sets as glue, the base gets wet.', kind: 'hand', base: 0.9,
    shows: { stuck: 0.6, 'soggy base': 0.55 }, tells: [['cooling skipped', 2], ['sugar', 0.5]] },
  { id: 'no rack', name: 'cooled on a flat counter', words: 'Steam cannot leave below.', kind: 'hand', base: 0.9,
    shows: { 'soggy base': 0.95 }, tells: [['cooling skipped', 1.8]] },
  { id: 'cut hot', name: 'cut while hot', words: 'The starch had not set, and the steam left.', kind: 'hand', base: 0.9,
    shows: { gummy: 0.7, crumbly: 0.35, dry: 0.15 }, tells: [['cooling skipped', 1.8], ['centre', 0.4], ['water', 0]] },
  // hand
  { id: 'overmixed', name: 'mixed too long', words: 'Gluten grows with every stroke: it rises in tunnels, toughens, and draws together when cool.', kind: 'hand', base: 2.4,
    shows: { tunnels: 0.6, tough: 0.55, peaked: 0.4, shrank: 0.35 }, tells: [['lean', 0.5], ['batch', 0]] },
  { id: 'big batch', name: 'big batch, mixed longer', words: 'Doubling doubles the time until it is smooth, and with it the gluten.', kind: 'hand', base: 0.9,
    shows: { tough: 0.6, shrank: 0.45, tunnels: 0.3, flat: 0.2 }, tells: [['batch', 2.8]] },
  { id: 'over-rested', name: 'stood too long', words: 'The gas left while it waited.', kind: 'hand', base: 1.2,
    shows: { flat: 0.9, coarse: 0.1 }, tells: [['stood', 3], ['height', -1.6], ['lift', 0]] },
  { id: 'not tapped', name: 'big bubbles not knocked out', words: 'Air caught while filling stays as holes.', kind: 'hand', base: 0.9,
    shows: { coarse: 0.9 }, tells: [['lift', 0]] },
  { id: 'cold eggs', name: 'cold eggs or milk', words: 'Cold egg sets the fat, and the emulsion breaks into grains.', kind: 'hand', base: 1, families: CREAMED,
    shows: { curdled: 0.9, coarse: 0.15, flat: 0.15 }, tells: [['cold things', 2.6], ['warm room', -0.8]] },
  { id: 'broken emulsion', name: 'emulsion broken', words: 'Fat that came out of the batter collects at the base.', kind: 'hand', base: 0.8,
    shows: { greasy: 0.8, curdled: 0.4, flat: 0.15 }, tells: [['fat', 0], ['warm room', 0.6]] },
  { id: 'warm fat', name: 'fat went warm', words: 'Soft fat melts out before the dough has set, and it flows.', kind: 'hand', base: 1.3, families: RUBBED,
    shows: { spread: 0.8, greasy: 0.4, flat: 0.3, tough: 0.15 }, tells: [['warm room', 2.2], ['cold things', 1.2]] },
  { id: 'twisted cutter', name: 'cutter twisted', words: 'A twist seals one side, which then cannot rise.', kind: 'hand', base: 1.6, families: CUT,
    shows: { lopsided: 0.95 }, tells: [] },
  { id: 'egg wash ran', name: 'egg wash ran down', words: 'Egg on the side glues it to the sheet.', kind: 'hand', base: 0.9, families: CUT,
    shows: { lopsided: 0.8, stuck: 0.4 }, tells: [] },
  { id: 'uneven division', name: 'batter not divided evenly', words: 'Unlike weights rise and bake unlike.', kind: 'hand', base: 1.2,
    shows: { 'uneven layers': 0.95 }, tells: [['fill spread', 2.8], ['second tin', 1]] },
];

export type CauseId = string;
export const causeOf = (id: CauseId): Cause | undefined => causes.find((c) => c.id === id);

/** Symptoms that are ordinary in a family, and the share of sound bakes that have them. */
export const ordinary: Partial<Readonly<Record<FamilyId, Partial<Record<SymptomId, number>>>>> = {
  'quick-bread': { cracked: 0.6 },
  'tea-loaf': { cracked: 0.4 },
  'pound-cake': { cracked: 0.5 },
  'soda-bread': { cracked: 0.5 },
  'soda-loaf': { cracked: 0.4 },
  'treacle-cake': { 'very dark': 0.3 },
  'chocolate-cake': { 'very dark': 0.3 },
  'drop-biscuit': { lopsided: 0.2 },
  'fruit-cake-rich': { 'very dark': 0.2 },
};
/** Share of sound bakes in which a symptom is remarked by mistake or whim. */
export const BY_CHANCE = 0.025;
/** How often a symptom that is there is remarked at all. */
export const REMARKED = 0.85;
