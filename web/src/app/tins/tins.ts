import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  matchTin,
  outlineOf,
  rackPlan,
  readTin,
  scoopsFor,
  sizeWords,
  tinProblems,
  withSetting,
  type BakePrediction,
  type BakeSetting,
  type Tin,
  type TinFit,
  type TinUse,
} from '@orvin/core';
import { Notices } from '../data/notices';
import { Bakery } from '../desk/bakery';
import { Desk } from '../desk/desk';
import { Panels } from '../ui/panels';
import { TinSection } from '../ui/tin-section';
import { mass } from '../ui/figures';
import { capital, degrees, degreesBy, dialWords, minuteWords, tinWords, within } from '../ui/words';
import { readDegrees } from '../ui/reads';
import { BakeChart } from './bake-chart';
import { FinishPart } from './finish-part';
import { HeatSteps } from './heat-steps';
import { KitTable } from './kit-table';
import { TinPair } from './pair';
import { RackView } from './rack-view';
import { ScaleBar } from './scale-bar';
import { SlabCut } from './slab-cut';
import { SectionMap, type Sectioned } from './section-map';
import { Shown } from '../ui/shown';

/** Scale, and fit the batter to other tins: how much in each, how full, how high, how long and how hot. */
@Component({
  selector: 'orvin-tins',
  imports: [
    BakeChart,
    FinishPart,
    HeatSteps,
    KitTable,
    RackView,
    RouterLink,
    ScaleBar,
    SectionMap,
    Shown,
    SlabCut,
    TinPair,
    TinSection,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tins.html',
  styleUrl: './tins.scss',
})
export class Tins {
  protected readonly mass = mass;
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly bakery = inject(Bakery);
  protected readonly panels = inject(Panels);
  private readonly notices = inject(Notices);
  protected readonly rack = computed(() => this.desk.kitchen().tins);
  protected readonly target = computed<TinUse | null>(() => this.bakery.targetTins()[0] ?? null);
  protected readonly own = computed<TinUse | null>(() => this.desk.formula()?.tins?.[0] ?? null);
  protected readonly uses = computed(() => this.bakery.targetTins());
  protected readonly oven = computed(() => {
    const { ovens } = this.desk.kitchen();
    return ovens.find((o) => o.id === this.desk.plan().ovenId) ?? ovens[0];
  });
  protected readonly inOven = computed(() => new Set(this.uses().map((u) => u.tin.id)));
  /** The tins in the oven with what each gets and how long it takes; shown when they are of several kinds. */
  protected readonly together = computed(() => {
    const fits = this.bakery.target()?.fits ?? [];
    const shown = this.bakery.shown();
    const beside = this.bakery.beside();
    return fits.map((fit, i) => {
      const o = i === shown ? this.bakery.targetBake() : beside[i < shown ? i : i - 1];
      const p = o?.ok && o.value.minutes.likely > 0 ? o.value : null;
      return { fit, index: i, minutes: p ? minuteWords(p.minutes) : '…', likely: p?.minutes.likely ?? 0 };
    });
  });
  protected readonly apart = computed(() => {
    const times = this.together().map((t) => t.likely);
    const words = this.bakery.together()?.words;
    if (words && this.bakery.sharing() === 'together') return capital(words);
    if (times.length < 2 || times.some((t) => t === 0)) return '';
    const [first, last] = [Math.min(...times), Math.max(...times)];
    return last - first < 3
      ? 'All are done within three minutes of each other.'
      : `Take the first out after about ${Math.round(first)} min, the last after ${Math.round(last)}; open the door briefly.`;
  });
  /** The formula's own tins, of one kind or of several. */
  protected readonly ownUses = computed<readonly TinUse[]>(() => this.desk.formula()?.tins ?? []);
  protected readonly differs = computed(() => {
    const [own, uses] = [this.ownUses(), this.uses()];
    const alike = own.length === uses.length && own.every((u, i) => u.tin.id === uses[i]?.tin.id && u.count === uses[i].count); // prettier-ignore
    return own.length > 0 && uses.length > 0 && !alike;
  });
  protected readonly fit = computed(() => this.bakery.shownFit());
  protected readonly typed = signal('');
  protected readonly problem = signal('');

  protected readonly headline = computed(() => {
    const t = this.target();
    if (!t) return 'Choose a tin';
    const name = (u: TinUse): string => (u.count === 1 ? `the ${u.tin.name}` : tinWords(u));
    const list = this.uses().map(name);
    if (list.length > 1) return capital(`${list.slice(0, -1).join(', ')} and ${list.at(-1)} together`);
    // a dough that stands by itself is in nothing
    const fit = this.fit();
    if (!this.differs() && fit && outlineOf(fit.tin).free && list.length === 1)
      return `On the tray: ${fit.count > 1 ? `${fit.count} × ` : ''}${within(fit.tin.name)}`;
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
  protected readonly section = computed(() => (this.time() ? sectioned(this.fit(), this.bake()) : null));
  protected readonly sectionBefore = computed(() =>
    this.differs() ? sectioned(this.bakery.own()?.fits[0] ?? null, this.ownBake()) : null,
  );
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
  /** A check that a scale gives: what goes in less the water it loses until it is cold, to 5 g, or 1 g for something small. */
  protected readonly bakedG = computed(() => {
    const b = this.bake();
    const g = b ? (b.intoG / this.cups()) * (1 - b.lossPct / 100) : (this.fit()?.perCupG ?? 0);
    return g > 200 ? 5 * Math.round(g / 5) : Math.round(g);
  });
  protected readonly was = computed(() => {
    const b = this.ownBake();
    return this.differs() && b ? `${minuteWords(b.minutes)} in the ${this.own()?.tin.name}` : null;
  });
  protected readonly over = signal(false);
  protected readonly doneWords = computed(() => {
    const b = this.bake();
    if (!b) return '';
    return `${degrees(b.doneC)}${b.carryK >= 1 ? `, ${degreesBy(b.carryK)} more outside` : ' in the middle'}`;
  });
  /** How a cup is portioned. */
  protected readonly scoop = computed(() => {
    const fit = this.fit();
    if (!fit) return '';
    if (outlineOf(fit.tin).cups < 2 || fit.tin.shape !== 'cup') return '';
    const s = scoopsFor((fit.fill * fit.capacityMl) / outlineOf(fit.tin).cups, this.desk.kitchen());
    return s ? `a cup takes ${s.words}` : '';
  });
  protected readonly size = (tin: Tin): string => sizeWords(tin, this.desk.kitchen().display.length);
  /** Tins that could be named, in the kitchen's unit. */
  protected readonly example = computed(() =>
    this.desk.kitchen().display.length === 'in' ? 'two 9 inch round' : 'two 20 cm round',
  );
  protected readonly racks = computed(() => {
    const oven = this.oven();
    return oven ? rackPlan(this.uses(), oven).racks.length : 1;
  });
  /** The plan in a sentence, as one says it across a kitchen. */
  protected readonly plan = computed(() => {
    const b = this.bake();
    const t = this.time();
    if (!b || !t) return '';
    const at = (kind: string): number | undefined => b.plan.find((m) => m.kind === kind)?.atMin;
    const tent = at('tent');
    return [
      `${this.heat()}, ${this.racks() > 1 ? 'two racks' : 'middle rack'}`,
      ...b.plan.filter((m) => m.kind === 'change').map((m) => `after ${m.atMin} min ${m.words}`),
      `first look ${at('first look') ?? t.likely} min`,
      `likely ${t.likely}`,
      ...(tent === undefined ? [] : [`foil over it if it is dark at ${tent}`]),
    ].join('; ');
  });
  protected readonly marks = computed(() => (this.bake()?.plan ?? []).filter((m) => m.kind !== 'carry-over'));
  protected readonly heat = computed(() => {
    const b = this.desk.shown()?.bake;
    return b ? dialWords(b) : `no heat set: ${degrees(180, true)}`;
  });

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
  }

  protected choose(tin: Tin): void {
    const now = this.target();
    this.desk.setTins([{ tin, count: now?.tin.id === tin.id ? now.count : 1 }]);
  }

  /** Puts a tin beside those that are in the oven already. */
  protected add(tin: Tin): void {
    if (!this.inOven().has(tin.id) && this.uses().length < 4) this.desk.setTins([...this.uses(), { tin, count: 1 }]);
  }

  protected take(index: number): void {
    const rest = this.uses().filter((_, i) => i !== index);
    if (rest.length > 0) this.desk.setTins(rest);
  }

  protected count(by: number, index = 0): void {
    this.desk.setTins(
      this.uses().map((u, i) => (i === index ? { ...u, count: Math.min(6, Math.max(1, u.count + by)) } : u)),
    );
  }

  protected share(how: string): void {
    const sharing = (['fill', 'depth', 'together'] as const).find((h) => h === how);
    if (sharing) void this.desk.change(`share the batter: ${sharing}`, { plan: { ...this.desk.plan(), sharing } });
  }

  protected drag(e: DragEvent, tin: Tin): void {
    e.dataTransfer?.setData('application/x-orvin-tin', tin.id);
  }

  /** A tin of the rack dropped into the oven stands beside the others. */
  protected drop(e: DragEvent): void {
    e.preventDefault();
    this.over.set(false);
    const tin = this.rack().find((t) => t.id === e.dataTransfer?.getData('application/x-orvin-tin'));
    if (tin) this.add(tin);
  }

  protected hover(e: DragEvent): void {
    if (!e.dataTransfer?.types.includes('application/x-orvin-tin')) return;
    e.preventDefault();
    this.over.set(true);
  }

  /** A tin that is not on the rack, in the baker's words. */
  protected name(): void {
    const text = this.typed().trim();
    if (text === '') return;
    const use = readTin(/\b(?:tin|tray|pan)/i.test(text) ? text : `${text} tin`, this.desk.kitchen());
    if (!use) {
      this.problem.set(
        `"${text}" is no tin I can picture. Try: ${this.desk.kitchen().display.length === 'in' ? '9 inch round, 8 inch square, 9 x 13 inch, 9 x 5 inch loaf' : '23 cm round, 20 cm square, 33 x 23 cm, 2 lb loaf'}, 12-hole muffin.`,
      );
      return;
    }
    const bad = tinProblems(use.tin, this.desk.kitchen())[0];
    if (bad) {
      this.problem.set(`${bad.words} ${bad.remedy}`);
      return;
    }
    this.problem.set('');
    this.typed.set('');
    // one that the kit has, by whatever name, is that one, with its own measured size
    const known = matchTin(use.tin, this.rack());
    this.desk.setTins([known ? { ...use, tin: known } : use]);
  }

  /** Makes the fitted tins and amounts the formula itself. */
  protected adopt(): void {
    const placed = this.bakery.target();
    const time = this.time();
    const f = this.desk.formula();
    if (!placed || !f) return;
    const bake = placed.formula.bake;
    const { tins: _tins, sharing: _sharing, ...plan } = this.desk.plan();
    void this.desk.change(`write for ${this.headline().toLowerCase()}`, {
      formula: {
        ...placed.formula,
        ...(bake && time && { bake: timed(bake, time) }),
      },
      plan,
    });
    this.notices.say('The formula is now written for these tins. Undo brings the old one back.');
  }

  protected setHeat(e: Event): void {
    const f = this.desk.formula();
    const field = e.target as HTMLInputElement;
    const read = readDegrees(field.value);
    if (!f || !read) return;
    const bake = withSetting(f.bake ?? read, read);
    void this.desk.change(`heat ${dialWords(bake)}`, { formula: { ...f, bake } });
    field.value = dialWords(bake);
  }
}

/** The setting with the time that is now predicted for it, which takes the place of any other. */
function timed(bake: BakeSetting, { early, late }: { early: number; late: number }): BakeSetting {
  const { stated: _stated, ...rest } = bake;
  return { ...rest, minutes: { early, late } };
}

const sectioned = (fit: TinFit | null, b: BakePrediction | null): Sectioned | null =>
  fit && b?.section ? { name: fit.tin.name, section: b.section, fit, doneS: b.minutes.likely * 60 } : null;
