import { Injectable, inject, signal } from '@angular/core';
import {
  capacityIn,
  degreesIn,
  degreesMore,
  heightIn,
  lengthIn,
  massIn,
  readCapacity,
  readHeight,
  readLength,
  readMass,
  readTemperature,
  type Kitchen,
} from '@orvin/core';
import { Desk } from '../desk/desk';

/** How a figure of the kitchen is read where it is typed, and said where it is shown; inside it is g, ml, mm, m, °C or K. */
const kinds = {
  mass: { read: (t: string, k: Kitchen) => readMass(t, k.display), words: (x: number, k: Kitchen) => massIn(k.display, x) }, // prettier-ignore
  length: { read: (t: string, k: Kitchen) => readLength(t, k.display), words: (x: number, k: Kitchen) => lengthIn(k.display, x) }, // prettier-ignore
  height: { read: (t: string, k: Kitchen) => readHeight(t, k.display), words: (x: number, k: Kitchen) => heightIn(k.display, x) }, // prettier-ignore
  capacity: { read: readCapacity, words: (x: number, k: Kitchen) => capacityIn(k, x) },
  temperature: { read: (t: string, k: Kitchen) => readTemperature(t, k.display), words: (x: number, k: Kitchen) => degreesIn(k.display.temperature, x) }, // prettier-ignore
  kelvins: {
    read: (t: string, k: Kitchen): number | null => {
      const c = readTemperature(t, k.display);
      return c !== null && k.display.temperature === 'F' && !/c/i.test(t) ? Math.round((c + 160 / 9) * 100) / 100 : c;
    },
    words: (x: number, k: Kitchen) => degreesMore(k.display.temperature, x),
  },
} as const;
export type FigureKind = keyof typeof kinds;

/** The one way in which the larder changes the kitchen: a labelled step that can be undone, or a problem in words. */
@Injectable({ providedIn: 'root' })
export class KitchenEdit {
  private readonly desk = inject(Desk);
  readonly kitchen = this.desk.kitchen;
  readonly problem = signal('');

  change(label: string, next: Kitchen): void {
    this.problem.set('');
    void this.desk.changeKitchen(label, next);
  }

  /** A typed number within bounds; otherwise says why not, puts the old figure back and gives null. */
  number(e: Event, what: string, low: number, high: number, was: number | undefined): number | null {
    const input = e.target as HTMLInputElement;
    const text = input.value.trim();
    const value = Number(text.replace(',', '.'));
    if (text === '' || !Number.isFinite(value) || value < low || value > high) {
      this.problem.set(
        `"${input.value}" is no ${what}: type a number from ${low} to ${high}. ${was === undefined ? 'Nothing was changed.' : `It stays ${was}.`}`,
      );
      input.value = was === undefined ? '' : String(was);
      return null;
    }
    this.problem.set('');
    return value;
  }

  /** A figure in the words of the kitchen's units, as it stands in its field. */
  shown(kind: FigureKind, value: number | undefined): string {
    return value === undefined ? '' : kinds[kind].words(value, this.kitchen());
  }

  /** A figure typed in any unit, within bounds; otherwise says why not, puts the old one back and gives null. Bounds as the figure is kept. */
  figure(e: Event, kind: FigureKind, what: string, low: number, high: number, was: number | undefined): number | null {
    const input = e.target as HTMLInputElement;
    const value = kinds[kind].read(input.value, this.kitchen());
    if (value === null || value < low - 1e-6 || value > high + 1e-6) {
      const between = `${this.shown(kind, low)} to ${this.shown(kind, high)}`;
      this.problem.set(
        `"${input.value}" is no ${what}: type one from ${between}, in any unit. ${was === undefined ? 'Nothing was changed.' : `It stays ${this.shown(kind, was)}.`}`,
      );
      input.value = this.shown(kind, was);
      return null;
    }
    this.problem.set('');
    // shown as it was understood, also where nothing changes
    input.value = this.shown(kind, value);
    return value;
  }
}
