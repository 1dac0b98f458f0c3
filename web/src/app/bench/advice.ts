import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  effect,
  inject,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { Solving } from '../compute/solving';
import { Desk } from '../desk/desk';
import { Panels } from '../ui/panels';

/** What to do about it, of most consequence first: one press to try it as a ghost, one to keep it or drop it. */
@Component({
  selector: 'orvin-advice',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    '(document:keydown)': 'key($event)',
    '(pointerenter)': 'warm()',
    '(focusin)': 'warm()',
    '[class.trying]': 'desk.ghost() !== null',
    'aria-live': 'polite',
  },
  template: `
    @if (desk.ghost(); as ghost) {
      <div>
        <p class="small">Trying, not stored yet; the dashes show how it was.</p>
        <h2>{{ ghost.words }}</h2>
      </div>
      <div class="presses">
        <button type="button" class="press" (click)="desk.drop()">drop it <kbd>Esc</kbd></button>
        <button #keep type="button" class="press first" (click)="desk.keep()">keep it</button>
      </div>
    } @else if (shown(); as advice) {
      <div>
        <h2>{{ advice.words }}</h2>
        <p class="small quiet">
          @if (all().length > 1) {
            {{ ['The one that matters most', 'The second thought', 'The third thought'][at()] }} of {{ all().length }}.
            <button type="button" class="word" (click)="next()">another</button>
          }
          @if (desk.assessment()?.plausible) {
            <button type="button" class="word" (click)="panels.explain('plausible')">why?</button>
          }
        </p>
      </div>
      <div class="presses">
        <button type="button" class="press" (click)="more.emit()">other ways <kbd>A</kbd></button>
        <button type="button" class="press first" (click)="tryIt()">try it</button>
      </div>
    } @else {
      <div>
        <h2>{{ closing().head }}</h2>
        <p class="small quiet">
          {{ closing().foot }}
          @if (hint(); as h) {
            <button type="button" class="word" (click)="desk.try(h)">see it so</button>
          }
          @if (desk.assessment()?.plausible) {
            <button type="button" class="word" (click)="panels.explain('plausible')">why?</button>
          }
        </p>
      </div>
      @if (desk.formula(); as f) {
        <div class="presses">
          <button type="button" class="press" (click)="more.emit()">
            {{ off() ? 'put it right' : 'change it' }} <kbd>A</kbd>
          </button>
          <a class="press" [routerLink]="['/tins', f.id]">fit it to a tin</a>
        </div>
      }
    }
  `,
  styleUrl: './advice.scss',
})
export class AdviceBar {
  protected readonly desk = inject(Desk);
  protected readonly panels = inject(Panels);
  private readonly solving = inject(Solving);
  /** Asked for more than a single piece of advice. */
  readonly more = output<void>();
  private readonly keepButton = viewChild<ElementRef<HTMLElement>>('keep');
  private readonly turn = signal(0);
  private readonly advice = computed(() => this.desk.assessment()?.advice ?? []);
  protected readonly all = computed(() => this.advice().filter((a) => a.sure !== 'hint'));
  /** What may be worth a try where nothing is plainly wrong, but the whole is a little odd. */
  protected readonly hint = computed(() =>
    this.desk.assessment()?.plausible?.hint ? this.advice().find((a) => a.sure === 'hint') : undefined,
  );
  protected readonly at = computed(() => (this.all().length === 0 ? 0 : this.turn() % this.all().length));
  protected readonly shown = computed(() => this.all()[this.at()] ?? null);

  /** What is said when there is no advice: that all is well only when it is. */
  protected readonly closing = computed<{ head: string; foot: string }>(() => {
    const a = this.desk.assessment();
    const off = a?.verdicts.filter((v) => v.severity !== 'note') ?? [];
    const worst = off.find((v) => v.severity === 'faulty') ?? off[0];
    if (worst)
      return {
        head: 'No single change is known that puts that right.',
        foot:
          worst.suspect?.slip === 'missing'
            ? 'Add what is missing as a line, or ask for ways.'
            : 'Ask for ways, or pull a line and watch the slice.',
      };
    const odd = a?.plausible;
    if (!odd) return { head: 'Not judged yet.', foot: 'What it is judged with is still being fetched.' };
    const warm = a?.verdicts.find(
      (v) => v.id === 'fizzed' || v.id.startsWith('warm:') || v.id === 'method' || v.id === 'load',
    );
    return { head: odd.words, foot: odd.hint || warm?.words || '' };
  });

  protected readonly off = computed(() => this.desk.assessment()?.verdicts.some((v) => v.severity !== 'note') ?? false);

  constructor() {
    // what is being tried can be kept with Enter at once
    effect(() => this.keepButton()?.nativeElement.focus({ preventScroll: true }));
  }

  /** A hand near the presses is about to ask: the solver is loaded meanwhile. */
  protected warm(): void {
    this.solving.warm();
  }

  protected next(): void {
    this.turn.update((i) => i + 1);
  }

  protected tryIt(): void {
    const next = this.shown() ?? this.hint();
    if (next) this.desk.try(next);
  }

  protected key(e: KeyboardEvent): void {
    const target = e.target as HTMLElement;
    const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.closest('p-select') !== null;
    if (typing || this.panels.anyOpen || e.ctrlKey || e.metaKey || e.altKey) return;
    if (this.desk.ghost()) return;
    if (e.key.toLowerCase() === 't') this.tryIt();
    if (e.key.toLowerCase() === 'n') this.next();
  }
}
