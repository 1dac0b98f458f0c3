import type { ComponentFixture } from '@angular/core/testing';

export const host = <T>(f: ComponentFixture<T>): HTMLElement => f.nativeElement as HTMLElement;
export const num = (e: Element | null | undefined, name: string): number => Number(e?.getAttribute(name));
export const all = (el: Element, selector: string): Element[] => [...el.querySelectorAll(selector)];
export const press = (target: Element, key: string, more: KeyboardEventInit = {}): boolean =>
  target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));

/** Waits until something holds on a page whose answers come from a worker or the database; fails after 30 s. */
export async function until(fixture: ComponentFixture<unknown>, what: () => boolean, words = ''): Promise<void> {
  for (let i = 0; i < 1200 && !what(); i++) {
    await fixture.whenStable();
    await new Promise((r) => setTimeout(r, 25));
  }
  const text = (fixture.nativeElement as HTMLElement).textContent ?? '';
  expect(what()).withContext(`${words} ${text}`).toBeTrue();
  await fixture.whenStable();
}
