import { mass, massSpan } from '../ui/figures';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import {
  followUp,
  outcomes,
  racks,
  symptomName,
  type BakeRecord,
  type FollowUp,
  type Marks,
  type Outcome,
  type Rack,
  type Result,
  type SymptomId,
} from '@orvin/core';
import { DateTime } from 'luxon';
import { of, switchMap } from 'rxjs';
import { Store } from '../data/store';
import { Desk } from '../desk/desk';
import { Journal } from '../desk/journal';
import { Learning } from '../desk/learning';
import { Photo } from '../ui/photo';
import { dateWords } from '../ui/when';
import { degrees, dialWords, minuteWords, ovenScale, tinWords } from '../ui/words';
import { MarksPart } from './marks-part';
import { MeasureField } from './measure-field';
import { SymptomDrawing } from './symptom-drawing';
import { SymptomPicker } from './symptom-picker';
import { WhyPart } from './why-part';
import { Shown } from '../ui/shown';

type Figure = 'heightMm' | 'edgeMm' | 'outG' | 'centreC';

/** One bake: what happened, how it came out, and why. Everything can be set right here, and undone. */
@Component({
  selector: 'orvin-bake-sheet',
  imports: [MarksPart, MeasureField, Photo, RouterLink, Shown, SymptomDrawing, SymptomPicker, WhyPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bake-sheet.html',
  styleUrl: './bake-sheet.scss',
})
export class BakeSheet {
  readonly bake = input.required<BakeRecord>();
  readonly beside = output<void>();
  readonly closed = output<void>();
  readonly looked = output<BakeRecord>();
  private readonly store = inject(Store);
  private readonly desk = inject(Desk);
  private readonly journal = inject(Journal);
  private readonly learning = inject(Learning);
  protected readonly outcomes = outcomes;
  protected readonly racks = racks;
  protected readonly picking = signal(false);
  protected readonly large = signal(0);
  protected readonly adding = signal(false);
  protected readonly name = symptomName;
  protected readonly scale = ovenScale;

  protected readonly when = computed(
    () =>
    DateTime.fromMillis(this.bake().at, { zone: this.desk.kitchen().locale.zone }).setLocale('en').toFormat('cccc d LLLL, HH:mm'), // prettier-ignore
  );
  protected readonly ovens = computed(() => this.desk.kitchen().ovens);
  protected readonly seen = computed<readonly SymptomId[]>(() => this.bake().result?.symptoms ?? []);
  protected readonly doubt = computed(() => {
    const d = this.learning.lesson()?.doubts.find((x) => x.bakeId === this.bake().id);
    return d && !this.bake().excluded && !this.bake().confirmed ? d : null;
  });
  protected readonly version = toSignal(
    toObservable(computed(() => this.bake().versionId)).pipe(
      switchMap((id) => (id === null ? of(undefined) : this.store.live((db) => db.versions.get(id)))),
    ),
  );
  protected readonly versionWords = computed(() => {
    const v = this.version();
    return v ? (v.name && v.name !== '' ? `version ${v.n}, ${v.name}` : `version ${v.n}`) : '';
  });
  protected readonly place = computed(() => {
    const b = this.bake();
    const oven = this.ovens().find((o) => o.id === b.ovenId)?.name;
    return `${tinWords(b.tin)}, ${mass(b.batterG)} of batter${b.tin.count > 1 ? ' each' : ''}, ${dialWords({ ovenC: b.ovenC, fan: b.fan })}${oven ? ` in the ${oven.toLowerCase()}` : ''}${b.fromFreezer ? '; from the freezer, so nothing is learned of the oven' : ''}`;
  });
  /** What was seen while it was made, a line each. */
  protected readonly happened = computed(() => {
    const b = this.bake();
    const o = b.observed;
    const last = o?.probe?.at(-1);
    const p = b.predicted;
    return [
      ...(p ? [`${minuteWords(p)} was foretold, likely ${p.likely}`] : []),
      ...(o?.stoodMin ? [`stood ${o.stoodMin} min between bowl and oven`] : []),
      ...(o && o.ovenReadings.length > 0 ? [`thermometer on the rack: ${o.ovenReadings.map((r) => `${degrees(r.ovenC)} after ${r.min} min`).join(', ')}`] : []), // prettier-ignore
      ...(last ? [`probe: ${degrees(last.c)} after ${Math.round(last.min)} min`] : []),
      ...(o && o.added.length > 0 ? [`added: ${o.added.join(', ')}`] : []),
      ...(o && o.weighed.length > 0 ? [`${o.weighed.length === 1 ? 'one weight' : `${o.weighed.length} weights`} read off the scale`] : []), // prettier-ignore
      ...(o?.filled && o.filled.length > 1 ? [`filled with ${massSpan(Math.min(...o.filled), Math.max(...o.filled))}`] : []), // prettier-ignore
      ...(o && o.skipped.length > 0 ? [`left out: ${o.skipped.map((s) => s.replace(/:.*/, '')).join(', ')}`] : []),
      ...(b.factor && b.factor !== 1 ? [`${Number(b.factor.toFixed(2))} times the formula`] : []),
      ...(o?.simulated && o.simulated.length > 0 ? [`simulated: ${o.simulated.join(', ')}; teaches nothing of a real oven`] : []), // prettier-ignore
    ];
  });
  /** The bake whose advice this one tried, and what came of it. */
  protected readonly followed = computed<{ from: BakeRecord; up: FollowUp } | null>(() => {
    const t = this.bake().trial;
    const from = t && this.learning.bakes()?.find((b) => b.id === t.from);
    return from ? { from, up: followUp(from, this.bake()) } : null;
  });
  /** Later bakes that tried what was advised for this one. */
  protected readonly tried = computed(() => {
    const b = this.bake();
    return (this.learning.bakes() ?? []).filter((x) => x.trial?.from === b.id).map((x) => ({ bake: x, up: followUp(b, x), when: this.day(x) })); // prettier-ignore
  });
  protected readonly ask = computed(() => this.seen().length > 0 || !['good', 'fine'].includes(this.bake().outcome));

  private readonly shownId = computed(() => this.bake().id);

  constructor() {
    // another bake begins folded; a change of this one leaves it as it is
    effect(() => {
      this.shownId();
      untracked(() => {
        this.picking.set(false);
        this.large.set(0);
      });
    });
  }

  protected day(b: BakeRecord): string {
    return dateWords(b.at, this.desk.kitchen().locale.zone);
  }
  protected outcome(o: Outcome): void {
    if (o !== this.bake().outcome) void this.journal.change(this.bake(), `say how ${this.bake().title} came out`, { outcome: o }); // prettier-ignore
  }
  protected marks(marks: Marks): void {
    void this.journal.found(this.bake(), `mark ${this.bake().title}`, { marks: Object.keys(marks).length > 0 ? marks : undefined }); // prettier-ignore
  }
  protected symptoms(list: readonly SymptomId[]): void {
    void this.journal.found(this.bake(), `say what was wrong with ${this.bake().title}`, { symptoms: list });
  }
  protected found(key: Figure, x: number | undefined): void {
    const value = x !== undefined && key === 'centreC' && this.scale() === 'F' ? Math.round(((x - 32) / 1.8) * 10) / 10 : x; // prettier-ignore
    void this.journal.found(this.bake(), `measure ${this.bake().title}`, { [key]: value } as Partial<Result>);
  }
  protected cup(g: number | undefined): void {
    const ml = this.bake().result?.cup?.ml ?? this.desk.kitchen().measures.cupMl;
    void this.journal.found(this.bake(), 'weigh a cup of batter', { cup: g === undefined ? undefined : { ml, g } });
  }
  protected centre(): number | undefined {
    const c = this.bake().result?.centreC;
    return c === undefined || this.scale() === 'C' ? c : Math.round(10 * (c * 1.8 + 32)) / 10;
  }
  protected stood(x: number | undefined): void {
    const o = this.bake().observed ?? { beganAt: this.bake().at, intoOvenAt: this.bake().at - this.bake().minutes * 60_000, weighed: [], added: [], skipped: [], ovenReadings: [] }; // prettier-ignore
    const { stoodMin: _was, ...rest } = o;
    void this.journal.change(this.bake(), 'say how long it stood', { observed: x === undefined ? rest : { ...rest, stoodMin: x } }); // prettier-ignore
  }
  protected minutes(x: number | undefined): void {
    if (x !== undefined) void this.journal.change(this.bake(), `set right the time of ${this.bake().title}`, { minutes: x }); // prettier-ignore
  }
  /** The time was no slip: it counts in full, and is not asked about again. */
  protected confirm(): void {
    void this.journal.change(this.bake(), `confirm the time of ${this.bake().title}`, { confirmed: true });
  }
  protected oven(id: string): void {
    void this.journal.change(this.bake(), 'set right the oven', { ovenId: id });
  }
  protected rack(r: Rack): void {
    void this.journal.change(this.bake(), 'say where it stood', { rack: r });
  }
  protected notes(text: string): void {
    if (text.trim() !== this.bake().notes) void this.journal.change(this.bake(), `note on ${this.bake().title}`, { notes: text.trim() }); // prettier-ignore
  }
  protected exclude(): void {
    const b = this.bake();
    void this.journal.change(b, `${b.excluded ? 'learn from' : 'leave out'} ${b.title}`, { excluded: !b.excluded });
  }
  protected remove(): void {
    void this.journal.remove(this.bake());
    this.closed.emit();
  }
  protected async photos(list: FileList | null): Promise<void> {
    if (!list || list.length === 0) return;
    this.adding.set(true);
    await this.journal.addPhotos(this.bake(), [...list]);
    this.adding.set(false);
  }
  protected dropPhoto(id: string): void {
    void this.journal.change(this.bake(), 'take a photo away', { photos: (this.bake().photos ?? []).filter((p) => p !== id) }); // prettier-ignore
    this.large.set(0);
  }
}
