import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import {
  asWritten,
  standingAsked,
  withWords,
  catalogueRow,
  families,
  familyOf,
  ingredientOf,
  isBatter,
  methodWords,
  readAmount,
  readMass,
  usualRanges,
  type FamilyId,
  type Item,
  type Consistency,
  type Formula,
} from '@orvin/core';
import { addLine, removeItem, settle, type Choice, type Doubt } from '@orvin/core/reading';
import { SelectModule } from 'primeng/select';
import { Backup } from '../data/backup';
import { Desk } from '../desk/desk';
import { Judgement } from '../desk/judgement';
import { later } from '../ui/later';
import { Panels } from '../ui/panels';
import { bakeWords, degrees, tinWords } from '../ui/words';
import { AdviceBar } from './advice';
import { Around } from './around';
import { BeamDrawing } from './beam-drawing';
import { EffectLine } from './effect-line';
import { Expect } from './expect';
import { FamilyMap } from './family-map';
import { Hand } from './hand';
import { LedgerDrawing } from './ledger';
import { LiftDrawing } from './lift';
import { Proposals } from './proposals/proposals';
import { ProposalsBar } from './proposals/proposals-bar';
import { Ranges } from './ranges';
import { Row } from './row';
import { SliceDrawing } from './slice';
import { WaterLineDrawing } from './water-line';
import { Worth } from './worth';
import { pct, roleColour, mass, scaleUnit } from '../ui/figures';
import { Shown } from '../ui/shown';
import { WorkStrip } from '../ui/work-strip';

const consistencies: Readonly<Record<Consistency, string>> = {
  dough: 'a dough',
  drop: 'drops',
  thick: 'thick',
  pourable: 'pours',
};

/** Formulate and balance: the sheet on one side, one continuous instrument on the other, all of it live. */
@Component({
  selector: 'orvin-bench',
  imports: [
    AdviceBar,
    BeamDrawing,
    EffectLine,
    Expect,
    FamilyMap,
    FormsModule,
    LedgerDrawing,
    LiftDrawing,
    ProposalsBar,
    Ranges,
    RouterLink,
    Row,
    SelectModule,
    Shown,
    SliceDrawing,
    WaterLineDrawing,
    WorkStrip,
    Worth,
  ],
  providers: [Hand, Around, Proposals],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './bench.html',
  styleUrl: './bench.scss',
})
export class Bench {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  private readonly judgement = inject(Judgement);
  protected readonly panels = inject(Panels);
  protected readonly backup = inject(Backup);
  protected readonly hand = inject(Hand);
  protected readonly around = inject(Around);
  protected readonly proposals = inject(Proposals);
  private readonly router = inject(Router);

  protected readonly formula = this.desk.shown;
  protected readonly a = this.desk.assessment;
  private readonly pulling = (): boolean => this.desk.drag() !== null;
  private readonly judged = computed(() => {
    const [f, a] = [this.formula(), this.a()];
    return f && a && { f, a, before: this.desk.before() };
  });
  /** What the instruments below the slice are drawn from: in two parts, a frame apart, or all would be one long task. */
  protected readonly first = later(this.judged, 1, this.pulling);
  protected readonly then = later(this.judged, 2, this.pulling);
  /** Whether some of the instruments still stand as they were before. */
  protected readonly behind = computed(() => this.then() !== this.judged());
  protected readonly familyOptions = families.map((f) => ({ id: f.id, name: f.name }));
  /** Shares as parts of the ratio school instead of baker's percentages. */
  protected readonly asParts = signal(false);
  /** The line pointed at, for the effect line. */
  protected readonly pointed = signal<string | null>(null);
  protected readonly totalProblem = signal('');
  /** Of lines added here; those of a paste are settled before they come. */
  protected readonly doubts = signal<readonly Doubt[]>([]);

