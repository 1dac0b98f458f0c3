import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';

/** How a card is written and taken. */
export interface Manner {
  readonly name: string;
  readonly face: 'book' | 'slanted' | 'type' | 'hand' | 'brush' | 'screen';
  readonly size: number;
  /** Degrees clockwise. */
  readonly turned?: number;
  readonly shadow?: boolean;
  /** Blur of the lens, px, and grain of the film, 0–1. */
  readonly blur?: number;
  readonly grain?: number;
  /** Pixels to a CSS pixel. */
  readonly scale?: number;
}

export const manners: readonly Manner[] = [
  { name: 'type of a book', face: 'book', size: 22 },
  { name: 'slanted type', face: 'slanted', size: 22 },
  { name: 'typewriter', face: 'type', size: 19 },
  { name: 'like handwriting, upright', face: 'hand', size: 25 },
  { name: 'like handwriting, with a brush', face: 'brush', size: 22 },
  { name: 'screenshot, small', face: 'screen', size: 15, scale: 1 },
  { name: 'book in a hard shadow', face: 'book', size: 22, shadow: true },
  { name: 'book, 4° askew', face: 'book', size: 22, turned: 4 },
  { name: 'book on its side', face: 'book', size: 22, turned: 90 },
  { name: 'a phone’s photo: shadow, 2° askew, soft, grainy', face: 'book', size: 22, turned: -2, shadow: true, blur: 0.7, grain: 0.25 }, // prettier-ignore
];

const { resolve } = createRequire(import.meta.url);
const faces = {
  book: 'eb-garamond/files/eb-garamond-latin-400-normal',
  slanted: 'eb-garamond/files/eb-garamond-latin-400-italic',
  type: 'courier-prime/files/courier-prime-latin-400-normal',
  hand: 'patrick-hand/files/patrick-hand-latin-400-normal',
  brush: 'kalam/files/kalam-latin-400-normal',
} as const;
const css = Object.entries(faces)
  .map(([name, file]) => {
    const bytes = readFileSync(resolve(`@fontsource/${file}.woff2`)).toString('base64');
    return `@font-face{font-family:${name};src:url(data:font/woff2;base64,${bytes})}`;
  })
  .join('');

/** A picture (PNG) of a card. The page stays blank otherwise. */
export async function printed(page: Page, card: string, m: Manner): Promise<Buffer> {
  const side = m.turned === 90;
  const [width, height] = side ? [660, 860] : [860, 660];
  await page.setViewportSize({ width, height });
  const light = m.shadow ? 'linear-gradient(100deg, #fff 20%, #998 60%, #554 100%)' : '#fbf8ee';
  const family = m.face === 'screen' ? 'sans-serif' : m.face;
  const grain = m.grain
    ? `<svg width="100%" height="100%" style="position:fixed;inset:0;opacity:${m.grain};mix-blend-mode:multiply"><filter id="g"><feTurbulence type="fractalNoise" baseFrequency="0.8" seed="7"/><feColorMatrix type="saturate" values="0"/></filter><rect width="100%" height="100%" filter="url(#g)"/></svg>`
    : '';
  await page.setContent(
    `<style>${css} body{margin:0;background:${light};color:#222;overflow:hidden;${m.blur ? `filter:blur(${m.blur}px)` : ''}}
    pre{margin:0;position:absolute;left:50%;top:50%;width:780px;font:${m.size}px ${family};line-height:1.4;white-space:pre-wrap;
    transform:translate(-50%,-50%) rotate(${m.turned ?? 0}deg)}</style><pre></pre>${grain}`,
  );
  await page.locator('pre').evaluate((pre, text) => (pre.textContent = text), card);
  await page.evaluate(() => document.fonts.ready);
  return page.screenshot({ scale: 'device' });
}
