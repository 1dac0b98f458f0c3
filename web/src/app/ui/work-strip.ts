import { CdkDrag, CdkDropList, CdkDropListGroup, type CdkDragDrop } from '@angular/cdk/drag-drop';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  Injector,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { awayOf, dialIn, ingredientFor, moveOperation, operations, plainName, type Formula, type Kitchen, type Operation, type Phase, type Share } from '@orvin/core'; // prettier-ignore
import { roleColour } from './figures';

/** A piece of the work as it stands on the line. */
interface Piece {
  readonly id: string;
  readonly op: Operation;
  readonly verb: string;
  readonly things: readonly { readonly name: string; readonly colour: string }[];
  readonly more: number;
  readonly time: string;
  readonly own: boolean;
}
/** A stretch of the line, seen from the oven. */
interface Zone {
  readonly id: 'before' | 'in' | 'after' | 'later';
  readonly name: string;
  readonly pieces: readonly Piece[];
}

const zoneOf: Readonly<Record<Phase, Zone['id']>> = {
  ahead: 'before',
  mix: 'before',
  shape: 'before',
  oven: 'in',
  after: 'after',
  later: 'later',
};
const names: readonly (readonly [Zone['id'], oven: string, away: string])[] = [
  ['before', 'Before the oven', 'Before the heat'],
  ['in', 'In the oven', 'On the heat'],
  ['after', 'Once it is out', 'Once it is off'],
  ['later', 'Later days', 'Later days'],
];
const SHOWN = 3;
/** What Orvin adds, in a word or two. */
const added: Readonly<Record<string, string>> = {
  'take out:butter': 'butter out',
  'take out:cold': 'ice-cold fat',
  'oven on': 'oven on',
  tins: 'tin ready',
  weigh: 'weigh',
  'fill:0': 'fill',
  in: 'in',
  out: 'out',
  'wait:tin': 'in its tin',
  unmould: 'turn out',
  cool: 'cool',
};
/** Which of eggs and milk come out of the fridge, by what the operation says. */
const fromTheCold = ({ id, words }: Operation): string | null =>
  id === 'take out:eggs' ? (words.startsWith('Eggs and') ? 'eggs, milk out' : words.startsWith('Eggs') ? 'eggs out' : 'milk out') : null; // prettier-ignore
const parts: readonly (readonly [number, string])[] = [
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
];
/** How much of a line goes in, where it is not all of it. */
const partOf = (s: Share): string =>
  s === 1 ? '' : typeof s === 'string' ? (s === 'kept back' ? 'kept' : s) : (parts.find(([x]) => Math.abs(x - s) < 0.03)?.[1] ?? `${Math.round(100 * s)} %`); // prettier-ignore

const span = (min: number): string =>
  min < 1 ? `${Math.round(min * 60)} s` : min < 120 ? `${Math.round(min)} min` : min < 48 * 60 ? `${Math.round(min / 6) / 10} h` : `${Math.round(min / 1440)} d`; // prettier-ignore

function timeOf(o: Operation, k: Kitchen): string {
  if (o.heatC !== undefined && o.verb !== 'bake') return dialIn(k.display.temperature, o.heatC);
  if (o.repeat) return `every ${o.repeat.everyDays} d`;
  if (o.days !== undefined && o.phase === 'later') return `${o.days} d`;
  if (o.atShare === 0.5) return 'half-way';
  if (o.atMin !== undefined) return o.beforeEnd ? `last ${o.atMin} min` : `at ${o.atMin} min`;
  if (!o.forMin) return '';
  const { low, high, typical } = o.forMin;
  return o.by === 'baker' && high > low * 1.02 && high < 180 ? `${Math.round(low)}–${span(high)}` : span(typical);
}

/**
 * The method as pieces of work on a line with the oven in it: before, in, out, later. A piece is pulled, or moved with
 * Shift and the arrows, when it was read into the wrong place.
 */
