// The sample kitchen's files in one, as the application loads it.
import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { root } from './run.mjs';

const json = (path) => JSON.parse(readFileSync(`${root}demo/${path}`, 'utf8'));

/** Writes .cache/sample/sample.json from demo/. */
export function bundleSample() {
  const index = json('index.json');
  const photos = Object.fromEntries(
    readdirSync(`${root}demo/photos`).map((f) => [f.replace(/\.svg$/, ''), readFileSync(`${root}demo/photos/${f}`, 'utf8')]), // prettier-ignore
  );
  const sample = {
    kitchen: json(index.kitchen),
    log: json(index.log),
    formulas: index.formulas.map(json),
    photos,
    taught: json(index.taught),
  };
  mkdirSync(`${root}.cache/sample`, { recursive: true });
  writeFileSync(`${root}.cache/sample/sample.json`, JSON.stringify(sample));
}
