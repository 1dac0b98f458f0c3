/** What can be seen, felt or tasted of a bake that went wrong. */
export const symptoms = [
  { id: 'sunk', name: 'sunk', words: 'the middle lies lower than the rim', look: 'shape' },
  { id: 'cracked', name: 'cracked dome', words: 'a high dome that burst open', look: 'shape' },
  { id: 'flat', name: 'flat and dense', words: 'hardly risen, heavy in the hand', look: 'shape' },
  { id: 'peaked', name: 'peaked', words: 'risen to a point', look: 'shape' },
  { id: 'lopsided', name: 'lopsided', words: 'higher on one side', look: 'shape' },
  { id: 'spread', name: 'spread', words: 'flowed out instead of up', look: 'shape' },
  { id: 'shrank', name: 'shrank', words: 'tall in the oven, smaller when cool', look: 'shape' },
  { id: 'overflowed', name: 'ran over', words: 'batter came over the rim', look: 'shape' },
  { id: 'uneven layers', name: 'uneven layers', words: 'two tins, two heights', look: 'shape' },
  { id: 'tunnels', name: 'tunnels', words: 'long holes that run upwards', look: 'crumb' },
  { id: 'coarse', name: 'coarse holes', words: 'big round holes, ragged crumb', look: 'crumb' },
  { id: 'gummy', name: 'gummy', words: 'sticky or wet inside', look: 'crumb' },
  { id: 'wet streak', name: 'wet streak', words: 'a dense damp layer over the base', look: 'crumb' },
  { id: 'add-ins sank', name: 'pieces sank', words: 'fruit or chips lie at the bottom', look: 'crumb' },
  { id: 'specks', name: 'green or grey specks', words: 'the crumb changed colour round pieces', look: 'crumb' },
  { id: 'dry', name: 'dry', words: 'dry in the mouth', look: 'crumb' },
  { id: 'crumbly', name: 'crumbly', words: 'falls apart when sliced', look: 'crumb' },
  { id: 'tough', name: 'tough', words: 'chewy, springs back like rubber', look: 'crumb' },
  { id: 'greasy', name: 'greasy', words: 'fat on the fingers, or pooled at the base', look: 'crumb' },
  { id: 'pale', name: 'pale', words: 'done inside, but hardly coloured', look: 'crust' },
  { id: 'very dark', name: 'very dark', words: 'dark brown, not from time alone', look: 'crust' },
  {
    id: 'dark outside, raw inside',
    name: 'dark, but raw inside',
    words: 'crust done long before the middle',
    look: 'crust',
  },
  { id: 'stuck', name: 'stuck', words: 'did not come out whole', look: 'crust' },
  { id: 'soggy base', name: 'soggy base', words: 'wet underneath after cooling', look: 'crust' },
  { id: 'soapy', name: 'soapy or metallic', words: 'an alkaline taste at the end of a bite', look: 'taste' },
  { id: 'bitter', name: 'bitter', words: 'bitter, not from cocoa or peel', look: 'taste' },
  { id: 'curdled', name: 'curdled batter', words: 'the batter split into grains while mixing', look: 'batter' },
] as const;

export type SymptomId = (typeof symptoms)[number]['id'];
export const symptomIds: readonly SymptomId[] = symptoms.map((s) => s.id);
export const symptomName = (id: SymptomId): string => symptoms.find((s) => s.id === id)?.name ?? id;
