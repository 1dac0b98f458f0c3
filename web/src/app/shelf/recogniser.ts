import { Injectable, inject } from '@angular/core';
import { mayBeFraction, type PictureBox, type SeenLine, type SeenPage, type SeenWord } from '@orvin/core/reading';
import { Observable, firstValueFrom } from 'rxjs';
import tesseract, { type Bbox, type Page, type RecognizeResult, type Worker as Reader } from 'tesseract.js';
import type { SmallPhoto } from '../compute/photo-jobs';
import { Shrinking } from '../compute/shrinking';
import { readyFirst } from './ready-first';

/** What was seen in pictures, and the pictures as they were read: upright, straight, made small. */
export interface Recognised {
  readonly seen: readonly SeenPage[];
  readonly pages: readonly SmallPhoto[];
}

/** On the way to it: what is being done, and how much of all of it is, 0–1. */
export type Recognising =
  | { readonly kind: 'under way'; readonly words: string; readonly share: number }
  | { readonly kind: 'done'; readonly value: Recognised }
  /** A file that is no picture. */
  | { readonly kind: 'no picture'; readonly name: string }
  | { readonly kind: 'failed' };

/** Under this mean certainty of its words, in per cent, a page may lie on its side. */
const ASKEW = 60;
const FOLDER = '/sight';

interface Look {
  readonly page: Page;
  readonly certainty: number;
  readonly picture: Blob;
}

/**
 * Reads the print in pictures, on this device alone: in a worker of the engine's own, whose program and English data
 * come with Orvin and are fetched when they are first asked for. Unsubscribing ends it.
 */
@Injectable({ providedIn: 'root' })
export class Recogniser {
  private readonly shrinking = inject(Shrinking);

  /** Reads pictures as the pages of one text, in their order. */
  read(files: readonly File[]): Observable<Recognising> {
    return new Observable((to) => {
      let reader: Reader | null = null;
      let done = 0;
      let ended = false;
      const say = (words: string, part: number): void =>
        to.next({ kind: 'under way', words, share: (done + part) / files.length });
      const work = async (): Promise<void> => {
        say('Getting ready to read pictures', 0);
        reader = await makeReader((part) => say(pageWords(done, files.length), 0.2 + 0.8 * part));
        if (ended) return void reader.terminate();
        const [seen, pages]: [SeenPage[], SmallPhoto[]] = [[], []];
        for (const file of files) {
          say(pageWords(done, files.length), 0.1);
          const ready = await this.ready(file, 0);
          if (!ready) return to.next({ kind: 'no picture', name: file.name });
          const look = await this.upright(reader, file, ready);
          const shown = await firstValueFrom(this.shrinking.run('page', 'shrink', look.picture));
          if (!shown.ok) return to.next({ kind: 'failed' });
          seen.push(await this.withFractions(look, shown.value));
          pages.push(shown.value.photo);
          done++;
        }
        to.next({ kind: 'done', value: { seen, pages } });
      };
      void work()
        .catch(() => to.next({ kind: 'failed' }))
        .finally(() => {
          to.complete();
          void reader?.terminate();
        });
      return () => {
        ended = true;
        void reader?.terminate();
      };
    });
  }

  private async ready(file: Blob, turns: number): Promise<Blob | null> {
    const out = await firstValueFrom(this.shrinking.run('page', 'ready', file, turns));
    return out.ok ? out.value : null;
  }

  /** A page as it reads best: as it is, or turned by quarters when hardly a word of it is one. */
  private async upright(reader: Reader, file: Blob, ready: Blob): Promise<Look> {
    let best = await look(reader, ready);
    for (const turns of [1, 3, 2]) {
      if (best.certainty >= ASKEW) break;
      const turned = await this.ready(file, turns);
      const other = turned ? await look(reader, turned) : best;
      if (other.certainty > best.certainty) best = other;
    }
    return best;
  }

