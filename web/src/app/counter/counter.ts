import type { OnDestroy } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { asMeasured, familyOf, ingredientFor, statedSetting, type BakePrediction } from '@orvin/core';
import { Store } from '../data/store';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Undo } from '../ui/undo';
import { Updates } from '../ui/updates';
import { dialWords, minuteWords, tinWords } from '../ui/words';

interface Check {
  readonly key: string;
  readonly words: string;
  readonly amount: string;
  readonly measured: string;
  readonly kind: 'weigh' | 'step';
}

/** Make it: what to weigh and what to do, large enough to read across the counter, ticked off as it is done. */
@Component({
  selector: 'orvin-counter',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './counter.html',
  styleUrl: './counter.scss',
})
export class Counter implements OnDestroy {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly bakery = inject(Bakery);
  private readonly store = inject(Store);
  private readonly updates = inject(Updates);
  protected readonly done = signal<ReadonlySet<string>>(new Set());
  private last = { key: '', at: 0 };

  private readonly formula = computed(() => this.bakery.target()?.formula ?? this.desk.formula());
  protected readonly checks = computed<readonly Check[]>(() => {
    const f = this.formula();
    if (!f) return [];
    const measures = this.desk.kitchen().measures;
    const weigh = f.groups.flatMap((g) =>
      g.items.map((i): Check => {
        const ingredient = ingredientFor(f, i, this.desk.kitchen());
        const grams = i.grams < 20 ? Math.round(i.grams * 10) / 10 : Math.round(i.grams);
        return {
          key: `w:${i.id}`,
          words: ingredient.id === 'unknown' ? i.words : ingredient.name,
          amount: `${grams} g`,
          measured: asMeasured(i.grams, ingredient, measures, i.form),
          kind: 'weigh',
        };
      }),
    );
    const steps = f.method.map((m, i): Check => ({
      key: `s:${i}`,
      words: m.text,
      amount: '',
      measured: '',
      kind: 'step',
    }));
    const fit = this.bakery.shownFit();
    const heat = f.bake ? dialWords(f.bake) : 'its heat';
    const o = this.bakery.targetBake();
    const t = o?.ok && o.value.minutes.likely > 0 ? o.value : null;
    // until the bake is worked out, and when it cannot be, the recipe's own time stands
    const known = statedSetting(f.bake);
    const stated = known?.minutes
      ? `The recipe says ${minuteWords(known.minutes)}${f.bake?.minutes ? '' : ` at ${dialWords(known)}`}.`
      : 'The recipe gives no time.';
    const closing: Check[] = [
      ...(fit
        ? [
            {
              key: 's:fill',
              words: `${f.bake?.hotTin ? 'Mind the hot tin and its handle. ' : ''}${fit.tin.shape === 'slab' || fit.tin.shape === 'mound' ? 'Shape' : 'Fill'} ${tinWords(fit)}: ${Math.round(fit.perCupG)} g${fit.count * (fit.tin.cups ?? 1) > 1 ? ' in each' : ''}${fit.tinReadsG && !f.bake?.hotTin ? `, with its tin ${Math.round(fit.tinReadsG)} g` : ''}`,
              amount: '',
              measured: '',
              kind: 'step' as const,
            },
          ]
        : []),
      {
        key: 's:bake',
        words: `Bake at ${heat}. ${t ? this.oven(t) : stated} Done: ${familyOf(f.family).signs}`,
        amount: '',
        measured: '',
        kind: 'step',
      },
      {
        key: 's:cool',
        words: `Out. ${familyOf(f.family).coolTinMin > 0 ? `${familyOf(f.family).coolTinMin} minutes in the tin, then` : 'Straight'} onto a rack`,
        amount: '',
        measured: '',
        kind: 'step',
      },
    ];
    return [...weigh, ...steps, ...closing];
  });
  private readonly oven = (t: BakePrediction): string => {
    const look = t.plan.find((p) => p.kind === 'first look')?.atMin ?? Math.round(t.minutes.early);
    const changes = t.plan.filter((p) => p.kind === 'change').map((p) => `After ${p.atMin} minutes ${p.words}. `);
    return `${changes.join('')}First look at ${look} minutes; likely ${Math.round(t.minutes.likely)}, between ${Math.round(t.minutes.early)} and ${Math.round(t.minutes.late)}.`;
  };
  protected readonly weighs = computed(() => this.checks().filter((c) => c.kind === 'weigh'));
  protected readonly steps = computed(() => this.checks().filter((c) => c.kind === 'step'));
  protected readonly next = computed(() => this.checks().find((c) => !this.done().has(c.key)) ?? null);
  protected readonly left = computed(() => this.checks().filter((c) => !this.done().has(c.key)).length);

  constructor() {
    effect(() => {
      const id = this.id();
      void this.desk.pickUp(id);
      void this.load(id);
    });
    inject(Undo).scope.set('formula');
    effect(() => this.updates.baking.set(this.done().size > 0 && this.left() > 0));
  }

  ngOnDestroy(): void {
    this.updates.baking.set(false);
  }

  private async load(id: string): Promise<void> {
    const kept = (await this.store.database.meta.get(`counter:${id}`))?.value;
    this.done.set(new Set(Array.isArray(kept) ? (kept as string[]) : []));
  }

  /** Ticks or unticks a line; a second tap within a third of a second is a floury finger, not a wish. */
  protected tick(key: string): void {
    const now = performance.now();
    if (this.last.key === key && now - this.last.at < 330) return;
    this.last = { key, at: now };
    this.done.update((d) => {
      const s = new Set(d);
      if (!s.delete(key)) s.add(key);
      return s;
    });
    this.keep();
  }

  protected back(): void {
    const keys = this.checks()
      .map((c) => c.key)
      .filter((k) => this.done().has(k));
    const last = keys.at(-1);
    if (last === undefined) return;
    this.done.update((d) => new Set([...d].filter((k) => k !== last)));
    this.keep();
  }

  protected again(): void {
    this.done.set(new Set());
    this.keep();
  }

  private keep(): void {
    void this.store.database.meta.put({ key: `counter:${this.id()}`, value: [...this.done()], revision: 1 });
  }
}
