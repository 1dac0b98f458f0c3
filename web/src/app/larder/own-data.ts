import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Archive } from '../data/archive';
import { Backup } from '../data/backup';
import { BIN_DAYS } from '../data/bins';
import { Kitchens } from '../data/kitchens';
import { Notices } from '../data/notices';
import type { KitchenEntry } from '../data/records';
import { Desk } from '../desk/desk';
import { Intake } from '../shelf/intake';
import { Theme } from '../ui/theme';
import { dateWords, timeWords } from '../ui/when';
import { BinPart } from './bin-part';

/** The baker's own data: what keeps it safe, other kitchens on this device, and the light it is looked at in. */
@Component({
  selector: 'orvin-own-data',
  imports: [BinPart, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-data.html',
  styleUrls: ['./larder.scss', './own-data.scss'],
})
export class OwnData {
  private readonly desk = inject(Desk);
  private readonly intake = inject(Intake);
  private readonly notices = inject(Notices);
  protected readonly kitchens = inject(Kitchens);
  protected readonly backup = inject(Backup);
  protected readonly archive = inject(Archive);
  protected readonly theme = inject(Theme);
  protected readonly kitchen = this.desk.kitchen;
  protected readonly persisted = signal<boolean | null>(null);
  protected readonly clearing = signal(false);
  protected readonly binDays = BIN_DAYS;

  constructor() {
    void navigator.storage?.persisted?.().then((p) => this.persisted.set(p));
  }

  /** What a kitchen of this device is; of several that are called the same, when each was begun. */
  protected about(e: KitchenEntry): string {
    const open = e.id === this.kitchens.current()?.id;
    const twin = this.kitchens.all().some((x) => x !== e && x.name === e.name);
    const { zone } = this.kitchen().locale;
    const begun = `begun ${dateWords(e.createdAt, zone)}, ${timeWords(e.createdAt, zone)}`;
    return [...(open ? ['open'] : []), ...(e.demo ? ['the sample'] : []), ...(twin ? [begun] : [])].join(', ');
  }

  protected async keepSafe(): Promise<void> {
    const yes = await this.kitchens.persist();
    this.persisted.set(yes);
    this.notices.say(
      yes
        ? 'The browser will keep this kitchen, even when space gets short.'
        : 'The browser did not promise to keep it. Export a copy now and then.',
    );
  }

  protected chosen(e: Event): void {
    const input = e.target as HTMLInputElement;
    const files = [...(input.files ?? [])];
    input.value = '';
    const zip = files.find((f) => /\.zip$/i.test(f.name) || f.type === 'application/zip');
    if (zip) {
      this.desk.putDown();
      void this.archive.restore(zip);
    } else void this.intake.files(files, this.kitchen());
  }

  protected async clear(): Promise<void> {
    const id = this.kitchens.current()?.id;
    this.clearing.set(false);
    this.desk.putDown();
    if (id && (await this.kitchens.remove(id)))
      this.notices.say('That kitchen is in the bin; it can be taken back there.');
  }
}
