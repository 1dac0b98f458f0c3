/** Numbers as text in a source file: 16 bits each, to a part in 32,767 of the largest; base 64. */
export interface Packed {
  readonly most: number;
  readonly bytes: string;
}

const SIGNS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';
const STEPS = 32767;

export function pack(x: Iterable<number>): Packed {
  const all = [...x];
  const most = all.reduce((m, v) => Math.max(m, Math.abs(v)), 0);
  const bytes: number[] = [];
  for (const one of all) {
    const v = most > 0 ? Math.round((one / most) * STEPS) & 0xffff : 0;
    bytes.push(v & 0xff, v >> 8);
  }
  let out = '';
  for (let i = 0; i < bytes.length; i += 3) {
    const v = ((bytes[i] as number) << 16) | ((bytes[i + 1] ?? 0) << 8) | (bytes[i + 2] ?? 0);
    out += `${SIGNS[v >> 18]}${SIGNS[(v >> 12) & 63]}${SIGNS[(v >> 6) & 63]}${SIGNS[v & 63]}`;
  }
  return { most, bytes: out };
}

const values = new Uint8Array(128);
for (let i = 0; i < SIGNS.length; i++) values[SIGNS.charCodeAt(i)] = i;

/** @param n how many numbers there are */
export function unpack({ most, bytes }: Packed, n: number): Float64Array {
  const raw = new Uint8Array((bytes.length / 4) * 3);
  const at = (i: number): number => values[bytes.charCodeAt(i)] as number;
  for (let i = 0, k = 0; i < bytes.length; i += 4, k += 3) {
    const v = (at(i) << 18) | (at(i + 1) << 12) | (at(i + 2) << 6) | at(i + 3);
    raw[k] = v >> 16;
    raw[k + 1] = (v >> 8) & 0xff;
    raw[k + 2] = v & 0xff;
  }
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const v = (raw[2 * i] as number) | ((raw[2 * i + 1] as number) << 8);
    out[i] = ((v > STEPS ? v - 65536 : v) / STEPS) * most;
  }
  return out;
}
