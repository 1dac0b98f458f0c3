import { Injectable, inject, signal } from '@angular/core';
import { Bins } from './bins';
import { estimate, type Room } from './estimate';
import { Notices, megabytes } from './notices';
import { Registry } from './registry';

/** From this share of what the browser allows on it is told, and from that the bin is emptied. */
const TELL = 0.8;
const EMPTY = 0.9;

/** How much of the room that the browser allows is taken; tells of it before a write fails. */
@Injectable({ providedIn: 'root' })
export class RoomWatch {
  private readonly bins = inject(Bins);
  private readonly registry = inject(Registry);
  private readonly notices = inject(Notices);
  /** As it was when it was last looked at; null where the browser does not tell. */
  readonly room = signal<Room | null>(null);
  private told = false;

  /** Looks how full it is. The bin makes room from `EMPTY` on, what has lain there longest first. */
  async look(): Promise<void> {
    let room = await this.estimate();
    if (!room || room.usage < TELL * room.quota) return;
    const gone: string[] = [];
    while (room && room.usage > EMPTY * room.quota) {
      const title = await this.removeOldest();
      if (title === null) break;
      gone.push(title);
      room = await this.estimate();
    }
    if (gone.length > 0) this.notices.say(`To make room the bin gave up ${gone.slice(0, 3).join(', ')}${gone.length > 3 ? ` and ${gone.length - 3} more` : ''}.`); // prettier-ignore
    if (this.told || !room || room.usage < TELL * room.quota) return;
    this.told = true;
    const share = Math.floor((100 * room.usage) / room.quota);
    this.notices.problem(
      `Orvin has ${share} % of the room that the browser allows here: ${megabytes(room.usage)} of ${megabytes(room.quota)}.`,
      'Back up everything, then remove photos or kitchens that you no longer need, and empty the bin (Larder, Your data).',
    );
  }

  /** Removes for good what has lain in the bin longest, a kitchen or what was one's of this one; its title. */
  private async removeOldest(): Promise<string | null> {
    const kitchen = this.registry.binned().at(-1);
    const row = await this.bins.oldest();
    if (kitchen && (row === null || (kitchen.since ?? 0) < row.at)) {
      await this.registry.purge(kitchen.id);
      return kitchen.name;
    }
    return row && (await this.bins.remove([row])) ? row.title : null;
  }

  private async estimate(): Promise<Room | null> {
    const room = await estimate();
    this.room.set(room);
    return room;
  }
}
