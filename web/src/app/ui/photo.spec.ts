import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Photo } from './photo';
import { until } from './testing/page';

@Component({
  imports: [Photo],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (shown()) {
    <orvin-photo [id]="id()" [small]="small()" alt="a slice" />
  }`,
})
class Host {
  readonly id = signal('one');
  readonly small = signal(false);
  readonly shown = signal(true);
}

const svg = (colour: string): ArrayBuffer =>
  new TextEncoder().encode(`<svg xmlns="http://www.w3.org/2000/svg" width="4" height="3"><rect width="4" height="3" fill="${colour}"/></svg>`).buffer as ArrayBuffer; // prettier-ignore

describe('a photo of a bake', () => {
  let store: Store;

  beforeEach(async () => {
    store = await openKitchen();
    for (const [id, colour] of [
      ['one', 'red'],
      ['two', 'blue'],
    ] as const)
      // prettier-ignore
      await store.write('a photo', (w) => w.photo(
        { id, bakeId: 'b', type: 'image/svg+xml', width: 4, height: 3, bytes: svg(colour) },
        { id, bakeId: 'b', type: 'image/svg+xml', bytes: svg(`dark${colour}`) },
      ));
  });
  afterEach(() => closeKitchen(store));

  it('is read when it comes on the screen, changes with its name, and lets its bytes go when it leaves', async () => {
    const gone = spyOn(URL, 'revokeObjectURL').and.callThrough();
    const fixture = TestBed.createComponent(Host);
    const img = (): HTMLImageElement | null => (fixture.nativeElement as HTMLElement).querySelector('img');
    await until(fixture, () => img() !== null);
    const first = img()?.src ?? '';
    expect(await (await fetch(first)).text()).toContain('fill="red"');
    expect(img()?.alt).toBe('a slice');
    fixture.componentInstance.id.set('two');
    await until(fixture, () => (img()?.src ?? first) !== first);
    expect(await (await fetch(img()?.src ?? '')).text()).toContain('fill="blue"');
    expect(gone).toHaveBeenCalledWith(first);
    const second = img()?.src ?? '';
    fixture.componentInstance.shown.set(false);
    await fixture.whenStable();
    expect(gone).toHaveBeenCalledWith(second);
  });

  it('is the small one in lists, which stays for when it is scrolled to again; one that is gone leaves its place', async () => {
    const fixture = TestBed.createComponent(Host);
    fixture.componentInstance.small.set(true);
    const img = (): HTMLImageElement | null => (fixture.nativeElement as HTMLElement).querySelector('img');
    await until(fixture, () => img() !== null);
    const url = img()?.src ?? '';
    expect(await (await fetch(url)).text()).toContain('fill="darkred"');
    fixture.componentInstance.shown.set(false);
    await fixture.whenStable();
    fixture.componentInstance.shown.set(true);
    await fixture.whenStable();
    expect(img()?.src).toBe(url);
    fixture.componentInstance.id.set('never kept');
    await until(fixture, () => img() === null);
    expect((fixture.nativeElement as HTMLElement).querySelector('orvin-photo')).not.toBeNull();
  });
});
