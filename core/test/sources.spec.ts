import { allItems, readRecipe, readRecipes, recipeTexts, settle, write, type Formula } from '../src/index.js';
import { pageOf } from '../src/recipe/shape/html.js';

const list = ['200 g plain flour', '2 tsp baking powder', '80 g sugar', '2 eggs', '150 ml milk', '60 ml oil'];
const by = (f: Formula): string[] =>
  allItems(f)
    .map((i) => `${i.ingredient} ${i.grams}`)
    .sort();
const plain = readRecipe(
  `Plain cups\n\nIngredients\n${list.join('\n')}\n\nMethod\n1. Stir all the ingredients together.\n2. Bake at 190 °C for 20 minutes in a 12-hole muffin tin.`,
).formula;

describe('the same recipe from anywhere', () => {
  const ld = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Plain cups',
    recipeIngredient: list,
    recipeInstructions: [
      { '@type': 'HowToStep', text: 'Stir all the ingredients together.' },
      { '@type': 'HowToStep', text: 'Bake at 190 °C for 20 minutes in a 12-hole muffin tin.' },
    ],
  };
  const html = `<!doctype html><html><head><title>t</title></head><body><h1>Plain cups</h1><ul>${list.map((l) => `<li>${l}</li>`).join('')}</ul><h2>Method</h2><ol><li>Stir all the ingredients together.</li><li>Bake at 190&deg;C for 20 minutes in a 12-hole muffin tin.</li></ol></body></html>`;
  const ways: Record<string, string> = {
    'JSON-LD': JSON.stringify(ld),
    'JSON-LD in a list': JSON.stringify([{ '@type': 'WebSite' }, ld]),
    'JSON-LD in a graph': JSON.stringify({ '@graph': [{ '@type': 'Person' }, { mainEntity: ld }] }),
    'a page': html,
    'a page with JSON-LD': `<html><body><script type="application/ld+json">${JSON.stringify(ld)}</script><p>3 cups of something else</p></body></html>`,
    'a page with broken JSON-LD': html.replace(
      '</body>',
      '<script type="application/ld+json">{"@type":"Recipe",</script></body>',
    ),
    'a table': `title,ingredients,method\nPlain cups,"${list.join('\n')}","Stir all the ingredients together.\nBake at 190 °C for 20 minutes in a 12-hole muffin tin."`,
    'one paragraph': `Plain cups - ${list.join(', ')}. Stir all the ingredients together. Bake at 190 °C for 20 minutes in a 12-hole muffin tin.`,
    'with a byte order mark and Windows line ends': `\ufeffPlain cups\r\n\r\n${list.join('\r\n')}\r\n\r\nStir all the ingredients together in a bowl.\r\nBake at 190 °C for 20 minutes in a 12-hole muffin tin.`,
  };
  for (const [name, text] of Object.entries(ways))
    it(`reads alike as ${name}`, () => {
      const { formula } = readRecipe(text);
      expect(by(formula)).toEqual(by(plain));
      expect(formula.bake).toEqual(plain.bake);
      expect(formula.tins?.[0]?.tin.shape).toBe('cup');
      expect(formula.title.replace('\ufeff', '')).toBe('Plain cups');
      expect(formula.family).toBe(plain.family);
    });

  it('comes several at a time, each for itself', () => {
    expect(recipeTexts(JSON.stringify([ld, { ...ld, name: 'Other cups' }])).length).toBe(2);
    expect(readRecipes(JSON.stringify([ld, { ...ld, name: 'Other cups' }])).map((d) => d.formula.title)).toEqual([
      'Plain cups',
      'Other cups',
    ]);
    expect(
      readRecipes(
        `A cake\n${list.join('\n')}\n-----\nB cake\n${list.join('\n')}\n*****\nC cake\n${list.join('\n')}`,
      ).map((d) => d.formula.title),
    ).toEqual(['A cake', 'B cake', 'C cake']);
    expect(
      readRecipes('title,ingredients\nOne,"100 g flour | 2 eggs"\nTwo,"200 g flour"').map((d) => d.formula.title),
    ).toEqual(['One', 'Two']);
  });

  it('stays one recipe when rules only part its title, list, method and notes', () => {
    const ruled = `# Plain cups\n\n---\n\n${list.join('\n')}\n\n---\n\nFor the icing\n80 g icing sugar\n1 tbsp milk\n\n***\n\nMethod\n1. Stir all the ingredients together.\n\n---\n\nNotes\nKeeps two days.`;
    expect(recipeTexts(ruled)).toEqual([ruled]);
    const { formula } = readRecipe(ruled);
    expect(formula.title).toBe('Plain cups');
    expect(formula.groups.at(-1)?.role).toBe('icing');
    const two = `${ruled}\n\n---\n\n# Other cups\n\n---\n\n${list.join('\n')}`;
    expect(readRecipes(two).map((d) => [d.formula.title, allItems(d.formula).length])).toEqual([
      ['Plain cups', 8],
      ['Other cups', 6],
    ]);
  });

  it('takes tables with other columns and separators', () => {
    const { formula } = readRecipe(
      'section;item;quantity;unit\nDough;plain flour;250;g\nDough;butter;1;stick\nGlaze;icing sugar;80;g',
    );
    expect(by(formula)).toEqual(['butter 113.4', 'icing-sugar 80', 'plain-flour 250']);
    expect(formula.groups.at(-1)?.role).toBe('icing');
  });
});

