import type { EggSize, FlourHabit, HeatScale, Kitchen, PowderType, Source, Tin, Vessel } from '../formula/types.js';
import type { TinRegion } from '../tin/common.js';
import { lengthIn } from '../quantity/figures.js';
import { powders } from '../leavening/powders.js';

import { defaultKitchen } from './default.js';

/** How an oven heats: what a kitchen is asked when it is set up. */
export const ovenKinds = ['still', 'fan', 'gas'] as const;
export type OvenKind = (typeof ovenKinds)[number];

/** A place to bake in: what its measuring cups, eggs, dials, rulers, scales, money and shops are like. */
export interface KitchenPlace {
  readonly id: string;
  readonly name: string;
  readonly measures: Source & { readonly vessel?: Vessel };
  readonly temperature: HeatScale;
  readonly length: 'cm' | 'in';
  readonly weight: 'g' | 'oz';
  readonly oven: OvenKind;
  readonly litres: number;
  readonly currency: string;
  /** In which numbers and money are written. */
  readonly language: string;
  readonly powder: PowderType;
  readonly tins: TinRegion;
  readonly roomC: number;
  /** Country codes of a browser's language that mean it. */
  readonly codes: readonly string[];
}

type Row = readonly [
  id: string,
  name: string,
  codes: string,
  cupMl: number,
  spoonMl: number,
  egg: EggSize,
  temperature: 'C' | 'F',
  length: 'cm' | 'in',
  weight: 'g' | 'oz',
  oven: OvenKind,
  litres: number,
  currency: string,
  language: string,
  powder: PowderType,
  tins: TinRegion,
  roomC: number,
  vessel?: Vessel,
];

const US = 'US and Canada', UK = 'UK and Ireland', AU = 'Australia and New Zealand', IN = 'India', EU = 'Europe'; // prettier-ignore
const SAPP = 'pyrophosphate';

/**
 * Cups and spoons are the countries' own definitions; eggs, ovens, habits and powders what is most usual there, by general
 * knowledge and not looked up. All of it is a beginning that the kit can change.
 */
// prettier-ignore
const rows: readonly Row[] = [
  ['us', 'United States', 'US', 240, 5, 'us-l', 'F', 'in', 'oz', 'still', 140, 'USD', 'en-US', 'double-acting', US, 21],
  ['uk', 'United Kingdom', 'GB', 250, 5, 'eu-m', 'C', 'cm', 'g', 'fan', 65, 'GBP', 'en-GB', SAPP, UK, 20],
  ['ie', 'Ireland', 'IE', 250, 5, 'eu-m', 'C', 'cm', 'g', 'fan', 65, 'EUR', 'en-IE', SAPP, UK, 20],
  ['ca', 'Canada', 'CA', 250, 5, 'us-l', 'F', 'in', 'g', 'still', 140, 'CAD', 'en-CA', 'double-acting', US, 21],
  ['au', 'Australia', 'AU', 250, 20, 'eu-m', 'C', 'cm', 'g', 'fan', 70, 'AUD', 'en-AU', SAPP, AU, 22],
  ['nz', 'New Zealand', 'NZ', 250, 5, 'eu-m', 'C', 'cm', 'g', 'fan', 70, 'NZD', 'en-NZ', SAPP, AU, 20],
  ['za', 'South Africa', 'ZA', 250, 5, 'eu-m', 'C', 'cm', 'g', 'still', 65, 'ZAR', 'en-ZA', SAPP, UK, 22],
  ['in', 'India', 'IN', 240, 5, 'eu-s', 'C', 'in', 'g', 'still', 30, 'INR', 'en-IN', 'double-acting', IN, 28],
  ['de', 'Germany, Austria, Switzerland', 'DE AT CH LI', 250, 5, 'eu-m', 'C', 'cm', 'g', 'still', 70, 'EUR', 'en-DE', SAPP, EU, 20],
  ['fr', 'France', 'FR BE', 250, 5, 'eu-m', 'C', 'cm', 'g', 'fan', 65, 'EUR', 'en-FR', SAPP, EU, 20],
  ['nordic', 'The Nordic countries', 'SE NO DK FI IS', 250, 5, 'eu-m', 'C', 'cm', 'g', 'still', 70, 'EUR', 'en-SE', SAPP, EU, 21, 'dl'],
  ['other', 'Somewhere else', '', 240, 5, 'eu-m', 'C', 'cm', 'g', 'still', 60, 'EUR', 'en', 'double-acting', EU, 20],
];

