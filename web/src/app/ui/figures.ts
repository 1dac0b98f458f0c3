import type { Role } from '@orvin/core';

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

/** Grams as read on a scale: tenths below 20 g, else whole. */
export const scaleG = (g: number): string =>
  g < 20 ? String(Math.round(g * 10) / 10) : g < 10_000 ? String(Math.round(g)) : `${Math.round(g / 100) / 10} k`;

export const pct = (x: number): string => (x < 9.95 ? String(Math.round(x * 10) / 10) : String(Math.round(x)));
