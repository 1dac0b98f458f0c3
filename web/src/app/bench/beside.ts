import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { allItems, beside, ingredientFor, type BesideFigure, type Formula } from '@orvin/core';
import { SelectModule } from 'primeng/select';
import { Desk } from '../desk/desk';
import { Judgement } from '../desk/judgement';
import { Around } from './around';
import { BeamDrawing } from './beam-drawing';
import { Expect } from './expect';
import { LedgerDrawing } from './ledger';
import { LiftDrawing } from './lift';
import { Ranges } from './ranges';
import { WaterLineDrawing } from './water-line';
import { mass, pct, roleColour } from '../ui/figures';

/** Two formulas, or two versions of one, side by side: what differs, line by line, and every instrument of both. */
@Component({
  selector: 'orvin-beside',
  imports: [
    FormsModule,
    RouterLink,
    SelectModule,
    BeamDrawing,
    Expect,
    LedgerDrawing,
    LiftDrawing,
    Ranges,
    WaterLineDrawing,
  ],
  providers: [Around],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './beside.html',
  styleUrl: './beside.scss',
})
export class BesideView {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  private readonly judgement = inject(Judgement);
  protected readonly around = inject(Around);
  private readonly leftId = signal('now');
  private readonly rightId = signal<string | null>(null);
  protected readonly mass = mass;
  protected readonly pct = pct;

  protected readonly options = computed(() => {
    const f = this.desk.formula();
    if (!f) return [];
    return [
      { id: 'now', title: `${f.title}, as it is`, formula: f },
      ...this.around.candidates().map((c) => ({
        id: c.id,
        title: c.version ? `${f.title}, ${c.title}` : c.title,
        formula: c.formula,
      })),
    ];
  });
  /** The latest version that differs, or else the formula of the same family that was touched last. */
  private readonly obvious = computed(() => {
    const f = this.desk.formula();
    const others = this.around.candidates();
    const versions = others.filter((o) => o.version && JSON.stringify(o.formula) !== JSON.stringify(f));
    return (
      (
        versions.at(-1) ??
        others.find((o) => !o.version && o.formula.family === f?.family) ??
        others.find((o) => !o.version)
      )?.id ?? 'now'
    );
  });
  protected readonly sides = computed(() => {
    const kitchen = this.desk.kitchen();
    const pick = (id: string) => this.options().find((o) => o.id === id) ?? this.options()[0];
    return [pick(this.leftId()), pick(this.rightId() ?? this.obvious())]
      .filter((o) => o !== undefined)
      .map((o, i) => ({
        side: i === 0 ? 'left' : 'right',
        ...o,
        assessment: this.judgement.assess(o.formula, kitchen),
        colours: this.coloursOf(o.formula),
      }));
  });
  /** The larger of the two, for one scale of lift; and of time. */
  protected readonly reach = computed(() =>
    Math.max(
      ...this.sides().map(({ assessment: { lift, family } }) =>
        Math.max(lift.mmolPer100gBase.high, family.id === 'free' ? 0 : lift.target[1]),
      ),
    ),
  );
  protected readonly waits = computed(() =>
    Math.max(...this.sides().map((s) => s.assessment.lift.bestBeforeMin.typical)),
  );
  protected readonly both = computed(() => {
    const [a, b] = this.sides();
    this.judgement.ready();
    return a && b ? beside(a.formula, b.formula, this.desk.kitchen()) : null;
  });
  protected readonly summary = computed(() => {
    const [a, b] = this.sides();
    const words = this.both()?.words ?? [];
    if (!a || !b) return '';
    if (a.id === b.id) return 'The same formula twice: choose another on one side.';
    return words.length === 0
      ? 'In per cent of flour they are the same.'
      : `${b.title} beside ${a.title}: ${words.join(', ')}.`;
  });

  constructor() {
    effect(() => {
      const id = this.id();
      void this.desk.pickUp(id).then(() => this.around.look(id));
    });
  }

  protected choose(side: string, id: string): void {
    if (side === 'left') this.leftId.set(id);
    else this.rightId.set(id);
  }

  protected difference(f: BesideFigure): string {
    const d = Number((f.b - f.a).toFixed(f.digits));
    return d === 0 ? 'same' : `${d > 0 ? '+' : '−'}${Math.abs(d)}`;
  }

  private coloursOf(f: Formula): ReadonlyMap<string, string> {
    return new Map(allItems(f).map((i) => [i.id, roleColour[ingredientFor(f, i, this.desk.kitchen()).role]]));
  }
}
