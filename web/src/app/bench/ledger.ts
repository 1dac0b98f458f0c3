import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { plain, type Assessment, type LedgerEntry } from '@orvin/core';
import { Panels } from '../ui/panels';

const MID = 310;
const REACH = 236;

interface Bar {
  readonly side: 'acid' | 'soda';
  readonly within: 'batter' | 'powder';
  readonly typical: number;
  readonly low: number;
  readonly high: number;
  readonly names: string;
}

const gather = (entries: readonly LedgerEntry[], side: 'acid' | 'soda', within: 'batter' | 'powder'): Bar => {
  const mine = entries
    .filter((e) => e.side === side && e.within === within && e.sodaG.typical > 0.004)
    .sort((a, b) => b.sodaG.typical - a.sodaG.typical);
  const sum = (k: 'low' | 'typical' | 'high'): number => mine.reduce((s, e) => s + Math.max(0, e.sodaG[k]), 0);
  const names = mine.slice(0, 2).map((e) => e.name.replace(/,.*/, '').toLowerCase());
  return {
    side,
    within,
    typical: sum('typical'),
    low: sum('low'),
    high: sum('high'),
    names: names.join(', ') + (mine.length > 2 ? '…' : ''),
  };
};

/** Acid against soda, meeting in the middle, both as grams of soda; what is left over sticks out beyond its partner. */
@Component({
  selector: 'orvin-ledger',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ledger.html',
  styleUrl: './ledger.scss',
})
export class LedgerDrawing {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  readonly before = input<Assessment | null>(null);
  protected readonly MID = MID;
  protected readonly plain = plain;
  protected readonly ledger = computed(() => this.assessment().ledger);
  protected readonly verdict = computed(() => this.assessment().verdicts.find((v) => v.id === 'ledger'));
  protected readonly rows = computed(() => {
    const e = this.ledger().entries;
    const batter = { acid: gather(e, 'acid', 'batter'), soda: gather(e, 'soda', 'batter'), y: 2 };
    const powder = { acid: gather(e, 'acid', 'powder'), soda: gather(e, 'soda', 'powder'), y: 36 };
    return powder.soda.typical > 0.004 ? [batter, powder] : [batter];
  });
  private readonly scale = computed(() => {
    const most = Math.max(0.5, ...this.rows().flatMap((r) => [r.acid.high, r.soda.typical]));
    const steps = [0.5, 1, 1.5, 2, 3, 4, 5, 7, 10, 14, 20, 40, 80, 200];
    return REACH / (steps.find((s) => s >= most) ?? most);
  });
  protected readonly length = (g: number): number => g * this.scale();
  protected readonly left = computed(() => {
    const l = this.ledger();
    const batter = this.assessment().totals.batterG / 100;
    const sodaG = l.leftSodaGPer100gBatter.typical * batter;
    const acidG = l.leftAcidMeqPer100gBatter.typical * batter * 0.084;
    if (sodaG > 0.05)
      return {
        kind: 'soda',
        text: `${plain(sodaG)} g soda left over`,
        detail: `${plain(l.leftSodaGPer100gBatter.typical)} g in 100 g batter`,
      };
    if (acidG > 0.05) return { kind: 'acid', text: 'acid to spare', detail: `could meet ${plain(acidG)} g more soda` };
    return { kind: 'even', text: 'evenly met', detail: 'nothing left over' };
  });
  /** What is worth a line in words: nothing below a fiftieth of a gram of soda. */
  protected readonly listed = computed(() => this.ledger().entries.filter((e) => Math.abs(e.sodaG.typical) >= 0.02));
  protected readonly was = computed(() => {
    const b = this.before();
    if (!b) return null;
    return `was ${plain((b.ledger.leftSodaGPer100gBatter.typical * b.totals.batterG) / 100)} g left`;
  });
  protected readonly open = computed(() =>
    this.rows()
      .map((r) => ({ y: r.y, from: Math.min(r.acid.typical, r.soda.typical), to: r.soda.typical }))
      .filter((o) => o.to - o.from > 0.02),
  );
}
