import { readDial } from '@orvin/core';
import { ovenScale } from './words';

/** Reads a heat typed for the oven, a bare number in the kitchen's own scale. */
export const readDegrees = (text: string): { readonly ovenC: number; readonly fan: boolean } | null =>
  readDial(text, ovenScale());
