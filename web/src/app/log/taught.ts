import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { knownOf, ovenOff, racks, USUAL_WAIT_MIN, type BakeRecord } from '@orvin/core';
import { kinds } from '../data/kinds';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Learning } from '../desk/learning';
import { dateWords } from '../ui/when';
import { degreesBy, ovenScale } from '../ui/words';
import { OvenDial } from './oven-dial';

/** One thing that was learned, as a place on a line of its own. */
interface Row {
  readonly key: string;
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

const Z80 = 1.2816;
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
      const about = Math.round(Math.abs(off.mean));
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
              : `Runs about ${degreesBy(about)} ${off.mean > 0 ? 'hot' : 'cool'}.`,
        range: `between ${this.signed(off.mean - Z80 * off.sd)} and ${this.signed(off.mean + Z80 * off.sd)}`,
      };
    }),
  );

  protected readonly groups = computed<readonly Group[]>(() => {
    const k = this.kitchen();
    const l = k.learned;
    if (!l) return [];
    const titles = new Map((this.learning.bakes() ?? []).map((b) => [b.formulaId, b.title]));
    const shares = (prefix: string, name: (id: string) => string, more: readonly string[], slope: number, span: number, word: (pct: number, more: boolean) => string): Row[] =>
      l.keys
        .filter((key) => key.startsWith(`${prefix}:`) && !key.endsWith('~'))
        .map((key) => {
          const id = key.slice(prefix.length + 1);
          const x = knownOf(l, [key, ...more]);
          const [m, s] = [slope * x.mean, Math.abs(slope) * x.sd];
          const pct = Math.round(100 * (Math.exp(Math.abs(m)) - 1));
          return { key, name: name(id), words: pct < 2 ? 'as reckoned' : word(pct, m > 0), bakes: knownOf(l, [key]).bakes, at: onLine(m, span), low: onLine(m - Z80 * s, span), high: onLine(m + Z80 * s, span) };
        })
        .sort((a, b) => b.bakes - a.bakes || a.name.localeCompare(b.name)); // prettier-ignore
    const longer = (pct: number, more: boolean): string => `${pct} % ${more ? 'longer' : 'less time'}`;
    const known = (id: string): string => k.tins.find((t) => t.id === id)?.name ?? id;
    const title = (id: string): string => titles.get(id) ?? id;
    const done = l.keys
      .filter((key) => key.startsWith('done:') && !key.endsWith('~'))
      .map((key): Row => {
        const x = knownOf(l, ['done', key]);
        const by = Math.round(10 * Math.abs(x.mean)) / 10;
        return { key, name: title(key.slice(5)), words: by < 0.75 ? 'as its family sets' : `${degreesBy(by)} ${x.mean > 0 ? 'warmer' : 'cooler'}`, bakes: knownOf(l, [key]).bakes, at: onLine(x.mean, 4), low: onLine(x.mean - Z80 * x.sd, 4), high: onLine(x.mean + Z80 * x.sd, 4) }; // prettier-ignore
      })
      .sort((a, b) => b.bakes - a.bakes);
    const stand = l.keys
      .filter((key) => key.startsWith('stand:') && !key.endsWith('~'))
      .map((key): Row => {
        const x = knownOf(l, ['stand', key]);
        const min = (v: number): number => USUAL_WAIT_MIN * Math.exp(v);
        return { key, name: title(key.slice(6)), words: `about ${Math.max(1, Math.round(min(x.mean)))} min`, bakes: knownOf(l, [key]).bakes, at: Math.min(100, 4 * min(x.mean)), low: Math.min(100, 4 * min(x.mean - Z80 * x.sd)), high: Math.min(100, 4 * min(x.mean + Z80 * x.sd)) }; // prettier-ignore
      })
      .sort((a, b) => b.bakes - a.bakes);
    return [
      { name: 'Tins', words: 'Time against what geometry and metal say.', ends: ['quicker', 'slower'] as const, rows: shares('tin', known, [], -0.6, 0.25, longer) },
      { name: 'When you take it out', words: 'The middle against what its family sets at.', ends: ['earlier', 'later'] as const, rows: done },
      { name: 'How high it rises', words: 'Measured against reckoned.', ends: ['less', 'more'] as const, rows: shares('rise', title, ['rise'], 1, 0.35, (p, m) => `${p} % ${m ? 'higher' : 'lower'}`) },
      { name: 'How thick the batter is', words: 'A cup weighed, against reckoned.', ends: ['lighter', 'heavier'] as const, rows: shares('dense', title, ['dense'], 1, 0.2, (p, m) => `${p} % ${m ? 'heavier' : 'lighter'}`) },
      { name: 'Water it loses', words: 'By the scale, against reckoned.', ends: ['less', 'more'] as const, rows: shares('loss', title, ['loss'], 1, 0.6, (p, m) => `${p} % ${m ? 'more' : 'less'}`) },
      { name: 'How long it stands', words: 'From the bowl to the oven.', ends: ['0', '25 min'] as const, rows: stand },
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

  private signed(k: number): string {
    const x = Math.round(ovenScale() === 'F' ? k * 1.8 : k);
    return x === 0 ? '0' : `${x > 0 ? '+' : '−'}${Math.abs(x)}`;
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
