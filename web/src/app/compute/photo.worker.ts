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

const jobs: PhotoJobs = {
  async shrink(file) {
    // turned upright as the camera says
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) throw new Error('no canvas');
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
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
