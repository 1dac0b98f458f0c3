import { scaleUnit } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { asMeasured, catalogueRow, plain, type Assessment, type Formula, type LedgerEntry } from '@orvin/core';
import { Desk } from '../desk/desk';
import { Panels } from '../ui/panels';
import { Pull } from './pull';

const MID = 284;
const REACH = 214;
/** As far as a bar may go while it is pulled. */
const ROOM = 278;
/** Grams of soda at `REACH`. */
const SCALES = [0.5, 0.75, 1, 1.5, 2, 2.5, 3, 4, 5, 7, 10, 14, 20, 40, 80, 200];
const ROW = 26;
const GAP = 5;
/** Units of the drawing that a letter of a label takes. */
const LETTER = 6.1;

interface Segment {
  readonly key: string;
  readonly itemId: string;
  readonly side: 'acid' | 'soda';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly label: string;
  readonly grams: number;
  /** Grams of the item for one unit to the right. */
  readonly gramsPerUnit: number;
  readonly name: string;
  readonly words: string;
}

const SODA = catalogueRow('baking-soda');

/**
 * Acid against soda, source by source, meeting in the middle, both as grams of soda: the batter's acid and the free soda
 * above, the powder's own below. What is left over sticks out beyond its partner, and the line beneath says what it does.
 */
