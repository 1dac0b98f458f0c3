import { Injectable, signal } from '@angular/core';
import { estimate } from './estimate';

export interface Notice {
  readonly id: number;
  readonly kind: 'said' | 'problem';
  readonly words: string;
  readonly remedy?: string;
  readonly action?: { readonly label: string; readonly run: () => void };
  /** What it is about; a later notice about the same takes its place. */
  readonly about?: string;
}

/** What notices of failed writes are about. */
const TROUBLES = new Set<string>();

/** Short messages at the foot of the screen; problems stay until put away. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private next = 1;
  /** Hands over the open kitchen as a file; offered wherever something could not be stored. */
  rescue: Notice['action'] | null = null;
  readonly list = signal<readonly Notice[]>([]);

  say(words: string, action?: Notice['action'], about?: string): void {
    if (about) this.list.update((l) => l.filter((n) => n.about !== about));
    const id = this.add({ kind: 'said', words, ...(action && { action }), ...(about && { about }) });
    setTimeout(() => this.drop(id), 6000);
  }

  problem(words: string, remedy: string, action?: Notice['action']): void {
    if (this.list().some((n) => n.words === words)) return;
    this.add({ kind: 'problem', words, remedy, ...(action && { action }) });
  }

  /**
   * Says what could not be stored and why, how full it is where that is the reason, and offers the kitchen as a file.
   *
   * @param what the change or the thing that was to be stored
   */
  async trouble(e: unknown, what: string): Promise<void> {
    // for whoever looks into it: the words below leave out what a baker has no use for
    console.error(what, e);
    const { words, remedy, full } = storageTrouble(e);
    const room = full ? await roomWords() : '';
    const all = [words, room, `Not stored: ${what}.`].filter((w) => w !== '').join(' ');
    // one at a time: what is on the screen only is listed at the foot of it
    TROUBLES.add(words);
    this.list.update((l) => l.filter((n) => n.about !== words));
    this.add({ kind: 'problem', words: all, remedy, about: words, ...(this.rescue && { action: this.rescue }) });
  }

  /** All that was told of is stored by now. */
  settled(): void {
    this.list.update((l) => l.filter((n) => n.about === undefined || !TROUBLES.has(n.about)));
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

/** How much of its room is taken, in words; empty where the browser does not tell. */
export async function roomWords(): Promise<string> {
  const room = await estimate();
  return room ? `It holds ${megabytes(room.usage)} of the ${megabytes(room.quota)} that the browser allows here.` : '';
}
export const megabytes = (bytes: number): string =>
  bytes < 1e9 ? `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;

/** What a failed write most likely means, in words with a remedy; `full` when there was no room for it. */
export function storageTrouble(e: unknown): { words: string; remedy: string; full?: true } {
  const name = e instanceof Error ? `${e.name} ${(e as { inner?: Error }).inner?.name ?? ''}` : '';
  if (/Quota/.test(name))
    return {
      words: 'This device has no room left for Orvin.',
      remedy: 'Export the kitchen to a file, free some space, then store it. What is on the screen is still here.',
      full: true,
    };
  if (/DatabaseClosed|InvalidState/.test(name))
    return { words: 'The kitchen was closed.', remedy: 'Reload this tab to carry on.' };
  return {
    words: 'A change could not be stored on this device.',
    remedy: 'Export the kitchen to a file to be safe, then reload.',
  };
}
