import { mass } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { cost, money, nutrition, stallLabel } from '@orvin/core';
import { Notices } from '../data/notices';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';

/** Allergens that laws of many places ask to be named; whatever else is the baker's to add by hand on the paper. */
const LISTED = ['gluten', 'egg', 'milk', 'nuts', 'peanut', 'soy', 'sesame', 'lupin', 'mustard', 'celery', 'sulphites'] as const; // prettier-ignore

/** What a formula costs, holds and has to say of itself at a stall. */
@Component({
  selector: 'orvin-label',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './label.html',
  styleUrl: './label.scss',
})
export class LabelView {
  protected readonly mass = mass;
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  private readonly bakery = inject(Bakery);
  private readonly notices = inject(Notices);
  protected readonly listed = LISTED;
  private readonly predicted = computed(() => {
    const o = this.bakery.ownBake();
    return o?.ok && o.value.minutes.likely > 0 ? o.value : null;
  });
  private readonly lossPct = computed(() => this.predicted()?.lossPct);

  protected readonly label = computed(() => {
    const f = this.desk.formula();
    return f ? stallLabel(f, this.desk.kitchen(), this.lossPct()) : null;
  });
  protected readonly nutrition = computed(() => {
    const f = this.desk.formula();
    if (!f) return null;
    const n = nutrition(f, this.desk.kitchen(), this.lossPct());
    const rows = [
      ['Energy', 'kJ', n.per100.kJ, n.perPiece.kJ, 0],
      ['', 'kcal', n.per100.kcal, n.perPiece.kcal, 0],
      ['Fat', 'g', n.per100.fat, n.perPiece.fat, 1],
      ['Carbohydrate', 'g', n.per100.carbohydrate, n.perPiece.carbohydrate, 1],
      ['of which sugars', 'g', n.per100.sugars, n.perPiece.sugars, 1],
      ['Fibre', 'g', n.per100.fibre, n.perPiece.fibre, 1],
      ['Protein', 'g', n.per100.protein, n.perPiece.protein, 1],
      ['Salt', 'g', n.per100.salt, n.perPiece.salt, 2],
    ] as const;
    return {
      words: n.words,
      pieces: n.pieces,
      pieceG: Math.round(n.pieceG),
      rows: rows.map(([name, unit, a, b, d]) => ({ name, unit, a: a.toFixed(d), b: b.toFixed(d) })),
    };
  });
  protected readonly cost = computed(() => {
    const f = this.desk.formula();
    const k = this.desk.kitchen();
    if (!f) return null;
    const p = this.predicted();
    const c = cost(f, k, f.bake && p ? { ovenC: f.bake.ovenC, minutes: p.minutes.likely } : undefined);
    const most = Math.max(...c.lines.map((l) => l.cost ?? 0), c.energy?.cost?.typical ?? 0, 0.01);
    return {
      batch: money(c.batch, k),
      piece: money(c.perPiece, k),
      pieces: c.pieces,
      missing: c.missing,
      lines: [...c.lines].sort((a, b) => (b.cost ?? -1) - (a.cost ?? -1)).map((l) => ({ ...l, words: l.cost === null ? 'no price yet' : money(l.cost, k), width: (100 * (l.cost ?? 0)) / most })), // prettier-ignore
      energy: c.energy && {
        kWh: `${c.energy.kWh.low.toFixed(1)}–${c.energy.kWh.high.toFixed(1)} kWh`,
        cost: c.energy.cost ? money(c.energy.cost.typical, k) : 'no price of a kWh yet',
        width: (100 * (c.energy.cost?.typical ?? 0)) / most,
      },
    };
  });
  /** What may stand on the paper; what is free of something is for the baker's eyes only. */
  protected readonly meatless = computed(
    () => this.label()?.diets.find((d) => d === 'vegan' || d === 'vegetarian') ?? null,
  );
  protected readonly without = computed(
    () =>
      this.label()
        ?.diets.filter((d) => d.endsWith('-free'))
        .join(', ') || null,
  );
  protected readonly traces = computed(() => new Set(this.desk.formula()?.mayContain ?? []));

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
  }

  protected toggle(a: string): void {
    const f = this.desk.formula();
    if (!f) return;
    const now = f.mayContain ?? [];
    const next = now.includes(a) ? now.filter((x) => x !== a) : [...now, a];
    const { mayContain: _was, ...rest } = f;
    void this.desk.change(`${now.includes(a) ? 'no' : 'may contain'} ${a}`, { formula: next.length > 0 ? { ...rest, mayContain: next } : rest }); // prettier-ignore
  }
  protected async copy(): Promise<void> {
    const text = this.label()?.text;
    if (!text) return;
    try {
      await navigator.clipboard.writeText(text);
      this.notices.say('The label’s text is copied.');
    } catch {
      this.notices.problem(
        'The browser did not let it be copied.',
        'Select the text on the label and copy it by hand.',
      );
    }
  }
  protected print(): void {
    document.documentElement.dataset['print'] = 'label';
    addEventListener('afterprint', () => delete document.documentElement.dataset['print'], { once: true });
    window.print();
  }
}
