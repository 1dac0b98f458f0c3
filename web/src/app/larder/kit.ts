import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  eggG,
  kitchenPlace,
  kitchenPlaces,
  lengthIn,
  massIn,
  movedTo,
  ovenOff,
  powders,
  rackOf,
  readLength,
  sizeIn,
  type Display,
  type EggSize,
  type FlourHabit,
  type HeatScale,
  type Kitchen,
  type Oven,
  type Powder,
  type PowderType,
  type SaltKind,
  type Vessel,
} from '@orvin/core';
import { RouterLink } from '@angular/router';
import { Learning } from '../desk/learning';
import { KitchenEdit } from './kitchen-edit';
import { Pick, type Option } from './pick';
import { shortId } from '../data/ids';
import { Shown } from '../ui/shown';
import { degreesBy } from '../ui/words';

/** Litres in a cubic foot. */
const FT3_L = 28.317;
/** Steps that scales read to, g. */
const GRAM_STEPS = [1, 0.1, 2, 5];
const OUNCE_STEPS = [1, 2.835, 0.2835, 3.544, 7.087];
const ounceStep = (g: number): string =>
  ({ 1: '0.05 oz', 2.835: '0.1 oz', 0.2835: '0.01 oz', 3.544: '⅛ oz', 7.087: '¼ oz' })[g] ?? `${g} g`;
const SHOWN: Readonly<Record<string, string>> = { C: '°C', F: '°F', gas: 'gas marks', cm: 'centimetres', in: 'inches', g: 'grams', oz: 'ounces' }; // prettier-ignore

type Measures = Kitchen['measures'];
/** Measures, schools, ovens, bowls, mixer, powder and place: what every figure is worked out for. */
@Component({
  selector: 'orvin-kit',
  imports: [Pick, RouterLink, Shown],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './kit.html',
  styleUrl: './larder.scss',
})
export class Kit {
  protected readonly edit = inject(KitchenEdit);
  private readonly learning = inject(Learning);
  protected readonly kitchen = this.edit.kitchen;
  private readonly ounces = computed(() => this.kitchen().display.weight === 'oz');
  private readonly mass = (g: number): string => massIn(this.kitchen().display, g);
  /** Sizes are named, and told in millilitres only where those are the kitchen's own. */
  private vessel<T>(id: T, name: string, ml: string): Option<T> {
    return { id, name: this.ounces() ? name : `${ml}, ${name}` };
  }
  protected readonly cups = computed<Option<number>[]>(() => [
    this.vessel(236.6, 'US customary', '236.6 ml'),
    this.vessel(240, 'US label', '240 ml'),
    this.vessel(250, 'metric', '250 ml'),
    this.vessel(284, 'imperial', '284 ml'),
    this.vessel(200, 'Japanese', '200 ml'),
    this.vessel(235, 'some sets', '235 ml'),
  ]);
  protected readonly spoons = computed<Option<number>[]>(() => [
    this.vessel(5, 'three to a tablespoon', '5 ml and 15 ml'),
    this.vessel(4.93, 'US customary', '4.93 ml and 14.8 ml'),
    this.vessel(20, 'Australian, four to a tablespoon', '5 ml and 20 ml'),
    this.vessel(5.9, 'old British', '5.9 ml and 17.7 ml'),
    this.vessel(3.55, 'old small spoon', '3.55 ml and 10.7 ml'),
  ]);
  protected readonly habits = computed<Option<FlourHabit>[]>(() => [
    { id: 'sifted', name: `sifted into the cup, about ${this.mass(105)}` },
    { id: 'spooned', name: `spooned and levelled, about ${this.mass(122)}` },
    { id: 'dipped', name: `dipped and swept, about ${this.mass(145)}` },
    { id: 'packed', name: `packed, about ${this.mass(160)}` },
  ]);
  protected readonly salts = computed<Option<SaltKind>[]>(() => [
    { id: 'fine', name: `fine, ${this.mass(5.9)} a teaspoon` },
    { id: 'coarse', name: `coarse, ${this.mass(4.9)} a teaspoon` },
    { id: 'flake', name: `flakes, ${this.mass(3)} a teaspoon` },
  ]);
  protected readonly eggs = computed<Option<EggSize>[]>(() =>
    (Object.keys(eggG) as EggSize[]).map((id) => ({
      id,
      name: `${id.startsWith('eu') ? 'European' : 'US'} ${{ s: 'small', m: 'medium', l: 'large', xl: 'extra large', jumbo: 'jumbo' }[id.slice(3)] ?? id}, ${this.mass(eggG[id])}`,
    })),
  );
  protected readonly scales = computed<Option<number>[]>(
    () =>
    (this.ounces() ? OUNCE_STEPS : GRAM_STEPS).map((g) => ({ id: g, name: `to ${this.ounces() ? ounceStep(g) : this.mass(g)}` })), // prettier-ignore
  );
  protected readonly foot = computed(() => (this.kitchen().display.length === 'in' ? '18 × 12 in' : '45 × 30 cm'));
  protected readonly heats: Option<HeatScale>[] = [
    { id: 'C', name: '°C' },
    { id: 'F', name: '°F' },
    { id: 'gas', name: 'gas marks' },
  ];
  protected readonly lengths: Option<'cm' | 'in'>[] = [
    { id: 'cm', name: 'centimetres and metres' },
    { id: 'in', name: 'inches and feet' },
  ];
  protected readonly weights: Option<'g' | 'oz'>[] = [
    { id: 'g', name: 'grams' },
    { id: 'oz', name: 'ounces and pounds' },
  ];
  protected readonly vessels: Option<Vessel>[] = [
    { id: 'cup', name: 'cups' },
    { id: 'dl', name: 'decilitres' },
  ];
  protected readonly places: Option<string>[] = kitchenPlaces.map(({ id, name }) => ({ id, name }));
  protected readonly kinds: Option<PowderType>[] = powders.map((p) => ({ id: p.type, name: p.name }));
  protected readonly strengths: Option<Powder['strength']>[] = [
    { id: 'vigorous', name: 'foams at once and high' },
    { id: 'weak', name: 'fizzes weakly' },
    { id: 'none', name: 'hardly moves' },
  ];
  protected readonly fills: Option<Kitchen['schools']['muffinFill']>[] = [
    { id: 'two-thirds', name: 'two thirds full, flat tops' },
    { id: 'brim', name: 'brim-full, domed tops' },
  ];
  protected readonly atScale: Option<Kitchen['schools']['leavenerAtScale']>[] = [
    { id: 'linear', name: 'grows with the batch' },
    { id: 'trimmed', name: 'trimmed above four times' },
  ];
  protected readonly wholeEggs: Option<Kitchen['schools']['eggs']>[] = [
    { id: 'whole', name: 'whole eggs where near' },
    { id: 'weighed', name: 'beaten and weighed' },
  ];

