import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal } from '@angular/core';
import type { PicturePlace } from '@orvin/core/reading';
import type { SmallPhoto } from '../compute/photo-jobs';

/** Addresses of pictures for as long as they are shown. */
function addresses(pages: () => readonly SmallPhoto[]): () => readonly string[] {
  const urls = signal<readonly string[]>([]);
  effect((done) => {
    const made = pages().map((p) => URL.createObjectURL(new Blob([p.bytes], { type: p.type })));
    urls.set(made);
    done(() => made.forEach((u) => URL.revokeObjectURL(u)));
  });
  return urls;
}

const percent = (x: number): string => `${(100 * x).toFixed(2)}%`;

/** The pictures that a text was read from, with the place of each of its lines; the line in hand is lit. */
@Component({
  selector: 'orvin-picture-beside',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (page of sheets(); track $index) {
      <figure>
        <img [src]="page.url" [alt]="page.alt" [width]="page.width" [height]="page.height" />
        @for (b of page.boxes; track b.line) {
          <button
            type="button"
            tabindex="-1"
            aria-hidden="true"
            class="place"
            [class.lit]="b.line === lit()"
            [class.doubted]="doubted().has(b.line)"
            [style.left]="b.left"
            [style.top]="b.top"
            [style.width]="b.width"
            [style.height]="b.height"
            (mouseenter)="over.emit(b.line)"
            (click)="chosen.emit(b.line)"
          ></button>
        }
      </figure>
    }
    <p class="quiet">The picture stays on this device, and goes when the sheet does.</p>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
    }
    figure {
      position: relative;
      margin: 0;
      border: 1px solid var(--rim-soft);
      border-radius: 6px;
      overflow: hidden;
    }
    img {
      display: block;
      width: 100%;
      height: auto;
    }
    .place {
      position: absolute;
      padding: 0;
      border: 0;
      border-radius: 3px;
      background: none;
      cursor: pointer;
    }
    .place.doubted {
      box-shadow: 0 0 0 1.5px var(--heat-line);
    }
    .place.lit {
      box-shadow: 0 0 0 2.5px var(--rim);
    }
    p {
      margin: 0;
      font-size: 0.85rem;
    }
  `,
})
export class PictureBeside {
  readonly pages = input.required<readonly SmallPhoto[]>();
  /** For each line that is shown, its places. */
  readonly places = input.required<readonly (readonly PicturePlace[])[]>();
  /** Lines with something to settle. */
  readonly doubted = input<ReadonlySet<number>>(new Set());
  readonly lit = input<number | null>(null);
  readonly over = output<number>();
  readonly chosen = output<number>();
  private readonly urls = addresses(this.pages);

  protected readonly sheets = computed(() =>
    this.urls().map((url, page) => {
      const { width = 1, height = 1 } = this.pages()[page] ?? {};
      const boxes = this.places().flatMap(
        (places, line) =>
        places
          .filter((p) => p.page === page)
          .map((p) => ({ line, left: percent(p.x - 0.008), top: percent(p.y - 0.004), width: percent(p.w + 0.016), height: percent(p.h + 0.008) })), // prettier-ignore
      );
      return { url, width, height, boxes, alt: this.pages().length > 1 ? `Picture ${page + 1}` : 'The picture' };
    }),
  );
}

/** A strip of a picture: the line that a doubt is about, as it was taken. */
@Component({
  selector: 'orvin-picture-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (strip(); as s) {
      <div
        role="img"
        aria-label="The line in the picture"
        [style.aspect-ratio]="s.aspect"
        [style.background-image]="s.image"
        [style.background-size]="s.size"
        [style.background-position]="s.at"
      ></div>
    }
  `,
  styles: `
    div {
      width: 100%;
      max-height: 4rem;
      border: 1px solid var(--rim-soft);
      border-radius: 4px;
      background-repeat: no-repeat;
    }
  `,
})
export class PictureStrip {
  readonly pages = input.required<readonly SmallPhoto[]>();
  readonly place = input.required<PicturePlace>();
  private readonly urls = addresses(this.pages);

  protected readonly strip = computed(() => {
    const p = this.place();
    const page = this.pages()[p.page];
    const url = this.urls()[p.page];
    if (!page || url === undefined) return null;
    const shape = page.height / page.width;
    // a little of what stands around it, and never so narrow that it would be blown up
    const y = Math.max(0, p.y - 0.25 * p.h);
    const h = Math.min(1 - y, 1.5 * p.h);
    const w = Math.min(1, Math.max(p.w + 0.02, 10 * h * shape));
    const x = Math.max(0, Math.min(1 - w, p.x - 0.01));
    const part = (from: number, size: number): string => percent(size >= 1 ? 0 : from / (1 - size));
    return {
      aspect: `${w / (h * shape)}`,
      image: `url("${url}")`,
      size: `${percent(1 / w)} auto`,
      at: `${part(x, w)} ${part(y, h)}`,
    };
  });
}
