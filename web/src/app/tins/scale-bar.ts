import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  allItems,
  bakeAndFreeze,
  madeAndBaked,
  bowlPlan,
  eggG,
  heavyIn,
  ingredientFor,
  putBy,
  readAmount,
  readMass,
  roundToKitchen,
  scale,
  wholeEggFactors,
  type Formula,
  type ScaleTarget,
} from '@orvin/core';
import { Notices } from '../data/notices';
import { capital } from '../ui/words';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';

type By = 'factor' | 'pieces' | 'batterG' | 'item';

/** Scales the formula itself: by a factor, to pieces, to a weight of batter, or to what there is of one ingredient. */
@Component({
  selector: 'orvin-scale-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="label">Scale the formula</p>
    <form (submit)="$event.preventDefault(); keep()">
      <label class="visually-hidden" for="scale-by">scale by</label>
      <select id="scale-by" class="field" [value]="by()" (change)="by.set($any($event.target).value)">
        <option value="factor">by a factor</option>
        <option value="pieces">to so many pieces</option>
        <option value="batterG">to a weight of batter</option>
        <option value="item">to all I have of</option>
      </select>
      @if (by() === 'item') {
        <label class="visually-hidden" for="scale-item">the ingredient there is little of</label>
        <select id="scale-item" class="field" [value]="itemId()" (change)="item.set($any($event.target).value)">
          @for (i of items(); track i.id) {
            <option [value]="i.id" [selected]="i.id === itemId()">{{ i.name }}, {{ i.grams }} now</option>
          }
        </select>
      }
      <label class="visually-hidden" for="scale-to">how much</label>
      <input
        id="scale-to"
        class="field amount"
        autocomplete="off"
        [placeholder]="hint()"
        [value]="typed()"
        (input)="typed.set($any($event.target).value)"
      />
      <button type="submit" class="press first" [disabled]="!result()">scale it</button>
    </form>
    @if (result(); as r) {
      <p class="small">
        × {{ r.factor.toFixed(2) }}: <b>{{ r.batterG }}</b> of batter; {{ bowls(r.formula) }}.
        @for (e of r.eggs; track e.itemId) {
          {{ e.words }}.
        }
        {{ r.leavener ?? '' }}
      </p>
      @if (wholeEggs().length > 0) {
        <p class="small round">
          <span>Whole eggs:</span>
          @for (e of wholeEggs(); track e.eggs) {
            <button type="button" class="press" (click)="factor(e.factor)">
              {{ e.eggs }} {{ e.eggs === 1 ? 'egg' : 'eggs' }}, × {{ e.factor.toFixed(2) }}
            </button>
          }
        </p>
      }
    } @else if (typed().trim() !== '') {
      <p class="small faulty" role="status">
        {{ problem() ?? 'That is no amount I can scale to. Try ' + hint() + '.' }}
      </p>
    } @else {
      <p class="small quiet">{{ capital(bowls(shown())) }}.</p>
    }
    @if (pieces() > 1) {
      <p class="small round">
        <label for="bake-now">bake now</label>
        <input
          id="bake-now"
          class="field now"
          type="number"
          min="0"
          [max]="pieces()"
          [value]="now()"
          (input)="nowTyped.set(+$any($event.target).value)"
        />
        <span>of {{ pieces() }}{{ rest() === '' ? '' : '; the rest: ' + rest() }}</span>
      </p>
    }
    @if (rounding(); as r) {
      <p class="small round">
        <span>{{ capital(r.words) }}.</span>
        @if (r.changed.length > 0) {
          <button type="button" class="press" (click)="round()">
            round {{ r.changed.length === 1 ? 'one line' : r.changed.length + ' lines' }} to this kitchen’s measures
          </button>
        }
      </p>
    }
  `,
  styles: `
    .now {
      width: 4rem;
      min-height: 1.9rem;
      text-align: right;
    }
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      margin: 0.35rem 0;
    }
    .field {
      min-height: 2.3rem;
    }
    .amount {
      width: 7rem;
    }
    .round {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.4rem 0.8rem;
      margin-top: 0.3rem;
    }
  `,
})
export class ScaleBar {
  private readonly desk = inject(Desk);
  private readonly bakery = inject(Bakery);
  private readonly notices = inject(Notices);
  protected readonly by = signal<By>('factor');
  protected readonly item = signal('');
  protected readonly typed = signal('');
  protected readonly capital = capital;

  protected readonly items = computed(() => {
    const f = this.desk.formula();
    return f
      ? allItems(f)
          .filter((i) => i.grams > 0)
          .map((i) => ({
            id: i.id,
            name: ingredientFor(f, i, this.desk.kitchen()).name,
            grams: mass(Math.round(i.grams)),
          }))
      : [];
  });
  protected readonly itemId = computed(() => {
    const all = this.items();
    return all.some((i) => i.id === this.item()) ? this.item() : (all[0]?.id ?? '');
  });
  protected readonly hint = computed(
    () => ({ factor: '1.5', pieces: `20, or 20 of ${mass(62)}`, batterG: heavyIn(this.desk.kitchen().display, 1200), item: mass(420) })[this.by()], // prettier-ignore
  );
  protected readonly shown = computed<Formula | null>(() => this.bakery.target()?.formula ?? this.desk.formula());

  private readonly target = computed<ScaleTarget | null>(() => {
    const text = this.typed()
      .trim()
      .replace(/^[×x]\s*/i, '');
    const f = this.desk.formula();
    if (text === '' || !f) return null;
    const kitchen = this.desk.kitchen();
    const number = (): number | null => {
      const m = /^(\d+(?:[.,]\d+)?)(?:\s*\/\s*(\d+))?$/.exec(text);
      return m?.[1] ? Number(m[1].replace(',', '.')) / Number(m[2] ?? 1) : null;
    };
    const grams = (): number | null => readMass(text, kitchen.display);
    switch (this.by()) {
      case 'factor': {
        const factor = number();
        return factor === null ? null : { by: 'factor', factor };
      }
      case 'pieces': {
        const each = /^(\d+)\s*(?:of|at|×|x|,)\s*(\S.*)$/i.exec(text);
        const pieceG = each?.[2] === undefined ? null : readMass(each[2], kitchen.display);
        if (each?.[1] && pieceG !== null) return { by: 'pieces', pieces: Number(each[1]), pieceG };
        const pieces = number();
        return pieces === null ? null : { by: 'pieces', pieces };
      }
      case 'batterG': {
        const batterG = grams();
        return batterG === null ? null : { by: 'batterG', batterG };
      }
      case 'item': {
        const line = allItems(f).find((i) => i.id === this.itemId());
        if (!line) return null;
        const g =
          grams() ??
          readAmount(text, ingredientFor(f, line, kitchen), kitchen.measures, kitchen.display.weight)?.grams ??
          null;
        return g === null ? null : { by: 'item', itemId: line.id, grams: g };
      }
    }
  });
  private readonly scaled = computed(() => {
    const f = this.desk.formula();
    const target = this.target();
    return f && target ? scale(f, target, this.desk.kitchen()) : null;
  });
  /** Why what was typed cannot be scaled to, and what to do. */
  protected readonly problem = computed(() => {
    const [p] = this.scaled()?.problems ?? [];
    return p ? `${p.words} ${p.remedy}` : null;
  });
  protected readonly result = computed(() => {
    const s = this.scaled();
    if (!s || s.problems.length > 0) return null;
    const batterG = Math.round(
      s.formula.groups
        .filter((g) => !['top', 'filling', 'icing', 'soak', 'grease'].includes(g.role ?? ''))
        .reduce((sum, g) => sum + g.items.reduce((x, i) => x + i.grams, 0), 0),
    );
    return { ...s, batterG: mass(batterG) };
  });
  protected readonly rounding = computed(() => {
    const f = this.desk.formula();
    return f && this.typed().trim() === '' ? roundToKitchen(f, this.desk.kitchen()) : null;
  });
  /** Factors beside the one typed at which no egg has to be beaten and weighed. */
  protected readonly wholeEggs = computed(() => {
    const f = this.desk.formula();
    const r = this.result();
    if (!f || !r || r.eggs.length === 0) return [];
    return wholeEggFactors(f, r.factor, eggG[this.desk.kitchen().measures.eggSize]).filter(
      (e) => Math.abs(e.factor / r.factor - 1) > 0.005,
    );
  });
  private readonly made = computed(() => {
    const f = this.desk.formula();
    return f ? madeAndBaked(f, this.desk.kitchen()) : { pieces: 1, now: 1 };
  });
  protected readonly pieces = computed(() => this.made().pieces);
  /** As typed; else as the method's own words part it. */
  protected readonly nowTyped = signal<number | null>(null);
  protected readonly now = computed(() => Math.min(this.pieces(), Math.max(0, this.nowTyped() ?? this.made().now)));
  /** What to do with the pieces that are not baked now. */
  protected readonly rest = computed(() => {
    const f = this.desk.formula();
    if (!f) return '';
    const parts = bakeAndFreeze(f, this.now() / this.pieces(), this.desk.kitchen());
    return parts.find((p) => p.name === 'freeze')?.words ?? '';
  });
  protected readonly bowls = (f: Formula | null): string => (f ? bowlPlan(f, this.desk.kitchen()).words : '');

  /** The scaled formula becomes the formula; its tins stay, so that the picture shows how full they are now. */
  protected keep(): void {
    const r = this.result();
    if (!r) return;
    const { bake } = r.formula;
    const held = this.bakery.own()?.fits[0]?.batterG;
    // the time was stated for the batter there was
    const other = bake && held && Math.abs(r.factor - 1) > 0.01 ? { bake: putBy(bake, Math.round(held)) } : {};
    void this.desk.change(`scale × ${r.factor.toFixed(2)}`, { formula: { ...r.formula, ...other } });
    this.typed.set('');
    this.notices.say(`The formula is scaled × ${r.factor.toFixed(2)}. Undo brings the old one back.`);
  }

  protected factor(x: number): void {
    this.by.set('factor');
    this.typed.set(String(Math.round(1000 * x) / 1000));
  }

  protected round(): void {
    const r = this.rounding();
    if (!r) return;
    void this.desk.change('round to this kitchen’s measures', { formula: r.formula });
    this.notices.say(`${this.capital(r.words)}. Undo brings the exact amounts back.`);
  }
}
