import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { hasRanges, type Assessment, type Formula } from '@orvin/core';
import { Panels } from '../ui/panels';
import { Pull } from './pull';
import { pct, mass } from '../ui/figures';

const W = 284;
const LETTER = 5.9;

/** Who brings the water, who drinks it, and whether what is left suits the family: a trough filled from the left. */
@Component({
  selector: 'orvin-water-line',
  imports: [Pull],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="why head" (click)="panels.explain('hydration', about())">{{ words() }}</button>
    <svg
      [attr.viewBox]="'0 12 ' + W + ' 32'"
      role="group"
      aria-label="Water brought, drunk and left, per cent of flour"
    >
      <rect class="trough" x="1" y="15" [attr.width]="W - 2" height="20" rx="3" />
      @for (s of segments(); track s.itemId) {
        <g
          class="segment"
          [orvinPull]="s.itemId"
          [gramsPerUnit]="s.gramsPerUnit"
          [pullGrams]="s.grams"
          [pullName]="s.name + ', water'"
          [pullText]="s.words"
          pullWhy="hydration"
          [pullAbout]="about()"
        >
          <title>{{ s.name }} {{ s.words }}</title>
          <rect [attr.x]="s.x" y="16" [attr.width]="s.width" height="18" />
          @if (s.label !== '') {
            <text class="in" [attr.x]="s.x + 4" y="29">{{ s.label }}</text>
          }
        </g>
      }
      @if (drunk(); as d) {
        <rect class="drunk" [attr.x]="d.x" y="16" [attr.width]="d.width" height="18" />
      }
      @if (wasX(); as w) {
        <line class="was" [attr.x1]="w" [attr.x2]="w" y1="13.5" y2="39" />
      }
      @if (a().totals.baseG > 0) {
        <path class="level" [attr.d]="'M' + levelX() + ' 13.5 V38'" />
        @if (usual(); as u) {
          <path class="usual" [attr.d]="'M' + u.lo + ' 37 v5 H' + u.hi + ' v-5'" />
        }
      }
    </svg>
    <table class="visually-hidden in-words">
      <caption>
        The water line
      </caption>
      <tbody>
        @for (e of a().water.entries; track e.itemId) {
          <tr>
            <th scope="row">{{ e.name }}</th>
            <td>brings {{ mass(e.bringsG) }}, drinks {{ mass(e.drinksG) }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './water-line.scss',
})
export class WaterLineDrawing {
  protected readonly mass = mass;
  protected readonly panels = inject(Panels);
  readonly assessment = input.required<Assessment>();
  /** The formula it shows, where that is not the one in hand. */
  readonly about = input<Formula | null>(null);
  readonly before = input<Assessment | null>(null);
  protected readonly W = W;
  protected readonly pct = pct;
  protected readonly a = this.assessment;

  /** Whether there is a usual amount of water: from the whole formula, or its family's own. */
  private readonly spanned = computed(() => this.a().plausible !== null || hasRanges(this.a().family.as));
  private readonly full = computed(() => {
    const w = this.a().water;
    const top = this.spanned() ? w.usual[1] : 0;
    const need = Math.max(w.broughtPct, this.before()?.water.broughtPct ?? 0, top * 1.05, 20);
    return [40, 60, 80, 100, 125, 160, 200, 250, 320, 400, 600, 1000, 3000].find((x) => x >= need) ?? need;
  });
  private readonly x = (percent: number): number => 1 + (Math.min(percent, this.full()) / this.full()) * (W - 2);
  private readonly per = computed(() => {
    const t = this.a().totals;
    const base = t.flourG > 0 ? t.flourG : t.baseG;
    return base > 0 ? 100 / base : 0;
  });

  protected readonly segments = computed(() => {
    const grams = new Map(this.a().items.map((i) => [i.itemId, i.grams]));
    let at = 0;
    return this.a()
      .water.entries.filter((e) => e.bringsG * this.per() > 0.8)
      .map((e) => {
        const from = this.x(at);
        at += e.bringsG * this.per();
        const width = Math.max(1, this.x(at) - from);
        const name = e.name
          .replace(/,.*/, '')
          .replace(/^(Plain|Whole|Ripe) /, '')
          .toLowerCase();
        const full = `${name} ${pct(e.bringsG * this.per())}`;
        // clear of the level, where that crosses it
        const level = this.levelX();
        const room = (level > from && level < from + width ? level - 3 : from + width) - from - 6;
        const label = full.length * LETTER < room ? full : name.length * LETTER < room ? name : '';
        const g = grams.get(e.itemId) ?? 0;
        return {
          itemId: e.itemId,
          name: e.name,
          x: from,
          width,
          label,
          grams: g,
          gramsPerUnit: g / width,
          words: `brings ${mass(e.bringsG)} of water`,
        };
      });
  });
  protected readonly drunk = computed(() => {
    const w = this.a().water;
    const from = this.x(Math.max(0, w.availablePct));
    const width = this.x(w.broughtPct) - from;
    return width > 1.5 ? { x: from, width } : null;
  });
  protected readonly levelX = computed(() => this.x(Math.max(0, this.a().water.availablePct)));
  protected readonly wasX = computed(() => {
    const b = this.before();
    return b ? this.x(Math.max(0, b.water.availablePct)) : null;
  });
  protected readonly usual = computed(() => {
    if (!this.spanned()) return null;
    const [lo, hi] = this.a().water.usual;
    return { lo: this.x(lo), hi: this.x(hi), words: `usual ${pct(lo)}–${pct(hi)}` };
  });
  protected readonly words = computed(() => {
    const w = this.a().water;
    const drunk = w.drunkPct > 1 ? `, ${pct(w.drunkPct)} drunk, ${pct(Math.max(0, w.availablePct))} left` : '';
    const u = this.usual();
    return `water ${pct(w.broughtPct)} %${drunk}${u ? `; ${u.words}` : ' of flour'}`;
  });
}
