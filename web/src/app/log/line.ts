import { outcomes, symptomName, type BakeRecord } from '@orvin/core';
import { dateWords } from '../ui/when';
import { dialWords } from '../ui/words';

/** One bake as the timeline shows it. */
export interface Line {
  readonly when: string;
  readonly tin: string;
  readonly words: string;
  readonly symptoms: string;
  readonly off: string;
  readonly range: { readonly left: number; readonly width: number } | null;
  /** Where the time lies on the strip, %; the likely one is in the middle. */
  readonly at: number;
}

/** A time as a place on a strip whose middle is the likely one: a third sooner and later at its ends. */
const place = (minutes: number, likely: number): number => Math.min(98, Math.max(2, 50 + 120 * Math.log(minutes / likely))); // prettier-ignore

export function lineOf(b: BakeRecord, zone: string): Line {
  const p = b.predicted;
  const off = p ? Math.round((100 * (b.minutes - p.likely)) / p.likely) : 0;
  const seen = b.result?.symptoms ?? [];
  return {
    when: dateWords(b.at, zone, 'weekday'),
    tin: `${b.tin.count > 1 ? `${b.tin.count} × ` : ''}${b.tin.tin.name}, ${dialWords({ ovenC: b.ovenC, fan: b.fan })}${b.rack && b.rack !== 'middle' ? `, ${b.rack} rack` : ''}`, // prettier-ignore
    words: outcomes.find((o) => o.id === b.outcome)?.words ?? b.outcome,
    symptoms: seen.map(symptomName).join(', '),
    off: !p
      ? 'nothing was predicted'
      : Math.abs(off) < 2
        ? 'as predicted'
        : `${Math.abs(off)} % ${off < 0 ? 'sooner' : 'later'}`,
    range: p ? { left: place(p.early, p.likely), width: place(p.late, p.likely) - place(p.early, p.likely) } : null,
    at: place(b.minutes, p?.likely ?? b.minutes),
  };
}
