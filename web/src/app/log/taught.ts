import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { knownOf, ovenOff, racks, taughtOf, type BakeRecord, type ParamKey, type TaughtKind } from '@orvin/core';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Learning } from '../desk/learning';
import { dateWords } from '../ui/when';
import { degreesBy, thermometer } from '../ui/words';
import { OvenDial } from './oven-dial';

/** One thing that was learned, as a place on a line of its own. */
interface Row {
  readonly key: ParamKey;
  readonly name: string;
  readonly words: string;
  readonly bakes: number;
  /** Middle and ends of its 80 % band on the line, %. */
  readonly at: number;
  readonly low: number;
  readonly high: number;
}
interface Group {
  readonly name: string;
  readonly words: string;
  readonly ends: readonly [string, string];
  readonly rows: readonly Row[];
}

const onLine = (x: number, span: number): number => Math.max(0, Math.min(100, 50 + (50 * x) / span));

/** What the log has taught of ovens, tins, formulas and habits, how sure that is, and what it was worth. */
@Component({
  selector: 'orvin-taught',
  imports: [OvenDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './taught.html',
  styleUrl: './taught.scss',
})
export class Taught {
  readonly looked = output<BakeRecord>();
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly learning = inject(Learning);
  protected readonly lesson = computed(() => this.learning.lesson());
  private readonly kitchen = computed(() => this.learning.kitchen() ?? this.desk.kitchen());

  protected readonly ovens = computed(() =>
    this.kitchen().ovens.map((o) => {
      const k = this.kitchen();
      const off = ovenOff(k, o.id);
      const places = racks
        .filter((r) => r !== 'middle')
        .map((r) => ({ rack: r, ...ovenOff(k, o.id, r), bakes: knownOf(k.learned, [`rack:${o.id}:${r}`]).bakes }))
        .filter((r) => r.bakes > 0);
      const about = Math.round(Math.abs(off.typical));
      return {
        id: o.id,
        name: o.name,
        off,
        racks: places,
        declared: o.biasC ?? 0,
        words:
          off.bakes === 0
            ? 'Nothing logged in it yet.'
            : about < 2
              ? 'Keeps to its dial.'
              : `Runs about ${degreesBy(about)} ${off.typical > 0 ? 'hot' : 'cool'}.`,
        range: `between ${this.signed(off.low)} and ${this.signed(off.high)}`,
      };
    }),
  );

  protected readonly groups = computed<readonly Group[]>(() => {
    const k = this.kitchen();
    const titles = new Map((this.learning.bakes() ?? []).map((b) => [b.formulaId, b.title]));
    const title = (id: string): string => titles.get(id) ?? 'a formula that is gone';
    const tin = (id: string): string => k.tins.find((t) => t.id === id)?.name ?? 'a tin that is gone';
    const rows = (kind: TaughtKind, name: (id: string) => string, place: (x: number) => number, words: (x: number) => string): Row[] =>
      taughtOf(kind, k).map(({ key, of, by }) => ({ key, name: name(of), words: words(by.typical), bakes: by.bakes, at: place(by.typical), low: place(by.low), high: place(by.high) })); // prettier-ignore
    const share = (kind: TaughtKind, name: (id: string) => string, span: number, more: string, less: string): Row[] =>
      rows(kind, name, (x) => onLine(x, span), (x) => {
        const pct = Math.round(100 * (Math.exp(Math.abs(x)) - 1));
        return pct < 2 ? 'as reckoned' : `${pct} % ${x > 0 ? more : less}`;
      }); // prettier-ignore
    const done = (x: number): string => (Math.abs(x) < 0.75 ? 'as its family sets' : `${degreesBy(Math.round(10 * Math.abs(x)) / 10)} ${x > 0 ? 'warmer' : 'cooler'}`); // prettier-ignore
    const stand = (min: number): string => `about ${Math.max(1, Math.round(min))} min`;
    return [
      { name: 'Tins', words: 'Time against what geometry and metal say.', ends: ['quicker', 'slower'] as const, rows: share('tin', tin, 0.25, 'longer', 'less time') },
      { name: 'When you take it out', words: 'The middle against what its family sets at.', ends: ['earlier', 'later'] as const, rows: rows('done', title, (x) => onLine(x, 4), done) },
      { name: 'How high it rises', words: 'Measured against reckoned.', ends: ['less', 'more'] as const, rows: share('rise', title, 0.35, 'higher', 'lower') },
      { name: 'How thick the batter is', words: 'A cup weighed, against reckoned.', ends: ['lighter', 'heavier'] as const, rows: share('dense', title, 0.2, 'heavier', 'lighter') },
      { name: 'Water it loses', words: 'By the scale, against reckoned.', ends: ['less', 'more'] as const, rows: share('loss', title, 0.6, 'more', 'less') },
      { name: 'How long it stands', words: 'From the bowl to the oven.', ends: ['0', '25 min'] as const, rows: rows('stand', title, (min) => Math.min(100, 4 * min), stand) },
    ].filter((g) => g.rows.length > 0); // prettier-ignore
  });

  protected readonly doubts = computed(() =>
    (this.lesson()?.doubts ?? []).flatMap((d) => {
      const bake = this.learning.bakes()?.find((b) => b.id === d.bakeId);
      return bake ? [{ ...d, bake, when: this.day(bake) }] : [];
    }),
  );
  protected readonly errors = computed(() => {
    const e = this.lesson()?.errors;
    if (!e) return null;
    const pct = (x: number): number => Math.round(1000 * x) / 10;
    const top = Math.max(0.12, e.before.rms, e.after.rms) * 1.1;
    return {
      n: e.each.length,
      within: Math.round(100 * e.within),
      noise: pct(this.lesson()?.learned.noise ?? 0.06),
      rows: [
        { name: 'before learning', pct: pct(e.before.rms), width: (100 * e.before.rms) / top, kind: 'before' },
        { name: 'after, by all other bakes', pct: pct(e.after.rms), width: (100 * e.after.rms) / top, kind: 'after' },
        { name: 'bake to bake, whatever is learned', pct: pct(this.lesson()?.learned.noise ?? 0.06), width: (100 * (this.lesson()?.learned.noise ?? 0.06)) / top, kind: 'floor' }, // prettier-ignore
      ],
    };
  });
  protected readonly count = computed(() => this.lesson()?.learned.bakes.reduce((a, b) => Math.max(a, b), 0) ?? 0);
  protected readonly forgotten = computed(() => Object.keys(this.desk.kitchen().forgotten ?? {}).length > 0);

  protected signed(k: number): string {
    const x = Math.round(thermometer() === 'F' ? k * 1.8 : k);
    return x === 0 ? '0' : `${x > 0 ? '+' : '−'}${Math.abs(x)}`;
  }
  protected scale(): string {
    return thermometer() === 'F' ? '°F' : '°C';
  }
  private day(b: BakeRecord): string {
    return dateWords(b.at, this.desk.kitchen().locale.zone);
  }

  /** Learns something anew from now on; what its older bakes taught of other things stays. */
  protected async forget(key: string, name: string): Promise<void> {
    const k = this.desk.kitchen();
    const next = { ...k, forgotten: { ...k.forgotten, [key]: Date.now() } };
    await this.store.change(kinds.kitchen, 'kitchen', `learn ${name} anew`, k, next, 'log');
  }
  protected async remember(): Promise<void> {
    const k = this.desk.kitchen();
    const { forgotten: _gone, ...rest } = k;
    await this.store.change(kinds.kitchen, 'kitchen', 'count all bakes again', k, rest, 'log');
  }
}
