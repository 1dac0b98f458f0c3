import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import type { BakeRecord, Formula } from '@orvin/core';
import { defaultKitchen, familyOf, outcomes } from '@orvin/core/first';
import { NEVER, switchMap } from 'rxjs';
import { Backup } from '../data/backup';
import { Kitchens } from '../data/kitchens';
import { kinds } from '../data/kinds';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { TinSection } from '../ui/tin-section';
import { Updates } from '../ui/updates';
import { ago } from '../ui/when';
import { Boards } from './boards';
import { Intake } from './intake';
import { ManyIn } from './many-in';

/** The setting that says that a baker knows the sample for one. */
const LOOKED = 'sample looked round';

interface Standing {
  readonly id: string;
  readonly title: string;
  readonly family: string;
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
  protected readonly many = inject(ManyIn);
  private readonly notices = inject(Notices);
  protected readonly desk = inject(Desk);
  protected readonly updates = inject(Updates);
  protected readonly kitchens = inject(Kitchens);
  protected readonly backup = inject(Backup);
  private readonly known = toSignal(this.store.kitchen$);
  private readonly kitchen = computed(() => this.known() ?? defaultKitchen);
  // while many come in the shelf rests, or each would have it read all the others again
  private readonly working = toSignal(
    toObservable(this.many.importing).pipe(switchMap((busy) => (busy ? NEVER : this.store.working$))),
  );
  private readonly bakes = toSignal(this.store.bakes$);
  protected readonly left = toSignal(this.many.left$, { initialValue: { count: 0, busy: false } });
  protected readonly pile = toSignal(this.intake.pile$, { initialValue: [] });
  protected readonly text = signal('');
  protected readonly problem = signal('');
  /** All that a board says is there: drawn before that, each would be drawn again. */
  protected readonly loaded = computed(() => !!this.working() && !!this.known() && !!this.bakes());

  protected readonly total = computed(() => this.working()?.length ?? 0);
  /** Drawn a few boards at a time: a shelf of a thousand would take its time to draw and to look over. */
  protected readonly boards = signal(60);

  private readonly onBoards = computed(() =>
    (this.loaded() ? [...(this.working() ?? [])] : [])
      .sort((a, b) => a.formula.title.localeCompare(b.formula.title))
      .slice(0, this.boards()),
  );
  protected readonly standing = computed<readonly Standing[]>(() => this.onBoards().map((w) => this.stand(w.formula)));
  protected readonly weighed = inject(Boards).weighed;

  /** The sample among the kitchens of this device. */
  protected readonly sample = computed(() => this.kitchens.all().find((e) => e.demo));
  private readonly looking = signal(true);
  /** The open kitchen is the sample, and nobody has said yet that they know. */
  protected readonly toldSample = computed(
    () => !this.looking() && this.kitchens.current()?.demo === true && this.kitchens.all().every((e) => e.demo),
  );

  protected lookRound(): void {
    this.looking.set(true);
    void this.kitchens.setSetting(LOOKED, true);
  }

  /** A recipe of Orvin's own in the measures of the kitchen, put where it can be read. */
  protected async tryOne(): Promise<void> {
    const { recipeFor } = await import('./first-recipe');
    this.text.set(recipeFor(this.kitchen()));
    this.problem.set('');
    this.read();
  }

  constructor() {
    void this.kitchens
      .start()
      .then(() => this.kitchens.setting(LOOKED))
      .then((known) => this.looking.set(known === true));
    const boards = inject(Boards);
    effect((done) => {
      const [records, kitchen] = [this.onBoards(), this.kitchen()];
      done(() => boards.leave());
      untracked(() => void boards.weigh(records, kitchen));
    });
  }

  private stand(f: Formula): Standing {
    return { id: f.id, title: f.title, family: familyOf(f.family).name };
  }

  /** How it last came out; said once the boards are drawn, since a calendar takes its time at first. */
  protected readonly last = computed<ReadonlyMap<string, string>>(() => {
    if (this.weighed().size === 0) return new Map();
    const zone = this.kitchen().locale.zone;
    const now = Date.now();
    const words = (b: BakeRecord): string =>
      `baked ${ago(b.at, now, zone)}: ${outcomes.find((o) => o.id === b.outcome)?.words ?? ''}`;
    const all = new Map<string, string>();
    // newest first
    for (const b of this.bakes() ?? []) if (!all.has(b.formulaId)) all.set(b.formulaId, words(b));
    return all;
  });

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
    const text = this.copied(e);
    const pictures = [...(e.clipboardData?.files ?? [])].filter((f) => f.type.startsWith('image/'));
    if (text.trim() === '' && pictures.length > 0) return void this.intake.files(pictures, this.kitchen());
    const target = e.target as HTMLElement;
    if (/^(INPUT|TEXTAREA)$/.test(target.tagName)) return;
    if (text.trim() !== '') void this.intake.read(text, this.kitchen());
  }

  protected chosen(e: Event): void {
    const field = e.target as HTMLInputElement;
    const files = [...(field.files ?? [])];
    field.value = '';
    void this.intake.files(files, this.kitchen());
  }

  protected goOn(): void {
    void this.many.goOn(this.kitchen());
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
    await this.store.change(kinds.formula, s.id, `take away "${s.title}"`, doc, null);
    this.notices.say(`${s.title} is off the shelf.`, {
      label: 'put it back',
      // as a step of its own: another may have been taken away since
      run: () => void this.store.change(kinds.formula, s.id, `put back "${s.title}"`, null, doc),
    });
  }
}
