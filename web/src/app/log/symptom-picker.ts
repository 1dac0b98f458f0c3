import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { symptoms, type SymptomId } from '@orvin/core';
import { SymptomDrawing } from './symptom-drawing';

const looks = [
  { id: 'shape', name: 'Its shape' },
  { id: 'crumb', name: 'Inside' },
  { id: 'crust', name: 'Its crust' },
  { id: 'taste', name: 'Its taste' },
  { id: 'batter', name: 'Its batter' },
] as const;

/** What went wrong, chosen by looking: slices as they look with each symptom. */
@Component({
  selector: 'orvin-symptom-picker',
  imports: [SymptomDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (g of groups; track g.id) {
      <div role="group" [attr.aria-label]="g.name">
        <p class="label">{{ g.name }}</p>
        <div class="grid">
          @for (s of g.list; track s.id) {
            <button
              type="button"
              [attr.aria-pressed]="chosen().includes(s.id)"
              [title]="s.words"
              (click)="toggle(s.id)"
            >
              <orvin-symptom-drawing [of]="s.id" />
              <span>{{ s.name }}</span>
              <span class="visually-hidden">: {{ s.words }}</span>
            </button>
          }
        </div>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(6, 1fr);
      gap: 0.6rem 1rem;
    }
    [role='group'] {
      grid-column: 1 / -1;
    }
    [role='group']:nth-child(4) {
      grid-column: 1 / span 3;
    }
    [role='group']:nth-child(5) {
      grid-column: 4 / -1;
    }
    .grid {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(5.1rem, 1fr));
      gap: 0.3rem;
    }
    button {
      display: grid;
      align-content: start;
      gap: 0.1rem;
      padding: 0.3rem 0.35rem 0.35rem;
      border: 1.5px solid transparent;
      border-radius: var(--round-small);
      background: none;
      font-size: 0.82rem;
      line-height: 1.15;
      text-align: center;
      cursor: pointer;
    }
    button:hover {
      border-color: var(--rim-soft);
    }
    button[aria-pressed='true'] {
      border-color: var(--rim);
      background: var(--rim-wash);
      font-weight: 700;
    }
  `,
})
export class SymptomPicker {
  readonly chosen = input<readonly SymptomId[]>([]);
  readonly chose = output<readonly SymptomId[]>();
  protected readonly groups = looks.map((g) => ({ ...g, list: symptoms.filter((s) => s.look === g.id) }));

  protected toggle(id: SymptomId): void {
    const now = this.chosen();
    this.chose.emit(now.includes(id) ? now.filter((s) => s !== id) : [...now, id]);
  }
}