@Component({
  selector: 'orvin-work-strip',
  imports: [CdkDrag, CdkDropList, CdkDropListGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './work-strip.html',
  styleUrl: './work-strip.scss',
})
export class WorkStrip {
  readonly formula = input.required<Formula>();
  readonly kitchen = input.required<Kitchen>();
  /** The formula with a piece put elsewhere, and what was done in words. */
  readonly moved = output<{ readonly formula: Formula; readonly words: string }>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);

  private readonly work = computed(() => operations(this.formula(), this.kitchen()));
  protected readonly zones = computed<readonly Zone[]>(() => {
    const f = this.formula();
    const away = awayOf(f) !== null;
    const items = new Map(f.groups.flatMap((g) => g.items).map((i) => [i.id, i]));
    const pieces = this.work().map((op): Piece => {
      const things = op.takes.flatMap((t) => {
        const item = items.get(t.itemId);
        if (!item) return [];
        const i = ingredientFor(f, item, this.kitchen());
        return [
          {
            name: `${partOf(t.share)} ${plainName(i.id === 'unknown' ? item.words : i.name)}`.trim(),
            colour: roleColour[i.role],
          },
        ];
      });
      return { id: op.id, op, verb: op.by === 'orvin' ? (fromTheCold(op) ?? (away && op.verb === 'heat' ? 'heat' : added[op.id]) ?? op.verb) : away && op.verb === 'bake' ? 'cook' : op.verb, things: things.slice(0, SHOWN), more: Math.max(0, things.length - SHOWN), time: timeOf(op, this.kitchen()), own: op.by === 'baker' }; // prettier-ignore
    });
    return names
      .map(([id, oven, off]) => ({
        id,
        name: away ? off : oven,
        pieces: pieces.filter((p) => zoneOf[p.op.phase] === id),
      }))
      .filter((z) => z.pieces.length > 0 || z.id !== 'later');
  });
  private readonly all = computed(() => this.zones().flatMap((z) => z.pieces));
  protected readonly chosenId = signal<string | null>(null);
  protected readonly chosen = computed(() => this.all().find((p) => p.id === this.chosenId()) ?? null);
  protected readonly corrected = computed(() => (this.formula().work ?? []).length);
  /** The one piece that Tab comes to. */
  protected readonly stop = computed(() => this.chosen()?.id ?? this.all()[0]?.id ?? null);

  protected choose(p: Piece): void {
    this.chosenId.set(p.id);
  }

  protected dropped(e: CdkDragDrop<Zone, Zone, Piece>): void {
    const piece = e.item.data;
    const rest = e.container.data.pieces.filter((p) => p.id !== piece.id);
    const next = rest.slice(e.currentIndex).find((p) => p.own);
    this.put(piece, e.container.data.id, next ?? null, rest);
  }

  protected key(e: KeyboardEvent, p: Piece): void {
    const by =
      e.key === 'ArrowRight' || e.key === 'ArrowDown' ? 1 : e.key === 'ArrowLeft' || e.key === 'ArrowUp' ? -1 : 0;
    if (by === 0 || e.ctrlKey || e.metaKey || e.altKey) return;
    e.preventDefault();
    const all = this.all();
    const at = all.findIndex((x) => x.id === p.id);
    if (!e.shiftKey) {
      const to = all[at + by];
      if (to) this.focus(to.id);
      return;
    }
    this.nudge(p, by);
  }

  /** One place earlier or later; at the end of its stretch into the next one. */
  protected nudge(p: Piece, by: 1 | -1): void {
    if (!p.own) return;
    const zones = this.zones();
    const z = zones.findIndex((x) => x.pieces.some((y) => y.id === p.id));
    const zone = zones[z];
    if (!zone) return;
    const own = zone.pieces.filter((x) => x.own);
    const at = own.findIndex((x) => x.id === p.id);
    const to = at + by;
    if (to >= 0 && to < own.length) {
      const next = by < 0 ? own[to] : own[to + 1];
      this.put(
        p,
        zone.id,
        next ?? null,
        own.filter((x) => x.id !== p.id),
      );
      return;
    }
    const other = zones[z + by];
    if (!other) return;
    const first = by > 0 ? other.pieces.find((x) => x.own) : undefined;
    this.put(p, other.id, first ?? null, other.pieces);
  }

  /** The phase a piece comes to by what it is put beside. */
  private put(p: Piece, zone: Zone['id'], before: Piece | null, rest: readonly Piece[]): void {
    if (!p.own) return;
    const last = rest.findLast((x) => x.own) ?? null;
    const beside = before ?? last;
    const phase: Phase =
      zone === 'in' ? 'oven' : zone === 'after' ? 'after' : zone === 'later' ? 'later' : (beside?.op.phase ?? 'mix');
    const formula = moveOperation(this.formula(), p.id, phase, before?.id ?? null, this.kitchen());
    if (formula === this.formula()) return;
    this.chosenId.set(p.id);
    this.moved.emit({
      formula,
      words: `"${p.op.words.slice(0, 40)}" ${zone === 'in' ? 'in the oven' : zone === 'before' ? 'before the oven' : 'once it is out'}`,
    });
    afterNextRender(() => this.focus(p.id), { injector: this.injector });
  }

  private focus(id: string): void {
    this.chosenId.set(id);
    this.host.nativeElement.querySelector<HTMLElement>(`[data-op="${CSS.escape(id)}"]`)?.focus();
  }

  protected readonly label = (p: Piece): string =>
    [p.op.words, p.time, p.own ? '' : 'added by Orvin'].filter((x) => x !== '').join(', ');
}
