import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import { Store } from '../data/store';

/** Pictures that lists show, by id: a few hundred small ones, the oldest forgotten first. */
const kept = new Map<string, string>();
const MOST_KEPT = 300;

/** A photo of a bake, or its small picture. Bytes are read when it comes on the screen, and let go when it leaves. */
@Component({
  selector: 'orvin-photo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (url(); as u) {
    <img [src]="u" [alt]="alt()" decoding="async" />
  }`,
  styles: `
    :host {
      display: block;
      background: var(--enamel-2);
      overflow: hidden;
    }
    img {
      display: block;
      width: 100%;
      height: 100%;
      object-fit: cover;
    }
    :host(.whole) img {
      object-fit: contain;
    }
  `,
})
export class Photo {
  readonly id = input.required<string>();
  readonly alt = input('');
  readonly small = input(false);
  private readonly store = inject(Store);
  protected readonly url = signal<string | null>(null);

  constructor() {
    effect((done) => {
      const [id, small] = [this.id(), this.small()];
      let gone = false;
      const had = small ? kept.get(`${this.store.name()}/${id}`) : undefined;
      this.url.set(had ?? null);
      if (!had) void this.load(id, small).then((u) => (gone ? u && !small && URL.revokeObjectURL(u) : this.url.set(u)));
      done(() => {
        gone = true;
        const now = this.url();
        if (!small && now) URL.revokeObjectURL(now);
      });
    });
  }

  private async load(id: string, small: boolean): Promise<string | null> {
    if (this.store.name() === null) return null;
    const db = this.store.database;
    const row = await (small ? db.thumbs.get(id) : db.photos.get(id)).catch(() => undefined);
    if (!row) return null;
    const url = URL.createObjectURL(new Blob([row.bytes], { type: row.type }));
    if (small) {
      kept.set(`${db.name}/${id}`, url);
      for (const [key, old] of kept) {
        if (kept.size <= MOST_KEPT) break;
        URL.revokeObjectURL(old);
        kept.delete(key);
      }
    }
    return url;
  }
}
