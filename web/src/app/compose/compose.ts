import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import {
  asMeasured,
  defaultKitchen,
  families,
  familyOf,
  ingredientOf,
  ingredients,
  isConflict,
  type ComposeWishes,
  type Conflict,
  type Diet,
  type FamilyId,
  type Proposal,
  type TraitId,
} from '@orvin/core';
import { AutoCompleteModule, type AutoCompleteCompleteEvent } from 'primeng/autocomplete';
import { SelectModule } from 'primeng/select';
import { Subject, switchMap } from 'rxjs';
import { Solving } from '../compute/solving';
import { Store } from '../data/store';
import { Judgement } from '../desk/judgement';
import { Pantry } from '../desk/pantry';
import { pct, roleColour, mass } from '../ui/figures';
import { Asks } from '../ui/asks';
import { bakeWords, tinWords } from '../ui/words';

interface Flavour {
  readonly id: string;
  readonly name: string;
}

const textures: readonly { id: string; name: string; trait: TraitId; by: number }[] = [
  { id: 'lighter', name: 'lighter', trait: 'crumb', by: 0.3 },
  { id: 'moister', name: 'moister', trait: 'mouth', by: 0.3 },
  { id: 'softer', name: 'softer', trait: 'bite', by: 0.25 },
];
const diets: readonly { id: Diet; name: string }[] = [
  { id: 'egg-free', name: 'egg' },
  { id: 'dairy-free', name: 'milk' },
  { id: 'vegan', name: 'anything animal' },
  { id: 'nut-free', name: 'nuts' },
  { id: 'gluten-free', name: 'gluten' },
];
const sources = [
  { id: 'anything', name: 'anything' },
  { id: 'stock', name: 'what is in stock' },
];
/** Not worth offering as a taste. */
const PLAIN = /^(water|salt|baking-|plain-flour|caster-sugar|white-sugar|unknown)/;

