import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { plain, type Assessment, type Formula } from '@orvin/core';
import { Panels } from '../ui/panels';
import { Pull } from './pull';
import { pct } from '../ui/figures';

const W = 284;
const MID = 178;
const REACH = 98;
const ROW = 17;
const MOST = 5;

interface PullRow {
  readonly itemId: string;
  readonly name: string;
  readonly y: number;
  readonly holds: number;
  readonly tenders: number;
  readonly grams: number;
  readonly words: string;
}

/**
 * Structure against tenderness: every line that pulls, left for what it holds up and right for what it makes tender,
 * hung on a beam that tips as far as the formula is from the middle of its family.
 */
@Component({
  selector: 'orvin-beam',
  imports: [Pull],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './beam-drawing.html',
  styleUrl: './beam-drawing.scss',
})
export class BeamDrawing {
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  /** The formula it shows, where that is not the one in hand. */
  readonly about = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);
  /** Kinds by item, for the colours of the bars. */
  readonly colours = input<ReadonlyMap<string, string>>(new Map());

  protected readonly W = W;
  protected readonly MID = MID;
  protected readonly plain = plain;
  protected readonly pct = pct;
  protected readonly beam = computed(() => this.assessment().beam);
  protected readonly words = computed(() => {
    const a = this.assessment();
    if (a.totals.baseG <= 0) return a.verdicts.find((v) => v.id === 'flour')?.words ?? '';
    const v = a.verdicts.find((x) => x.id === 'hydration') ?? a.verdicts.find((x) => x.id === 'structure');
    // beside the name of the family above, the short form is enough
    return v?.short ?? v?.words ?? 'No family chosen.';
  });

  private readonly strongest = computed(() =>
    [...this.beam().pulls]
      .filter((p) => Math.max(p.holds, p.tenders) > 0.5)
      .sort((a, b) => Math.max(b.holds, b.tenders) - Math.max(a.holds, a.tenders)),
  );
  private readonly scale = computed(() => {
    const was = this.before()?.beam.pulls ?? [];
    const most = Math.max(10, ...[...this.beam().pulls, ...was].flatMap((p) => [p.holds, p.tenders]));
    const magnitude = Math.pow(10, Math.floor(Math.log10(most)));
    const full = [1, 1.25, 1.6, 2, 2.5, 3.2, 4, 5, 6.4, 8, 10].map((k) => k * magnitude).find((x) => x >= most) ?? most;
    return REACH / full;
  });
  protected readonly len = (points: number): number => points * this.scale();

  /** In the order of the sheet, so that rows do not change places while one is pulled. */
  protected readonly rows = computed<readonly PullRow[]>(() => {
    const grams = new Map(this.assessment().items.map((i) => [i.itemId, i.grams]));
    const ids = new Set(
      this.strongest()
        .slice(0, MOST)
        .map((p) => p.itemId),
    );
    return this.beam()
      .pulls.filter((p) => ids.has(p.itemId))
      .map((p, i) => ({
        itemId: p.itemId,
        name: p.name,
        y: 30 + i * ROW,
        holds: p.holds,
        tenders: p.tenders,
        grams: grams.get(p.itemId) ?? 0,
        words: `holds ${plain(p.holds)}, tenders ${plain(p.tenders)} points`,
      }));
  });
  protected readonly rest = computed(() => {
    const small = this.strongest().slice(MOST);
    return small.length === 0
      ? null
      : {
          y: 30 + this.rows().length * ROW,
          words: `${small.length} more`,
          holds: small.reduce((s, p) => s + p.holds, 0),
          tenders: small.reduce((s, p) => s + p.tenders, 0),
        };
  });
  protected readonly height = computed(() => 31 + (this.rows().length + (this.rest() ? 1 : 0)) * ROW);
  protected readonly short = (name: string): string => {
    const s = name.replace(/,.*/, '');
    return s.length > 12 ? `${s.slice(0, 11)}…` : s;
  };

  /** The beam tips up to 11 units at its ends. */
  protected readonly tip = computed(() => Math.max(-11, Math.min(11, 4.5 * this.beam().lean)));
  protected readonly wasTip = computed(() => {
    const b = this.before();
    return b ? Math.max(-11, Math.min(11, 4.5 * b.beam.lean)) : null;
  });
}
