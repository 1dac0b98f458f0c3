import { mass, massSpan, scaleG } from '../ui/figures';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  heavyIn,
  asMeasured,
  dietsOf,
  gramsOf,
  ingredients,
  pieceGrams,
  plain,
  readAmount,
  type Composition,
  type Ingredient,
  type Role,
} from '@orvin/core';
import { findIngredients } from '@orvin/core/reading';
import { Pantry } from '../desk/pantry';
import { KitchenEdit } from './kitchen-edit';
import { LabelForm } from './label-form';
import { Shown } from '../ui/shown';

const LB_G = 453.59237;
const roles: readonly { readonly id: Role; readonly name: string }[] = [
  { id: 'flour', name: 'Flour and starch' },
  { id: 'sugar', name: 'Sugar and syrup' },
  { id: 'fat', name: 'Fat' },
  { id: 'liquid', name: 'Milk and liquids' },
  { id: 'egg', name: 'Egg' },
  { id: 'fruit', name: 'Fruit and vegetables' },
  { id: 'cocoa', name: 'Cocoa' },
  { id: 'addin', name: 'Nuts, seeds, chocolate' },
  { id: 'leavener', name: 'Leaveners' },
  { id: 'acid', name: 'Sour' },
  { id: 'salt', name: 'Salt' },
  { id: 'flavour', name: 'Flavour' },
];

/** Parts of 100 g in the order they are drawn. */
const partNames: readonly (readonly [keyof Composition, string])[] = [
  ['water', 'water'],
  ['fat', 'fat'],
  ['sugar', 'sugar'],
  ['starch', 'starch'],
  ['fibre', 'fibre'],
  ['protein', 'protein'],
  ['other', 'salts, acids and the rest'],
];

interface Part {
  readonly key: keyof Composition;
  readonly name: string;
  readonly g: number;
}

const SODA_G_PER_MEQ = 0.084;

/** Everything that can go into a batter: found by typing, drawn by what it is made of, with price and stock. */
@Component({
  selector: 'orvin-ingredients',
  imports: [LabelForm, Shown],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ingredients.html',
  styleUrls: ['./larder.scss', './ingredients.scss'],
})
export class Ingredients {
  protected readonly edit = inject(KitchenEdit);
  private readonly pantry = inject(Pantry);
  protected readonly kitchen = this.edit.kitchen;
  protected readonly roles = roles;
  protected readonly typed = signal('');
  protected readonly role = signal<Role | 'here' | 'own' | null>('here');
  protected readonly chosen = signal<string>('plain-flour');
  protected readonly labelling = signal(false);

  private readonly all = computed(() => [...this.kitchen().ownIngredients, ...ingredients]);
  protected readonly total = computed(() => this.all().length);
  protected readonly inHand = computed(
    () => new Set([...Object.keys(this.kitchen().stock), ...Object.keys(this.kitchen().prices)]),
  );

  protected readonly list = computed<readonly Ingredient[]>(() => {
    const words = this.typed().trim();
    if (words !== '') return findIngredients(words, this.kitchen(), 24);
    const role = this.role();
    const all = this.all();
    if (role === 'here') return all.filter((i) => this.inHand().has(i.id));
    if (role === 'own') return [...this.kitchen().ownIngredients];
    return role === null ? all : all.filter((i) => i.role === role);
  });

  protected readonly one = computed(() => this.all().find((i) => i.id === this.chosen()) ?? this.all()[0]);
  protected readonly isOwn = computed(() => this.kitchen().ownIngredients.some((i) => i.id === this.chosen()));

  protected readonly facts = computed(() => {
    const i = this.one();
    if (!i) return [];
    const k = this.kitchen();
    const out: { name: string; value: string }[] = [];
    const cup = gramsOf({ value: 1, unit: 'cup' }, i, k.measures);
    const spoon = gramsOf({ value: 1, unit: 'tsp' }, i, k.measures);
    if (cup !== null && spoon !== null)
      out.push(
        cup > 30 && i.role !== 'leavener' && i.role !== 'salt' && i.role !== 'flavour'
          ? { name: 'One of your cups', value: mass(cup) }
          : { name: 'One of your teaspoons', value: mass(spoon) },
      );
    for (const [form, g] of Object.entries(i.gPerMlAs ?? {}))
      out.push({ name: `A cup, ${form}`, value: mass(g * k.measures.cupMl) });
    const piece = pieceGrams(i, k.measures);
    if (piece)
      out.push({
        name: 'One piece',
        value: `${massSpan(piece.low, piece.high)}, likely ${scaleG(piece.typical)}`,
      });
    if (i.acidMeq) {
      const { low, high } = i.acidMeq;
      out.push(
        high <= 0
          ? {
              name: 'Alkaline',
              value: `like ${plain(-high * SODA_G_PER_MEQ)}–${plain(-low * SODA_G_PER_MEQ)} % of its weight in soda`,
            }
          : {
              name: 'Its acid meets',
              value: `${plain(Math.max(0, low) * SODA_G_PER_MEQ)}–${plain(high * SODA_G_PER_MEQ)} % of its weight in soda`,
            },
      );
    }
    if (i.drinks)
      out.push({ name: 'Drinks', value: `${plain(i.drinks)} times its weight in water, beyond what flour does` });
    if (i.co2Mmol)
      out.push({
        name: 'Lift of its own',
        value: `${plain(i.co2Mmol.low)}–${plain(i.co2Mmol.high)} mmol gas in 100 g`,
      });
    if (i.saltG) out.push({ name: 'Salt', value: `${plain(i.saltG)} %` });
    out.push({
      name: 'Contains',
      value: i.allergens.length > 0 ? i.allergens.join(', ') : 'none of the listed allergens',
    });
    out.push({ name: 'Suits', value: dietsOf(i).join(', ') || 'no listed diet' });
    if (i.aliases.length > 0) out.push({ name: 'Also read as', value: i.aliases.slice(0, 9).join(', ') });
    return out;
  });

