import { catalogueRow, readRecipe, settle } from '../src/index.js';
import { corpus, judge, judgeRecipe, recipeCorpus } from './support/corpus.js';

const weighty = new Set(['leavener', 'flour', 'sugar', 'fat', 'egg', 'liquid', 'acid']);

describe('the corpus', () => {
  const lines = corpus('lines.txt').map(judge);
  const held = corpus('held-out.txt').map(judge);

  it('is large, and no line stands in it twice', () => {
    expect(lines.length).toBeGreaterThanOrEqual(400);
    expect(held.length).toBeGreaterThanOrEqual(100);
    expect(new Set([...lines, ...held].map((l) => l.line)).size).toBe(lines.length + held.length);
    expect(recipeCorpus().length).toBeGreaterThanOrEqual(40);
  });

  it('is read right in 98 of 100 lines', () => {
    const wrong = lines.filter((l) => !l.right);
    expect(wrong.length / lines.length)
      .withContext(wrong.map((w) => `${w.line} => ${w.got}`).join('\n'))
      .toBeLessThanOrEqual(0.02);
    const wrongHeld = held.filter((l) => !l.right);
    expect(wrongHeld.length / held.length)
      .withContext(wrongHeld.map((w) => `${w.line} => ${w.got}`).join('\n'))
      .toBeLessThanOrEqual(0.02);
  });

  it('is never silently wrong in anything that makes the batter', () => {
    const silent = lines
      .filter((l) => l.silent)
      .filter((l) => {
        const id = l.means.split(' ')[0] ?? '';
        return id === 'unknown' || weighty.has(catalogueRow(id).role);
      });
    expect(silent.map((s) => `${s.line} => ${s.got}`)).toEqual([]);
  });

  it('seldom asks where nothing is doubtful', () => {
    const needless = lines.filter((l) => l.right && l.doubted && !l.means.includes('?'));
    expect(needless.length / lines.length)
      .withContext(needless.map((n) => n.line).join('\n'))
      .toBeLessThan(0.03);
  });

  for (const style of ['us', 'uk', 'india', 'australia', 'metric', 'spoken', 'faults', 'page'])
    it(`reads whole recipes: ${style}`, () => {
      for (const c of recipeCorpus().filter((r) => r.style === style)) {
        const j = judgeRecipe(c);
        expect(j.wrong).withContext(j.title).toEqual([]);
      }
    });

  it('gives every doubt a place in its line, a likely reading among its choices, and settles it with one press', () => {
    for (const c of recipeCorpus()) {
      const draft = readRecipe(c.text);
      const text = draft.lines ?? c.text.split('\n');
      for (const d of draft.doubts) {
        expect(d.choices.map((x) => x.id))
          .withContext(d.words)
          .toContain(d.likely);
        if (d.place) {
          const { line, from, to } = d.place;
          expect(from).withContext(d.words).toBeLessThan(to);
          expect(to)
            .withContext(d.words)
            .toBeLessThanOrEqual(text[line]?.length ?? -1);
        }
        for (const choice of d.choices)
          expect(settle(draft, d.id, choice.id).doubts.some((x) => x.id === d.id))
            .withContext(d.words)
            .toBeFalse();
      }
    }
  });

  it('marks what each value was read from, inside its line and not twice', () => {
    for (const c of recipeCorpus()) {
      const { marks = [], formula, lines: read } = readRecipe(c.text);
      const text = read ?? c.text.split('\n');
      for (const m of marks)
        expect(text[m.line]?.slice(m.from, m.to).trim()).withContext(`${m.what} ${m.line}:${m.from}`).toBeTruthy();
      // every weighed line says where its weight and its name were read, and nothing is claimed twice
      for (const i of formula.groups.flatMap((g) => g.items)) {
        const own = marks.filter((m) => m.itemId === i.id);
        expect(own.some((m) => m.what === 'ingredient'))
          .withContext(i.words)
          .toBeTrue();
        if (i.grams > 0)
          expect(own.some((m) => m.what === 'amount'))
            .withContext(i.words)
            .toBeTrue();
        const once = new Set(own.map((m) => `${m.what} ${m.line} ${m.from}`));
        expect(once.size).withContext(i.words).toBe(own.length);
      }
    }
  });
});
