import { BlobWriter, Uint8ArrayReader, ZipWriter } from '@zip.js/zip.js';
import { ZipMaker, openZip, type Content } from './zip';

const bytes = (text: string): Uint8Array<ArrayBuffer> => new TextEncoder().encode(text);
const words = (c: Content): string => ('wrong' in c ? c.wrong : new TextDecoder().decode(c.bytes));
const MOST = 1e6;

describe('a zip', () => {
  const photo = new Uint8Array(5000).map((_, i) => (i * 31) % 251);
  // a photo that holds what looks like the mark between two files
  photo.set([0x50, 0x4b, 0x07, 0x08, 1, 2, 3, 4], 1000);
  photo.set([0x50, 0x4b, 0x01, 0x02], 2000);
  const files = { 'photos/0-a.jpg': photo, 'kitchen.json': bytes('{"név":"körte"}'), 'photos/empty.jpg': bytes('') };

  async function made(): Promise<Blob> {
    const zip = new ZipMaker();
    for (const [name, content] of Object.entries(files)) await zip.add(name, content, !name.endsWith('.json'));
    return zip.done();
  }

  it('gives every file whole, whatever its bytes look like', async () => {
    const zip = await openZip(await made());
    expect(zip?.names).toEqual(Object.keys(files));
    for (const [name, content] of Object.entries(files))
      expect(await zip?.read(name, MOST)).toEqual({ bytes: content });
    expect(words((await zip?.read('photos/1-b.jpg', MOST)) as Content)).toBe('missing');
    // none is given out twice: a file that many ask for unpacks once
    expect(words((await zip?.read('kitchen.json', MOST)) as Content)).toBe('taken');
    expect(zip?.sizeOf([...zip.names, 'photos/1-b.jpg'])).toBe(Object.values(files).reduce((n, f) => n + f.length, 0));
  });

  it('unpacks nothing that is larger than is asked for, or than it says it is', async () => {
    const zeros = new Uint8Array(4_000_000);
    const writer = new ZipWriter(new BlobWriter());
    await writer.add('kitchen.json', new Uint8ArrayReader(zeros));
    const bomb = await writer.close();
    expect(bomb.size).toBeLessThan(10_000);
    expect(words((await (await openZip(bomb))?.read('kitchen.json', MOST)) as Content)).toBe('too large');
    // one whose directory lies of its size, and small
    const raw = new Uint8Array(await bomb.arrayBuffer());
    const view = new DataView(raw.buffer);
    for (let at = 0; at < raw.length - 4; at++) {
      if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 100, true);
      if (view.getUint32(at, true) === 0x04034b50) view.setUint32(at + 22, 100, true);
    }
    const liar = await openZip(new Blob([raw]));
    expect(words((await liar?.read('kitchen.json', MOST)) as Content)).toBe('damaged');
  });

  it('tells a file whose bytes were changed', async () => {
    const raw = new Uint8Array(await (await made()).arrayBuffer());
    const at = raw.findIndex((_, i) => photo.slice(100, 120).every((b, k) => raw[i + k] === b));
    expect(at).toBeGreaterThan(0);
    raw[at] = (raw[at] ?? 0) ^ 1;
    const zip = await openZip(new Blob([raw]));
    expect(words((await zip?.read('photos/0-a.jpg', MOST)) as Content)).toBe('damaged');
    expect(words((await zip?.read('kitchen.json', MOST)) as Content)).toContain('körte');
  });

  it('is none for what is no zip, or breaks off anywhere', async () => {
    for (const other of ['', 'PK', 'no zip at all, but long enough to hold the record at an end']) expect(await openZip(new Blob([bytes(other)]))).toBeNull(); // prettier-ignore
    const whole = await made();
    for (const share of [0.2, 0.6, 0.95]) expect(await openZip(whole.slice(0, whole.size * share))).toBeNull();
    // the end is there, but not what it speaks of
    const headless = await openZip(whole.slice(3000));
    expect(words((await headless?.read('photos/0-a.jpg', MOST)) as Content)).toBe('damaged');
  });
});
