import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { BIN_DAYS, Bins } from '../data/bins';
import { Kitchens } from '../data/kitchens';
import { Notices, megabytes } from '../data/notices';
import { kinds } from '../data/kinds';
import type { BakeRecord, BinRow } from '../data/records';
import { Registry } from '../data/registry';
import { RoomWatch } from '../data/room';
import { Desk } from '../desk/desk';
import { dateWords } from '../ui/when';

const DAY_MS = 86_400_000;

/** Something in the bin, as it is listed. */
interface Lying {
  readonly id: string;
  readonly what: string;
  readonly title: string;
  /** Its title, and what tells it from others of that title. */
  readonly called: string;
  readonly at: number;
  readonly row: BinRow | null;
}

/** The bin: what was removed from this kitchen, and kitchens that were cleared; each can be put back for a while. */
@Component({
  selector: 'orvin-bin-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bin-part.html',
  styleUrls: ['./larder.scss', './bin-part.scss'],
})
export class BinPart {
  private readonly bins = inject(Bins);
  private readonly registry = inject(Registry);
  private readonly kitchens = inject(Kitchens);
  private readonly notices = inject(Notices);
  private readonly desk = inject(Desk);
  private readonly watch = inject(RoomWatch);
  private readonly rows = toSignal(this.bins.rows$, { initialValue: [] });
  protected readonly days = BIN_DAYS;
  /** What is asked about before it goes for good: one thing, or all of it. */
  protected readonly sure = signal<Lying | 'all' | null>(null);
  protected readonly list = computed<readonly Lying[]>(() =>
    [
      ...this.rows().map((row) => this.lying(row)),
      ...this.registry.binned().map((k): Lying => ({ id: k.id, what: 'kitchen', title: k.name, called: k.name, at: k.since ?? 0, row: null })), // prettier-ignore
    ].sort((a, b) => b.at - a.at),
  );
  protected readonly room = computed(() => {
    const room = this.watch.room();
    return room ? `${megabytes(room.usage)} of ${megabytes(room.quota)} are taken on this device.` : '';
  });

  constructor() {
    void this.watch.look();
  }

  private lying(row: BinRow): Lying {
    const { id, title, at, what } = row;
    if (row.table !== kinds.bake.table || row.part) return { id, title, called: title, at, what, row };
    const bake = row.value as BakeRecord;
    const which = `${what} of ${dateWords(bake.at, this.desk.kitchen().locale.zone)}, ${bake.minutes} min`;
    return { id, title, called: `${title}, ${which}`, at, what: which, row };
  }

  protected left(l: Lying): string {
    const days = Math.max(0, Math.ceil((l.at + BIN_DAYS * DAY_MS - Date.now()) / DAY_MS));
    return days === 1 ? 'one day left' : `${days} days left`;
  }

  protected async putBack(l: Lying): Promise<void> {
    if (l.row === null) {
      this.desk.putDown();
      await this.kitchens.takeBack(l.id);
    } else if (!(await this.bins.putBack(l.row)))
      return this.notices.problem(
        `${l.title} cannot be put back now.`,
        l.row.part
          ? 'What it belonged to is gone as well: put that back first.'
          : 'Something else stands in its place.',
      );
    this.notices.say(`${l.title} is back.`);
  }

  protected async forGood(): Promise<void> {
    const sure = this.sure();
    this.sure.set(null);
    if (sure === null) return;
    const gone = sure === 'all' ? this.list() : [sure];
    await this.bins.remove(gone.flatMap((l) => l.row ?? []));
    for (const l of gone) if (l.row === null) await this.kitchens.purge(l.id);
    await this.watch.look();
  }
}
