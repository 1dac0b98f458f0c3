import { Directive, ElementRef, effect, inject, input } from '@angular/core';

/**
 * What a field shows while nobody types in it. A value that arrives from elsewhere meanwhile (a plan made again, another
 * tab, an undo) waits until the typed one has been taken or given up: what is typed is never written over.
 */
@Directive({
  selector: 'input[shown], textarea[shown]',
  host: { '(input)': 'typing = true', '(change)': 'typing = false', '(blur)': 'leave()' },
})
export class Shown {
  readonly shown = input.required<string | number | null | undefined>();
  private readonly field = inject<ElementRef<HTMLInputElement | HTMLTextAreaElement>>(ElementRef).nativeElement;
  protected typing = false;

  constructor() {
    effect(() => this.write(this.shown()));
  }

  private write(value: string | number | null | undefined): void {
    if (this.typing) return;
    const { field } = this;
    // who has it marked to type over it types over what comes meanwhile
    const marked = document.activeElement === field && field.value !== '' && field.selectionStart === 0 && field.selectionEnd === field.value.length; // prettier-ignore
    field.value = value === null || value === undefined ? '' : String(value);
    if (marked) field.select();
  }

  /** Left without a change: what was typed is what it was before, and what has come since is shown. */
  protected leave(): void {
    if (!this.typing) return;
    this.typing = false;
    this.write(this.shown());
  }
}
