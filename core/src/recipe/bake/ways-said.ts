import { withWay, type Way } from '../../bake/ways.js';
import type { BakeSetting } from '../../formula/types.js';
import { sentencesIn } from '../../text/sentences.js';

/** Words for how a bake goes in that is not plain: each by what its sentence must have, and must not. */
interface Said {
  readonly group: Way['group'];
  readonly id: string;
  readonly is: RegExp;
  readonly but?: RegExp;
}

/** Water that stands apart from what bakes: on the floor, on a shelf below. */
const BELOW = /\b(?:floor|bottom|below|under(?:neath)?|lower(?:est)?)\b/i;
const BATH = /\bwater[- ]bath\b|\bbain[- ]?marie\b|\bin(?:to|side)? (?:a|the|your) [^.;]{0,24}roasting (?:tin|pan|dish)\b[^.;]*\bwater\b|\b(?:stand|set|place|put)\b[^.;]*\bin (?:a (?:larger |deep )?(?:tin|pan|dish|tray) (?:of|with|half[- ]filled with) )?(?:hot|boiling|simmering) water\b[^.;]*\b(?:oven|bake)/i; // prettier-ignore
const COVERED = /\b(?:cover|foil|lid|seal|wrap)/i;
const MELTS = /\bmelt(?!ed)|\bstir|\bwhisk|\bbowl over\b|\bdouble boiler\b/i;

const APART = new RegExp(`${MELTS.source}|${BELOW.source}`, 'i');
const said: readonly Said[] = [
  { group: 'stands', id: 'steamed', is: new RegExp(`(?=.*(?:${BATH.source}))(?=.*(?:${COVERED.source}))`, 'is'), but: APART },
  { group: 'stands', id: 'bath', is: BATH, but: APART },
  { group: 'stands', id: 'stone', is: /\b(?:on(?:to)?|over)\b[^.;]*\b(?:hot|heated|preheated|baking|pizza|bread)[\s-]+(?:stone|steel)\b/i },
  { group: 'stands', id: 'hot tray', is: /\b(?:on(?:to)?)\b[^.;]*\b(?:hot|heated|preheated)[\s-]+(?:baking |oven )?(?:tray|sheet)\b/i },
  { group: 'air', id: 'steam', is: /\b(?:tray|tin|pan|dish|bowl|cup|mug)(?:ful)? (?:of|with) (?:boiling|hot|just[- ]boiled)?\s*water\b[^.;]*\b(?:oven|floor|bottom|below|under(?:neath)?|shelf|rack)\b|\b(?:boiling|hot) water\b[^.;]*\b(?:oven floor|bottom of the oven|tray below|shelf below|(?:bottom|lower|lowest) (?:shelf|rack))\b/i, but: /\bbain|\bwater[- ]bath|\bstir|\bwhisk/i },
  { group: 'batter', id: 'fridge', is: /\b(?:bake|into the (?:hot )?oven)\b[^.;]*\b(?:straight|direct(?:ly)?|cold) from the fridge\b/i },
]; // prettier-ignore

/** The setting with what the method says of how it goes in: a water bath, steam, something hot under it. */
export function withWaysSaid(bake: BakeSetting, lines: readonly string[]): BakeSetting {
  const found = new Map<Way['group'], string>();
  for (const line of lines)
    for (const s of sentencesIn(line))
      for (const w of said)
        if (!found.has(w.group) && w.is.test(s.text) && !(w.but?.test(s.text) ?? false)) found.set(w.group, w.id);
  return [...found].reduce((b, [group, id]) => withWay(b, group, id), bake);
}