  protected setMeasure<K extends keyof Measures>(key: K, value: Measures[K], what: string): void {
    const k = this.kitchen();
    if (k.measures[key] !== value)
      this.edit.change(`${what} ${value}${{ cupMl: ' ml', spoonMl: ' ml', scaleG: ' g' }[key as string] ?? ''}`, {
        ...k,
        measures: { ...k.measures, [key]: value },
      });
  }

  protected setSchool<K extends keyof Kitchen['schools']>(key: K, value: Kitchen['schools'][K], what: string): void {
    const k = this.kitchen();
    this.edit.change(`${what} ${value}`, { ...k, schools: { ...k.schools, [key]: value } });
  }

  protected setDisplay<K extends keyof Display>(key: K, value: Display[K]): void {
    const k = this.kitchen();
    if (k.display[key] !== value) this.edit.change(`shown in ${SHOWN[String(value)] ?? String(value)}`, { ...k, display: { ...k.display, [key]: value } }); // prettier-ignore
  }

  /** Another place: its measures, units and money at once, in one step that undo takes back. */
  protected move(id: string): void {
    const place = kitchenPlace(id);
    if (place) this.edit.change(`bake in ${place.name}`, movedTo(this.kitchen(), place));
  }

  /** What the log says of an oven, in all. */
  protected learned(ovenId: string): string | null {
    const k = this.learning.kitchen();
    const off = k ? ovenOff(k, ovenId) : null;
    if (!off || off.bakes === 0) return null;
    const sign = off.typical > 0.5 ? '+' : off.typical < -0.5 ? '−' : '';
    return `in all ${sign}${degreesBy(Math.abs(off.typical))}, from ${off.bakes} ${off.bakes === 1 ? 'bake' : 'bakes'}`;
  }

