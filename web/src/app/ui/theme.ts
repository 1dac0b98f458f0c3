import { Injectable, signal } from '@angular/core';

export type ThemeName = 'light' | 'dim';
const KEY = 'orvin-theme';

/**
 * Light for the day, dim for evening kitchens; follows the device until the baker says otherwise. It is kept where it can
 * be read at once, or a dim kitchen would flash on each start.
 */
@Injectable({ providedIn: 'root' })
export class Theme {
  readonly name = signal<ThemeName>('light');

  start(): void {
    const kept = read();
    this.put(kept ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dim' : 'light'));
  }

  /** Takes up what an earlier version kept elsewhere, unless something newer was said. */
  recall(kept: unknown): void {
    if (read() === null && (kept === 'light' || kept === 'dim')) this.keep(kept);
  }

  toggle(): void {
    this.keep(this.name() === 'light' ? 'dim' : 'light');
  }

  private keep(next: ThemeName): void {
    this.put(next);
    try {
      localStorage.setItem(KEY, next);
    } catch {
      // not allowed, or full: it holds until the page is left
    }
  }

  private put(name: ThemeName): void {
    this.name.set(name);
    document.documentElement.dataset['theme'] = name;
  }
}

function read(): ThemeName | null {
  try {
    const kept = localStorage.getItem(KEY);
    return kept === 'light' || kept === 'dim' ? kept : null;
  } catch {
    return null;
  }
}
