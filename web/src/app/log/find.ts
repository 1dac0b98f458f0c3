import { outcomes, symptomName, type BakeRecord } from '@orvin/core';
import { dateWords } from '../ui/when';

/** What a bake can be found by, in small letters; kept with the record, which never changes. */
const texts = new WeakMap<BakeRecord, string>();

function textOf(b: BakeRecord, zone: string): string {
  const had = texts.get(b);
  if (had !== undefined) return had;
  const text = [
    b.title,
    b.notes,
    b.tin.tin.name,
    outcomes.find((o) => o.id === b.outcome)?.words ?? '',
    ...(b.result?.symptoms ?? []).map(symptomName),
    ...(b.observed?.added ?? []),
    b.photos && b.photos.length > 0 ? 'photo' : '',
    b.rack ? `${b.rack} rack` : '',
    dateWords(b.at, zone, 'long'),
  ]
    .join('\n')
    .toLowerCase();
  texts.set(b, text);
  return text;
}

/** Bakes in which every word of a text is found. */
export function findBakes(bakes: readonly BakeRecord[], asked: string, zone: string): readonly BakeRecord[] {
  const words = asked.toLowerCase().split(/\s+/).filter((w) => w !== ''); // prettier-ignore
  return words.length === 0 ? bakes : bakes.filter((b) => words.every((w) => textOf(b, zone).includes(w)));
}
