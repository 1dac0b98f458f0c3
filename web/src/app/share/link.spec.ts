import { BadLink, linkOf, textOf } from './link';
import { readRecipe } from '@orvin/core/reading';
import { formulas } from '../bench/testing/drawings';

describe('a formula in a link', () => {
  it('comes out as it went in, in letters that any message carries', async () => {
    for (const [, f] of formulas()) {
      const link = await linkOf(f, 'https://orvin.example');
      expect(link).toMatch(/^https:\/\/orvin\.example\/take#f1\.[\w-]+$/);
      expect(link.length).toBeLessThan(1600);
      expect(JSON.parse(await textOf(new URL(link).hash))).toEqual(f);
      expect(readRecipe(await textOf(new URL(link).hash)).formula).toEqual(f);
    }
  });

  it('keeps any letter, and what a baker made up', async () => {
    const [, f] = [...formulas()][0] ?? [];
    if (!f) throw new Error('no formula');
    const odd = { ...f, title: 'Пирог “à l’œuf” ½ 🥧', notes: 'x'.repeat(20_000) };
    expect(JSON.parse(await textOf(new URL(await linkOf(odd, 'http://a')).hash))).toEqual(odd);
  });

  it('says what is wrong with one that is cut short, changed, empty, of another kind or a trap', async () => {
    const [, f] = [...formulas()][0] ?? [];
    if (!f) throw new Error('no formula');
    const { hash } = new URL(await linkOf(f, 'http://a'));
    const wrong: readonly (readonly [string, RegExp])[] = [
      ['', /holds no formula/],
      ['#', /holds no formula/],
      [hash.slice(0, -40), /missing or was changed/],
      [`${hash.slice(0, 60)}%%%${hash.slice(60)}`, /missing or was changed/],
      [hash.replace('f1.', 'f9.'), /does not know/],
      [`#f1.${'A'.repeat(70_000)}`, /does not know/],
    ];
    for (const [text, words] of wrong) await expectAsync(textOf(text)).withContext(text.slice(0, 20)).toBeRejectedWithError(BadLink, words); // prettier-ignore
    // four megabytes of nothing pack into four thousand letters
    const trap = new Blob([new Uint8Array(4_000_000)]).stream().pipeThrough(new CompressionStream('deflate-raw') as ReadableWritablePair<Uint8Array, Uint8Array<ArrayBuffer>>); // prettier-ignore
    const bytes = new Uint8Array(await new Response(trap).arrayBuffer());
    const letters = btoa(Array.from(bytes, (b) => String.fromCharCode(b)).join('')).replaceAll('+', '-').replaceAll('/', '_'); // prettier-ignore
    await expectAsync(textOf(`#f1.${letters}`)).toBeRejectedWithError(BadLink, /larger than any formula/);
  });
});
