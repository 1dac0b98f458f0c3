import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { lengthIn, readLength, acrossOf, cutSlab, cutTin, type CutShape, type TinFit, type TinUse } from '@orvin/core';
import { Desk } from '../desk/desk';

const INCH = 25.4;

/** How a slab of dough is cut: rounds with the scraps rolled once more, squares or wedges, and how many that makes. */
@Component({
  selector: 'orvin-slab-cut',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); cut()" (input)="touched.set(true)" (change)="touched.set(true)">
      <span class="label">Cut into</span>
      <select class="field" aria-label="Shape of the pieces" (change)="shape.set($any($event.target).value)">
        <option value="rounds" [selected]="shape() === 'rounds'">rounds</option>
        <option value="squares" [selected]="shape() === 'squares'">squares</option>
        <option value="wedges" [selected]="shape() === 'wedges'">wedges of a round</option>
      </select>
      <input
        class="field"
        inputmode="decimal"
        autocomplete="off"
        [attr.aria-label]="'Size in ' + unit()"
        [value]="sizeTyped()"
        (input)="sizeTyped.set($any($event.target).value)"
      />
      <span>{{ unit() }} across,</span>
      <input
        class="field"
        inputmode="numeric"
        autocomplete="off"
        [attr.aria-label]="'Thickness in ' + thin()"
        [value]="thickTyped()"
        (input)="thickTyped.set($any($event.target).value)"
      />
      <span>{{ thin() }} thick{{ shape() === 'wedges' ? ', each in' : '' }}</span>
      @if (shape() === 'wedges') {
        <input
          class="field"
          inputmode="numeric"
          autocomplete="off"
          aria-label="Wedges of a round"
          [value]="wedges()"
          (input)="wedges.set($any($event.target).value)"
        />
      }
      @if (made(); as m) {
        @if (touched() && m.differs) {
          <button type="submit" class="press low">cut it so</button>
        }
      }
    </form>
    <p class="small" [class.faulty]="touched() && !made()" aria-live="polite">
      {{ touched() ? (made()?.words ?? bounds()) : now() }}
    </p>
  `,
  styles: `
    :host {
      display: block;
      margin-top: 0.9rem;
    }
    form {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.35rem 0.5rem;
    }
    .field {
      min-height: 2.1rem;
    }
    input {
      width: 4.2rem;
      text-align: right;
    }
  `,
})
export class SlabCut {
  readonly fit = input.required<TinFit>();
  readonly chosen = output<TinUse>();
  private readonly desk = inject(Desk);
  /** How it was cut before, as the name of its pieces keeps it. */
  private readonly was = computed(() => /^cut-(rounds|squares|wedges)-(\d+)-(\d+)-(\d+)$/.exec(this.fit().tin.id));
  protected readonly shape = linkedSignal<CutShape>(() => {
    const { cut } = this.fit().tin;
    return cut === undefined || cut === 'fingers' ? 'rounds' : cut;
  });
  protected readonly wedges = linkedSignal(() => {
    const { cut, cups, rounds } = this.fit().tin;
    return String(cut === 'wedges' && cups !== undefined ? Math.round(cups / (rounds ?? 1)) : 8);
  });
  /** Whether something was typed or chosen since it was cut. */
  protected readonly touched = linkedSignal({ source: () => this.fit().tin.id, computation: () => false });
  protected readonly now = computed(() => {
    const n = (this.fit().tin.cups ?? 1) * this.fit().count;
    return `${n} of ${mass(Math.round(this.fit().perCupG))} as it is.`;
  });
  protected readonly unit = computed(() => (this.desk.kitchen().display.length === 'in' ? 'in' : 'cm'));
  protected readonly bounds = computed(
    () =>
      `Pieces are between ${this.unit() === 'in' ? '1 and 15 inches' : '2 and 40 cm'} across and between ${this.unit() === 'in' ? '¼ and 3 inches' : '5 and 80 mm'} thick; a round makes 2 to 24 wedges.`,
  );
  /** In which its thickness is said. */
  protected readonly thin = computed(() => (this.unit() === 'in' ? 'in' : 'mm'));
  private readonly perUnit = computed(() => (this.unit() === 'in' ? INCH : 10));
  /** What stands in the fields: the slab's own, until something is typed. */
  protected readonly sizeTyped = linkedSignal(() =>
    String(Math.round((10 * Number(this.was()?.[2] ?? acrossOf(this.fit().tin))) / this.perUnit()) / 10),
  );
  protected readonly thickTyped = linkedSignal(() =>
    this.unit() === 'in'
      ? lengthIn(this.desk.kitchen().display, this.fit().batterMm).replace(' in', '')
      : String(Math.round(this.fit().batterMm)),
  );
  protected readonly made = computed(() => {
    const number = (text: string): number => Number(text.trim().replace(',', '.'));
    const { tin, batterG, count, fill, capacityMl } = this.fit();
    const kitchen = this.desk.kitchen();
    const sizeMm = readLength(this.sizeTyped(), kitchen.display) ?? NaN;
    const thickMm = Math.round(10 * (readLength(this.thickTyped(), kitchen.display, this.thin()) ?? NaN)) / 10;
    const wedges = number(this.wedges());
    const sized = sizeMm >= 20 && sizeMm <= 400 && thickMm >= 5 && thickMm <= 80;
    if (!sized || !(wedges >= 2 && wedges <= 24)) return null;
    const density = batterG / Math.max(1e-6, fill * capacityMl);
    const cut = cutSlab(batterG * count, density, this.shape(), sizeMm, thickMm, wedges, kitchen);
    const piece = cutTin(cut, this.shape(), sizeMm, thickMm, fill * capacityMl * count, fill, kitchen);
    if (!piece) return { words: `There is not enough dough for one piece of that size.`, differs: false, use: null };
    return {
      words: `Rolled ${this.thin() === 'in' ? lengthIn(kitchen.display, thickMm) : `${thickMm} mm`} thick it cuts into ${cut.words}.`,
      differs: piece.id !== tin.id,
      use: { tin: piece, count: 1 },
    };
  });

  protected cut(): void {
    const use = this.made()?.use;
    if (use) this.chosen.emit(use);
  }
}
