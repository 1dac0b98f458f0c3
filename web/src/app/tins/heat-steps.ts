import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  alsoSaid,
  coverAtFirst,
  laterStages,
  racks,
  ways,
  waysOf,
  withWay,
  nextStage,
  withSetting,
  withStages,
  type BakeSetting,
  type BakeStage,
  type Cover,
  type Rack,
  type Way,
} from '@orvin/core';
import { Desk } from '../desk/desk';
import { degrees, degreesBy } from '../ui/words';
import { readDegrees } from '../ui/reads';
import { Shown } from '../ui/shown';

const COVERS: readonly { readonly id: Cover; readonly words: string; readonly later: string }[] = [
  { id: 'none', words: 'nothing over it', later: 'uncovered' },
  { id: 'tent', words: 'loose foil over it', later: 'loose foil over it' },
  { id: 'lid', words: 'a lid over it', later: 'under a lid' },
];

/** What else there is to say of how it goes in, and what is usual of each. */
const GROUPS = (
  [
    { id: 'batter', label: 'The batter when it goes in', usual: 'as it was mixed' },
    { id: 'stands', label: 'What it stands on or in', usual: 'on the rack' },
    { id: 'air', label: 'The oven’s air', usual: 'a dry oven' },
    { id: 'moves', label: 'How the air moves', usual: 'fan as set' },
    { id: 'others', label: 'Other trays', usual: 'alone in the oven' },
  ] as const
).map((g) => ({ ...g, ways: ways.filter((w) => w.group === g.id) }));

