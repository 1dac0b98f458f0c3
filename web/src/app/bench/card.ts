import { mass, scaleUnit } from '../ui/figures';
import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  asMeasured,
  coverAtFirst,
  familyOf,
  ingredientFor,
  isBatter,
  wordedMethod,
  type Item,
  waysOf,
  alsoSaid,
} from '@orvin/core';
import { write } from '@orvin/core/reading';
import { Backup, otherFormats } from '../data/backup';
import { Notices } from '../data/notices';
import { Desk } from '../desk/desk';
import { SharePart } from '../share/share-part';
import { Judgement } from '../desk/judgement';
import { bakeWords, dialWords, tinWords, degreesBy } from '../ui/words';

type Size = 'a5' | 'a6';
/** Type sizes that are tried, largest first, until the formula fits its card; below the last a card is no use. */
const POINTS = [12.5, 11.5, 10.5, 9.5, 8.75, 8, 7.25, 6.5, 6] as const;

const MEASURED = /\d\s*(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp|tablespoons?|teaspoons?)\b/i;
/** So many amounts are readable beside words without their names. */
const MOST_BESIDE = 3;
const COVER = { none: '', tent: ', under foil', lid: ', under a lid' } as const;

/** The formula as a card to print, one page whatever its length, and as files in the open formats. */
@Component({
  selector: 'orvin-card',
  imports: [RouterLink, SharePart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './card.html',
  styleUrl: './card.scss',
})
export class Card {
  readonly id = input.required<string>();
  protected readonly desk = inject(Desk);
  private readonly judgement = inject(Judgement);
  protected readonly backup = inject(Backup);
  private readonly notices = inject(Notices);
  protected readonly formats = otherFormats;
  protected readonly size = signal<Size>('a5');
  protected readonly points = signal<number>(POINTS[0]);
  protected readonly cramped = signal(false);
  private readonly paper = viewChild<ElementRef<HTMLElement>>('paper');
  protected readonly formula = this.desk.formula;

  protected readonly head = computed(() => {
    const f = this.formula();
    if (!f) return '';
    return [
      familyOf(f.family).name,
      ...(f.yield ? [`makes ${f.yield.pieces} ${f.yield.name ?? ''}`.trim()] : []),
      ...(f.tins ?? []).map(tinWords),
    ].join(' · ');
  });
  protected readonly heat = computed(() => {
    const b = this.formula()?.bake;
    if (!b) return '';
    const later = (b.stages ?? [])
      .filter((s) => s.fromMin > 0)
      .map((s) => `, from minute ${s.fromMin} ${dialWords({ ...b, ovenC: s.ovenC })}${COVER[s.cover ?? 'none']}`);
    return (
      bakeWords(b) +
      COVER[coverAtFirst(b)] +
      (b.hotTin ? ', into a hot tin' : '') +
      [...waysOf(b).map((w) => w.words), ...alsoSaid(b, degreesBy)].map((w) => `, ${w}`).join('') +
      later.join('')
    );
  });
  protected readonly groups = computed(() => {
    const f = this.formula();
    if (!f) return [];
    const k = this.desk.kitchen();
    const line = (i: Item): { id: string; grams: string; measured: string; name: string } => {
      const ingredient = ingredientFor(f, i, k);
      return {
        id: i.id,
        grams: i.grams > 0 ? this.grams(i.grams) : '',
        measured: i.grams > 0 ? asMeasured(i.grams, ingredient, k.measures, i.form) : '',
        name: (i.ingredient === 'unknown' ? i.words : ingredient.name) + (i.optional ? ' (optional)' : ''),
      };
    };
    return f.groups.map((g) => ({ id: g.id, name: g.name, apart: !isBatter(g), lines: g.items.map(line) }));
  });
  /** The baker's words with what goes in beside them. */
  protected readonly method = computed(() => {
    const f = this.formula();
    if (!f) return [];
    return wordedMethod(f, this.desk.kitchen()).map((entry) =>
      entry.map(({ text, amounts }) => ({
        text,
        // of many at once the list above is clearer, and what the words measure themselves is not said twice
        amounts: (amounts.length > MOST_BESIDE || MEASURED.test(text) ? [] : amounts).map((a) => (a.grams > 0 && !a.keepBack ? this.grams(a.grams) : (a.part ?? ''))).filter((x) => x !== '').join(' + '), // prettier-ignore
      })),
    );
  });
  protected readonly foot = computed(() => {
    const f = this.formula();
    if (!f) return '';
    const a = this.judgement.assess(f, this.desk.kitchen());
    const contains = a.allergens.length > 0 ? `Contains ${a.allergens.join(', ')}. ` : '';
    return `${contains}${a.cautions.map((c) => c.words).join(' ')}`;
  });

  /** Grams as this kitchen's scale shows them; small amounts to a tenth. */
  private grams(g: number): string {
    const { scaleG } = this.desk.kitchen().measures;
    const step = g < 20 ? Math.min(scaleG, 0.1) : scaleG;
    return scaleUnit() === 'oz' ? mass(g) : `${Number((Math.round(g / step) * step).toFixed(1))} g`;
  }

  constructor() {
    effect(() => void this.desk.pickUp(this.id()));
    // fitted anew whenever what is on it, or the paper, changes
    effect(() => {
      this.groups();
      this.size();
      const f = this.formula();
      const paper = this.paper()?.nativeElement;
      if (f && paper) requestAnimationFrame(() => this.fit(paper));
    });
  }

  /** Largest type in which everything is on the one page. */
  private fit(paper: HTMLElement): void {
    const box = paper.querySelector<HTMLElement>('.within');
    if (!box) return;
    for (const pt of POINTS) {
      paper.style.setProperty('--pt', `${pt}pt`);
      if (box.scrollHeight <= box.clientHeight + 1) {
        this.points.set(pt);
        this.cramped.set(false);
        return;
      }
    }
    this.points.set(POINTS[POINTS.length - 1] ?? 6);
    this.cramped.set(true);
  }

  protected print(): void {
    window.print();
  }

  protected async copy(): Promise<void> {
    const f = this.formula();
    if (!f) return;
    try {
      await navigator.clipboard.writeText(write(f, 'text', this.desk.kitchen()));
      this.notices.say('The card is copied as text.');
    } catch {
      this.notices.problem('The browser did not let it be copied.', 'Save it as plain text instead.');
    }
  }
}
