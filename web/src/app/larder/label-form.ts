import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { fromLabel, ingredients, nearest, type Ingredient, type Label } from '@orvin/core';
import { KitchenEdit } from './kitchen-edit';
import { Pick } from './pick';

type Field = 'energyKcal' | 'fatG' | 'carbohydrateG' | 'sugarsG' | 'fibreG' | 'proteinG' | 'saltG';
const allergens = [
  'wheat',
  'rye',
  'barley',
  'oats',
  'milk',
  'egg',
  'soy',
  'almond',
  'walnut',
  'hazelnut',
  'nuts',
  'peanut',
  'sesame',
  'mustard',
  'lupin',
  'sulphites',
];

/** A new ingredient typed off its packet: what the label does not say is worked out as it is typed, and shown as such. */
@Component({
  selector: 'orvin-label-form',
  imports: [Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './label-form.html',
  styleUrls: ['./larder.scss', './ingredients.scss', './label-form.scss'],
})
export class LabelForm {
  readonly kept = output<Ingredient>();
  readonly dropped = output();
  private readonly kitchen = inject(KitchenEdit).kitchen;
  protected readonly allergens = allergens;
  protected readonly fields: readonly { id: Field; name: string; unit: string }[] = [
    { id: 'energyKcal', name: 'Energy', unit: 'kcal' },
    { id: 'fatG', name: 'Fat', unit: 'g' },
    { id: 'carbohydrateG', name: 'Carbohydrate', unit: 'g' },
    { id: 'sugarsG', name: 'of which sugars', unit: 'g' },
    { id: 'fibreG', name: 'Fibre', unit: 'g' },
    { id: 'proteinG', name: 'Protein', unit: 'g' },
    { id: 'saltG', name: 'Salt', unit: 'g' },
  ];
  protected readonly name = signal('');
  protected readonly typed = signal<Readonly<Partial<Record<Field, string>>>>({});
  protected readonly cupG = signal('');
  protected readonly like = signal<string | null>(null);
  protected readonly has = signal<readonly string[] | null>(null);
  protected readonly american = signal(false);

  private number(text: string | undefined): number | undefined {
    const t = (text ?? '')
      .trim()
      .replace(',', '.')
      .replace(/^[<~≤]\s*/, '');
    return t === '' ? undefined : Number(t);
  }

  private readonly label = computed<Label>(() => {
    const t = this.typed();
    const cup = this.number(this.cupG());
    const like = this.like();
    const fibre = this.number(t.fibreG);
    const salt = this.number(t.saltG);
    const kcal = this.number(t.energyKcal);
    const chosen = this.has();
    return {
      name: this.name(),
      fatG: this.number(t.fatG) ?? 0,
      carbohydrateG: this.number(t.carbohydrateG) ?? 0,
      sugarsG: this.number(t.sugarsG) ?? 0,
      proteinG: this.number(t.proteinG) ?? 0,
      ...(fibre !== undefined && { fibreG: fibre }),
      ...(salt !== undefined && { saltG: salt }),
      ...(kcal !== undefined && { energyKcal: kcal }),
      ...(this.american() && { carbohydrateIncludesFibre: true }),
      ...(cup !== undefined && cup > 0 && { gPerMl: Math.round((1000 * cup) / this.kitchen().measures.cupMl) / 1000 }),
      ...(like && { like }),
      ...(chosen && { allergens: chosen }),
    };
  });

  protected readonly begun = computed(() => Object.values(this.typed()).some((v) => (v ?? '').trim() !== ''));
  protected readonly made = computed(() => fromLabel(this.label(), this.idFor(this.name())));
  protected readonly unread = computed(() =>
    this.fields.filter((f) => Number.isNaN(this.number(this.typed()[f.id]))).map((f) => f.name),
  );
  protected readonly problems = computed(() =>
    this.begun() ? this.made().problems.filter((p) => p.id !== 'name') : [],
  );
  protected readonly named = computed(() => this.name().trim() !== '');
  /** The energy may be kept as it is; parts that cannot be may not. */
  protected readonly possible = computed(
    () => this.named() && this.begun() && this.unread().length === 0 && this.problems().every((p) => p.id === 'energy'),
  );
  protected readonly parts = computed(() => {
    const c = this.made().ingredient.per100;
    return [
      { name: 'water', g: c.water },
      { name: 'fat', g: c.fat },
      { name: 'sugar', g: c.sugar },
      { name: 'starch', g: c.starch },
      { name: 'fibre', g: c.fibre },
      { name: 'protein', g: c.protein },
    ].filter((p) => p.g >= 0.5);
  });
  protected readonly likes = computed(() => {
    const near = this.begun() ? nearest(this.made().ingredient.per100) : [];
    const rest = ingredients.filter((i) => !near.includes(i));
    return [...near, ...rest].map((i) => ({ id: i.id, name: i.name }));
  });
  protected readonly likeNow = computed(() => this.like() ?? (this.begun() ? (this.likes()[0]?.id ?? null) : null));
  protected readonly hasNow = computed(() => this.has() ?? (this.begun() ? this.made().ingredient.allergens : []));

  private idFor(name: string): string {
    const base = `own-${
      name
        .toLowerCase()
        .normalize('NFD')
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'ingredient'
    }`;
    const taken = new Set([...this.kitchen().ownIngredients.map((i) => i.id), ...ingredients.map((i) => i.id)]);
    let id = base;
    for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
    return id;
  }

  protected type(field: Field, value: string): void {
    this.typed.update((t) => ({ ...t, [field]: value }));
  }

  protected toggle(allergen: string): void {
    const now = this.hasNow();
    this.has.set(now.includes(allergen) ? now.filter((a) => a !== allergen) : [...now, allergen]);
  }

  protected keep(): void {
    if (this.possible()) this.kept.emit(this.made().ingredient);
  }
}