  /** The lines of a page; words that may end with a fraction, which the engine has no sign for, are looked at again. */
  private async withFractions({ page, picture }: Look, { photo }: { photo: SmallPhoto }): Promise<SeenPage> {
    const bitmap = await createImageBitmap(picture);
    const [width, height] = [bitmap.width, bitmap.height];
    bitmap.close();
    const lines = linesOf(page, width, height);
    const asked = lines.flatMap((l) => l.words.filter((_, i) => mayBeFraction(l, i)));
    const found = await firstValueFrom(
      this.shrinking.run(
        'page',
        'fractions',
        picture,
        asked.map(({ text, box: b }) => ({ text, x: b.x * width, y: b.y * height, w: b.w * width, h: b.h * height })),
      ),
    );
    const again = new Map(asked.map((w, i) => [w, (found.ok ? found.value[i] : null) ?? []] as const));
    const withAgain = (w: SeenWord): SeenWord => {
      const readings = again.get(w) ?? [];
      return readings.length > 0 ? { ...w, again: readings } : w;
    };
    return {
      aspect: photo.height / photo.width,
      lines: lines.map((l) => ({ ...l, words: l.words.map(withAgain) })),
    };
  }
}

const pageWords = (done: number, all: number): string =>
  all === 1 ? 'Reading the picture' : `Reading picture ${done + 1} of ${all}`;

/** The engine, set for paper that is lit unevenly. */
/** A reader is ready in two seconds, in ten on a slow device; a worker whose script was lost on the way says nothing. Judgements. */
const PATIENCE_MS = 12_000;
const GIVE_UP_MS = 90_000;
const makeReader = (progress: (share: number) => void): Promise<Reader> =>
  readyFirst(() => startReader(progress), (late) => void late.terminate(), PATIENCE_MS, GIVE_UP_MS); // prettier-ignore

async function startReader(progress: (share: number) => void): Promise<Reader> {
  const reader = await tesseract.createWorker('eng', tesseract.OEM.LSTM_ONLY, {
    workerPath: `${FOLDER}/worker.min.js`,
    corePath: `${FOLDER}/tesseract-core-simd-lstm.js`,
    langPath: `${location.origin}${FOLDER}`,
    workerBlobURL: false,
    // kept by the service worker, with everything else
    cacheMethod: 'none',
    logger: ({ status, progress: share }) => {
      if (status === 'recognizing text') progress(share);
    },
  });
  // Sauvola's threshold, by each place's own surroundings
  await reader.setParameters({ thresholding_method: '2', debug_file: '/dev/null' } as Parameters<
    Reader['setParameters']
  >[0]);
  return reader;
}

async function look(reader: Reader, picture: Blob): Promise<Look> {
  const { data }: RecognizeResult = await reader.recognize(
    picture,
    { rotateAuto: true },
    { text: false, blocks: true, imageColor: true },
  );
  const words = (data.blocks ?? []).flatMap((b) =>
    b.paragraphs.flatMap((p) => p.lines.flatMap((l) => l.words.filter((w) => /[\p{L}\d]/u.test(w.text)))),
  );
  const letters = words.reduce((s, w) => s + w.text.length, 0);
  const certainty = words.reduce((s, w) => s + w.confidence * w.text.length, 0) / Math.max(20, letters);
  return { page: data, certainty, picture: data.imageColor ? pictureOf(data.imageColor) : picture };
}

/** A picture from its data address, which a page may not fetch. */
function pictureOf(address: string): Blob {
  const bytes = Uint8Array.from(atob(address.slice(address.indexOf(',') + 1)), (c) => c.charCodeAt(0));
  return new Blob([bytes], { type: 'image/png' });
}

function linesOf(page: Page, width: number, height: number): SeenLine[] {
  const box = ({ x0, y0, x1, y1 }: Bbox): PictureBox => ({
    x: x0 / width,
    y: y0 / height,
    w: (x1 - x0) / width,
    h: (y1 - y0) / height,
  });
  return (page.blocks ?? []).flatMap((b) =>
    b.paragraphs.flatMap((p) =>
      p.lines.map((l): SeenLine => ({
        box: box(l.bbox),
        words: l.words.map((w) => ({
          text: w.text,
          box: box(w.bbox),
          signs: w.symbols.map((s) => s.confidence / 100),
        })),
      })),
    ),
  );
}