@Component({
  selector: 'orvin-ledger',
  imports: [Pull],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ledger.html',
  styleUrl: './ledger.scss',
})
export class LedgerDrawing {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  /** The formula it shows, where that is not the one in hand. */
  readonly about = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);

  protected readonly MID = MID;
  protected readonly ROW = ROW;
  protected readonly plain = plain;
  protected readonly ledger = computed(() => this.assessment().ledger);
  protected readonly verdict = computed(() => this.assessment().verdicts.find((v) => v.id === 'ledger'));
  /** The share that meets nothing stands beside what is left over. */
  protected readonly words = computed(
    // what was likely meant is what the slice is headed by
    () =>
      this.verdict()?.suspect
        ? 'Hardly any acid for the soda.'
        : (this.verdict()?.short ?? this.verdict()?.words ?? 'No soda or powder to settle.'),
  );

  /** Rows from the top: what is dissolved against free soda; powder's acids against powder's soda. */
  private rowsOf(a: Assessment): { acid: LedgerEntry[]; soda: LedgerEntry[]; y: number }[] {
    const e = a.ledger.entries.filter((x) => Math.abs(x.sodaG.typical) > 0.004);
    const of = (within: 'batter' | 'powder', side: 'acid' | 'soda'): LedgerEntry[] =>
      e
        .filter((x) => x.within === within && x.side === side && x.sodaG.typical > 0)
        .sort((p, q) => q.sodaG.typical - p.sodaG.typical);
    const batter = { acid: of('batter', 'acid'), soda: of('batter', 'soda'), y: 1 };
    const powder = { acid: of('powder', 'acid'), soda: of('powder', 'soda'), y: 1 + ROW + GAP };
    return powder.soda.length > 0 ? [batter, powder] : [batter];
  }
  private readonly rows = computed(() => this.rowsOf(this.assessment()));
  protected readonly height = computed(() => this.rows().length * (ROW + GAP) + 14);
  private readonly sum = (list: readonly LedgerEntry[], k: 'low' | 'typical' | 'high' = 'typical'): number =>
    list.reduce((s, e) => s + Math.max(0, e.sodaG[k]), 0);
  private readonly need = (rows: readonly { acid: LedgerEntry[]; soda: LedgerEntry[] }[]): number =>
    Math.max(0.5, ...rows.flatMap((r) => [this.sum(r.acid, 'high'), this.sum(r.soda)]));
  /** In steps, and by what was before a pull, so that the bars hold still under the hand until they reach the frame. */
  private readonly scale = computed(() => {
    const b = this.before();
    const now = this.need(this.rows());
    const from = b ? this.need(this.rowsOf(b)) : now;
    const full = SCALES.find((s) => s >= from) ?? from;
    return REACH / (now * (REACH / full) <= ROOM && now >= full / 8 ? full : (SCALES.find((s) => s >= now) ?? now));
  });
  private readonly desk = inject(Desk);
  /** An amount of soda: grams, or spoons where weights are in ounces, which are too coarse for it. */
  protected readonly soda = (g: number): string =>
    scaleUnit() === 'oz' ? asMeasured(g, SODA, this.desk.kitchen().measures) : `${plain(g)} g`;
  protected readonly sodaSpan = (b: { readonly low: number; readonly high: number }): string =>
    scaleUnit() === 'oz' ? `${this.soda(b.low)} to ${this.soda(b.high)}` : `${plain(b.low)} to ${plain(b.high)}`;
  protected readonly length = (g: number): number => g * this.scale();

  protected readonly segments = computed<readonly Segment[]>(() => {
    const grams = new Map(this.assessment().items.map((i) => [i.itemId, i.grams]));
    return this.rows().flatMap((r) =>
      (['acid', 'soda'] as const).flatMap((side) => {
        let at = 0;
        return r[side].map((e): Segment => {
          const width = Math.max(1.5, this.length(e.sodaG.typical));
          const from = at;
          at += width;
          const own = e.within === 'powder';
          const name = e.name.replace(/,.*/, '').toLowerCase();
          const what = own ? (side === 'acid' ? 'powder’s own acids' : 'powder’s soda') : name;
          const full = `${what} ${this.soda(e.sodaG.typical)}`;
          const room = width - 12;
          const label = full.length * LETTER <= room ? full : name.length * LETTER <= room && !own ? name : '';
          const g = grams.get(e.itemId) ?? 0;
          return {
            key: `${e.itemId}-${e.side}-${e.within}`,
            itemId: e.itemId,
            side,
            x: side === 'acid' ? MID - from - width : MID + from,
            y: r.y,
            width,
            label,
            grams: g,
            gramsPerUnit: ((side === 'acid' ? -1 : 1) * g) / width,
            name: e.name,
            words: `${side === 'acid' ? 'can meet' : 'is'} ${this.soda(e.sodaG.typical)} of soda (${this.sodaSpan(e.sodaG)})`,
          };
        });
      }),
    );
  });
  /** How much further the acid may reach. */
  protected readonly may = computed(() =>
    this.rows().map((r) => ({
      y: r.y,
      from: this.length(this.sum(r.acid)),
      to: this.length(this.sum(r.acid, 'high')),
    })),
  );
  /** Small segments that carry no label of their own, named beyond the bar. */
  protected readonly rest = computed(() =>
    this.rows().map((r) => {
      const mine = this.segments().filter((s) => s.y === r.y && s.side === 'acid');
      const unnamed = mine.filter((s) => s.label === '');
      const end = MID - Math.max(this.length(this.sum(r.acid, 'high')), 2);
      const fits = (w: string): boolean => w.length * LETTER < end - 8;
      const names = unnamed.map((s) => s.name.replace(/,.*/, '').toLowerCase());
      const said = (n: number): string =>
        names.slice(0, n).join(', ') + (names.length > n ? ` +${names.length - n}` : '');
      const words = r.y === 1 && names.length > 0 ? ([2, 1].map(said).find(fits) ?? '') : '';
      return { y: r.y, x: end - 6, words };
    }),
  );
  /** Soda that no acid meets: what sticks out of the first row beyond its partner, and of the second. */
  protected readonly open = computed(() => {
    const l = this.ledger();
    const left = (l.leftSodaGPer100gBatter.typical * this.assessment().totals.batterG) / 100;
    const first = this.rows()[0];
    if (!first || left < 0.02) return null;
    const end = this.length(this.sum(first.soda));
    const width = Math.min(end, this.length(left));
    return width > 1 ? { x: MID + end - width, width, y: first.y } : null;
  });
  /** The end of the soda before the change, for the ghost. */
  protected readonly was = computed(() => {
    const b = this.before();
    if (!b) return null;
    const g = (side: 'acid' | 'soda'): number =>
      this.sum(b.ledger.entries.filter((e) => e.within === 'batter' && e.side === side));
    return { acid: MID - this.length(g('acid')), soda: MID + this.length(g('soda')) };
  });

  protected readonly left = computed(() => {
    const l = this.ledger();
    const batter = this.assessment().totals.batterG / 100;
    const sodaG = l.leftSodaGPer100gBatter.typical * batter;
    const acidG = l.leftAcidMeqPer100gBatter.typical * batter * 0.084;
    const b = this.before();
    const was = b ? (b.ledger.leftSodaGPer100gBatter.typical * b.totals.batterG) / 100 : null;
    const from =
      was !== null && Math.abs(was - sodaG) > 0.02 ? `${scaleUnit() === 'oz' ? this.soda(was) : plain(was)} → ` : '';
    if (sodaG > 0.05)
      return {
        kind: 'soda',
        text:
          from === ''
            ? `${this.soda(sodaG)} left (${Math.round(100 * l.unmetShare)} %)`
            : `${from}${this.soda(sodaG)} left`,
        detail: `${Math.round(100 * l.unmetShare)} % of the soda has no acid to meet: ${plain(l.leftSodaGPer100gBatter.typical)} % of the batter`,
      };
    if (acidG > 0.05)
      return {
        kind: 'acid',
        text: from === '' ? `${this.soda(acidG)} to spare` : `${from}none left over`,
        detail: `could meet ${this.soda(acidG)} more soda`,
      };
    return { kind: 'even', text: from === '' ? 'evenly met' : `${from}none left over`, detail: 'nothing left over' };
  });

  /** What the left-over will do, most telling first. */
  protected readonly does = computed(() => {
    const order = ['taste', 'colour', 'browning', 'crumb', 'spread'];
    const words = [...this.assessment().crumb.effects]
      .sort((a, b) => order.indexOf(a.on) - order.indexOf(b.on))
      .slice(0, 2)
      .map((e) => e.words);
    const said = words.join(', ');
    return said === '' ? 'No taste of it' : said.charAt(0).toUpperCase() + said.slice(1);
  });
  protected readonly pH = computed(() => {
    const p = this.assessment().crumb.pH;
    return `pH ${p.low.toFixed(1)}–${p.high.toFixed(1)}`;
  });
  protected readonly sodium = computed(() => `sodium ${Math.round(this.assessment().crumb.sodium.mgPer100gBatter)} mg`);
  protected readonly thumb = computed(() => {
    const t = this.assessment().thumb;
    return t.range === null
      ? null
      : `${{ low: 'less', ok: 'as much', high: 'more' }[t.state]} leavener ${t.state === 'ok' ? 'as' : 'than'} the rule of thumb has`;
  });

  /** What is worth a line in words: nothing below a fiftieth of a gram of soda. */
  protected readonly listed = computed(() => this.ledger().entries.filter((e) => Math.abs(e.sodaG.typical) >= 0.02));
}