  protected readonly shareById = computed(() => {
    const parts = this.asParts();
    const none = (this.a()?.totals.baseG ?? 0) <= 0;
    return new Map(
      this.a()?.items.map((i) => [
        i.itemId,
        none ? '–' : parts ? String(Math.round(i.part * 100) / 100) : pct(i.bakersPct),
      ]),
    );
  });
  /** Standing that the method itself asks for; it does not change while amounts are pulled. */
  protected readonly asked = computed(() => {
    const f = this.desk.formula();
    return f ? standingAsked(f, this.desk.kitchen()).feltMin : 0;
  });
  protected readonly lockedIds = computed(() => new Set(this.hand.locked()));
  /** Colours of the drawings' bars, by item. */
  protected readonly colours = computed(() => {
    // a line that is being tried has its colour too
    const f = this.desk.tried() ?? this.desk.formula();
    return new Map(f?.groups.flatMap((g) => g.items).map((i) => [i.id, roleColour[this.ingredient(i).role]]));
  });
  /** Ranges from before a pull, so that a bar's scale holds still while it is pulled. */
  protected readonly usualById = computed(() => {
    const f = this.desk.tried() ?? this.desk.formula();
    this.judgement.ready();
    return new Map(f ? usualRanges(f, this.desk.kitchen()).map((u) => [u.itemId, u]) : []);
  });
  /** Lines that do not fit the rest, when that is more than a hint. */
  protected readonly suspectIds = computed(
    () => new Set(this.a()?.verdicts.flatMap((v) => v.suspect?.itemId ?? []) ?? []),
  );
  protected readonly beforeById = computed(() => {
    const was = this.desk.beforeFormula();
    if (!was) return new Map<string, number>();
    const now = new Map(
      this.formula()
        ?.groups.flatMap((g) => g.items)
        .map((i) => [i.id, i.grams]),
    );
    return new Map(
      was.groups
        .flatMap((g) => g.items)
        .filter((i) => now.get(i.id) !== i.grams)
        .map((i) => [i.id, i.grams]),
    );
  });
  protected readonly unit = scaleUnit;
  protected readonly batter = computed(() => {
    const a = this.a();
    if (!a) return null;
    return {
      grams:
        scaleUnit() === 'oz'
          ? mass(a.totals.batterG)
          : `${Math.round(a.totals.batterG).toLocaleString('en').replace(',', ' ')} g`,
      temperature: degrees(a.batter.temperatureC),
      consistency: consistencies[a.batter.consistency],
      method: methodWords[a.methods.chosen],
    };
  });
  protected readonly otherFamily = computed(() => {
    const a = this.a();
    return a && a.totals.baseG > 0 && a.family.nearest !== a.family.id ? familyOf(a.family.nearest) : null;
  });
  protected readonly badAmounts = computed(() => this.a()?.verdicts.filter((v) => v.id.startsWith('amount:')) ?? []);
  protected readonly rules = computed(() => this.a()?.verdicts.filter((v) => v.school !== undefined) ?? []);
  /** Measures out of range, in words, below their gauges; the gravest and how many more. */
  protected readonly off = computed(() => {
    const out =
      this.a()?.verdicts.filter(
        (v) =>
          ['flour', 'fat', 'sugar', 'egg', 'water', 'salt'].includes(v.id) && v.state !== 'ok' && v.severity !== 'note',
      ) ?? [];
    const first = out.find((v) => v.severity === 'faulty') ?? out[0];
    if (!first) return null;
    return first.words + (out.length > 1 ? ` And ${out.length - 1} more.` : '');
  });
  /** Said above the lines where the instruments stand below them: the lift, unless it is what the slice is headed by. */
  protected readonly gist = computed(() => {
    const lift = this.a()?.verdicts.find((v) => v.id === 'lift');
    return lift?.severity === 'note' ? [lift] : [];
  });
  protected readonly tinWords = tinWords;
  protected readonly bakeWords = bakeWords;

  constructor() {
    effect(() => {
      const id = this.id();
      void this.desk.pickUp(id).then(() => this.around.look(id));
      this.doubts.set([]);
      this.pointed.set(null);
      untracked(() => this.proposals.close());
    });
    // a kept version joins the points of the map
    effect(() => {
      const version = this.desk.plan().version;
      const f = untracked(() => this.desk.formula());
      if (version && f) void this.around.look(f.id);
    });
  }

  protected ingredient(item: Item) {
    const f = this.formula();
    return ingredientOf(item.ingredient, f?.ingredients, this.desk.kitchen());
  }

