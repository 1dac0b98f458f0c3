import { BlobReader, Uint8ArrayReader, ZipReader, ZipWriter, configure, type FileEntry } from '@zip.js/zip.js';

// within a worker already, and with the browser's own compression
configure({ useWebWorkers: false, useCompressionStream: true });

/** Parts of a zip that are joined into one piece of a blob, so that thousands of photos make few pieces. */
const JOIN_BYTES = 8e6;

/** Why a file in a zip is not given out. */
export type Unread = 'missing' | 'too large' | 'damaged' | 'taken';
export type Content = { readonly bytes: Uint8Array<ArrayBuffer> } | { readonly wrong: Unread };

/** The files of a zip by name; each is read by itself, so that a large zip never stands in memory. */
export interface OpenZip {
  readonly names: readonly string[];
  /** What some of its files come to when they are unpacked, by the directory, bytes. */
  sizeOf(names: readonly string[]): number;
  /**
   * What a file holds, when it is there whole: its checksum is right and it is as long as the directory says. Each is given
   * out once.
   *
   * @param most larger ones are not unpacked at all, bytes
   */
  read(name: string, most: number): Promise<Content>;
}

/** Looks into a zip; null for what is none, or breaks off. */
export async function openZip(file: Blob): Promise<OpenZip | null> {
  const reader = new ZipReader(new BlobReader(file));
  const entries = await reader.getEntries().catch(() => null);
  if (!entries) return null;
  const files = new Map(entries.flatMap((e) => (e.directory ? [] : [[e.filename, e] as const])));
  const taken = new Set<string>();
  return {
    names: [...files.keys()],
    sizeOf: (names) => names.reduce((sum, n) => sum + (files.get(n)?.uncompressedSize ?? 0), 0),
    async read(name, most) {
      const e = files.get(name);
      if (!e) return { wrong: 'missing' };
      if (taken.has(name)) return { wrong: 'taken' };
      taken.add(name);
      if (e.uncompressedSize > most) return { wrong: 'too large' };
      const bytes = await unpacked(e).catch(() => null);
      return bytes ? { bytes } : { wrong: 'damaged' };
    },
  };
}

/** Unpacks into as many bytes as the directory says, and no more: what would go beyond is damaged. */
async function unpacked(e: FileEntry): Promise<Uint8Array<ArrayBuffer> | null> {
  const out = new Uint8Array(e.uncompressedSize);
  let at = 0;
  const into = new WritableStream<Uint8Array>({
    write(chunk) {
      if (at + chunk.length > out.length) throw new Error('longer than it says');
      out.set(chunk, at);
      at += chunk.length;
    },
  });
  await e.getData(into, { checkSignature: true });
  return at === out.length ? out : null;
}

/** A zip in the making; its pieces go out of memory as they come. */
export class ZipMaker {
  private readonly pieces: Blob[] = [];
  private waiting: Uint8Array<ArrayBuffer>[] = [];
  private bytes = 0;
  private readonly zip = new ZipWriter(
    new WritableStream<Uint8Array<ArrayBuffer>>({
      write: (chunk) => {
        // the library may write over it once this returns
        this.waiting.push(chunk.slice());
        this.bytes += chunk.length;
        if (this.bytes > JOIN_BYTES) this.join();
      },
    }),
    { keepOrder: true },
  );

  private join(): void {
    if (this.waiting.length > 0) this.pieces.push(new Blob(this.waiting));
    [this.waiting, this.bytes] = [[], 0];
  }

  /** Adds a file, packed unless it is so already. */
  async add(name: string, bytes: Uint8Array, packed: boolean): Promise<void> {
    await this.zip.add(name, new Uint8ArrayReader(bytes), { level: packed ? 0 : 6 });
  }

  async done(): Promise<Blob> {
    await this.zip.close();
    this.join();
    return new Blob(this.pieces, { type: 'application/zip' });
  }
}
