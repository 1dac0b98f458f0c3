import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  effect,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import {
  addLine,
  removeItem,
  settle,
  type Choice,
  type Doubt,
  consistencyWords,
  families,
  familyOf,
  ingredientOf,
  isBatter,
  usualRanges,
  type FamilyId,
  type Item,
} from '@orvin/core';
import { SelectModule } from 'primeng/select';
import { Backup } from '../data/backup';
import { Desk } from '../desk/desk';
import { Panels } from '../ui/panels';
import { Undo } from '../ui/undo';
import { bakeWords, degrees, tinWords } from '../ui/words';
import { LedgerDrawing } from './ledger';
import { LiftDrawing } from './lift';
import { Ranges } from './ranges';
import { Row } from './row';
import { pct } from './words';

/** Formulate and balance: the sheet on one side, one continuous instrument on the other, all of it live. */
@Component({
  selector: 'orvin-bench',
  imports: [FormsModule, RouterLink, SelectModule, Row, LiftDrawing, LedgerDrawing, Ranges],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './bench.html',
  styleUrl: './bench.scss',
})
export class Bench {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly panels = inject(Panels);
  protected readonly backup = inject(Backup);
  private readonly undo = inject(Undo);

  private readonly keepButton = viewChild<ElementRef<HTMLElement>>('keep');
  protected readonly formula = this.desk.shown;
  protected readonly a = this.desk.assessment;
  protected readonly familyOptions = families.map((f) => ({ id: f.id, name: f.name }));
  protected readonly adviceAt = signal(0);
  /** Of lines added here; those of a paste are settled before they come. */
  protected readonly doubts = signal<readonly Doubt[]>([]);

  protected readonly pctById = computed(() => new Map(this.a()?.items.map((i) => [i.itemId, i.bakersPct])));
  /** Ranges from before a pull, so that a bar's scale holds still while it is pulled. */
  protected readonly usualById = computed(() => {
    const f = this.desk.ghost()?.formula ?? this.desk.formula();
    return new Map(f ? usualRanges(f, this.desk.kitchen()).map((u) => [u.itemId, u]) : []);
  });
  protected readonly beforeById = computed(() => {
    if (!this.desk.changing()) return new Map<string, number>();
    const now = new Map(
      this.formula()
        ?.groups.flatMap((g) => g.items)
        .map((i) => [i.id, i.grams]),
    );
    return new Map(
      this.desk
        .formula()
        ?.groups.flatMap((g) => g.items)
        .filter((i) => now.get(i.id) !== i.grams)
        .map((i) => [i.id, i.grams]),
    );
  });
  protected readonly advice = computed(() => this.a()?.advice ?? []);
  /** What is said when there is no advice: that all is well only when it is. */
  protected readonly closing = computed<{ head: string; foot: string }>(() => {
    const a = this.a();
    const off = a?.verdicts.filter((v) => v.severity !== 'note') ?? [];
    const worst = off.find((v) => v.severity === 'faulty') ?? off[0];
    if (worst)
      return {
        head: worst.words,
        foot: 'No single change that can be measured mends it; the lines and figures above show where it is off.',
      };
    if (a?.family.id === 'free')
      return { head: 'No family to judge it by.', foot: 'Choose one above, and lift and balance are held against it.' };
    return { head: 'Nothing to mend.', foot: 'Lift, soda and balance are where they should be.' };
  });
  /** Advice on the stored formula stays readable while one piece of it is being tried. */
  protected readonly adviceShown = computed(
    () => this.advice()[Math.min(this.adviceAt(), this.advice().length - 1)] ?? null,
  );
  protected readonly batter = computed(() => {
    const a = this.a();
    if (!a) return null;
    return {
      grams: Math.round(a.totals.batterG).toLocaleString('en').replace(',', ' '),
      temperature: degrees(a.batter.temperatureC),
      consistency: consistencyWords[a.batter.consistency],
      merit: a.merit,
    };
  });
  protected readonly otherFamily = computed(() => {
    const a = this.a();
    return a && a.totals.baseG > 0 && a.family.nearest !== a.family.id ? familyOf(a.family.nearest) : null;
  });
  protected readonly badAmounts = computed(() => this.a()?.verdicts.filter((v) => v.id.startsWith('amount:')) ?? []);
  protected readonly pct = pct;
  protected readonly tinWords = tinWords;
  protected readonly bakeWords = bakeWords;

  constructor() {
    effect(() => {
      void this.desk.pickUp(this.id());
      this.doubts.set([]);
    });
    // what is being tried can be kept with Enter at once
    effect(() => this.keepButton()?.nativeElement.focus({ preventScroll: true }));
    this.undo.scope.set('formula');
  }

  protected ingredient(item: Item) {
    const f = this.formula();
    return ingredientOf(item.ingredient, f?.ingredients, this.desk.kitchen());
  }

  protected isBatter = isBatter;

  protected rename(e: Event): void {
    const f = this.desk.formula();
    const title = (e.target as HTMLInputElement).value.trim();
    if (f && title !== '' && title !== f.title) this.desk.change(`title "${title}"`, { formula: { ...f, title } });
  }

  protected setFamily(id: FamilyId): void {
    const f = this.desk.formula();
    if (f && id !== f.family) this.desk.change(`family ${familyOf(id).name}`, { formula: { ...f, family: id } });
  }

  /** Adds a line in the baker's own words; what is doubtful about it is asked under the sheet. */
  protected add(field: HTMLInputElement): void {
    const f = this.desk.formula();
    const added = f && addLine(f, field.value, this.desk.kitchen());
    if (!added) return;
    const name = field.value.trim();
    field.value = '';
    this.doubts.update((d) => [...d, ...added.doubts]);
    this.desk.change(`add ${name}`, { formula: added.formula });
  }

  protected settle(doubt: Doubt, choice: Choice): void {
    const f = this.desk.formula();
    this.doubts.update((d) => d.filter((x) => x.id !== doubt.id));
    if (f)
      this.desk.change(choice.words, {
        formula: settle({ formula: f, doubts: [doubt], confidence: 0 }, doubt.id, choice).formula,
      });
  }

  protected takeOut(item: Item): void {
    const f = this.desk.formula();
    if (!f) return;
    this.doubts.update((d) => d.filter((x) => x.itemId !== item.id));
    this.desk.change(`take out ${this.ingredient(item).name}`, { formula: removeItem(f, item.id) });
  }

  protected tryIt(): void {
    const next = this.adviceShown();
    if (next) this.desk.try(next);
  }

  protected nextAdvice(): void {
    const n = this.advice().length;
    this.adviceAt.update((i) => (n === 0 ? 0 : (i + 1) % n));
  }

  protected key(e: KeyboardEvent): void {
    const target = e.target as HTMLElement;
    const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.closest('p-select') !== null;
    if (typing || this.panels.anyOpen || e.ctrlKey || e.metaKey || e.altKey) return;
    if (e.key.toLowerCase() === 't' && !this.desk.ghost()) this.tryIt();
  }
}
