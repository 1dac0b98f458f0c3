import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import {
  eggG,
  ovenOff,
  powders,
  rackOf,
  type EggSize,
  type FlourHabit,
  type Kitchen,
  type Oven,
  type Powder,
  type PowderType,
  type SaltKind,
} from '@orvin/core';
import { RouterLink } from '@angular/router';
import { Learning } from '../desk/learning';
import { KitchenEdit } from './kitchen-edit';
import { Pick, type Option } from './pick';
import { shortId } from '../data/ids';
import { Shown } from '../ui/shown';

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
  protected readonly cups: Option<number>[] = [
    { id: 236.6, name: '236.6 ml, US customary' },
    { id: 240, name: '240 ml, US label' },
    { id: 250, name: '250 ml, metric' },
    { id: 284, name: '284 ml, imperial' },
    { id: 200, name: '200 ml, Japanese' },
    { id: 235, name: '235 ml, some sets' },
  ];
  protected readonly spoons: Option<number>[] = [
    { id: 5, name: '5 ml, tablespoon 15' },
    { id: 4.93, name: '4.93 ml, tablespoon 14.8 (US)' },
    { id: 20, name: '5 ml, tablespoon 20 (Australian)' },
    { id: 5.9, name: '5.9 ml, tablespoon 17.7 (old British)' },
    { id: 3.55, name: '3.55 ml, old small spoon' },
  ];
  protected readonly habits: Option<FlourHabit>[] = [
    { id: 'sifted', name: 'sifted into the cup, about 105 g' },
    { id: 'spooned', name: 'spooned and levelled, about 122 g' },
    { id: 'dipped', name: 'dipped and swept, about 145 g' },
    { id: 'packed', name: 'packed, about 160 g' },
  ];
  protected readonly salts: Option<SaltKind>[] = [
    { id: 'fine', name: 'fine, 5.9 g a teaspoon' },
    { id: 'coarse', name: 'coarse, 4.9 g a teaspoon' },
    { id: 'flake', name: 'flakes, 3 g a teaspoon' },
  ];
  protected readonly eggs: Option<EggSize>[] = (Object.keys(eggG) as EggSize[]).map((id) => ({
    id,
    name: `${id.startsWith('eu') ? 'European' : 'US'} ${{ s: 'small', m: 'medium', l: 'large', xl: 'extra large', jumbo: 'jumbo' }[id.slice(3)] ?? id}, ${eggG[id]} g`,
  }));
  protected readonly scales: Option<number>[] = [
    { id: 1, name: 'to 1 g' },
    { id: 0.1, name: 'to 0.1 g' },
    { id: 2, name: 'to 2 g' },
    { id: 5, name: 'to 5 g' },
  ];
  protected readonly degrees: Option<'C' | 'F'>[] = [
    { id: 'C', name: '°C' },
    { id: 'F', name: '°F' },
  ];
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

  protected setTemperature(temperature: 'C' | 'F'): void {
    const k = this.kitchen();
    this.edit.change(`oven in °${temperature}`, { ...k, display: { ...k.display, temperature } });
  }

  /** What the log says of an oven, in all. */
  protected learned(ovenId: string): string | null {
    const k = this.learning.kitchen();
    const off = k ? ovenOff(k, ovenId) : null;
    if (!off || off.bakes === 0) return null;
    const c = Math.round(off.typical);
    return `in all ${c > 0 ? '+' : c < 0 ? '−' : ''}${Math.abs(c)} °C, from ${off.bakes} ${off.bakes === 1 ? 'bake' : 'bakes'}`;
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

  protected setNumber(e: Event, field: 'altitudeM' | 'roomC', low: number, high: number, what: string): void {
    const k = this.kitchen();
    const value = this.edit.number(e, what, low, high, k[field]);
    if (value !== null) this.edit.change(`${what} ${value}`, { ...k, [field]: value });
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

  protected ovenNumber(
    e: Event,
    oven: Oven,
    field: 'litres' | 'racks' | 'biasC',
    low: number,
    high: number,
    what: string,
  ): void {
    const value = this.edit.number(e, what, low, high, oven[field]);
    if (value !== null) this.setOven(oven, { [field]: value });
  }

  /** The rack as measured, `45 x 36`; empty when it is not. */
  protected rackWords(oven: Oven): string {
    return oven.rackMm ? oven.rackMm.map((mm) => mm / 10).join(' x ') : '';
  }

  /** What is taken for a rack that nobody has measured. */
  protected rackGuess(oven: Oven): string {
    const { wide, deep } = rackOf(oven);
    return `${Math.round(wide / 10)} x ${Math.round(deep / 10)}`;
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
    const m = /^([\d.,]+)\s*(?:x|×|by|\*)\s*([\d.,]+)\s*(cm|mm|in)?$/i.exec(text);
    const factor = { mm: 1, cm: 10, in: 25.4 }[(m?.[3] ?? 'cm').toLowerCase()] ?? 10;
    const [wide, deep] = [m?.[1], m?.[2]].map((x) => Math.round(Number((x ?? '').replace(',', '.')) * factor));
    if (!wide || !deep || wide < 150 || deep < 150 || wide > 900 || deep > 900) {
      this.edit.problem.set(
        `"${text}" is no rack I can picture: type its width and depth in cm, between 15 and 90, like ${this.rackGuess(oven)}. ${oven.rackMm ? `It stays ${this.rackWords(oven)}.` : 'Nothing was changed.'}`,
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
    const ml = this.edit.number(e, 'bowl in ml', 100, 30000, was);
    if (ml !== null) this.setBowl(id, { ml });
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
    const g = this.edit.number(e, "mixer's flour in g", 50, 20000, k.mixer?.flourLimitG);
    if (g !== null && k.mixer) this.edit.change(`mixer takes ${g} g`, { ...k, mixer: { ...k.mixer, flourLimitG: g } });
  }
}
