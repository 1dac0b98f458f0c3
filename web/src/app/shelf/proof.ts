import { mass } from '../ui/figures';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  Injector,
  afterNextRender,
  computed,
  inject,
  signal,
} from '@angular/core';
import { NgTemplateOutlet } from '@angular/common';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  allItems,
  defaultKitchen,
  families,
  familyOf,
  ingredientFor,
  isBatter,
  type FamilyId,
  type Formula,
  type Item,
} from '@orvin/core';
import {
  languageName,
  measuresMean,
  regions,
  settle,
  SLIGHT,
  type Choice,
  type Doubt,
  type Fate,
  type Mark,
  type RecipeDraft,
  type RegionId,
  type Stretch,
} from '@orvin/core/reading';
import { SelectModule } from 'primeng/select';
import { Notices } from '../data/notices';
import { Store } from '../data/store';
import { Undo } from '../ui/undo';
import { bakeWords, tinWords } from '../ui/words';
import { WorkStrip } from '../ui/work-strip';
import { Intake } from './intake';
import { PictureBeside, PictureStrip } from './picture-beside';
import { Reader } from './reader';
import type { Reading, Settled } from './reading';

/** A stretch of a line: what it was read as, and whether a doubt points at it. */
interface Piece {
  readonly text: string;
  readonly what: Mark['what'] | 'plain';
  readonly role: string;
  readonly doubted: boolean;
}

interface ReadAs {
  readonly id: string;
  readonly grams: string;
  readonly name: string;
  readonly role: string;
  readonly unknown: boolean;
  readonly apart: string;
}

interface ProofLine {
  readonly no: number;
  readonly text: string;
  readonly pieces: readonly Piece[];
  readonly reads: readonly ReadAs[];
  readonly doubts: readonly Doubt[];
  /** Of the notes in the margin that are about this line. */
  readonly numbers: readonly number[];
  readonly kind: 'item' | 'title' | 'group' | 'plain' | 'blank';
  readonly unread: boolean;
  /** True for what stands around the recipe: kept, and not used. */
  readonly story: boolean;
}

