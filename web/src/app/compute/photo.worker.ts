import { drawnSigns, fractionReadings, lastSigns, type Drawn, type Greys } from '@orvin/core/reading';
import { expose, transfer } from 'comlink';
import pica from 'pica';
import type { PhotoJobs, SmallPhoto } from './photo-jobs';

/** Longest side of a photo and of its picture for lists, px, and how finely they are written. */
const SIDE = { photo: 1400, thumb: 176 } as const;
const QUALITY = { photo: 0.8, thumb: 0.72 } as const;

const shrinker = pica({ features: ['js', 'wasm'] });

/** Pixels resized with a filter that keeps a crumb's holes sharp. */
async function shrunk(pixels: ImageData, side: number): Promise<ImageData> {
  const k = Math.min(1, side / Math.max(pixels.width, pixels.height));
  if (k === 1) return pixels;
  const [toWidth, toHeight] = [pixels.width, pixels.height].map((x) => Math.max(1, Math.round(x * k))) as [
    number,
    number,
  ];
  const out = await shrinker.resizeBuffer({
    src: new Uint8Array(pixels.data.buffer),
    width: pixels.width,
    height: pixels.height,
    toWidth,
    toHeight,
    filter: 'mks2013',
  });
  return new ImageData(new Uint8ClampedArray(out), toWidth, toHeight);
}

async function written(pixels: ImageData, quality: number): Promise<SmallPhoto> {
  const canvas = new OffscreenCanvas(pixels.width, pixels.height);
  canvas.getContext('2d')?.putImageData(pixels, 0, 0);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
  return { type: 'image/jpeg', width: pixels.width, height: pixels.height, bytes: await blob.arrayBuffer() };
}

/** White paper to draw on. */
function paper(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(Math.max(1, width), Math.max(1, height)).getContext('2d', {
    willReadFrequently: true,
  });
  if (!context) throw new Error('no canvas');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  return context;
}

/** A picture turned upright as the camera says. */
const upright = (file: Blob): Promise<ImageBitmap> => createImageBitmap(file, { imageOrientation: 'from-image' });

/** Print is read best with letters of 20 to 40 px: the longer side of a page of it, px. */
const [LEAST_SIDE, MOST_SIDE] = [1600, 2600];

function greysOf(context: OffscreenCanvasRenderingContext2D): Greys {
  const { width, height } = context.canvas;
  const { data } = context.getImageData(0, 0, width, height);
  // luma of ITU-R BT.601
  const greys = new Uint8ClampedArray(width * height).map(
    (_, i) => 0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0),
  );
  return { width, height, data: greys };
}

let drawn: readonly Drawn[] | null = null;
/** The signs that are looked for, in the faces that every browser has. */
function signs(): readonly Drawn[] {
  drawn ??= ['serif', 'sans-serif', 'monospace'].flatMap((face) =>
    ['', 'italic '].flatMap((slant) =>
      drawnSigns.flatMap((sign): Drawn[] => {
        const context = paper(120, 100);
        context.fillStyle = '#000';
        context.font = `${slant}64px ${face}`;
        context.fillText(sign, 20, 76);
        // drawn in parts, it is the widest of what is cut from the end
        const whole = lastSigns(greysOf(context)).at(-1);
        return whole ? [{ sign, drawn: whole }] : [];
      }),
    ),
  );
  return drawn;
}

const jobs: PhotoJobs = {
  async ready(file, turns) {
    const bitmap = await upright(file);
    const side = Math.max(bitmap.width, bitmap.height);
    const k = side < LEAST_SIDE ? Math.min(3, LEAST_SIDE / side) : Math.min(1, MOST_SIDE / side);
    const [w, h] = [bitmap.width, bitmap.height].map((x) => Math.max(1, Math.round(x * k))) as [number, number];
    const context = turns % 2 === 0 ? paper(w, h) : paper(h, w);
    context.imageSmoothingQuality = 'high';
    context.translate(context.canvas.width / 2, context.canvas.height / 2);
    context.rotate((turns * Math.PI) / 2);
    context.drawImage(bitmap, -w / 2, -h / 2, w, h);
    bitmap.close();
    return context.canvas.convertToBlob({ type: 'image/png' });
  },
  async fractions(picture, words) {
    const bitmap = await createImageBitmap(picture);
    const found = words.map((word) => {
      const context = paper(word.w + 4, word.h + 4);
      context.drawImage(bitmap, word.x - 2, word.y - 2, word.w + 4, word.h + 4, 0, 0, word.w + 4, word.h + 4);
      return fractionReadings(greysOf(context), word.text, signs());
    });
    bitmap.close();
    return found;
  },
  async shrink(file) {
    const bitmap = await upright(file);
    const context = paper(bitmap.width, bitmap.height);
    const { canvas } = context;
    context.drawImage(bitmap, 0, 0);
    bitmap.close();
    const whole = context.getImageData(0, 0, canvas.width, canvas.height);
    const large = await shrunk(whole, SIDE.photo);
    const [photo, thumb] = [
      await written(large, QUALITY.photo),
      await written(await shrunk(large, SIDE.thumb), QUALITY.thumb),
    ];
    return transfer({ photo, thumb }, [photo.bytes, thumb.bytes]);
  },
};
expose(jobs);
