import { ChangeDetectionStrategy, Component, computed, inject, resource, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { assess, exercises, same, type ExerciseTask } from '@orvin/core';
import { map, of, startWith, switchMap } from 'rxjs';
import { SliceDrawing } from '../bench/slice';
import { Compute } from '../compute/compute';
import { Kitchens } from '../data/kitchens';
import { Desk } from '../desk/desk';

/** Twelve short exercises on the sample kitchen, each reckoned by the core when it is opened; left at any time. */
@Component({
  selector: 'orvin-try',
  imports: [RouterLink, SliceDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './try.html',
  styleUrl: './try.scss',
})
export class TryView {
  private readonly kitchens = inject(Kitchens);
  private readonly compute = inject(Compute);
  protected readonly desk = inject(Desk);
  protected readonly kitchen = this.desk.kitchen;
  private readonly formulas = resource({ loader: () => this.kitchens.sampleFormulas() });
  private readonly asked = signal<string | null>(null);
  protected readonly done = computed(() => this.kitchen().exercises ?? {});
  protected readonly list = computed(() => exercises.map((e) => ({ id: e.id, title: e.title, done: e.id in this.done() }))); // prettier-ignore
  protected readonly count = computed(() => this.list().filter((e) => e.done).length);
  /** The one that was pressed; else the first that is still to be done. */
  protected readonly exercise = computed(
    () => exercises.find((e) => e.id === this.asked()) ?? exercises.find((e) => !(e.id in this.done())) ?? exercises[0],
  );
  protected readonly failed = computed(() => !this.formulas.isLoading() && (this.formulas.value() ?? []).length === 0);

  /** The kitchen but for what was got right, so that an answer does not ask anew. */
  private readonly place = computed(
    () => {
      const { exercises: _done, ...rest } = this.kitchen();
      return rest;
    },
    { equal: same },
  );
  private readonly request = computed(() => {
    const e = this.exercise();
    const formula = (this.formulas.value() ?? []).find((f) => f.id === e?.on);
    return e && formula ? { id: e.id, formula, kitchen: this.place() } : null;
  });
  protected readonly task = toSignal(
    toObservable(this.request).pipe(
      switchMap((r) =>
        r === null
          ? of(null)
          : this.compute.run('exercise', 'exercise', r.id, r.formula, r.kitchen).pipe(
              map((o) => (o.ok ? { ...o.value, id: r.id } : null)),
              startWith(null),
            ),
      ),
    ),
    { initialValue: null as (ExerciseTask & { readonly id: string }) | null },
  );
  protected readonly assessment = computed(() => {
    const f = this.task()?.formula;
    return f ? assess(f, this.kitchen()) : null;
  });
  /** What was pressed, by exercise. */
  private readonly pressed = signal<Readonly<Record<string, readonly string[]>>>({});
  protected readonly tried = computed(() => this.pressed()[this.task()?.id ?? ''] ?? []);
  protected readonly solved = computed(() => {
    const t = this.task();
    return t !== null && this.tried().some((id) => t.right.includes(id));
  });
  protected readonly next = computed(() => {
    const at = exercises.findIndex((e) => e.id === this.exercise()?.id);
    return exercises[at + 1] ?? null;
  });

  protected open(id: string): void {
    this.asked.set(id);
    this.pressed.update((p) => ({ ...p, [id]: [] }));
  }

  protected answer(id: string): void {
    const t = this.task();
    if (!t || this.solved() || this.tried().includes(id)) return;
    // what is being answered stays open, also once it counts as done
    this.asked.set(t.id);
    this.pressed.update((p) => ({ ...p, [t.id]: [...(p[t.id] ?? []), id] }));
    if (!t.right.includes(id) || t.id in this.done()) return;
    const k = this.kitchen();
    const title = exercises.find((e) => e.id === t.id)?.title ?? '';
    void this.desk.changeKitchen(`"${title}" got right`, { ...k, exercises: { ...k.exercises, [t.id]: Date.now() } });
  }
}
