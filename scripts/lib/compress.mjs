// Compresses the built application once, so that the server need not do it for every visit.
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const KINDS = /\.(?:js|css|html|json|svg|wasm|webmanifest)$/;
/** Smaller files gain nothing. */
const LEAST_BYTES = 1024;
/** Nearly as small as the best, in a tenth of the time. */
const BROTLI_QUALITY = 9;

/** Puts a .br and a .gz beside every file that gains by it: over plain http browsers take the latter alone. */
export async function compressAhead(folder) {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  const paths = entries
    .filter((e) => e.isFile() && KINDS.test(e.name))
    .map((e) => join(e.parentPath ?? e.path, e.name));
  await Promise.all(
    paths.map(async (path) => {
      const bytes = await readFile(path);
      if (bytes.length < LEAST_BYTES) return;
      const br = { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length } }; // prettier-ignore
      await writeFile(`${path}.br`, await promisify(brotliCompress)(bytes, br));
      await writeFile(`${path}.gz`, await promisify(gzip)(bytes, { level: 9 }));
    }),
  );
}
