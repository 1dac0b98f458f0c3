import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { allItems, familyOf, ingredientFor, settle, type Doubt } from '@orvin/core';
import { bakeWords, tinWords } from '../ui/words';
import { Intake } from './intake';

interface ProofLine {
  readonly text: string;
  readonly kind: 'item' | 'plain';
  readonly read: string;
  readonly doubts: readonly Doubt[];
}

/** The recipe as it was pasted, with what was read from each line beside it, and doubts to settle like a proof sheet. */
@Component({
  selector: 'orvin-proof',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './proof.html',
  styleUrl: './proof.scss',
})
export class Proof {
  private readonly intake = inject(Intake);
  private readonly router = inject(Router);
  protected readonly reading = this.intake.reading;
  protected readonly draft = computed(() => this.reading()?.draft ?? null);
  protected readonly formula = computed(() => this.draft()?.formula ?? null);
  protected readonly family = computed(() => {
    const f = this.formula();
    return f ? familyOf(f.family).name : '';
  });
  protected readonly readAs = computed(() => {
    const f = this.formula();
    const use = f?.tins?.[0];
    const parts = [
      this.family(),
      `${this.items()} ingredients`,
      ...(f?.bake ? [bakeWords(f.bake)] : []),
      ...(use ? [tinWords(use)] : []),
    ];
    return `Read as ${parts.join(', ')}.`;
  });
  protected readonly items = computed(() => {
    const f = this.formula();
    return f ? allItems(f).length : 0;
  });
  protected readonly wide = computed(() => this.draft()?.doubts.filter((d) => d.itemId === undefined) ?? []);
  protected readonly lines = computed<readonly ProofLine[]>(() => {
    const r = this.reading();
    const f = this.formula();
    if (!r || !f) return [];
    const byWords = new Map(allItems(f).map((i) => [i.words, i]));
    return r.text
      .split(/\r\n?|\n/)
      .slice(0, 400)
      .map((text) => {
        const bare = text
          .replace(/^#+\s*/, '')
          .replace(/^[\s\-–—*•·]+(?=\S)/, '')
          .trim();
        const item = byWords.get(bare);
        if (!item) return { text, kind: 'plain', read: '', doubts: [] };
        const g = item.grams < 20 ? Math.round(item.grams * 10) / 10 : Math.round(item.grams);
        return {
          text,
          kind: 'item',
          read: `${g} g ${ingredientFor(f, item).name.toLowerCase()}`,
          doubts: r.draft.doubts.filter((d) => d.itemId === item.id),
        };
      });
  });
  protected readonly open = computed(() => this.draft()?.doubts.length ?? 0);

  constructor() {
    void this.intake.restore().then(() => {
      if (!this.intake.reading()) void this.router.navigate(['/shelf']);
    });
  }

  protected settle(doubt: Doubt, choice: string): void {
    const r = this.reading();
    if (!r) return;
    const words = doubt.choices.find((c) => c.id === choice)?.words ?? '';
    this.intake.hold({ ...r, draft: settle(r.draft, doubt.id, choice), settled: [...r.settled, words] });
  }

  protected async shelve(): Promise<void> {
    const f = this.formula();
    if (!f) return;
    await this.intake.shelve(f);
    this.intake.hold(null);
  }

  protected throwAway(): void {
    this.intake.hold(null);
    void this.router.navigate(['/shelf']);
  }
}
