import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { allItems, familyOf, ingredientFor } from '@orvin/core';
import { DialogModule } from 'primeng/dialog';
import { Store } from '../data/store';
import { Panels } from './panels';

/** Finds a formula by its title, its family or what is in it. */
@Component({
  selector: 'orvin-finder',
  imports: [DialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      [visible]="panels.find()"
      (visibleChange)="panels.find.set(false)"
      [modal]="true"
      [dismissableMask]="true"
      [draggable]="false"
      closeAriaLabel="Close"
      [pt]="{ content: { tabindex: 0 } }"
      [style]="{ width: 'min(34rem, 94vw)' }"
      header="Find a formula"
      (onShow)="field.focus()"
    >
      <label class="visually-hidden" for="find">Title, family or ingredient</label>
      <input
        #field
        id="find"
        class="field"
        autocomplete="off"
        placeholder="pear, muffin, rye…"
        [value]="text()"
        (input)="typed($event)"
        (keydown)="key($event)"
      />
      <ul>
        @for (hit of hits(); track hit.id; let i = $index) {
          <li>
            <button type="button" [class.on]="i === at()" (click)="go(hit.id)">
              <b>{{ hit.title }}</b>&ngsp;<span class="quiet">{{ hit.about }}</span>
            </button>
          </li>
        } @empty {
          <li class="quiet">Nothing on the shelf is called that or contains it.</li>
        }
      </ul>
    </p-dialog>
  `,
  styles: `
    input {
      width: min(30rem, 80vw);
    }
    ul {
      list-style: none;
      margin: 0.8rem 0 0;
      padding: 0;
    }
    button {
      width: 100%;
      text-align: left;
      border: 0;
      background: none;
      padding: 0.5rem 0.6rem;
      border-radius: var(--round-small);
      cursor: pointer;
    }
    button:hover,
    button.on {
      background: var(--rim-wash);
    }
  `,
})
export class FinderPanel {
  protected readonly panels = inject(Panels);
  private readonly router = inject(Router);
  private readonly working = toSignal(inject(Store).working$, { initialValue: [] });
  protected readonly text = signal('');
  protected readonly at = signal(0);
  protected readonly hits = computed(() => {
    const words = this.text().toLowerCase().split(/\s+/).filter(Boolean);
    return this.working()
      .map((w) => {
        const inside = allItems(w.formula).map((i) => ingredientFor(w.formula, i).name);
        const family = familyOf(w.formula.family).name;
        const found = words.length > 0 ? inside.find((n) => n.toLowerCase().includes(words.at(-1) ?? '')) : undefined;
        return {
          id: w.id,
          title: w.formula.title,
          all: `${w.formula.title} ${family} ${inside.join(' ')}`.toLowerCase(),
          about:
            found && !w.formula.title.toLowerCase().includes(words.at(-1) ?? '')
              ? `${family}, with ${found.toLowerCase()}`
              : family,
        };
      })
      .filter((h) => words.every((x) => h.all.includes(x)))
      .slice(0, 8);
  });

  protected typed(e: Event): void {
    this.text.set((e.target as HTMLInputElement).value);
    this.at.set(0);
  }

  protected key(e: KeyboardEvent): void {
    const n = this.hits().length;
    if (e.key === 'ArrowDown') this.at.update((i) => Math.min(n - 1, i + 1));
    else if (e.key === 'ArrowUp') this.at.update((i) => Math.max(0, i - 1));
    else if (e.key === 'Enter') {
      const hit = this.hits()[this.at()];
      if (hit) this.go(hit.id);
    } else return;
    e.preventDefault();
  }

  protected go(id: string): void {
    this.panels.closeAll();
    this.text.set('');
    void this.router.navigate(['/bench', id]);
  }
}
