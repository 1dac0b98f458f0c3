import { assess, type Formula, type Proposal } from '../../src/index.js';

/** Every allergen and caution that is new in what is proposed is said with it, and nothing is that is not. */
export function saysItsDangers(was: Formula, p: Proposal): void {
  const [before, after] = [assess(was), assess(p.formula)];
  const cautions = p.cautions.join(' ');
  for (const a of after.allergens)
    if (!before.allergens.includes(a)) expect(cautions).withContext(`${was.id}: ${p.title}`).toContain(a);
  for (const c of after.cautions)
    if (!before.cautions.some((x) => x.id === c.id)) expect(p.cautions).withContext(p.title).toContain(c.words);
  if (after.allergens.every((a) => before.allergens.includes(a))) expect(cautions).not.toContain('not in it before');
}
