import { outcomes, symptomName, type BakeRecord } from '@orvin/core';

/** What a bake can be found by, in small letters; kept with the record, which never changes. */
const texts = new WeakMap<BakeRecord, string>();

const days = new Map<string, Intl.DateTimeFormat>();
/** `Thursday 26 November 2026`; a formatter is dear to make. */
function dayIn(zone: string): Intl.DateTimeFormat {
  const had = days.get(zone);
  if (had) return had;
  const made = new Intl.DateTimeFormat('en-GB', { timeZone: zone, weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }); // prettier-ignore
  days.set(zone, made);
  return made;
}

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
    dayIn(zone).format(b.at),
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