/** How it goes in: oven hot or not yet, tin cold or hot, covered or not; and what changes of heat and cover follow. */
@Component({
  selector: 'orvin-heat-steps',
  imports: [Shown],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <p class="label">How it goes in</p>
      <p class="small said">
        {{ words() }}
        <button type="button" class="word" (click)="open.set(!open())" [attr.aria-expanded]="open()">
          {{ open() ? 'that is all' : 'change' }}
        </button>
      </p>
    </div>
    @if (stacked() && chosen('others') === '') {
      <p class="small said stacked">
        Two racks are in use, and each tray keeps heat from the other. Reckon this one as
        <button type="button" class="word" (click)="way('others', 'under')">under the other</button>
        <button type="button" class="word" (click)="way('others', 'over')">over the other</button>
      </p>
    }
    @if (open()) {
      <div class="row choices">
        <select class="field" aria-label="The oven when it goes in" (change)="oven($any($event.target).value)">
          <option value="hot" [selected]="reached() === null">into a hot oven</option>
          <option value="warming" [selected]="reached() !== null">into an oven not hot yet</option>
        </select>
        @if (reached() !== null) {
          <input
            class="field heat"
            aria-label="What the oven has reached"
            autocomplete="off"
            [shown]="degrees(reached()!)"
            (change)="setReached($event)"
          />
        }
        <select class="field" aria-label="The tin when it is filled" (change)="hot($any($event.target).value)">
          <option value="cold" [selected]="!setting().hotTin">tin cold</option>
          <option value="hot" [selected]="setting().hotTin">tin heated empty first</option>
        </select>
        @for (g of shownGroups(); track g.id) {
          <select class="field" [attr.aria-label]="g.label" (change)="way(g.id, $any($event.target).value)">
            <option value="" [selected]="chosen(g.id) === ''">{{ g.usual }}</option>
            @for (w of g.ways; track w.id) {
              <option [value]="w.id" [selected]="chosen(g.id) === w.id">{{ w.words }}</option>
            }
          </select>
        }
        <select class="field" aria-label="Over it at first" (change)="cover($any($event.target).value)">
          @for (c of covers; track c.id) {
            <option [value]="c.id" [selected]="first() === c.id">{{ c.words }}</option>
          }
        </select>
        @if (ovens().length > 1) {
          <select class="field" aria-label="Which oven" (change)="which($any($event.target).value)">
            @for (o of ovens(); track o.id) {
              <option [value]="o.id" [selected]="o.id === ovenId()">{{ o.name }}</option>
            }
          </select>
        }
        <select class="field" aria-label="Where it stands in the oven" (change)="stands($any($event.target).value)">
          @for (r of racks; track r) {
            <option [value]="r" [selected]="r === rack()">{{ r }} rack</option>
          }
        </select>
        @if (more() || opened() !== '') {
          <label>
            <span>door opened after</span>
            <input
              class="field minutes"
              inputmode="numeric"
              autocomplete="off"
              aria-label="Minutes after which the door is opened"
              placeholder="–"
              [shown]="opened()"
              (change)="opens($event)"
            />
            <span>min</span>
          </label>
        }
        @if (later().length === 0) {
          <button type="button" class="word" (click)="add()">then change heat or cover</button>
        }
        @if (!more() && shownGroups().length < groups.length) {
          <button type="button" class="word" (click)="more.set(true)">
            from the cold, in water, in steam, on stone, other trays
          </button>
        }
      </div>
      @for (s of later(); track $index) {
        <div class="row">
          <label>
            <span>after</span>
            <input
              class="field minutes"
              type="number"
              min="1"
              max="360"
              [shown]="s.fromMin"
              (change)="setMinute($index, $event)"
            />
            <span>min</span>
          </label>
          <input
            class="field heat"
            [attr.aria-label]="'Heat after ' + s.fromMin + ' minutes'"
            autocomplete="off"
            [shown]="degrees(s.ovenC, true)"
            (change)="setHeat($index, $event)"
          />
          <select
            class="field"
            [attr.aria-label]="'Over it after ' + s.fromMin + ' minutes'"
            (change)="change($index, { cover: $any($event.target).value })"
          >
            @for (c of covers; track c.id) {
              <option [value]="c.id" [selected]="(s.cover ?? 'none') === c.id">{{ c.later }}</option>
            }
          </select>
          <button
            type="button"
            class="word"
            (click)="remove($index)"
            [attr.aria-label]="'Leave out the change after ' + s.fromMin + ' minutes'"
          >
            leave out
          </button>
          @if ($last && later().length < 4) {
            <button type="button" class="word" (click)="add()">and then</button>
          }
        </div>
      }
    }
    @if (problem() !== '') {
      <p class="small faulty" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-top: 0.9rem;
    }
    .said {
      color: var(--ink-2);
    }
    .stacked {
      margin: 0.3rem 0 0;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.35rem 0.5rem;
      margin-top: 0.35rem;
    }
    .choices {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
    }
    .choices > * {
      width: 100%;
      text-overflow: ellipsis;
    }
    .choices > label {
      grid-column: span 2;
    }
    .choices > .word {
      grid-column: 1 / -1;
      justify-self: start;
      width: auto;
    }
    .field {
      min-height: 2.1rem;
      font-size: 0.94rem;
    }
    label {
      display: flex;
      align-items: center;
      gap: 0.4rem;
    }
    .minutes {
      width: 4.2rem;
      text-align: right;
    }
    .choices .minutes {
      width: 6.4rem;
    }
    .heat {
      width: 6rem;
      text-align: right;
      font-weight: 650;
    }
  `,
})
export class HeatSteps {
  /** When it is likely done, min, for the first guess at a change. */
  readonly likely = input(40);
  /** Whether what is baked takes more than one rack. */
  readonly stacked = input(false);
  private readonly desk = inject(Desk);
  protected readonly covers = COVERS;
  protected readonly degrees = degrees;
  protected readonly problem = signal('');
  protected readonly open = signal(false);
  /** All of it in a sentence, as long as nobody changes it. */
  protected readonly words = computed(() => {
    const c = this.reached();
    const cover = (id: Cover | undefined, how: 'words' | 'later'): string =>
      COVERS.find((x) => x.id === (id ?? 'none'))?.[how] ?? '';
    return [
      c === null ? 'Into a hot oven' : `Into an oven at ${degrees(c)}`,
      this.setting().hotTin ? 'tin heated empty first' : 'tin cold',
      ...waysOf(this.setting()).map((w) => w.words),
      ...alsoSaid(this.setting(), degreesBy),
      ...(this.ovenId() === this.ovens()[0]?.id ? [] : [this.ovens().find((o) => o.id === this.ovenId())?.name ?? '']),
      ...(this.rack() === 'middle' ? [] : [`${this.rack()} rack`]),
      ...(this.first() === 'none' && this.later().length === 0 ? [] : [cover(this.first(), 'words')]),
      ...this.later().map((s) => `after ${s.fromMin} min ${degrees(s.ovenC, true)}, ${cover(s.cover, 'later')}`),
    ].join('; ');
  });
  protected readonly setting = computed<BakeSetting>(
    () => this.desk.formula()?.bake ?? { ovenC: 180, fan: this.desk.kitchen().ovens[0]?.fan ?? false },
  );
  protected readonly first = computed(() => coverAtFirst(this.setting()));
  protected readonly later = computed(() => laterStages(this.setting()));
  protected readonly racks = racks;
  protected readonly ovens = computed(() => this.desk.kitchen().ovens);
  protected readonly ovenId = computed(() => this.desk.plan().ovenId ?? this.ovens()[0]?.id);
  protected readonly rack = computed<Rack>(() => this.desk.plan().rack ?? 'middle');
  protected readonly reached = computed(() => this.desk.plan().ovenReachedC ?? null);

  protected oven(how: string): void {
    const { ovenReachedC: _was, ...plan } = this.desk.plan();
    const warming = how === 'warming';
    void this.desk.change(warming ? 'into an oven not hot yet' : 'into a hot oven', {
      plan: { ...plan, ...(warming && { ovenReachedC: Math.min(100, this.setting().ovenC - 20) }) },
    });
  }

  protected which(id: string): void {
    const { ovenId: _was, ...plan } = this.desk.plan();
    const oven = this.ovens().find((o) => o.id === id);
    void this.desk.change(`bake in the ${oven?.name ?? id}`, {
      plan: { ...plan, ...(id !== this.ovens()[0]?.id && { ovenId: id }) },
    });
  }
  protected stands(rack: Rack): void {
    const { rack: _was, ...plan } = this.desk.plan();
    void this.desk.change(`${rack} rack`, { plan: { ...plan, ...(rack !== 'middle' && { rack }) } });
  }

  protected setReached(e: Event): void {
    const c = this.read(e, this.reached() ?? 100);
    if (c === null) return;
    if (c < 0 || c > this.setting().ovenC) {
      this.problem.set(
        `The oven is set to ${degrees(this.setting().ovenC, true)}; it cannot have reached ${degrees(c)}. It stays at ${degrees(this.reached() ?? 100)}.`,
      );
      return;
    }
    void this.desk.change(`oven at ${degrees(c)} when it goes in`, { plan: { ...this.desk.plan(), ovenReachedC: c } });
  }

  protected hot(how: string): void {
    const { hotTin: _was, ...bake } = this.setting();
    this.keep(how === 'hot' ? 'tin heated first' : 'tin cold', { ...bake, ...(how === 'hot' && { hotTin: true }) });
  }

  protected readonly groups = GROUPS;
  /** What is seldom wanted stands there when it is asked for, or when it is chosen. */
  protected readonly more = signal(false);
  protected readonly shownGroups = computed(() => {
    const chosen = new Set(waysOf(this.setting()).map((w) => w.group));
    return GROUPS.filter((g) => this.more() || chosen.has(g.id));
  });
  protected chosen(group: Way['group']): string {
    return waysOf(this.setting()).find((w) => w.group === group)?.id ?? '';
  }
  protected way(group: Way['group'], id: string): void {
    const next = withWay(this.setting(), group, id === '' ? null : id);
    this.keep(ways.find((w) => w.id === id)?.words ?? GROUPS.find((g) => g.id === group)?.usual ?? group, next);
  }

  /** When the door is opened, min. */
  protected readonly opened = computed(() => (this.setting().conditions?.openedMin ?? []).join(', '));
  protected opens(e: Event): void {
    const field = e.target as HTMLInputElement;
    const said = field.value.trim();
    if (said === this.opened()) return;
    const minutes = said === '' ? [] : said.split(/[\s,;]+/).map(Number);
    if (minutes.some((m) => !(m >= 1 && m <= 360))) {
      const stays = this.opened() === '' ? 'It stays shut.' : `It stays at ${this.opened()}.`;
      this.problem.set(`The door is opened between 1 and 360 minutes after it goes in: 20, or 20, 30. ${stays}`);
      field.value = this.opened();
      return;
    }
    const openedMin = minutes.sort((a, b) => a - b);
    const { conditions = {}, ...rest } = this.setting();
    const { openedMin: _was, ...others } = conditions;
    const next = { ...others, ...(openedMin.length > 0 && { openedMin }) };
    this.keep(
      openedMin.length > 0 ? `the door opened after ${openedMin.join(' and ')} min` : 'the door stays shut',
      Object.keys(next).length > 0 ? { ...rest, conditions: next } : rest,
    );
  }

  protected cover(id: string): void {
    const cover = COVERS.find((c) => c.id === id);
    if (cover) this.keep(`${cover.words} at first`, withStages(this.setting(), cover.id));
  }

  protected add(): void {
    this.stages('change the heat later', [...this.later(), nextStage(this.setting(), this.likely())]);
  }

  protected remove(i: number): void {
    this.stages(
      'leave out a change of heat',
      this.later().filter((_, k) => k !== i),
    );
  }

  protected setMinute(i: number, e: Event): void {
    const field = e.target as HTMLInputElement;
    const fromMin = Math.round(Number(field.value));
    const other = this.later().some((s, k) => k !== i && s.fromMin === fromMin);
    if (!(fromMin >= 1 && fromMin <= 360) || other) {
      const was = this.later()[i]?.fromMin;
      this.problem.set(
        (other
          ? `There is a change after ${fromMin} minutes already.`
          : 'A change comes between 1 and 360 minutes after it goes in.') + ` This one stays at ${was}.`,
      );
      field.value = String(was ?? '');
      return;
    }
    this.change(i, { fromMin });
  }

  protected setHeat(i: number, e: Event): void {
    const ovenC = this.read(e, this.later()[i]?.ovenC ?? 180);
    if (ovenC !== null) this.change(i, { ovenC });
  }

  protected change(i: number, by: Partial<BakeStage>): void {
    this.stages(
      'change heat or cover',
      this.later().map((s, k) => (k === i ? { ...s, ...by } : s)),
    );
  }

  /** A heat as typed, °C; says what is wrong with one that cannot be read. */
  private read(e: Event, was: number): number | null {
    const field = e.target as HTMLInputElement;
    const read = readDegrees(field.value);
    if (!read) this.problem.set(`"${field.value}" is no heat I can read. It stays ${degrees(was, true)}.`);
    return read?.ovenC ?? null;
  }

  private stages(label: string, later: readonly BakeStage[]): void {
    this.keep(label, withStages(this.setting(), this.first(), later));
  }

  private keep(label: string, bake: BakeSetting): void {
    const f = this.desk.formula();
    this.problem.set('');
    // a stated time stays with the setting it was stated for
    const { stages, hotTin, startC, conditions } = bake;
    const by = { stages, hotTin, startC, conditions } as Partial<BakeSetting>;
    if (f) void this.desk.change(label, { formula: { ...f, bake: withSetting(this.setting(), by) } });
  }
}
