import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { readTin, tinProblems, type BakePrediction, type Tin, type TinUse } from '@orvin/core';
import { Notices } from '../data/notices';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Panels } from '../ui/panels';
import { TinSection } from '../ui/tin-section';
import { Undo } from '../ui/undo';
import { capital, degrees, dialWords, minuteWords, tinWords, readDegrees } from '../ui/words';
import { BakeChart } from './bake-chart';
import { TinPair } from './pair';

/** Fit the batter to other tins: how much in each, how full, how high, how long and how hot. */
@Component({
  selector: 'orvin-tins',
  imports: [RouterLink, TinSection, TinPair, BakeChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tins.html',
  styleUrl: './tins.scss',
})
export class Tins {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly bakery = inject(Bakery);
  protected readonly panels = inject(Panels);
  private readonly notices = inject(Notices);
  protected readonly rack = computed(() => this.desk.kitchen().tins);
  protected readonly target = computed<TinUse | null>(() => this.bakery.targetTins()[0] ?? null);
  protected readonly own = computed<TinUse | null>(() => this.desk.formula()?.tins?.[0] ?? null);
  protected readonly differs = computed(() => {
    const [a, b] = [this.own(), this.target()];
    return a !== null && b !== null && (a.tin.id !== b.tin.id || a.count !== b.count);
  });
  protected readonly fit = computed(() => this.bakery.target()?.fits[0] ?? null);
  protected readonly typed = signal('');
  protected readonly problem = signal('');

  protected readonly headline = computed(() => {
    const t = this.target();
    if (!t) return 'Choose a tin';
    const name = (u: TinUse): string => (u.count === 1 ? `the ${u.tin.name}` : tinWords(u));
    const words =
      this.differs() && this.own() ? `${name(t)} instead of ${name(this.own() as TinUse)}` : `In ${name(t)}`;
    return capital(words);
  });
  protected readonly scaled = computed(() => {
    const p = this.bakery.target();
    if (!p) return '';
    const remarks = [...p.eggs.map((e) => e.words), ...(p.leavener === null ? [] : [p.leavener])].join('; ');
    return Math.abs(p.factor - 1) < 0.005
      ? 'the batter as it is'
      : `batter × ${p.factor.toFixed(2)}${remarks === '' ? '' : ` · ${remarks}`}`;
  });
  protected readonly bake = computed<BakePrediction | null>(() => {
    const o = this.bakery.targetBake();
    return o?.ok ? o.value : null;
  });
  protected readonly ownBake = computed<BakePrediction | null>(() => {
    const o = this.bakery.ownBake();
    return o?.ok && o.value.minutes.likely > 0 ? o.value : null;
  });
  protected readonly failure = computed(() => {
    const o = this.bakery.targetBake();
    return o && !o.ok ? o.words : null;
  });
  protected readonly time = computed(() => {
    const b = this.bake();
    if (!b || b.minutes.likely === 0) return null;
    const r = Math.round;
    return { early: r(b.minutes.early), late: r(b.minutes.late), likely: r(b.minutes.likely) };
  });
  protected readonly cups = computed(() => this.fit()?.tin.cups ?? 1);
  /** A check that a scale gives: the batter less the water it loses, to 5 g, or 1 g for something small. */
  protected readonly bakedG = computed(() => {
    const g = (this.fit()?.perCupG ?? 0) * (1 - (this.bake()?.lossPct ?? 0) / 100);
    return g > 200 ? 5 * Math.round(g / 5) : Math.round(g);
  });
  protected readonly was = computed(() => {
    const b = this.ownBake();
    return this.differs() && b ? `${minuteWords(b.minutes)} in the ${this.own()?.tin.name}` : null;
  });
  protected readonly degrees = degrees;
  protected readonly heat = computed(() => {
    const b = this.desk.shown()?.bake;
    return b ? dialWords(b) : `no heat set: ${degrees(180, true)}`;
  });

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
    inject(Undo).scope.set('formula');
  }

  protected choose(tin: Tin): void {
    const now = this.target();
    this.desk.setTins([{ tin, count: now?.tin.id === tin.id ? now.count : 1 }]);
  }

  protected count(by: number): void {
    const t = this.target();
    if (t) this.desk.setTins([{ tin: t.tin, count: Math.min(6, Math.max(1, t.count + by)) }]);
  }

  /** A tin that is not on the rack, in the baker's words. */
  protected name(): void {
    const text = this.typed().trim();
    if (text === '') return;
    const use = readTin(/\b(?:tin|tray|pan)/i.test(text) ? text : `${text} tin`);
    if (!use) {
      this.problem.set(
        `"${text}" is no tin I can picture. Try: 9 inch round, 20 cm square, 33 x 23 cm, 9x5 inch loaf, 12-hole muffin.`,
      );
      return;
    }
    const bad = tinProblems(use.tin)[0];
    if (bad) {
      this.problem.set(`${bad.words} ${bad.remedy}`);
      return;
    }
    this.problem.set('');
    this.typed.set('');
    this.desk.setTins([use]);
  }

  /** Makes the fitted tins and amounts the formula itself. */
  protected adopt(): void {
    const placed = this.bakery.target();
    const time = this.time();
    const f = this.desk.formula();
    if (!placed || !f) return;
    const bake = placed.formula.bake;
    this.desk.change(`write for ${this.headline().toLowerCase()}`, {
      formula: {
        ...placed.formula,
        ...(bake && time && { bake: { ...bake, minutes: { early: time.early, late: time.late } } }),
      },
      plan: {},
    });
    this.notices.say('The formula is now written for these tins. Undo brings the old one back.');
  }

  protected setHeat(e: Event): void {
    const f = this.desk.formula();
    const field = e.target as HTMLInputElement;
    const read = readDegrees(field.value);
    if (!f || !read) return;
    const bake = { ...(f.bake ?? {}), ...read };
    this.desk.change(`heat ${dialWords(bake)}`, { formula: { ...f, bake } });
    field.value = dialWords(bake);
  }
}
