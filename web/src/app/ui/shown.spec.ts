import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Shown } from './shown';

@Component({
  selector: 'orvin-shown-in-a-field',
  imports: [Shown],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<input [shown]="plan()" (change)="plan.set($any($event.target).value)" />`,
})
class Field {
  readonly plan = signal('09:40');
}

describe('Shown', () => {
  function field() {
    const fixture = TestBed.createComponent(Field);
    const see = (): void => fixture.detectChanges();
    see();
    const input = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
    const type = (text: string): void => {
      input.value = text;
      input.dispatchEvent(new Event('input', { bubbles: true }));
    };
    const plan = (text: string): void => {
      fixture.componentInstance.plan.set(text);
      see();
    };
    return { input, type, plan, see, now: () => fixture.componentInstance.plan() };
  }

  it('shows what comes from elsewhere while nobody types', () => {
    const { input, plan } = field();
    expect(input.value).toBe('09:40');
    plan('09:55');
    expect(input.value).toBe('09:55');
  });

  it('never writes over what is being typed, and takes it', () => {
    const { input, type, plan, see, now } = field();
    type('15:00');
    plan('09:55');
    expect(input.value).toBe('15:00');
    input.dispatchEvent(new Event('change', { bubbles: true }));
    see();
    expect(now()).toBe('15:00');
    expect(input.value).toBe('15:00');
    plan('15:05');
    expect(input.value).toBe('15:05');
  });

  it('keeps a marked value marked, so that what is typed takes the place of what came meanwhile', () => {
    const { input, plan } = field();
    document.body.append(input);
    input.focus();
    input.select();
    plan('09:55');
    expect(input.value.slice(input.selectionStart ?? 0, input.selectionEnd ?? 0)).toBe('09:55');
    input.setSelectionRange(2, 2);
    plan('10:05');
    expect(input.selectionStart).toBe(input.selectionEnd);
    input.remove();
  });

  it('left without a change, it shows what has come since', () => {
    const { input, type, plan } = field();
    type('09:40');
    plan('09:55');
    input.dispatchEvent(new Event('blur'));
    expect(input.value).toBe('09:55');
  });
});
