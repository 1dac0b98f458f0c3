import { Directive, ElementRef, computed, inject, input } from '@angular/core';
import type { Formula } from '@orvin/core';
import { Panels } from '../ui/panels';
import { Hand } from './hand';

/**
 * Makes a bar or segment of a drawing the handle of its item: pulled sideways it changes the item's weight, arrow keys
 * step it, a press or Enter says where its figure comes from. Without a `Hand` around (a drawing that is only to be
 * read), and for a locked line, only the reason is left.
 */
@Directive({
  selector: '[orvinPull]',
  host: {
    tabindex: '0',
    '[attr.role]': "live() ? 'slider' : 'button'",
    '[attr.aria-label]': "live() ? pullName() : pullName() + '; why?'",
    '[attr.aria-valuenow]': 'live() ? shownGrams() : null',
    '[attr.aria-valuemin]': 'live() ? 0 : null',
    '[attr.aria-valuetext]': 'live() ? pullText() : null',
    '[class.pulls]': 'live()',
    '(pointerdown)': 'grab($event)',
    '(pointermove)': 'pull($event)',
    '(pointerup)': 'release($event)',
    '(lostpointercapture)': 'lost()',
    '(keydown)': 'key($event)',
  },
})
export class Pull {
  private readonly hand = inject(Hand, { optional: true });
  private readonly panels = inject(Panels);
  private readonly element = inject<ElementRef<SVGGraphicsElement>>(ElementRef);
  /** The item it stands for. */
  readonly orvinPull = input.required<string>();
  /** Grams for one unit of the drawing to the right; negative where the bar grows to the left. */
  readonly gramsPerUnit = input.required<number>();
  readonly pullGrams = input.required<number>();
  readonly pullName = input.required<string>();
  /** What it amounts to here, for a screen reader: "meets 2.1 g of soda". */
  readonly pullText = input('');

  /** Key of the reason behind it. */
  readonly pullWhy = input.required<string>();
  /** The formula it belongs to, where that is not the one in hand. */
  readonly pullAbout = input<Formula | null>(null);

  /** A locked line cannot be pulled; what stands for nothing that can be weighed neither. */
  protected readonly live = computed(() => this.gramsPerUnit() !== 0 && this.hand?.canPull(this.orvinPull()) === true);
  protected readonly shownGrams = computed(() => Math.round(this.pullGrams() * 10) / 10);
  private grip: { x: number; grams: number; perPx: number; moved: boolean; now: number } | null = null;

  protected grab(e: PointerEvent): void {
    if (e.button !== 0) return;
    if (!this.live()) return this.ask();
    e.preventDefault();
    const el = this.element.nativeElement;
    const scale = el.getScreenCTM()?.a ?? 1;
    this.grip = {
      x: e.clientX,
      grams: this.pullGrams(),
      perPx: this.gramsPerUnit() / (scale || 1),
      moved: false,
      now: this.pullGrams(),
    };
    el.setPointerCapture(e.pointerId);
    el.focus({ preventScroll: true });
  }

  protected pull(e: PointerEvent): void {
    const g = this.grip;
    if (!g) return;
    const by = e.clientX - g.x;
    if (!g.moved && Math.abs(by) < 3) return;
    g.moved = true;
    const raw = Math.max(0, g.grams + by * g.perPx);
    const step = g.grams < 12 ? 0.1 : g.grams < 60 ? 0.5 : 1;
    g.now = Math.round(Math.round(raw / step) * step * 100) / 100;
    this.hand?.pull(this.orvinPull(), g.now);
  }

  protected release(e: PointerEvent): void {
    const g = this.grip;
    this.grip = null;
    if (!g) return;
    this.element.nativeElement.releasePointerCapture(e.pointerId);
    if (g.moved) this.hand?.set(this.orvinPull(), g.now);
    else this.ask();
  }

  protected lost(): void {
    if (!this.grip) return;
    this.grip = null;
    this.hand?.drop();
  }

  private ask(): void {
    this.panels.explain(this.pullWhy(), this.pullAbout());
  }

  protected key(e: KeyboardEvent): void {
    if (e.key === 'Enter') {
      e.preventDefault();
      this.ask();
    } else if (this.hand?.key(this.orvinPull(), e)) {
      e.preventDefault();
      e.stopPropagation();
    }
  }
}
