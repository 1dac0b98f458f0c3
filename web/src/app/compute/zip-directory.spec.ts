import { Zip, ZipDeflate, ZipPassThrough, zipSync } from 'fflate';
import { zipContent, zipDirectory } from './zip-directory';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const text = (b: Uint8Array | null): string | null => b && new TextDecoder().decode(b);
const blob = (b: Uint8Array): Blob => new Blob([b as Uint8Array<ArrayBuffer>]);

/** A zip as the backup writes it: in a stream, sizes after each file. */
function streamed(files: Record<string, Uint8Array>, deflated: (name: string) => boolean): Blob {
  const parts: Uint8Array[] = [];
  const zip = new Zip((e, chunk) => {
    if (e) throw e;
    parts.push(chunk);
  });
  for (const [name, content] of Object.entries(files)) {
    const part = deflated(name) ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    zip.add(part);
    // in pieces, as it comes
    part.push(content.subarray(0, content.length >> 1));
    part.push(content.subarray(content.length >> 1), true);
  }
  zip.end();
  return new Blob(parts as Uint8Array<ArrayBuffer>[]);
}

describe('the directory of a zip', () => {
  const photo = new Uint8Array(5000).map((_, i) => (i * 31) % 251);
  // a photo that holds what looks like the mark between two files
  photo.set([0x50, 0x4b, 0x07, 0x08, 1, 2, 3, 4], 1000);
  photo.set([0x50, 0x4b, 0x01, 0x02], 2000);
  const files = {
    'photos/0-a.jpg': photo,
    'kitchen.json': bytes('{"név":"körte"}'),
    'photos/empty.jpg': new Uint8Array(0),
  };

  it('gives every file whole, stored or deflated, whatever its bytes look like', async () => {
    for (const deflated of [() => true, () => false, (n: string) => n.endsWith('.json')]) {
      const zip = streamed(files, deflated);
      const list = await zipDirectory(zip);
      expect(list?.map((e) => e.name)).toEqual(Object.keys(files));
      for (const e of list ?? [])
        expect(await zipContent(zip, e)).toEqual(files[e.name as keyof typeof files] as never);
    }
  });

  it('reads what other programs pack, with a comment at the end too', async () => {
    const plain = zipSync({ 'a/b.txt': bytes('pear'), 'c.txt': bytes('rye'.repeat(400)) });
    const comment = bytes('made by hand');
    const end = plain.length - 22;
    const withComment = new Uint8Array(plain.length + comment.length);
    withComment.set(plain);
    new DataView(withComment.buffer).setUint16(end + 20, comment.length, true);
    withComment.set(comment, plain.length);
    for (const zip of [blob(plain), blob(withComment)]) {
      const list = (await zipDirectory(zip)) ?? [];
      expect(list.map((e) => e.name)).toEqual(['a/b.txt', 'c.txt']);
      expect(text(await zipContent(zip, list[1] as never))).toBe('rye'.repeat(400));
    }
  });

  it('is none for what is no zip, or breaks off anywhere', async () => {
    for (const other of ['', 'PK', 'no zip at all, but long enough to hold the record at an end']) expect(await zipDirectory(blob(bytes(other)))).toBeNull(); // prettier-ignore
    const whole = streamed(files, (n) => n.endsWith('.json'));
    for (const share of [0.2, 0.6, 0.95]) expect(await zipDirectory(whole.slice(0, whole.size * share))).toBeNull();
    // the end is there, but not what it speaks of
    const headless = whole.slice(3000);
    const list = (await zipDirectory(headless)) ?? [];
    for (const e of list) expect(await zipContent(headless, e)).toBeNull();
  });
});
