import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  allItems,
  allergensOf,
  ingredientFor,
  isBatter,
  judgeSeries,
  likingWords,
  orderFor,
  planSeries,
  type Factor,
  type Liking,
  type Series,
} from '@orvin/core';
import { map } from 'rxjs';
import { Notices } from '../data/notices';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { dateWords } from '../ui/when';
import { degrees } from '../ui/words';
import { readDegrees } from '../ui/reads';
import { newId } from '../data/ids';

type Kind = 'amount' | 'oven' | 'hand';
/** What is typed of one thing that is to vary. */
interface Draft {
  readonly kind: Kind;
  readonly itemId: string;
  /** Percent of the amount, heats, or ways of doing it. */
  readonly texts: readonly string[];
}
const SHARES = [
  { share: 1 / 3, words: 'a third each' },
  { share: 0.5, words: 'half each' },
  { share: 1, words: 'whole batches' },
] as const;

/** Small batches that differ in one or two things: planned, labelled blind, tasted, and judged with what is unsure said. */
@Component({
  selector: 'orvin-series',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './series-part.html',
  styleUrl: './series-part.scss',
})
export class SeriesPart {
  private readonly store = inject(Store);
  private readonly notices = inject(Notices);
  protected readonly desk = inject(Desk);
  protected readonly shares = SHARES;
  protected readonly share = signal<number>(SHARES[1].share);
  protected readonly drafts = signal<readonly Draft[]>([{ kind: 'amount', itemId: '', texts: ['100', '80'] }]);
  protected readonly problem = signal('');
  protected readonly open = signal<string | null>(null);
  protected readonly newName = signal('');
  protected readonly likings = [1, 2, 3, 4, 5, 6, 7, 8, 9] as const;
  protected readonly words = likingWords;

  private readonly all = toSignal(
    this.store
      .live((db) => db.series.orderBy('at').reverse().toArray())
      .pipe(map((rows) => rows.map((r) => r.series as Series))),
    { initialValue: [] as Series[] },
  );
  protected readonly list = computed(() =>
    this.all().map((s) => ({
      series: s,
      when: dateWords(s.at, this.desk.kitchen().locale.zone),
      // the order of baking is nobody's business at the table
      tasting: [...s.batches].sort((a, b) => a.label.localeCompare(b.label)),
      result: judgeSeries(s),
      contains: this.containsWords(s),
      what: s.factors.map((f) => this.factorWords(s, f)).join(' and '),
    })),
  );
  protected readonly lines = computed(() => {
    const f = this.desk.formula();
    return !f ? [] : f.groups.filter(isBatter).flatMap((g) => g.items).filter((i) => i.grams > 0).map((i) => ({ id: i.id, name: ingredientFor(f, i, this.desk.kitchen()).name })); // prettier-ignore
  });
  protected readonly batches = computed(() => this.drafts().reduce((n, d) => n * d.texts.filter((t) => t.trim() !== '').length, 1)); // prettier-ignore

  /** Changes a series as it is when that is stored: presses come faster than the screen follows. */
  private change(label: string, id: string, next: (now: Series) => Series | null): Promise<boolean> {
    return this.store.edit(kinds.series, id, label, (now) => now && next(now));
  }

  private containsWords(s: Series): string {
    const all = new Set(s.batches.flatMap((b) => allergensOf(b.formula, this.desk.kitchen())));
    return all.size > 0 ? `Contains ${[...all].join(', ')}.` : 'No listed allergen among the ingredients.';
  }
  private factorWords(s: Series, f: Factor): string {
    if (f.kind === 'oven') return `the oven at ${f.ovenC.map((c) => degrees(c)).join(' or ')}`;
    if (f.kind === 'hand') return f.ways.join(' or ').toLowerCase();
    const item = s.batches[0] && allItems(s.batches[0].formula).find((i) => i.id === f.itemId);
    const name = item && s.batches[0] ? ingredientFor(s.batches[0].formula, item, this.desk.kitchen()).name.toLowerCase() : 'an amount'; // prettier-ignore
    return `${name}, ${f.times.map((t) => `${Math.round(100 * t)} %`).join(' or ')}`;
  }