/** A new formula from a family and wishes; it takes shape as they are made. */
@Component({
  selector: 'orvin-compose',
  imports: [Asks, AutoCompleteModule, FormsModule, RouterLink, SelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './compose.html',
  styleUrl: './compose.scss',
})
export class ComposeView {
  private readonly store = inject(Store);
  private readonly judgement = inject(Judgement);
  private readonly solving = inject(Solving);
  private readonly pantry = inject(Pantry);
  private readonly router = inject(Router);
  protected readonly kitchen = toSignal(this.store.kitchen$, { initialValue: defaultKitchen });
  protected readonly families = families.filter((f) => f.id !== 'free').map((f) => ({ id: f.id, name: f.name }));
  protected readonly sources = sources;

  protected readonly family = signal<FamilyId>('muffin');
  protected readonly flavours = signal<readonly Flavour[]>([]);
  protected readonly texture = signal<ReadonlySet<string>>(new Set());
  protected readonly without = signal<ReadonlySet<string>>(new Set());
  /** Wishes that are pressed, row by row. */
  protected readonly rows = [
    { id: 'textures', name: 'made', asks: textures, on: this.texture },
    { id: 'diets', name: 'without', asks: diets, on: this.without },
  ];
  protected readonly source = signal('anything');
  protected readonly tinId = signal<string>('');
  protected readonly pieces = signal<number | null>(null);
  protected readonly title = signal('');
  /** What is being typed, before it is chosen. */
  protected readonly typed = signal<unknown>('');
  protected readonly suggestions = signal<Flavour[]>([]);
  protected readonly piecesProblem = signal('');

  protected readonly tins = computed(() => [
    { id: '', name: 'the usual one' },
    ...this.kitchen().tins.map((t) => ({ id: t.id, name: t.name })),
  ]);
  private readonly wishes = computed<ComposeWishes>(() => {
    const tin = this.kitchen().tins.find((t) => t.id === this.tinId());
    const pieces = this.pieces();
    return {
      family: this.family(),
      flavours: this.flavours().map((f) => f.id),
      texture: textures.filter((t) => this.texture().has(t.id)).map(({ trait, by }) => ({ trait, by })),
      suits: diets.filter((d) => this.without().has(d.id)).map((d) => d.id),
      stock: this.source() === 'stock',
      ...(tin && { tins: [{ tin, count: 1 }] }),
      ...(pieces !== null && { pieces }),
    };
  });

  private readonly requests = new Subject<ComposeWishes>();
  private readonly outcome = toSignal(
    this.requests.pipe(switchMap((w) => this.solving.compose(w, untracked(this.kitchen)))),
  );
  protected readonly conflict = computed<Conflict | null>(() => {
    const o = this.outcome();
    return o?.ok && isConflict(o.value) ? o.value : null;
  });
  protected readonly failed = computed(() => {
    const o = this.outcome();
    return o && !o.ok ? o.words : '';
  });
  protected readonly proposal = computed<Proposal | null>(() => {
    const o = this.outcome();
    if (!o?.ok) return null;
    return isConflict(o.value) ? o.value.nearest : (o.value[0] ?? null);
  });
  protected readonly made = computed(() => {
    const p = this.proposal();
    if (!p) return null;
    const kitchen = this.pantry.kitchen();
    const a = this.judgement.assess(p.formula, kitchen);
    const shares = new Map(a.items.map((i) => [i.itemId, i.bakersPct]));
    return {
      formula: p.formula,
      batterG: mass(Math.round(a.totals.batterG)),
      family: familyOf(p.formula.family).name,
      tin: p.formula.tins?.[0] ? tinWords(p.formula.tins[0]) : '',
      heat: p.formula.bake ? bakeWords(p.formula.bake) : '',
      pieces: p.formula.yield ? `${p.formula.yield.pieces} ${p.formula.yield.name ?? 'pieces'}` : '',
      groups: p.formula.groups.map((g) => ({
        id: g.id,
        name: g.name,
        lines: g.items.map((i) => {
          const ingredient = ingredientOf(i.ingredient, p.formula.ingredients, kitchen);
          return {
            id: i.id,
            name: ingredient.name,
            colour: roleColour[ingredient.role],
            measured: asMeasured(i.grams, ingredient, kitchen.measures),
            grams: mass(i.grams),
            pct: pct(shares.get(i.id) ?? 0),
            long: Math.min(100, shares.get(i.id) ?? 0),
          };
        }),
      })),
      verdicts: a.verdicts.filter(
        (v) => v.id === 'lift' || v.id === 'ledger' || v.id === 'structure' || v.severity !== 'note',
      ),
      crumb: a.texture.filter((t) => t.words !== 'as usual').map((t) => t.words),
      contains: a.allergens,
      cautions: a.cautions,
    };
  });

  constructor() {
    effect(() => {
      const w = this.wishes();
      this.kitchen();
      untracked(() => this.requests.next(w));
    });
  }

  protected suggest(e: AutoCompleteCompleteEvent): void {
    const text = e.query.trim().toLowerCase();
    const all = [...this.kitchen().ownIngredients, ...ingredients].filter((i) => !PLAIN.test(i.id));
    const word = new RegExp(`\\b${text.replace(/[^\p{L}\d ]/gu, '')}\\b`, 'i');
    const rank = (i: (typeof all)[number]): number => {
      const name = i.name.toLowerCase();
      if (word.test(name)) return name.startsWith(text) ? 0 : 1;
      if (name.startsWith(text)) return 2;
      if (i.aliases.some((a) => a.startsWith(text))) return 3;
      return name.includes(text) ? 4 : 9;
    };
    this.suggestions.set(
      all
        .map((i) => ({ i, r: rank(i) }))
        .filter(({ r }) => r < 9)
        .sort((a, b) => a.r - b.r)
        .slice(0, 8)
        .map(({ i }) => ({ id: i.id, name: i.name })),
    );
  }

  protected taste(f: Flavour): void {
    this.flavours.update((now) => (now.some((x) => x.id === f.id) ? now : [...now, f]));
    // the field takes the choice as its text first
    setTimeout(() => this.typed.set(''));
  }

  protected leaveOut(id: string): void {
    this.flavours.update((now) => now.filter((x) => x.id !== id));
  }

  protected toggle(set: ReadonlySet<string>, id: string): ReadonlySet<string> {
    return set.has(id) ? new Set([...set].filter((x) => x !== id)) : new Set([...set, id]);
  }

  protected setPieces(e: Event): void {
    const text = (e.target as HTMLInputElement).value.trim();
    const n = Number(text);
    this.piecesProblem.set('');
    if (text === '') this.pieces.set(null);
    else if (Number.isInteger(n) && n >= 1 && n <= 200) this.pieces.set(n);
    else this.piecesProblem.set(`"${text}" is no number of pieces I can use. Try 12; from 1 to 200.`);
  }

  protected async shelve(): Promise<void> {
    const p = this.proposal();
    if (!p) return;
    const title = this.title().trim();
    const id = await this.store.shelve(title === '' ? p.formula : { ...p.formula, title }, `composed: ${p.words}`);
    if (id !== null) await this.router.navigate(['/bench', id]);
  }
}