const HABIT: FlourHabit = 'spooned';

export const kitchenPlaces: readonly KitchenPlace[] = rows.map(
  ([id, name, codes, cupMl, spoonMl, eggSize, temperature, length, weight, oven, litres, currency, language, powder, tins, roomC, vessel]) => ({
    id,
    name,
    codes: codes === '' ? [] : codes.split(' '),
    measures: { cupMl, spoonMl, eggSize, flourHabit: HABIT, saltKind: 'fine', ...(vessel && { vessel }) },
    temperature,
    length,
    weight,
    oven,
    litres,
    currency,
    language,
    powder,
    tins,
    roomC,
  }),
); // prettier-ignore

/** The place with that id; null where there is none, or none was said. */
export const kitchenPlace = (id: string | undefined): KitchenPlace | null =>
  kitchenPlaces.find((p) => p.id === id) ?? null;

/** The place that a browser's language tags speak of, `en-AU` before `en`; null where no country is named that is known. */
export function placeFor(languages: readonly string[]): KitchenPlace | null {
  for (const tag of languages) {
    const code = /-([A-Z]{2})\b/.exec(tag)?.[1];
    const found = kitchenPlaces.find((p) => code !== undefined && p.codes.includes(code));
    if (found) return found;
  }
  return null;
}

/** What a baker says of a kitchen when it is set up; what is left out is the place's. */
export interface Said {
  readonly name?: string;
  readonly temperature?: KitchenPlace['temperature'];
  readonly length?: KitchenPlace['length'];
  readonly weight?: KitchenPlace['weight'];
  readonly oven?: OvenKind;
  readonly tins?: readonly Tin[];
}

/** A kitchen moved to a place: its measures, units, money and names become the place's; what it owns and has stays. */
export function movedTo(kitchen: Kitchen, place: KitchenPlace): Kitchen {
  const { vessel: _was, ...measures } = kitchen.measures;
  return {
    ...kitchen,
    measures: { ...measures, ...place.measures },
    display: { ...kitchen.display, temperature: place.temperature, length: place.length, weight: place.weight },
    locale: {
      ...kitchen.locale,
      place: place.id,
      language: place.language,
      currency: place.currency,
      temperature: place.temperature === 'F' ? 'F' : 'C',
    },
  };
}

/** A kitchen of one's own, in a place. Doughs that hands shape need no tin, and are always there. */
export function kitchenIn(place: KitchenPlace, id: string, zone: string, said: Said = {}): Kitchen {
  const moved = movedTo(defaultKitchen, place);
  const kind = said.oven ?? place.oven;
  const temperature = said.temperature ?? (kind === 'gas' && place.temperature === 'C' ? 'gas' : place.temperature);
  const [oven] = defaultKitchen.ovens;
  const length = said.length ?? place.length;
  // a size in the name of what has no tin is in the place's own unit
  const byHand = defaultKitchen.tins.flatMap((t) =>
    t.material === 'none' ? [{ ...t, name: t.name.replace(/[\d.]+ cm/, lengthIn({ length }, t.topMm)) }] : [],
  );
  const powder = powders.find((p) => p.type === place.powder);
  return {
    ...moved,
    id,
    name: said.name ?? 'My kitchen',
    display: { ...moved.display, temperature, length, weight: said.weight ?? place.weight },
    ovens: oven ? [{ ...oven, litres: place.litres, fan: kind === 'fan' }] : [],
    tins: [...(said.tins ?? []), ...byHand],
    powders: [{ id: 'powder', name: powder?.name ?? place.powder, type: place.powder, strength: 'vigorous' }],
    roomC: place.roomC,
    locale: { ...moved.locale, zone, temperature: temperature === 'F' ? 'F' : 'C' },
  };
}
