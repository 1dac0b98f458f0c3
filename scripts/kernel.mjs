// Makes WebAssembly of the bake model's inner loop: core/kernel to core/src/bake/kernel.bytes.ts.
// With --check it writes nothing and fails when the bytes that are there are not what the source makes.
import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import asc from 'assemblyscript/asc';

const root = fileURLToPath(new URL('../', import.meta.url));
const to = `${root}core/src/bake/kernel.bytes.ts`;

const { error, stderr, binary } = await compiled('index.ts');
if (error) {
  console.error(String(stderr));
  throw error;
}
const text = `/** Made by \`npm run kernel\` from core/kernel: its WebAssembly, in base 64. */
export const kernelBytes =
  '${Buffer.from(binary).toString('base64')}';\n`;
if (!process.argv.includes('--check')) writeFileSync(to, text);
else if (readFileSync(to, 'utf8') !== text) {
  console.error('core/src/bake/kernel.bytes.ts is not what core/kernel makes. Run: npm run kernel');
  process.exitCode = 1;
}

async function compiled(file) {
  let binary;
  const done = await asc.main([file, '-O3', '--noAssert', '--runtime', 'stub', '--importMemory', '-o', 'sweep.wasm'], {
    readFile: (name) => {
      try {
        return readFileSync(`${root}core/kernel/${name}`, 'utf8');
      } catch {
        return null;
      }
    },
    writeFile: (_name, content) => (binary = content),
    listFiles: () => [],
  });
  return { ...done, binary };
}
