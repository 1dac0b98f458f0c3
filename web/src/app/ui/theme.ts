import { Injectable, inject, signal } from '@angular/core';
import { Kitchens } from '../data/kitchens';

export type ThemeName = 'light' | 'dim';

/** Light for the day, dim for evening kitchens; follows the device until the baker says otherwise. */
@Injectable({ providedIn: 'root' })
export class Theme {
  private readonly kitchens = inject(Kitchens);
  readonly name = signal<ThemeName>('light');

  async start(): Promise<void> {
    const kept = await this.kitchens.setting('theme');
    const wish =
      kept === 'light' || kept === 'dim' ? kept : matchMedia('(prefers-color-scheme: dark)').matches ? 'dim' : 'light';
    this.put(wish);
  }

  toggle(): void {
    const next = this.name() === 'light' ? 'dim' : 'light';
    this.put(next);
    void this.kitchens.setSetting('theme', next);
  }

  private put(name: ThemeName): void {
    this.name.set(name);
    document.documentElement.dataset['theme'] = name;
  }
}