  protected setEnergy(e: Event): void {
    const k = this.kitchen();
    if ((e.target as HTMLInputElement).value.trim() === '') {
      const { energyPerKwh: _was, ...rest } = k;
      this.edit.change('no price of a kWh', rest);
      return;
    }
    const value = this.edit.number(e, 'price of a kWh', 0, 10, k.energyPerKwh);
    if (value !== null) this.edit.change(`a kWh costs ${value}`, { ...k, energyPerKwh: value });
  }

  protected setHeight(e: Event): void {
    const k = this.kitchen();
    const m = this.edit.figure(e, 'height', 'height above the sea', -400, 5500, k.altitudeM);
    if (m !== null && Math.abs(m - k.altitudeM) > 0.3) this.edit.change(`height ${this.edit.shown('height', m)}`, { ...k, altitudeM: Math.round(10 * m) / 10 }); // prettier-ignore
  }

  protected setRoom(e: Event): void {
    const k = this.kitchen();
    const c = this.edit.figure(e, 'temperature', 'room temperature', 5, 45, k.roomC);
    if (c !== null && Math.abs(c - k.roomC) > 0.25) this.edit.change(`room ${this.edit.shown('temperature', c)}`, { ...k, roomC: Math.round(10 * c) / 10 }); // prettier-ignore
  }

  protected setWhole(
    e: Event,
    field: 'people' | 'coolingRacks',
    usual: number,
    low: number,
    high: number,
    what: string,
  ): void {
    const k = this.kitchen();
    const value = this.edit.number(e, what, low, high, k[field] ?? usual);
    if (value !== null) this.edit.change(`${what} ${Math.round(value)}`, { ...k, [field]: Math.round(value) });
  }

  protected setName(e: Event): void {
    const name = (e.target as HTMLInputElement).value.trim();
    if (name !== '') this.edit.change(`name ${name}`, { ...this.kitchen(), name });
  }

  protected setPowder(change: Partial<Powder>): void {
    const k = this.kitchen();
    const [first, ...rest] = k.powders;
    const type = change.type ?? first?.type ?? 'double-acting';
    const next: Powder = {
      id: first?.id ?? 'powder',
      name: powders.find((p) => p.type === type)?.name ?? type,
      type,
      strength: change.strength ?? first?.strength ?? 'vigorous',
    };
    this.edit.change(change.strength ? `powder ${change.strength}` : `powder ${type}`, {
      ...k,
      powders: [next, ...rest],
    });
  }

  protected setOven(oven: Oven, change: Partial<Oven>): void {
    const k = this.kitchen();
    this.edit.change(oven.name, { ...k, ovens: k.ovens.map((o) => (o.id === oven.id ? { ...o, ...change } : o)) });
  }

  protected ovenNumber(e: Event, oven: Oven, field: 'litres' | 'racks', low: number, high: number, what: string): void {
    const value = this.edit.number(e, what, low, high, oven[field]);
    if (value !== null) this.setOven(oven, { [field]: value });
  }

  /** What is declared of an oven that runs hot, K. */
  protected setBias(e: Event, oven: Oven): void {
    const biasC = this.edit.figure(e, 'kelvins', 'difference', -60, 60, oven.biasC ?? 0);
    if (biasC !== null && biasC !== (oven.biasC ?? 0)) this.setOven(oven, { biasC });
  }

  /** Cubic feet are what ovens are sold by where lengths are in inches. */
  protected readonly litre = computed(() => (this.kitchen().display.length === 'in' ? FT3_L : 1));
  protected ovenSize(oven: Oven): number {
    return Number((oven.litres / this.litre()).toFixed(1));
  }
  protected setSize(e: Event, oven: Oven): void {
    const per = this.litre();
    const value = this.edit.number(e, per === 1 ? 'oven in litres' : 'oven in cubic feet', per === 1 ? 8 : 0.3, per === 1 ? 200 : 7, this.ovenSize(oven)); // prettier-ignore
    if (value !== null) this.setOven(oven, { litres: Math.round(10 * value * per) / 10 });
  }

  /** The rack as measured, `45 x 36`; empty when it is not. */
  protected rackWords(oven: Oven): string {
    return oven.rackMm ? sizeIn(this.kitchen().display, ...oven.rackMm) : '';
  }

  /** What is taken for a rack that nobody has measured. */
  protected rackGuess(oven: Oven): string {
    const { wide, deep } = rackOf(oven);
    return sizeIn(this.kitchen().display, wide, deep);
  }

