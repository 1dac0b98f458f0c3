import { Injectable, signal } from '@angular/core';

export interface Notice {
  readonly id: number;
  readonly kind: 'said' | 'problem';
  readonly words: string;
  readonly remedy?: string;
  readonly action?: { readonly label: string; readonly run: () => void };
  /** What it is about; a later notice about the same takes its place. */
  readonly about?: string;
}

/** Short messages at the foot of the screen; problems stay until put away. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private next = 1;
  readonly list = signal<readonly Notice[]>([]);

  say(words: string, action?: Notice['action'], about?: string): void {
    if (about) this.list.update((l) => l.filter((n) => n.about !== about));
    const id = this.add({ kind: 'said', words, ...(action && { action }), ...(about && { about }) });
    setTimeout(() => this.drop(id), 6000);
  }

  problem(words: string, remedy: string): void {
    if (this.list().some((n) => n.words === words)) return;
    this.add({ kind: 'problem', words, remedy });
  }

  drop(id: number): void {
    this.list.update((l) => l.filter((n) => n.id !== id));
  }

  private add(n: Omit<Notice, 'id'>): number {
    const id = this.next++;
    this.list.update((l) => [...l.slice(-3), { ...n, id }]);
    return id;
  }
}

/** What a failed write most likely means, in words with a remedy. */
export function storageTrouble(e: unknown): { words: string; remedy: string } {
  const name = e instanceof Error ? `${e.name} ${(e as { inner?: Error }).inner?.name ?? ''}` : '';
  if (/Quota/.test(name))
    return {
      words: 'This device has no room left for Orvin.',
      remedy: 'Export the kitchen to a file, free some space, then carry on. What is on the screen is still here.',
    };
  if (/DatabaseClosed|InvalidState/.test(name))
    return { words: 'The kitchen was closed by another tab.', remedy: 'Reload this tab to carry on.' };
  return {
    words: 'The last change could not be stored on this device.',
    remedy: 'Export the kitchen to a file to be safe, then reload.',
  };
}
