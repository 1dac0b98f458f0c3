import { families, ingredients } from '../src/index.js';
import { unseenFormulas } from './support/cures.js';
import { demo, demoIds, demoKitchen } from './support/make.js';
import { every } from './support/runs.js';
import { sentencesOf } from './support/sentences.js';

const ids = new Set([...ingredients.map((i) => i.id), ...families.map((f) => f.id)].filter((id) => id.includes('-')));
/** Values that are told apart by code and never shown. */
const CODES =
  /\.(?:basis|source|kind|verb|phase|state|severity|family|shape|material|code|chosen|units?|bakedIn|place|id|within|side|from)$/;

describe('what the core says', () => {
  it('has no id, no figure that is none, and no plural of one', () => {
    let heard = 0;
    for (const f of [...demoIds.map(demo), ...every(4, unseenFormulas())]) {
      const own = JSON.stringify([f.method, f.groups, f.title, f.notes, f.tins]);
      for (const { from, text } of sentencesOf(f, demoKitchen())) {
        if (CODES.test(from) || own.includes(text.slice(0, 30))) continue;
        heard++;
        const where = `${f.title}, ${from}: ${text}`;
        expect(text)
          .withContext(where)
          .not.toMatch(/\b(?:null|NaN|undefined|Infinity|object Object)\b/);
        expect(text).withContext(where).not.toMatch(/\b(?:1|one) (?:eggs|pieces|cups|minutes|tins|ingredients|bakes|slices|days|rounds|lines|bowls|times|hours|weeks)\b(?! of| a)/); // prettier-ignore
        expect(text).withContext(where).not.toMatch(/\b(?:[2-9]|\d\d+|two|three) (?:minute|tin|bake|slice|day|line|bowl|hour|week|ingredient)\b(?!-)/); // prettier-ignore
        expect(text)
          .withContext(where)
          .not.toMatch(/ {2}|\s[,;]|\.\.(?!\.)/);
        const named = [...text.matchAll(/\b[a-z]+(?:-[a-z0-9]+)+\b/g)].map((m) => m[0]);
        expect(named.filter((n) => ids.has(n) && n.length < text.length && !own.includes(n))).withContext(where).toEqual([]); // prettier-ignore
      }
    }
    expect(heard).toBeGreaterThan(10_000);
  });
});