describe('a table that is opened in a spreadsheet', () => {
  it('holds nothing that would be calculated, and is read back all the same', () => {
    const f = { ...plain, title: '=1+1 cups', method: [{ text: '@home: -stir- well', itemIds: [] }] };
    const text = write(f, 'csv');
    expect(text).not.toMatch(/(?:^|,)"?[=+\-@]/m);
    const back = readRecipe(text).formula;
    expect([back.title, back.method[0]?.text]).toEqual([f.title, f.method[0]?.text]);
  });
});

describe('a page', () => {
  it('gives its visible words, headings and lists, and nothing else', () => {
    const page = pageOf(
      '<h1>Title</h1><nav>Home</nav><script>evil()</script><style>p{}</style><p>One&nbsp;&frac12;<br>two</p><ul><li>a</li><li>b</li></ul><table><tr><td>200 g</td><td>flour</td></tr></table><svg><text>x</text></svg><button>Share</button>',
    );
    expect(page.text.split('\n')).toEqual(['# Title', 'One ½', 'two', '- a', '- b', '200 g flour']);
    expect(pageOf('<p>&lt;script&gt;alert(1)&lt;/script&gt;').text).not.toContain('<');
  });
});

describe('list and method held against each other', () => {
  const base = [
    '250 g plain flour',
    '2 tsp baking powder',
    '100 g sugar',
    '100 g butter',
    '2 eggs',
    '120 ml milk',
    '60 g walnuts',
  ];
  const steps =
    'Method\n1. Cream the butter and sugar, beat in the eggs one at a time.\n2. Fold in the flour and baking powder with the milk, then the walnuts.\n3. Bake at 175 °C for 35 minutes in a 20 cm round tin.';
  const kinds = (lines: readonly string[], method = steps): string[] =>
    readRecipe(`Walnut round\n${lines.join('\n')}\n\n${method}`)
      .doubts.filter((d) => d.kind === 'unlisted' || d.kind === 'unused')
      .map((d) => `${d.kind} ${d.itemId ?? d.id}`);

  it('agree when nothing is amiss', () => {
    expect(kinds(base)).toEqual([]);
  });
  it('miss each plain thing that is taken off the list', () => {
    for (const [n, id] of [
      [1, 'baking-powder'],
      [2, 'white-sugar'],
      [3, 'butter'],
      [4, 'egg'],
      [5, 'milk'],
      [6, 'walnut'],
    ] as const)
      expect(kinds(base.filter((_, i) => i !== n)))
        .withContext(id)
        .toEqual([`unlisted unlisted-${id}`]);
  });
  it('notice a line that no step speaks of, unless a step takes everything', () => {
    expect(kinds(base, steps.replace(', then the walnuts', ''))).toEqual(['unused i7']);
    expect(
      kinds(base, `${steps.replace(', then the walnuts', '')}\n4. Or simply stir all the ingredients together.`),
    ).toEqual([]);
  });
  it('put a missing thing on the list with one press, its amount to come', () => {
    const draft = readRecipe(`Walnut round\n${base.filter((l) => l !== '2 eggs').join('\n')}\n\n${steps}`);
    const after = settle(draft, 'unlisted-egg', 'add');
    const eggs = allItems(after.formula).find((i) => i.ingredient === 'egg');
    expect(eggs?.grams).toBe(0);
    expect(after.doubts.some((d) => d.kind === 'unlisted')).toBeFalse();
  });
});
