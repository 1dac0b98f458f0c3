import { Injectable, inject, signal } from '@angular/core';
import type { Formula } from '@orvin/core';
import { Prime } from './prime';

/** Which overlay is open: the reason behind a figure, the sheet of keys, or the finder. One at a time. */
@Injectable({ providedIn: 'root' })
export class Panels {
  private readonly prime = inject(Prime);
  readonly why = signal<string | null>(null);
  /** The formula whose figure is asked about; null for the one in hand. */
  readonly about = signal<Formula | null>(null);
  readonly keys = signal(false);
  readonly find = signal(false);

  explain(key: string, about: Formula | null = null): void {
    this.show(() => {
      this.about.set(about);
      this.why.set(key);
    });
  }

  openKeys(): void {
    this.show(() => this.keys.set(true));
  }

  openFind(): void {
    this.show(() => this.find.set(true));
  }

  private show(open: () => void): void {
    this.closeAll();
    if (this.prime.ready()) open();
    else void this.prime.load().then(open);
  }

  closeAll(): void {
    this.why.set(null);
    this.keys.set(false);
    this.find.set(false);
  }

  get anyOpen(): boolean {
    return this.why() !== null || this.keys() || this.find();
  }
}