  protected key(e: KeyboardEvent): void {
    const target = e.target as HTMLElement;
    const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.closest('p-select') !== null;
    if (typing || e.defaultPrevented || this.panels.anyOpen || e.ctrlKey || e.metaKey || e.altKey) return;
    const does: Record<string, () => unknown> = {
      h: () => this.hand.holdTotal.update((on) => !on),
      p: () => this.asParts.update((on) => !on),
      c: () => this.router.navigate(['/beside', this.id()]),
      v: () => this.router.navigate(['/versions', this.id()]),
      a: () => (this.proposals.mode() === 'ask' ? this.proposals.close() : this.proposals.open()),
    };
    does[e.key.toLowerCase()]?.();
  }

  protected isBatter = isBatter;

  protected rename(e: Event): void {
    const f = this.desk.formula();
    const title = (e.target as HTMLInputElement).value.trim();
    if (f && title !== '' && title !== f.title) void this.desk.change(`title "${title}"`, { formula: { ...f, title } });
  }

  protected setFamily(id: FamilyId): void {
    const f = this.desk.formula();
    if (f && id !== f.family) void this.desk.change(`family ${familyOf(id).name}`, { formula: { ...f, family: id } });
  }

  /** Adds a line in the baker's own words; what is doubtful about it is asked under the sheet. */
  protected add(field: HTMLInputElement): void {
    const f = this.desk.formula();
    const added = f && addLine(f, field.value, this.desk.kitchen());
    if (!added) return;
    const name = field.value.trim();
    field.value = '';
    this.doubts.update((d) => [...d, ...added.doubts]);
    void this.desk.change(`add ${name}`, { formula: added.formula });
  }

  protected settle(doubt: Doubt, choice: Choice): void {
    const f = this.desk.formula();
    this.doubts.update((d) => d.filter((x) => x.id !== doubt.id));
    if (f)
      void this.desk.change(choice.words, {
        formula: settle({ formula: f, doubts: [doubt], confidence: 0 }, doubt.id, choice).formula,
      });
  }

  protected takeOut(item: Item): void {
    const f = this.desk.formula();
    if (!f) return;
    this.doubts.update((d) => d.filter((x) => x.itemId !== item.id));
    void this.desk.change(`take out ${this.ingredient(item).name}`, { formula: removeItem(f, item.id) });
  }

  /** Scales the batter to a weight typed in any unit. */
  protected setTotal(e: Event): void {
    const field = e.target as HTMLInputElement;
    const f = this.desk.formula();
    const now = this.batter()?.grams ?? '';
    const kitchen = this.desk.kitchen();
    const words = field.value.replace(/\s/g, ' ');
    const grams = f ? (readMass(words, kitchen.display) ?? readAmount(words, catalogueRow('water'), { ...f.source, ...kitchen.measures })?.grams ?? NaN) : NaN; // prettier-ignore
    this.totalProblem.set('');
    if (!(grams >= 10 && grams <= 50_000))
      this.totalProblem.set(
        `"${field.value}" is no weight of batter I can use. Try ${scaleUnit() === 'oz' ? '2 lb 8 oz' : '1200 or 2 kg'}; it stays ${now}.`,
      );
    else if (!this.hand.total(grams))
      this.totalProblem.set('The locked lines alone weigh that much or more. Unlock one, or ask for more batter.');
    field.value = this.batter()?.grams ?? now;
  }

  /** The method's words as they are edited, a line a step. */
  protected readonly wording = signal(false);
  protected readonly methodText = computed(() => (this.desk.formula()?.method ?? []).map((m) => m.text).join('\n'));

  protected reword(text: string): void {
    const f = this.desk.formula();
    const formula = f && withWords(f, text, this.desk.kitchen());
    if (formula && text.trim() !== this.methodText().trim()) void this.desk.change('words of the method', { formula });
  }

  protected moveWork(e: { readonly formula: Formula; readonly words: string }): void {
    void this.desk.change(e.words, { formula: e.formula });
  }

  protected asWritten(): void {
    const f = this.desk.formula();
    if (f) void this.desk.change('the order of the words', { formula: asWritten(f) });
  }

  protected blur(e: Event): void {
    (e.target as HTMLElement).blur();
  }
}
