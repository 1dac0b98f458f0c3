import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { all, host } from './testing/page';
import { Asks } from './asks';

@Component({
  imports: [Asks],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <orvin-asks label="less" [asks]="asks" [pressed]="pressed()" (pick)="picked.push($event)" />
    <orvin-asks [asks]="asks" away="take it out again" (pick)="picked.push($event)">
      <button type="button">more</button>
    </orvin-asks>
  `,
})
class Page {
  readonly asks = [
    { id: 'sugar', name: 'sugar', title: 'A quarter less', says: 'less sugar' },
    { id: 'pear', name: 'pear' },
  ];
  readonly pressed = signal<readonly string[]>(['pear']);
  readonly picked: string[] = [];
}

describe('a row of wishes to press', () => {
  const drawn = async () => {
    const fixture = TestBed.createComponent(Page);
    await fixture.whenStable();
    const [offered, inForce] = all(host(fixture), 'orvin-asks') as HTMLElement[];
    if (!offered || !inForce) throw new Error('two rows were asked for');
    return { fixture, offered, inForce };
  };
  const presses = (row: HTMLElement): HTMLButtonElement[] => all(row, '.ask') as HTMLButtonElement[];

  it('shows which are pressed, and tells which was picked', async () => {
    const { fixture, offered } = await drawn();
    const [sugar, pear] = presses(offered);
    expect(sugar?.getAttribute('aria-pressed')).toBe('false');
    expect(pear?.getAttribute('aria-pressed')).toBe('true');
    sugar?.click();
    expect(fixture.componentInstance.picked).toEqual(['sugar']);
    fixture.componentInstance.pressed.set(['sugar']);
    await fixture.whenStable();
    expect(presses(offered).map((b) => b.getAttribute('aria-pressed'))).toEqual(['true', 'false']);
  });

  it('is called aloud by more than its name where that alone says too little', async () => {
    const { offered } = await drawn();
    const [sugar, pear] = presses(offered);
    expect(sugar?.getAttribute('aria-label')).toBe('less sugar');
    expect(sugar?.title).toBe('A quarter less');
    // its own text is its name
    expect(pear?.hasAttribute('aria-label')).toBeFalse();
    expect(pear?.hasAttribute('title')).toBeFalse();
    expect(offered.querySelector('.label')?.textContent).toBe('less');
  });

  it('where all are in force says what a press takes away, and stands before what is put beside', async () => {
    const { fixture, inForce } = await drawn();
    const [, pear] = presses(inForce);
    expect(pear?.getAttribute('aria-pressed')).toBe('true');
    expect(pear?.getAttribute('aria-label')).toBe('pear; take it out again');
    expect(pear?.textContent?.trim()).toBe('pear ✕');
    pear?.click();
    expect(fixture.componentInstance.picked).toEqual(['pear']);
    expect(inForce.querySelector('.label')).toBeNull();
    expect(inForce.lastElementChild?.textContent).toBe('more');
  });
});
