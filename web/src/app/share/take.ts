import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Desk } from '../desk/desk';
import { Intake } from '../shelf/intake';
import { textOf } from './link';

/** A link that somebody sent: what it holds is looked over like any recipe before it goes on the shelf. */
@Component({
  selector: 'orvin-take',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (problem() === '') {
      <h1>Unpacking a formula…</h1>
      <p class="quiet">It is in the link itself; nothing is fetched.</p>
    } @else {
      <h1>This link cannot be opened</h1>
      <p role="alert">{{ problem() }} Ask for it to be sent again, whole, or as a file.</p>
      <p><a routerLink="/shelf">to the shelf</a></p>
    }
  `,
})
export class Take {
  private readonly intake = inject(Intake);
  private readonly desk = inject(Desk);
  protected readonly problem = signal('');

  constructor() {
    void this.open();
  }

  private async open(): Promise<void> {
    try {
      const text = await textOf(location.hash);
      if (!(await this.intake.read(text, this.desk.kitchen()))) this.problem.set('It could not be read.');
    } catch (e) {
      this.problem.set(e instanceof Error ? e.message : 'It could not be read.');
    }
  }
}
