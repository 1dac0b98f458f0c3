import type { Formula } from '@orvin/core';

/** Where a link leads; what is behind the sign stays in the browser, which never sends it to a server. */
const PATH = '/take';
/** The first letters say how it is packed, so that later ways can be told apart. */
const PACKED = 'f1.';
/** More letters than this no formula has; what unpacks to more is none. */
const MOST_LETTERS = 60_000;
const MOST_BYTES = 400_000;

/** What is wrong with a link, for the one who opened it. */
export class BadLink extends Error {}

const through = (bytes: Uint8Array<ArrayBuffer>, by: GenericTransformStream): ReadableStream<Uint8Array> =>
  new Blob([bytes]).stream().pipeThrough(by as ReadableWritablePair<Uint8Array, Uint8Array<ArrayBuffer>>);

async function gathered(stream: ReadableStream<Uint8Array>, most: number): Promise<Uint8Array<ArrayBuffer>> {
  const parts: Uint8Array[] = [];
  let n = 0;
  const reader = stream.getReader();
  for (let r = await reader.read(); !r.done; r = await reader.read()) {
    parts.push(r.value);
    n += r.value.length;
    if (n > most) {
      await reader.cancel();
      throw new BadLink('What this link holds is larger than any formula.');
    }
  }
  const out = new Uint8Array(n);
  let at = 0;
  for (const p of parts) {
    out.set(p, at);
    at += p.length;
  }
  return out;
}

const toLetters = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (b) => String.fromCharCode(b)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');
const fromLetters = (letters: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(letters.replaceAll('-', '+').replaceAll('_', '/')), (c) => c.charCodeAt(0));

/** A link that holds a whole formula, compressed, behind its sign: about 1,200 letters. */
export async function linkOf(formula: Formula, origin: string): Promise<string> {
  const bytes = new TextEncoder().encode(JSON.stringify(formula));
  const packed = await gathered(through(bytes, new CompressionStream('deflate-raw')), MOST_BYTES);
  return `${origin}${PATH}#${PACKED}${toLetters(packed)}`;
}

/**
 * The text of the formula that a link holds, to be read like any other file.
 * @param hash what stands behind the address, with its sign
 * @throws BadLink when there is nothing in it, part of it is missing, or it is none of ours
 */
export async function textOf(hash: string): Promise<string> {
  const letters = hash.replace(/^#/, '');
  if (letters === '') throw new BadLink('This link holds no formula: what belongs behind its # is missing.');
  if (!letters.startsWith(PACKED) || letters.length > MOST_LETTERS)
    throw new BadLink('This link was made in a way that this Orvin does not know.');
  try {
    const bytes = fromLetters(letters.slice(PACKED.length));
    return new TextDecoder('utf-8', { fatal: true }).decode(
      await gathered(through(bytes, new DecompressionStream('deflate-raw')), MOST_BYTES),
    );
  } catch (e) {
    if (e instanceof BadLink) throw e;
    throw new BadLink('Part of this link is missing or was changed on its way.');
  }
}