  protected setRack(e: Event, oven: Oven): void {
    const field = e.target as HTMLInputElement;
    const text = field.value.trim();
    this.edit.problem.set('');
    if (text === '') {
      const { rackMm: _measured, ...rest } = oven;
      const k = this.edit.kitchen();
      this.edit.change(`${oven.name}: rack not measured`, {
        ...k,
        ovens: k.ovens.map((o) => (o.id === oven.id ? rest : o)),
      });
      return;
    }
    const parts = text.split(/\s*(?:x|×|by|\*)\s*/i);
    const unit = /[a-z"”″]+$/i.exec(parts[1] ?? '')?.[0] ?? '';
    const [wide, deep] = parts.map((p, i) => Math.round(readLength(i === 0 && !/[a-z"”″]$/i.test(p) ? p + unit : p, this.kitchen().display) ?? 0)); // prettier-ignore
    if (parts.length !== 2 || !wide || !deep || wide < 150 || deep < 150 || wide > 900 || deep > 900) {
      const d = this.kitchen().display;
      this.edit.problem.set(
        `"${text}" is no rack I can picture: type its width and depth, between ${lengthIn(d, 150)} and ${lengthIn(d, 900)}, like ${this.rackGuess(oven)}. ${oven.rackMm ? `It stays ${this.rackWords(oven)}.` : 'Nothing was changed.'}`,
      );
      field.value = this.rackWords(oven);
      return;
    }
    this.setOven(oven, { rackMm: [wide, deep] });
  }

  protected ovenName(e: Event, oven: Oven): void {
    const name = (e.target as HTMLInputElement).value.trim();
    if (name !== '') this.setOven(oven, { name });
  }

  protected addOven(): void {
    const k = this.kitchen();
    this.edit.change('a new oven', {
      ...k,
      ovens: [...k.ovens, { id: `oven-${shortId()}`, name: 'New oven', litres: 60, fan: false, racks: 3 }],
    });
  }

  /** The first oven is the one bakes are worked out for. */
  protected useOven(oven: Oven): void {
    const k = this.kitchen();
    this.edit.change(`bake in ${oven.name}`, { ...k, ovens: [oven, ...k.ovens.filter((o) => o.id !== oven.id)] });
  }

  protected removeOven(oven: Oven): void {
    const k = this.kitchen();
    this.edit.change(`take away ${oven.name}`, { ...k, ovens: k.ovens.filter((o) => o.id !== oven.id) });
  }

  protected setBowl(id: string, change: { name?: string; ml?: number }): void {
    const k = this.kitchen();
    this.edit.change('bowl', { ...k, bowls: k.bowls.map((b) => (b.id === id ? { ...b, ...change } : b)) });
  }

  protected bowlMl(e: Event, id: string, was: number): void {
    const ml = this.edit.figure(e, 'capacity', 'bowl', 100, 30000, was);
    if (ml !== null && ml !== was) this.setBowl(id, { ml: Math.round(ml) });
  }

  protected bowlName(e: Event, id: string): void {
    const name = (e.target as HTMLInputElement).value.trim();
    if (name !== '') this.setBowl(id, { name });
  }

  protected addBowl(): void {
    const k = this.kitchen();
    this.edit.change('a new bowl', {
      ...k,
      bowls: [...k.bowls, { id: `bowl-${shortId()}`, name: 'New bowl', ml: 3000 }],
    });
  }

  protected removeBowl(id: string): void {
    const k = this.kitchen();
    this.edit.change('take away a bowl', { ...k, bowls: k.bowls.filter((b) => b.id !== id) });
  }

  protected setMixer(e: Event): void {
    const k = this.kitchen();
    const text = (e.target as HTMLInputElement).value.trim();
    const { mixer, ...rest } = k;
    if (text === '') this.edit.change('no mixer', rest);
    else this.edit.change(`mixer ${text}`, { ...k, mixer: { ...mixer, name: text } });
  }

  protected mixerLimit(e: Event): void {
    const k = this.kitchen();
    const g = this.edit.figure(e, 'mass', 'amount of flour', 50, 20000, k.mixer?.flourLimitG);
    if (g !== null && k.mixer) this.edit.change(`mixer takes ${this.edit.shown('mass', g)}`, { ...k, mixer: { ...k.mixer, flourLimitG: Math.round(g) } }); // prettier-ignore
  }
}
