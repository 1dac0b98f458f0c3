import { customAlphabet } from 'nanoid';

// small letters and digits, so that an id reads the same in an address, a file's name and a selector
const letters = customAlphabet('0123456789abcdefghijklmnopqrstuvwxyz');

/**
 * A new id that no other record has: 24 small letters and digits, some 124 bits. Unlike the browser's own UUIDs it can be
 * made on a page that came over plain http from another device in the house.
 */
export const newId = (): string => letters(24);

/** A short ending for a name that is taken, or for one of a few things; not sure to be unlike all others. */
export const shortId = (length = 6): string => letters(length);
