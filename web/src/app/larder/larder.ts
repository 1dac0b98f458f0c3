import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, RouterLink } from '@angular/router';
import { map } from 'rxjs';
import { Desk } from '../desk/desk';
import { Ingredients } from './ingredients';
import { Kit } from './kit';
import { OwnData } from './own-data';
import { ShoppingPart } from './shopping-part';
import { TinKit } from './tin-kit';

const parts = [
  { id: 'ingredients', name: 'Ingredients', says: 'What each thing is made of, what it costs, and how much is in.' },
  { id: 'shopping', name: 'Shopping', says: 'What to buy for what you want to bake, less what is there.' },
  { id: 'tins', name: 'Tins', says: 'The tins you bake in, by their inside; a water fill beats the ruler.' },
  {
    id: 'kit',
    name: 'Kit and measures',
    says: 'The cups, scale, ovens and bowls that every figure is worked out for.',
  },
  { id: 'data', name: 'Your data', says: 'Everything is on this device, and goes where you take it.' },
] as const;

/** What the kitchen has and is: ingredients, tins, kit and measures; and the data, which is the baker's own. */
@Component({
  selector: 'orvin-larder',
  imports: [Ingredients, Kit, OwnData, RouterLink, ShoppingPart, TinKit],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './larder.html',
  styleUrl: './larder.scss',
})
export class Larder {
  protected readonly kitchen = inject(Desk).kitchen;
  protected readonly parts = parts;
  private readonly asked = toSignal(inject(ActivatedRoute).queryParamMap.pipe(map((m) => m.get('part'))));
  protected readonly part = computed(() => parts.find((p) => p.id === this.asked()) ?? parts[0]);
}