  protected kind(i: number, kind: Kind): void {
    const c = this.desk.formula()?.bake?.ovenC ?? 180;
    const texts = kind === 'amount' ? ['100', '80'] : kind === 'oven' ? [degrees(c), degrees(c - 15)] : ['as it is written', '']; // prettier-ignore
    this.edit(i, { kind, texts, itemId: '' });
  }
  protected edit(i: number, next: Partial<Draft>): void {
    this.problem.set('');
    this.drafts.update((d) => d.map((x, k) => (k === i ? { ...x, ...next } : x)));
  }
  protected text(i: number, k: number, text: string): void {
    this.edit(i, { texts: (this.drafts()[i] as Draft).texts.map((t, j) => (j === k ? text : t)) });
  }
  protected level(i: number, by: 1 | -1): void {
    const d = this.drafts()[i] as Draft;
    this.edit(i, { texts: by > 0 ? [...d.texts, ''] : d.texts.slice(0, -1) });
  }
  protected second(add: boolean): void {
    this.drafts.update((d) => (add ? [...d, { kind: 'oven', itemId: '', texts: [degrees(this.desk.formula()?.bake?.ovenC ?? 180), degrees((this.desk.formula()?.bake?.ovenC ?? 180) - 15)] }] : d.slice(0, 1))); // prettier-ignore
  }

  /** Reads what was typed into factors; null with what is wrong said. */
  private factors(): Factor[] | null {
    const out: Factor[] = [];
    for (const d of this.drafts()) {
      const texts = d.texts.map((t) => t.trim()).filter((t) => t !== '');
      if (texts.length < 2) {
        this.problem.set('Each thing that varies needs two kinds at least.');
        return null;
      }
      if (d.kind === 'hand') out.push({ kind: 'hand', ways: texts });
      else if (d.kind === 'oven') {
        const heats = texts.map((t) => readDegrees(t)?.ovenC ?? NaN);
        if (heats.some((h) => !(h >= 90 && h <= 300))) {
          this.problem.set('A heat there cannot be read: type it as on the dial, for example 175.');
          return null;
        }
        out.push({ kind: 'oven', ovenC: heats });
      } else {
        const times = texts.map((t) => Number(t.replace('%', '').replace(',', '.').trim()) / 100);
        if (d.itemId === '') {
          this.problem.set('Choose the ingredient whose amount varies.');
          return null;
        }
        if (times.some((t) => !(t >= 0.1 && t <= 3))) {
          this.problem.set('Amounts are in per cent of what the formula has: 100 is as it is, from 10 to 300.');
          return null;
        }
        out.push({ kind: 'amount', itemId: d.itemId, times });
      }
    }
    return out;
  }

  protected async plan(): Promise<void> {
    const f = this.desk.formula();
    const factors = this.factors();
    if (!f || !factors) return;
    if (this.batches() > 4) {
      this.problem.set(`That would be ${this.batches()} batches; four is as many as a morning and a tongue can take.`);
      return;
    }
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
    const id = newId();
    const made = planSeries(f, factors, { share: this.share(), seed, id, at: Date.now() }, this.desk.kitchen());
    await this.store.change(kinds.series, id, `plan small batches of ${f.title}`, null, made);
    this.open.set(id);
  }

  protected async add(s: Series): Promise<void> {
    const name = this.newName().trim() || `taster ${s.tasters.length + 1}`;
    if (s.tasters.some((t) => t.name === name)) return this.problem.set(`There is a ${name} already.`);
    this.newName.set('');
    await this.change(`add ${name} to the tasting`, s.id, (now) => ({ ...now, tasters: [...now.tasters, { name, likes: {} }] })); // prettier-ignore
  }
  protected like(s: Series, taster: number, label: string, x: Liking): void {
    const marked = (t: Series['tasters'][number]) => {
      const { [label]: was, ...rest } = t.likes;
      return { ...t, likes: was === x ? rest : { ...rest, [label]: x } };
    };
    void this.change(`mark ${label}`, s.id, (now) => ({ ...now, tasters: now.tasters.map((t, i) => (i === taster ? marked(t) : t)) })); // prettier-ignore
  }
  protected order(s: Series, taster: number): readonly string[] {
    return orderFor(s, taster);
  }
  protected reveal(s: Series): void {
    void this.change('open the labels', s.id, (now) => ({ ...now, opened: true }));
  }
  protected async remove(s: Series): Promise<void> {
    if (!(await this.change(`remove the small batches of ${s.title}`, s.id, () => null))) return;
    this.notices.say('The series is removed.', {
      label: 'put it back',
      run: () => void this.store.change(kinds.series, s.id, `put back the small batches of ${s.title}`, null, s),
    });
  }
  /** Takes a batch to the shelf as a formula of its own, so that the counter can make it. */
  protected async shelve(s: Series, label: string): Promise<void> {
    const b = s.batches.find((x) => x.label === label);
    if (b) await this.store.shelve({ ...b.formula, id: `${s.formulaId}-${label}`, title: `${s.title} ${label}` }, `small batch ${label}`); // prettier-ignore
  }
  /** Prints the sheet for the table alone. */
  protected print(): void {
    document.documentElement.dataset['print'] = 'series';
    addEventListener('afterprint', () => delete document.documentElement.dataset['print'], { once: true });
    window.print();
  }
}
