import type { Kitchen } from '../formula/types.js';

/** A kitchen nobody has described yet: US cups, spooned flour, medium European eggs, sea level, a still oven. */
export const defaultKitchen: Kitchen = {
  id: 'default',
  name: 'My kitchen',
  measures: { cupMl: 240, spoonMl: 5, flourHabit: 'spooned', saltKind: 'fine', eggSize: 'eu-m', scaleG: 1 },
  display: { temperature: 'C', length: 'cm', amounts: 'both' },
  schools: { leavenerAtScale: 'linear', eggs: 'whole', muffinFill: 'two-thirds' },
  ovens: [{ id: 'oven', name: 'Oven', litres: 60, fan: false, racks: 3 }],
  tins: [
    { id: 'round-20', name: '20 cm round', shape: 'round', topMm: 200, baseMm: 198, depthMm: 50, material: 'light metal' },
    { id: 'round-23', name: '23 cm round', shape: 'round', topMm: 230, baseMm: 228, depthMm: 50, material: 'light metal' },
    { id: 'square-20', name: '20 cm square', shape: 'square', topMm: 203, baseMm: 200, depthMm: 50, material: 'light metal' },
    { id: 'sheet-33', name: '33 × 23 cm sheet', shape: 'rect', topMm: 330, top2Mm: 230, baseMm: 320, base2Mm: 220, depthMm: 50, material: 'light metal' },
    { id: 'loaf-900', name: '23 × 13 cm loaf', shape: 'loaf', topMm: 222, top2Mm: 120, baseMm: 205, base2Mm: 104, depthMm: 68, material: 'light metal' },
    { id: 'muffin-12', name: '12-hole muffin tray', shape: 'cup', topMm: 70, baseMm: 51, depthMm: 36, cups: 12, material: 'light metal' },
    { id: 'free-round', name: 'Free-form round, 18 cm', shape: 'mound', topMm: 180, depthMm: 45, material: 'none' },
    { id: 'cut-rounds', name: '8 cut rounds, 6.5 cm', shape: 'slab', topMm: 65, depthMm: 25, cups: 8, material: 'none' },
  ],
  bowls: [{ id: 'bowl', name: 'Large bowl', ml: 4000 }],
  powders: [{ id: 'powder', name: 'Double-acting powder', type: 'double-acting', strength: 'vigorous' }],
  altitudeM: 0,
  roomC: 20,
  ownIngredients: [],
  prices: {},
  stock: {},
  locale: { language: 'en', currency: 'EUR', temperature: 'C', zone: 'UTC' },
};
