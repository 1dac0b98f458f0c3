import type { ComponentFixture } from '@angular/core/testing';

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
