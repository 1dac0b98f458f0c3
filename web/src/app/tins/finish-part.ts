import { mass, massSpan } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  lengthIn,
  asGroup,
  builds,
  cutPlan,
  finish,
  keepingOf,
  outlineOf,
  plainName,
  type FinishId,
} from '@orvin/core';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { CakeSection } from './cake-section';
import { CutPicture } from './cut-picture';
import { Shown } from '../ui/shown';

/** Frosting, filling, glaze and soak by surface and thickness; into how many pieces it is cut; how it keeps. */
@Component({
  selector: 'orvin-finish-part',
  imports: [CakeSection, CutPicture, Shown],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="label">Finish</p>
    <p class="asks" role="group" aria-label="What goes on it">
      @for (b of builds; track b.id) {
        <button type="button" class="ask" [attr.aria-pressed]="id() === b.id" (click)="choose(b.id)">
          {{ b.name }}
        </button>
      }
    </p>
    <div class="three">
      @if (plan(); as p) {
        <div>
          <orvin-cake-section
            [fit]="fit()!"
            [layers]="stacked() ? count() : 1"
            [between]="mmOf('between the layers')"
            [top]="mmOf('on top')"
            [sides]="mmOf('round the sides')"
            [swirl]="p.build.swirlG > 0 && cups() > 1"
            (thicker)="thicken($event)"
          />
          <p class="asks">
            @if (canStack()) {
              <button type="button" class="ask" [attr.aria-pressed]="stacked()" (click)="stack.set(!stack())">
                stacked, {{ count() }} layers
              </button>
            }
            @if (p.build.mm.sides > 0 && cups() === 1) {
              <button type="button" class="ask" [attr.aria-pressed]="sides()" (click)="cover.set(!sides())">
                the sides too
              </button>
            }
          </p>
          @if (p.covers.length > 0 && !p.build.share) {
            <label class="small quiet thick"
              >thickness
              <input
                type="range"
                min="0.4"
                max="2.2"
                step="0.1"
                [value]="thickness()"
                (input)="thickness.set(+$any($event.target).value)"
                [attr.aria-valuetext]="thickWords()"
              />
              {{ thickWords() }}</label
            >
          }
        </div>
        <div aria-live="polite">
          <h3>{{ p.words }}</h3>
          <ul>
            @for (l of p.lines; track l.ingredient) {
              <li>
                <b>{{ grams(l.grams) }}</b> {{ plain(l.name) }} <span class="quiet">{{ l.measured }}</span>
              </li>
            }
          </ul>
          <p class="small quiet">{{ range() }}</p>
          @if (p.crumbCoat) {
            <p class="small">{{ p.crumbCoat }}</p>
          }
          @for (m of p.build.method; track m) {
            <p class="small">{{ m }}</p>
          }
          <p class="small">Right when: {{ p.build.looks }}.</p>
          @if (p.build.caution) {
            <p class="small faulty">{{ p.build.caution }}</p>
          }
          @if (p.covers.length > 0) {
            <button type="button" class="press low not-printed" (click)="write()">write it into the formula</button>
          }
        </div>
      }
      <div class="cut">
        <label class="small quiet"
          >cut into
          <input
            class="field"
            inputmode="numeric"
            autocomplete="off"
            [shown]="pieces()"
            (change)="setPieces($event)"
            (keydown)="nudge($event)"
            aria-label="Pieces to cut it into"
          />
        </label>
        @if (cut(); as c) {
          <orvin-cut-picture [tin]="fit()!.tin" [cut]="c" />
          <p>{{ c.words }}{{ cakes() > 1 ? ', of each' : '' }}</p>
          <p class="small quiet">about {{ grams(pieceG()) }} each, baked</p>
        }
      </div>
      <dl class="keep">
        <div>
          <dt>cool</dt>
          <dd>{{ keeping().cool }}</dd>
        </div>
        <div>
          <dt>keeps</dt>
          <dd>{{ keeping().keep }}</dd>
        </div>
        <div>
          <dt>freeze</dt>
          <dd>{{ keeping().freeze }}</dd>
        </div>
        <div>
          <dt>thaw</dt>
          <dd>{{ keeping().thaw }}</dd>
        </div>
        <div>
          <dt>mind</dt>
          <dd>{{ keeping().cautions.join(' ') }}</dd>
        </div>
      </dl>
    </div>
  `,
  styles: `
    .asks {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      margin: 0.4rem 0 0.6rem;
    }
    .three {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(15.5rem, 1fr));
      gap: 1rem 2rem;
      align-items: start;
    }
    h3 {
      font-size: 1.05rem;
      margin-bottom: 0.3rem;
    }
    ul {
      list-style: none;
      padding: 0;
      margin: 0 0 0.4rem;
    }
    li b {
      display: inline-block;
      min-width: 4.4rem;
    }
    p {
      margin-bottom: 0.25rem;
    }
    .thick {
      display: flex;
      gap: 0.5rem;
      align-items: center;
    }
    .cut .field {
      width: 4rem;
      text-align: center;
      font-weight: 700;
    }
    input[type='range'] {
      accent-color: var(--rim);
    }
    .keep {
      grid-column: 1 / -1;
      columns: 2;
      column-gap: 2rem;
      margin: 0;
      font-size: 0.92rem;
    }
    .keep div {
      display: grid;
      grid-template-columns: 3.6rem 1fr;
      gap: 0.5rem;
      padding: 0.15rem 0;
      border-top: 1px solid var(--hair);
      break-inside: avoid;
    }
    dt {
      color: var(--ink-2);
    }
    dd {
      margin: 0;
    }
  `,
})
export class FinishPart {
  private readonly bakery = inject(Bakery);
  private readonly desk = inject(Desk);
  protected readonly builds = builds;
  protected readonly plain = plainName;
  protected readonly id = signal<FinishId | null>(null);
  protected readonly stack = signal(true);
  protected readonly cover = signal<boolean | null>(null);
  protected readonly thickness = signal(1);
  private readonly wanted = signal<number | null>(null);

  protected readonly fit = computed(() => this.bakery.shownFit());
  protected readonly count = computed(() => this.fit()?.count ?? 1);
  protected readonly cups = computed(() => {
    const f = this.fit();
    return f ? outlineOf(f.tin).cups : 1;
  });
  protected readonly canStack = computed(() => {
    const f = this.fit();
    return f !== null && f.count > 1 && this.cups() === 1 && /round|square|rect|sheet/.test(f.tin.shape);
  });
  protected readonly stacked = computed(() => this.canStack() && this.stack());
  protected readonly sides = computed(() => this.cover() ?? this.stacked());
  protected readonly plan = computed(() => {
    const [f, id] = [this.fit(), this.id()];
    return f && id ? finish([f], { id, stacked: this.stacked(), sides: this.sides(), thickness: this.thickness() }, this.desk.kitchen()) : null; // prettier-ignore
  });
  protected readonly mmOf = (where: string): number => this.plan()?.covers.find((c) => c.where === where)?.mm ?? 0;
  protected readonly range = computed(() => {
    const g = this.plan()?.grams;
    return g
      ? `${massSpan(Math.round(g.low / 10) * 10, Math.round(g.high / 10) * 10)}, as thick as your hand has it`
      : '';
  });
  protected readonly thickWords = computed(() => {
    const p = this.plan();
    const c = p?.covers.find((x) => x.where === 'on top') ?? p?.covers[0];
    return c && c.mm > 0 ? lengthIn(this.desk.kitchen().display, c.mm) : `× ${this.thickness().toFixed(1)}`;
  });
  protected readonly grams = mass;

  protected readonly cakes = computed(() => (this.stacked() ? 1 : this.count()));
  protected readonly pieces = computed(() => {
    const own = this.wanted();
    if (own !== null) return own;
    const shape = this.fit()?.tin.shape;
    return shape === 'loaf' ? 10 : shape === 'sheet' || shape === 'rect' ? 24 : shape === 'square' ? 16 : 10;
  });
  protected readonly cut = computed(() => {
    const f = this.fit();
    return f ? cutPlan(f.tin, this.pieces(), this.desk.kitchen()) : null;
  });
  protected readonly pieceG = computed(() => {
    const f = this.fit();
    const c = this.cut();
    const o = this.bakery.targetBake();
    const loss = o?.ok ? o.value.lossPct : 8;
    if (!f || !c) return 0;
    const whole =
      f.batterG * (1 - loss / 100) * (this.stacked() ? f.count : 1) + (this.plan()?.grams.typical ?? 0) / this.cakes();
    return Math.round(whole / c.pieces);
  });
  protected readonly keeping = computed(() => {
    const f = this.desk.formula();
    return f ? keepingOf(f, this.plan()?.build ?? null) : { cool: '', keep: '', freeze: '', thaw: '', cautions: [] };
  });

  protected choose(id: FinishId): void {
    this.id.set(this.id() === id ? null : id);
    this.thickness.set(1);
  }

  protected thicken(by: number): void {
    this.thickness.update((t) => Math.max(0.4, Math.min(2.2, Math.round(10 * (t + by)) / 10)));
  }

  protected setPieces(e: Event): void {
    const field = e.target as HTMLInputElement;
    const n = Math.round(Number(field.value));
    if (n >= 1 && n <= 200) this.wanted.set(n);
    field.value = String(this.pieces());
  }

  protected nudge(e: KeyboardEvent): void {
    if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
    e.preventDefault();
    this.wanted.set(Math.max(1, Math.min(200, this.pieces() + (e.key === 'ArrowUp' ? 1 : -1) * (e.shiftKey ? 5 : 1))));
  }

  /** Writes the finish into the formula as a group of its own, so that it is weighed, planned and shopped for. */
  protected write(): void {
    const [f, p] = [this.desk.formula(), this.plan()];
    if (!f || !p) return;
    const group = asGroup(p);
    const groups = [...f.groups.filter((g) => g.id !== group.id), group];
    void this.desk.change(`finish with ${p.build.name.toLowerCase()}`, { formula: { ...f, groups } });
  }
}