/** The recipe as it was pasted, what was read from each stretch of it, and the doubts in its margin. */
@Component({
  selector: 'orvin-proof',
  imports: [FormsModule, NgTemplateOutlet, PictureBeside, PictureStrip, RouterLink, SelectModule, WorkStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './proof.html',
  styleUrl: './proof.scss',
})
export class Proof {
  private readonly intake = inject(Intake);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly reader = inject(Reader);
  private readonly notices = inject(Notices);
  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly kitchen = toSignal(this.store.kitchen$, { initialValue: defaultKitchen });
  protected readonly waiting = toSignal(this.intake.pile$, { initialValue: [] });
  protected readonly reading = this.intake.reading;
  /** Readings before each press, newest last. */
  protected readonly past = signal<readonly Reading[]>([]);
  protected readonly correcting = signal<number | null>(null);
  /** The reading anew that was begun last. */
  private underWay: Promise<void> = Promise.resolve();
  protected readonly draft = computed(() => this.reading()?.draft ?? null);
  protected readonly formula = computed(() => this.draft()?.formula ?? null);
  protected readonly families = families.map((f) => ({ id: f.id, name: f.name }));
  protected readonly items = computed(() => {
    const f = this.formula();
    return f ? allItems(f).length : 0;
  });
  protected readonly family = computed(() => familyOf(this.formula()?.family ?? 'free').name);
  protected readonly facts = computed(() => {
    const f = this.formula();
    if (!f) return [];
    const use = f.tins?.[0];
    const language = this.draft()?.language;
    return [
      ...(language ? [`in ${languageName(language)}`] : []),
      `${this.items()} ingredients`,
      ...(f.bake ? [bakeWords(f.bake) + (f.bake.stages ? ', in stages' : '')] : ['no heat found']),
      ...(use ? [tinWords(use)] : []),
      ...(f.about?.by ? [`by ${f.about.by}`] : []),
      ...(f.yield ? [`makes ${f.yield.pieces} ${f.yield.name ?? ''}`.trim()] : []),
    ];
  });
  protected readonly regions = [
    { id: 'other' as RegionId, name: 'anywhere' },
    ...regions.map(({ id, name }) => ({ id, name })),
  ];
  /** Where it seems to be from, and what that means for its measures; null on a card that says its own. */
  protected readonly origin = computed(() => {
    const o = this.draft()?.origin;
    const f = this.formula();
    if (!o || !f) return null;
    return {
      region: o.region,
      because: o.because.map((b) => `“${b.words}”`).join(', '),
      means: measuresMean(f, this.kitchen()),
    };
  });
  /** The line in hand, for its place in the picture. */
  protected readonly over = signal<number | null>(null);
  protected readonly picture = computed(() => this.reading()?.picture ?? null);
  protected readonly pictured = computed(() => this.draft()?.pictured ?? []);
  protected readonly doubtedLines = computed(() => new Set(this.notes().map((n) => n.doubt.place?.line ?? -1)));
  /** Lines can be corrected where what is shown is what was pasted. */
  protected readonly asPasted = computed(() => this.draft()?.lines === undefined);

  protected readonly lines = computed<readonly ProofLine[]>(() => {
    const r = this.reading();
    const f = this.formula();
    if (!r || !f) return [];
    const texts = r.draft.lines ?? r.text.split(/\r\n?|\n/);
    const marks = r.draft.marks ?? [];
    const placed = this.notes().map((n) => n.doubt);
    const items = new Map(allItems(f).map((i) => [i.id, i]));
    const place = new Map(f.groups.flatMap((g) => g.items.map((i) => [i.id, isBatter(g) ? '' : g.name] as const)));
    const story = new Set((r.draft.account ?? []).filter((x) => x.fate === 'story').map((x) => x.line));
    return texts.slice(0, 1000).map((text, no): ProofLine => {
      const mine = marks.filter((m) => m.line === no);
      const doubts = r.draft.doubts.filter((d) => d.place?.line === no);
      const ids = [...new Set(mine.map((m) => m.itemId).filter((x): x is string => x !== undefined))];
      const reads = ids.flatMap((id) => {
        const item = items.get(id);
        return item ? [this.readAs(item, place.get(id) ?? '')] : [];
      });
      const kind =
        text.trim() === ''
          ? 'blank'
          : ids.length > 0
            ? 'item'
            : mine.some((m) => m.what === 'title')
              ? 'title'
              : mine.some((m) => m.what === 'group')
                ? 'group'
                : 'plain';
      return {
        no,
        text,
        pieces: piecesOf(text, mine, doubts, (id) => (id && items.has(id) ? this.roleOf(items.get(id) as Item) : '')),
        reads,
        doubts,
        numbers: doubts.map((d) => 1 + placed.indexOf(d)),
        kind,
        unread: mine.length === 0,
        story: story.has(no),
      };
    });
  });

  /** Doubts whose answers would change the bake, the weightiest first, numbered as proof marks are; then the others. */
  private readonly ordered = computed(() => {
    const doubts = this.draft()?.doubts ?? [];
    return [...doubts.filter((d) => !isSlight(d)), ...doubts.filter(isSlight)];
  });
  protected readonly notes = computed(() =>
    this.ordered()
      .filter((d) => d.place !== null)
      .map((doubt, i) => ({ doubt, number: i + 1 })),
  );
  protected readonly weighty = computed(() => this.notes().filter((n) => !isSlight(n.doubt)));
  /** Doubts that have no line of their own. */
  protected readonly wide = computed(() => this.ordered().filter((d) => d.place === null && !isSlight(d)));
  /** What would change next to nothing, with its number where it has a place. */
  protected readonly slight = computed(() =>
    this.ordered()
      .filter(isSlight)
      .map((doubt) => ({ doubt, number: this.notes().find((n) => n.doubt === doubt)?.number ?? null })),
  );
  protected readonly slightOnes = computed(() => this.slight().map((n) => n.doubt));
  /** Numbers that are hard to read in the picture, and likely right: they can be looked over and taken at once. */
  protected readonly seen = computed(() =>
    this.weighty()
      .map((n) => n.doubt)
      .filter((d) => d.kind === 'scan' && d.place !== null && d.likely === 'keep'),
  );
  protected readonly open = computed(() => this.draft()?.doubts.length ?? 0);
  protected readonly grave = computed(() => this.open() - this.slight().length);
  /** What became of the lines: how many of each kind, and what of them was read for the oven. */
  protected readonly account = computed(() => accountWords(this.draft()?.account ?? []));
  protected readonly because = computed(() => (this.draft()?.familyBecause ?? []).join(', '));

  constructor() {
    const undo = inject(Undo);
    undo.own.set({
      label: () => (this.past().length > 0 ? 'the last answer' : null),
      undo: () => this.takeBack(),
    });
    inject(DestroyRef).onDestroy(() => undo.own.set(null));
    void this.intake.restore().then(() => {
      if (!this.intake.reading()) void this.router.navigate(['/shelf']);
    });
  }

  private readonly roleOf = (item: Item): string => {
    const f = this.formula();
    return f && item.ingredient !== 'unknown' ? ingredientFor(f, item, this.kitchen()).role : '';
  };

  private readAs(item: Item, apart: string): ReadAs {
    const f = this.formula();
    const unknown = item.ingredient === 'unknown';
    return {
      id: item.id,
      grams: item.grams > 0 ? mass(item.grams) : '–',
      name: unknown || !f ? 'not known' : ingredientFor(f, item, this.kitchen()).name,
      role: this.roleOf(item),
      unknown,
      apart,
    };
  }

  protected readonly choicesOf = (d: Doubt): readonly Choice[] => d.choices;

  protected settle(doubt: Doubt, choice: Choice): void {
    const r = this.reading();
    if (!r) return;
    this.past.update((p) => [...p.slice(-40), r]);
    const settled: Settled = { words: doubt.words, choice: choice.id };
    this.intake.hold({ ...r, draft: settle(r.draft, doubt.id, choice.id), settled: [...r.settled, settled] });
    this.focusNext();
  }

  /** Takes several doubts at once as they were read. */
  protected settleAll(doubts: readonly Doubt[]): void {
    const r = this.reading();
    if (!r) return;
    this.past.update((p) => [...p.slice(-40), r]);
    const draft = doubts.reduce(
      (d, x) => (d.doubts.some((y) => y.id === x.id) ? settle(d, x.id, x.likely) : d),
      r.draft,
    );
    const settled = doubts.map((x): Settled => ({ words: x.words, choice: x.likely }));
    this.intake.hold({ ...r, draft, settled: [...r.settled, ...settled] });
    this.focusNext();
  }

  /** After a press the next open place is under the finger, so that a sheet can be gone through by Enter alone. */
  private focusNext(): void {
    this.afterDrawing(() =>
      this.host.nativeElement.querySelector<HTMLElement>('.wide .likely, .note .likely')?.focus(),
    );
  }

  private afterDrawing(work: () => void): void {
    afterNextRender(work, { injector: this.injector });
  }

  protected takeBack(): void {
    const p = this.past();
    const last = p.at(-1);
    if (!last) return;
    this.past.set(p.slice(0, -1));
    this.intake.hold(last);
  }

  /** A piece of the work put elsewhere; it stays with the reading. */
  protected moveWork(formula: Formula): void {
    const r = this.reading();
    if (!r) return;
    this.past.update((p) => [...p.slice(-40), r]);
    this.intake.hold({ ...r, draft: { ...r.draft, formula } });
  }

  protected setFamily(family: FamilyId): void {
    const r = this.reading();
    if (!r || r.draft.formula.family === family) return;
    this.past.update((p) => [...p.slice(-40), r]);
    this.intake.hold({ ...r, family, draft: ofFamily(r.draft, family) });
  }

  /** Reads the sheet again as from another country. */
  protected setRegion(region: RegionId): Promise<void> {
    const r = this.reading();
    return r && r.draft.origin?.region !== region ? this.readAgain(r, { region }) : Promise.resolve();
  }

  /** Reads a sheet again with other words or from another country; all that was chosen and settled on it stays so. */
  private readAgain(r: Reading, other: Partial<Pick<Reading, 'text' | 'region' | 'picture'>>): Promise<void> {
    this.underWay = this.again(r, other);
    return this.underWay;
  }

  private async again(r: Reading, other: Partial<Pick<Reading, 'text' | 'region' | 'picture'>>): Promise<void> {
    const again = { ...r, ...other };
    const draft = await this.reader.draftOf(again, this.kitchen(), 'read');
    if (!draft) return;
    this.past.update((p) => [...p.slice(-40), r]);
    const { work } = r.draft.formula;
    const settled = settledAgain(work ? { ...draft, formula: { ...draft.formula, work } } : draft, r.settled);
    this.intake.hold({ ...again, draft: again.family ? ofFamily(settled, again.family) : settled });
  }

  /** From a place in the picture to its line. */
  protected goTo(line: number): void {
    this.over.set(line);
    this.host.nativeElement.querySelector(`[data-line="${line}"]`)?.scrollIntoView({ block: 'center' });
  }

  protected correct(line: ProofLine): void {
    if (!this.asPasted()) return;
    this.correcting.set(line.no);
    this.afterDrawing(() => this.host.nativeElement.querySelector<HTMLInputElement>('input.correct')?.focus());
  }

  /** Puts the corrected words in their line, reads the sheet again, and settles again what was settled before. */
  protected async corrected(no: number, words: string): Promise<void> {
    if (this.correcting() !== no) return;
    this.correcting.set(null);
    const r = this.reading();
    if (!r) return;
    const lines = r.text.split(/\r\n?|\n/);
    if (lines[no] === words) return;
    lines[no] = words;
    // what was put right by hand is sure
    const picture = r.picture && {
      ...r.picture,
      lines: r.picture.lines.map((l, i) => (i === no ? { ...l, unsure: [] } : l)),
    };
    await this.readAgain(r, { text: lines.join('\n'), ...(picture && { picture }) });
  }

  protected async shelve(): Promise<void> {
    // a line that was just corrected is on its way
    await this.underWay;
    const f = this.formula();
    const pile = this.reading()?.pile;
    if (!f) return;
    if (!(await this.intake.shelveRead(f))) return;
    this.past.set([]);
    if (pile !== undefined && !(await this.intake.next())) {
      this.notices.say('That was the last of the pile.');
      await this.router.navigate(['/shelf']);
    }
  }

  protected throwAway(): void {
    const gone = this.reading();
    this.intake.hold(null);
    if (gone)
      this.notices.say(`"${gone.draft.formula.title}" was thrown away.`, {
        label: 'take it back',
        run: () => {
          this.intake.hold(gone);
          void this.router.navigate(['/read']);
        },
      });
    void this.router.navigate(['/shelf']);
  }
}

const isSlight = (d: Doubt): boolean => d.effect !== undefined && d.effect < SLIGHT;

/** "9 lines of the list, 3 of the method, heat, time and tin. Kept as notes: 1 line. Not used: 2 lines." */
function accountWords(account: readonly Stretch[]): string {
  const lines = (fate: Fate): number => new Set(account.filter((x) => x.fate === fate).map((x) => x.line)).size;
  const counted = (n: number, more = ''): string => `${n} ${n === 1 ? 'line' : 'lines'}${more}`;
  const oven = (['heat', 'time', 'tin', 'yield'] as const).filter((f) => lines(f) > 0);
  const used = [
    ...(lines('line') > 0 ? [counted(lines('line'), ' of the list')] : []),
    ...(lines('method') > 0 ? [counted(lines('method'), ' of the method')] : []),
    ...oven.map((f) => `the ${f}`),
  ];
  // a line of the head that the yield or the tin was read from is used, not kept beside
  const read = new Set(account.filter((x) => !['note', 'story', 'doubt'].includes(x.fate)).map((x) => x.line));
  const notes = new Set(account.filter((x) => x.fate === 'note' && !read.has(x.line)).map((x) => x.line)).size;
  const story = lines('story');
  return [
    ...(used.length > 0 ? [`Used: ${used.join(', ')}.`] : []),
    ...(notes > 0 ? [`Kept beside: ${counted(notes)}.`] : []),
    ...(story > 0 ? [`Not used: ${counted(story)}, greyed.`] : []),
  ].join(' ');
}

/** A draft as of a family that was chosen, which is not asked any more. */
const ofFamily = (draft: RecipeDraft, family: FamilyId): RecipeDraft => ({
  ...draft,
  formula: { ...draft.formula, family },
  doubts: draft.doubts.filter((d) => d.kind !== 'family'),
});

/** A new reading with the answers that were given to an earlier one, where it asks the same. */
const settledAgain = (draft: RecipeDraft, settled: readonly Settled[]): RecipeDraft =>
  settled.reduce((d, s) => {
    const same = d.doubts.find((x) => x.words === s.words);
    return same?.choices.some((c) => c.id === s.choice) ? settle(d, same.id, s.choice) : d;
  }, draft);

/** Cuts a line into stretches by its marks; a doubt's own stretch is marked where it points. */
function piecesOf(
  text: string,
  marks: readonly Mark[],
  doubts: readonly Doubt[],
  role: (id?: string) => string,
): readonly Piece[] {
  const fine = marks.filter((m) => m.what !== 'method' && m.to > m.from);
  const edges = new Set([0, text.length]);
  for (const m of fine) edges.add(m.from).add(m.to);
  for (const d of doubts) if (d.place) edges.add(d.place.from).add(d.place.to);
  const at = [...edges].filter((x) => x >= 0 && x <= text.length).sort((a, b) => a - b);
  return at.slice(0, -1).map((from, i): Piece => {
    const to = at[i + 1] ?? text.length;
    const over = fine.find((m) => m.from <= from && to <= m.to);
    return {
      text: text.slice(from, to),
      what: over?.what ?? 'plain',
      role: over?.what === 'ingredient' ? role(over.itemId) : '',
      doubted: doubts.some((d) => d.place !== null && d.place.from <= from && to <= d.place.to),
    };
  });
}
