import { Injectable, inject } from '@angular/core';
import type { Kitchen } from '@orvin/core';
import type { RecipeDraft } from '@orvin/core/reading';
import { firstValueFrom } from 'rxjs';
import { Compute } from '../compute/compute';
import { Notices } from '../data/notices';
import type { Given } from './reading';

/** Reads texts in a worker. */
@Injectable({ providedIn: 'root' })
export class Reader {
  private readonly compute = inject(Compute);
  private readonly notices = inject(Notices);

  /** The texts of the recipes in what was pasted or opened; the whole when it is one, or cannot be taken apart. */
  async textsOf(text: string): Promise<readonly string[]> {
    const texts = await firstValueFrom(this.compute.run('texts', 'texts', text), { defaultValue: null });
    return texts?.ok ? texts.value : [text];
  }

  /** One recipe as it was read; null when the reader failed, which has been said. */
  async draftOf({ text, picture, region }: Given, kitchen: Kitchen, channel: string): Promise<RecipeDraft | null> {
    const reading = picture
      ? this.compute.run(channel, 'readPicture', { text, lines: picture.lines }, kitchen, region)
      : this.compute.run(channel, 'read', text, kitchen, region);
    const out = await firstValueFrom(reading, { defaultValue: null });
    if (out?.ok) return out.value;
    if (out)
      this.notices.problem('The recipe could not be read.', 'Nothing was changed. Try again, or paste a part of it.');
    return null;
  }
}
