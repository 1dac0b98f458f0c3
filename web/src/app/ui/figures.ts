import type { Role } from '@orvin/core';
import { massIn, massUnit, massValue } from '@orvin/core/first';
import { units } from './words';

/** Colour token of a role's bar. */
export const roleColour: Readonly<Record<Role, string>> = {
  flour: 'var(--flour)',
  sugar: 'var(--sugar)',
  fat: 'var(--fat)',
  egg: 'var(--egg)',
  liquid: 'var(--liquid)',
  fruit: 'var(--fruit)',
  cocoa: 'var(--cocoa)',
  addin: 'var(--addin)',
  leavener: 'var(--leavener)',
  salt: 'var(--salt)',
  flavour: 'var(--flavour)',
  acid: 'var(--acid-role)',
};

/** A weight of so many grams as the kitchen's scale reads it, without its unit: tenths below 20 g, else whole; or ounces. */
export const scaleG = (g: number): string =>
  massUnit(units().display) === 'oz'
    ? String(massValue(units().display, g))
    : g < 20
      ? String(Math.round(g * 10) / 10)
      : g < 10_000
        ? String(Math.round(g))
        : `${Math.round(g / 100) / 10} k`;

/** The unit that the kitchen weighs in. */
export const scaleUnit = (): 'g' | 'oz' => massUnit(units().display);

/** The same with its unit: `240 g`, `8.5 oz`, `1 lb 2 oz`. */
export const mass = (g: number): string => (scaleUnit() === 'oz' ? massIn(units().display, g) : `${scaleG(g)} g`);

/** From one weight to another: `240 → 300 g`. */
export const massTo = (from: number, to: number): string =>
  scaleUnit() === 'oz' ? `${mass(from)} → ${mass(to)}` : `${scaleG(from)} → ${mass(to)}`;

/** A span of weights: `240 to 300 g`. */
export const massSpan = (from: number, to: number): string => `${scaleG(from)}–${scaleG(to)} ${scaleUnit()}`;

export const pct = (x: number): string => (x < 9.95 ? String(Math.round(x * 10) / 10) : String(Math.round(x)));