  protected partsOf(i: Ingredient): readonly Part[] {
    return partNames.map(([key, name]) => ({ key, name, g: i.per100[key] })).filter((p) => p.g >= 0.5);
  }

  protected words(i: Ingredient): string {
    return this.partsOf(i)
      .map((p) => `${plain(p.g)} % ${p.name}`)
      .join(', ');
  }

  /** A pack to speak of. */
  protected pack(): string {
    return this.kitchen().display.weight === 'oz' ? '5 lb' : '1 kg';
  }
  protected packOf(id: string): string {
    const p = this.kitchen().prices[id];
    return p ? heavyIn(this.kitchen().display, p.perG) : this.pack();
  }

  protected stockWords(id: string): string {
    const g = this.pantry.stock()[id];
    return g === undefined ? '' : heavyIn(this.kitchen().display, g);
  }

  protected priceWords(id: string): string {
    const p = this.kitchen().prices[id];
    if (!p) return '';
    const money = new Intl.NumberFormat(this.kitchen().locale.language, {
      style: 'currency',
      currency: this.kitchen().locale.currency,
    });
    const pounds = this.kitchen().display.weight === 'oz';
    return `${money.format(((pounds ? LB_G : 1000) * p.price) / p.perG)} ${pounds ? 'a lb' : 'a kg'}`;
  }

  /** Stock as the baker measures it, beside its weight. */
  protected measured(i: Ingredient): string {
    const g = this.pantry.stock()[i.id];
    return g ? asMeasured(g, i, this.kitchen().measures) : '';
  }

  protected setStock(e: Event, i: Ingredient): void {
    const input = e.target as HTMLInputElement;
    const k = this.kitchen();
    const was = k.stock[i.id];
    if (input.value.trim() === '') {
      if (was !== undefined) this.edit.change(`no stock of ${i.name}`, this.pantry.counted({ [i.id]: undefined }));
      return;
    }
    const read = readAmount(input.value, i, k.measures, k.display.weight);
    if (!read || read.grams < 0) {
      this.edit.problem.set(
        `"${input.value}" is no amount I can read: ${heavyIn(k.display, 500)}, ${this.pack()}, 6 eggs, 1 1/2 cups. The stock stays as it was.`,
      );
      input.value = this.stockWords(i.id);
      return;
    }
    this.edit.change(`stock of ${i.name}`, this.pantry.counted({ [i.id]: read.grams }));
  }

  /** A price for a pack: "1.35" for "1 kg". Both fields together make it. */
  protected setPrice(price: HTMLInputElement, per: HTMLInputElement, i: Ingredient): void {
    const k = this.kitchen();
    const { [i.id]: was, ...rest } = k.prices;
    if (price.value.trim() === '') {
      if (was) this.edit.change(`no price of ${i.name}`, { ...k, prices: rest });
      return;
    }
    const value = Number(price.value.replace(',', '.').replace(/[^\d.]/g, ''));
    const read = readAmount(per.value, i, k.measures, k.display.weight);
    if (!Number.isFinite(value) || value < 0 || !read || read.grams <= 0) {
      this.edit.problem.set(
        `A price needs a sum and the pack it is for, such as 1.35 for ${this.pack()}. ${was ? 'It stays as it was.' : ''}`,
      );
      return;
    }
    this.edit.change(`price of ${i.name}`, {
      ...k,
      prices: { ...k.prices, [i.id]: { price: value, perG: Math.round(read.grams * 10) / 10 } },
    });
  }

  protected keepOwn(own: Ingredient): void {
    const k = this.kitchen();
    const others = k.ownIngredients.filter((i) => i.id !== own.id);
    this.edit.change(`ingredient ${own.name}`, { ...k, ownIngredients: [...others, own] });
    this.labelling.set(false);
    this.typed.set('');
    this.role.set('own');
    this.chosen.set(own.id);
  }

  protected removeOwn(i: Ingredient): void {
    const k = this.kitchen();
    this.edit.change(`take away ${i.name}`, { ...k, ownIngredients: k.ownIngredients.filter((x) => x.id !== i.id) });
    this.chosen.set('plain-flour');
  }

  protected show(id: string): void {
    this.chosen.set(id);
    this.labelling.set(false);
  }
}
