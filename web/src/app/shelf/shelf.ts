import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import type { Formula, TinFit } from '@orvin/core';
import { assess, defaultKitchen, familyOf, fitTins, outcomes } from '@orvin/core/first';
import { NEVER, switchMap } from 'rxjs';
import { Backup } from '../data/backup';
import { Kitchens } from '../data/kitchens';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { TinSection } from '../ui/tin-section';
import { ago } from '../ui/when';
import { Intake } from './intake';

interface Standing {
  readonly id: string;
  readonly title: string;
  readonly family: string;
  readonly verdict: string;
  readonly severity: 'ok' | 'note' | 'unusual' | 'faulty';
  readonly last: string;
  readonly fit: TinFit | null;
}

/** The formulas, standing in their tins on the shelf, with what they need and how they last came out. */
@Component({
  selector: 'orvin-shelf',
  imports: [RouterLink, TinSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:paste)': 'pasted($event)', '(dragover)': '$event.preventDefault()', '(drop)': 'dropped($event)' },
  templateUrl: './shelf.html',
  styleUrl: './shelf.scss',
})
export class Shelf {
  private readonly store = inject(Store);
  protected readonly intake = inject(Intake);
  private readonly notices = inject(Notices);
  protected readonly desk = inject(Desk);
  protected readonly kitchens = inject(Kitchens);
  protected readonly backup = inject(Backup);
  private readonly known = toSignal(this.store.kitchen$);
  private readonly kitchen = computed(() => this.known() ?? defaultKitchen);
  // while many come in the shelf rests, or each would have it read all the others again
  private readonly working = toSignal(
    toObservable(this.intake.importing).pipe(switchMap((busy) => (busy ? NEVER : this.store.working$))),
  );
  private readonly bakes = toSignal(this.store.bakes$);
  protected readonly pile = toSignal(this.intake.pile$, { initialValue: [] });
  protected readonly text = signal('');
  protected readonly problem = signal('');
  /** All that a board shows is there: weighed up before that, each would be weighed up again. */
  protected readonly loaded = computed(() => !!this.working() && !!this.known() && !!this.bakes());

  protected readonly total = computed(() => this.working()?.length ?? 0);
  /** Drawn a few boards at a time: a shelf of a thousand would take its time to draw and to look over. */
  protected readonly boards = signal(60);

  protected readonly standing = computed<readonly Standing[]>(() =>
    (this.loaded() ? [...(this.working() ?? [])] : [])
      .sort((a, b) => a.formula.title.localeCompare(b.formula.title))
      .slice(0, this.boards())
      .map((w) => this.stand(w.formula)),
  );

  private stand(f: Formula): Standing {
    const kitchen = this.kitchen();
    const a = assess(f, kitchen);
    const worst = [...a.verdicts].sort((x, y) => rank(y.severity) - rank(x.severity))[0];
    const fine = !worst || worst.severity === 'note';
    const bake = this.bakes()?.find((b) => b.formulaId === f.id);
    const how = outcomes.find((o) => o.id === bake?.outcome)?.words;
    const when = bake ? ago(bake.at, Date.now(), kitchen.locale.zone) : null;
    return {
      id: f.id,
      title: f.title,
      family: familyOf(f.family).name,
      verdict: fine ? 'in balance' : firstClause(worst.words),
      severity: fine ? 'ok' : worst.severity,
      last: when ? `baked ${when}: ${how ?? ''}` : 'not baked yet',
      fit: f.tins && f.tins.length > 0 ? (fitTins(f, f.tins, kitchen)[0] ?? null) : null,
    };
  }

  protected typed(e: Event): void {
    this.text.set((e.target as HTMLTextAreaElement).value);
    this.problem.set('');
  }

  protected read(): void {
    if (this.text().trim() === '') {
      this.problem.set(
        'There is nothing to read yet. Paste a recipe: a title, the ingredients one to a line, and how it is baked.',
      );
      return;
    }
    void this.intake.read(this.text(), this.kitchen());
  }

  /** A page copied as a page brings its markup; read as such, its headings and lists are not lost. */
  private copied(e: ClipboardEvent): string {
    const plain = e.clipboardData?.getData('text/plain') ?? '';
    const html = e.clipboardData?.getData('text/html') ?? '';
    return /<(?:li|h[1-6]|tr)\b/i.test(html) && !/^\s*[{[]/.test(plain) ? html : plain;
  }

  /** Pasting anywhere on the shelf reads at once. */
  protected pasted(e: ClipboardEvent): void {
    const target = e.target as HTMLElement;
    if (/^(INPUT|TEXTAREA)$/.test(target.tagName)) return;
    const text = this.copied(e);
    if (text.trim() !== '') void this.intake.read(text, this.kitchen());
  }

  protected chosen(e: Event): void {
    const field = e.target as HTMLInputElement;
    const files = [...(field.files ?? [])];
    field.value = '';
    void this.intake.files(files, this.kitchen());
  }

  protected dropped(e: DragEvent): void {
    e.preventDefault();
    const files = [...(e.dataTransfer?.files ?? [])];
    if (files.length > 0) void this.intake.files(files, this.kitchen());
  }

  protected async takeAway(s: Standing): Promise<void> {
    const record = await this.store.database.working.get(s.id);
    if (!record) return;
    if (this.desk.id() === s.id) this.desk.putDown();
    const doc = { formula: record.formula, plan: record.plan };
    await this.store.commit('shelf', `take away "${s.title}"`, 'working', s.id, doc, null);
    this.notices.say(`${s.title} is off the shelf.`, {
      label: 'put it back',
      // as a step of its own: another may have been taken away since
      run: () => void this.store.commit('shelf', `put back "${s.title}"`, 'working', s.id, null, doc),
    });
  }
}

const rank = (s: string): number => ['note', 'unusual', 'faulty'].indexOf(s);
const firstClause = (words: string): string => words.split(/[:.]/)[0] ?? words;
