import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import type { Formula } from '@orvin/core';
import { download } from '../data/backup';
import { Notices } from '../data/notices';
import { linkOf } from './link';

/** A code holds this many letters at most, at the least redundancy (ISO/IEC 18004, version 40-L, bytes). */
const MOST_IN_CODE = 2953;
/** Light around a code beyond the module that it comes with; four are asked for. */
const QUIET = 3;

/** A formula handed on without anything in between: a link or a code that holds all of it, the device's own sheet, a picture. */
@Component({
  selector: 'orvin-share',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="share">Hand it on</h2>
    <div class="presses">
      <button type="button" class="press low" [disabled]="link() === ''" (click)="copy()">copy a link</button>
      @if (hasSheet) {
        <button type="button" class="press low" [disabled]="link() === ''" (click)="send()">send…</button>
      }
      <button
        type="button"
        class="press low"
        [attr.aria-expanded]="open()"
        [disabled]="link() === ''"
        (click)="open.set(!open())"
      >
        show a code
      </button>
      <button type="button" class="press low" (click)="picture()" [disabled]="drawing()">save as a picture</button>
    </div>
    @if (open()) {
      @if (code(); as c) {
        <svg
          [attr.viewBox]="c.box"
          role="img"
          [attr.aria-label]="'A code that holds ' + formula().title"
          shape-rendering="crispEdges"
        >
          <rect class="light" x="0" y="0" [attr.width]="c.size" [attr.height]="c.size" />
          <path class="dark" [attr.d]="c.path" />
        </svg>
        <p class="quiet small">Point another device's camera at it: the formula is in the code itself.</p>
      } @else if (tooLong()) {
        <p class="quiet small">It is too long for a code; the link holds all of it.</p>
      }
    }
    <p class="quiet small">
      The link is the formula: nothing is stored anywhere, and no server sees it. Whoever opens it reads it in their own
      Orvin, in their own measures.
    </p>
  `,
  styles: `
    h2 {
      margin-top: 1.2rem;
    }
    .presses {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      margin: 0.5rem 0;
    }
    svg {
      display: block;
      width: min(100%, 20rem);
      height: auto;
      margin: 0.5rem 0;
    }
    .light {
      fill: #ffffff;
    }
    .dark {
      fill: #10182b;
    }
  `,
})
export class SharePart {
  readonly formula = input.required<Formula>();
  /** What is drawn when it is saved as a picture. */
  readonly paper = input<HTMLElement | null>(null);
  private readonly notices = inject(Notices);
  protected readonly hasSheet = typeof navigator.share === 'function';
  protected readonly link = signal('');
  protected readonly open = signal(false);
  protected readonly drawing = signal(false);
  private readonly modules = signal<readonly (readonly boolean[])[] | null>(null);
  protected readonly tooLong = computed(() => this.link().length > MOST_IN_CODE);

  protected readonly code = computed(() => {
    const rows = this.modules();
    if (!rows) return null;
    const size = rows.length + 2 * QUIET;
    const path = rows.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : []))).join(''); // prettier-ignore
    return { size, box: `0 0 ${size} ${size}`, path };
  });

  constructor() {
    effect(() => void this.pack(this.formula()));
    effect(() => {
      if (this.open() && this.link() !== '') void this.draw(this.link());
    });
  }

  private async pack(formula: Formula): Promise<void> {
    const link = await linkOf(formula, location.origin);
    if (formula === this.formula()) this.link.set(link);
  }

  private async draw(link: string): Promise<void> {
    if (link.length > MOST_IN_CODE) return this.modules.set(null);
    const { encodeQR } = await import('qr');
    const rows = encodeQR(link, 'raw', { ecc: 'low', border: 1 });
    if (link === this.link()) this.modules.set(rows);
  }

  protected async copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(this.link());
      this.notices.say('The link is copied; it holds the whole formula.');
    } catch {
      this.notices.problem('The browser did not let it be copied.', 'Show the code, or save the formula as a file.');
    }
  }

  protected async send(): Promise<void> {
    const { title } = this.formula();
    // whoever closes the sheet again has changed their mind
    await navigator.share({ title, url: this.link() }).catch(() => undefined);
  }

  protected async picture(): Promise<void> {
    const paper = this.paper();
    if (!paper) return;
    this.drawing.set(true);
    try {
      const { toBlob } = await import('html-to-image');
      const blob = await toBlob(paper, { pixelRatio: 2, backgroundColor: '#ffffff' });
      if (!blob) throw new Error('nothing drawn');
      download(
        `${this.formula()
          .title.toLowerCase()
          .replace(/[^\p{L}\p{N}]+/gu, '-')}.png`,
        blob,
        'image/png',
      );
    } catch {
      this.notices.problem('The browser could not draw it as a picture.', 'Print it to a PDF instead.');
    } finally {
      this.drawing.set(false);
    }
  }
}
