import { inflateSync } from 'fflate';

/** A file in a zip: where it lies, and how. */
export interface ZipEntry {
  readonly name: string;
  /** 0 as it is, 8 deflated. */
  readonly method: number;
  readonly packed: number;
  readonly size: number;
  readonly headerAt: number;
}

const END = 0x06054b50;
const ENTRY = 0x02014b50;
const LOCAL = 0x04034b50;
/** The end record is at most so far from the end: its own 22 bytes and the longest comment. */
const TAIL = 22 + 65_535;

const view = async (file: Blob, from: number, to: number): Promise<DataView> => new DataView(await file.slice(from, to).arrayBuffer()); // prettier-ignore

/**
 * The directory at a zip's end, so that each file can be read by itself however large the zip is. Null when there is
 * none: the file is no zip, or breaks off. Zips of more than 4 GB are not read.
 */
export async function zipDirectory(file: Blob): Promise<readonly ZipEntry[] | null> {
  const from = Math.max(0, file.size - TAIL);
  const tail = await view(file, from, file.size);
  let at = tail.byteLength - 22;
  while (at >= 0 && tail.getUint32(at, true) !== END) at--;
  if (at < 0) return null;
  const [count, size, start] = [tail.getUint16(at + 10, true), tail.getUint32(at + 12, true), tail.getUint32(at + 16, true)]; // prettier-ignore
  if (start + size > file.size) return null;
  const d = await view(file, start, start + size);
  const out: ZipEntry[] = [];
  let p = 0;
  for (let i = 0; i < count; i++) {
    if (p + 46 > d.byteLength || d.getUint32(p, true) !== ENTRY) return null;
    const [name, extra, comment] = [d.getUint16(p + 28, true), d.getUint16(p + 30, true), d.getUint16(p + 32, true)];
    out.push({
      name: new TextDecoder().decode(new Uint8Array(d.buffer, p + 46, name)),
      method: d.getUint16(p + 10, true),
      packed: d.getUint32(p + 20, true),
      size: d.getUint32(p + 24, true),
      headerAt: d.getUint32(p + 42, true),
    });
    p += 46 + name + extra + comment;
  }
  return out;
}

/** What a file in a zip holds; null when it is not what its directory says. */
export async function zipContent(file: Blob, e: ZipEntry): Promise<Uint8Array<ArrayBuffer> | null> {
  const head = await view(file, e.headerAt, e.headerAt + 30);
  if (head.byteLength < 30 || head.getUint32(0, true) !== LOCAL) return null;
  const from = e.headerAt + 30 + head.getUint16(26, true) + head.getUint16(28, true);
  const bytes = new Uint8Array(await file.slice(from, from + e.packed).arrayBuffer());
  if (bytes.length !== e.packed) return null;
  if (e.method === 0) return bytes;
  if (e.method !== 8) return null;
  const out = inflateSync(bytes);
  return out.length === e.size ? (out as Uint8Array<ArrayBuffer>) : null;
}
