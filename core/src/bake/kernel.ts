import { kernelBytes } from './kernel.bytes.js';

/** What core/kernel exports; a bake is given by where its room begins, in bytes. */
interface Kernel {
  step(bake: number, dt: number, air: number): void;
  temperature(bake: number, cell: number): number;
  dryness(bake: number, cell: number): number;
}

/** The parts of WebAssembly that are used; browsers, workers and Node all have it, but no types of it in common. */
declare const WebAssembly: {
  Module: new (bytes: Uint8Array) => object;
  Memory: new (size: { initial: number }) => { readonly buffer: ArrayBuffer };
  Instance: new (module: object, imports: object) => { readonly exports: unknown };
};
declare const atob: (base64: string) => string;

/** A place for the numbers of one bake, where the inner loops can reach them. */
export interface Room {
  readonly mem: Float64Array;
  /** The same words in halves, the lower one first. */
  readonly wholes: Uint32Array;
  /** Where `mem` begins, in bytes. */
  readonly at: number;
  readonly kernel: Kernel;
}

interface Arena {
  readonly buffer: ArrayBuffer;
  readonly kernel: Kernel;
  used: number;
}

const PAGE = 65536;
/** Enough for some eight bakes at the usual resolution; a thread seldom has more than two. */
const ARENA = 32 * PAGE;

let compiled: object | null = null;
let arena: Arena | null = null;
/** Rooms that nobody uses any more; the one used last is taken first, while it is still in the cache. */
const spare: Room[] = [];

function newArena(bytes: number): Arena {
  compiled ??= new WebAssembly.Module(Uint8Array.from(atob(kernelBytes), (c) => c.charCodeAt(0)));
  const memory = new WebAssembly.Memory({ initial: Math.ceil(bytes / PAGE) });
  const { exports } = new WebAssembly.Instance(compiled, { env: { memory } });
  return { buffer: memory.buffer, kernel: exports as Kernel, used: 0 };
}

/** Room for at least `size` numbers; what stands in it is left over. */
export function roomFor(size: number): Room {
  const free = spare.findLastIndex((r) => r.mem.length >= size && r.mem.length <= 2 * size);
  if (free >= 0) return spare.splice(free, 1)[0] as Room;
  const bytes = 8 * size;
  // memory is never grown, since that would take it from under the rooms in use
  if (!arena || arena.used + bytes > arena.buffer.byteLength) arena = newArena(Math.max(ARENA, bytes));
  const at = arena.used;
  arena.used += bytes;
  const { buffer, kernel } = arena;
  return { mem: new Float64Array(buffer, at, size), wholes: new Uint32Array(buffer, at, 2 * size), at, kernel };
}

/** Gives room back; its owner must not touch it again. */
export function giveBack(room: Room): void {
  spare.push(room);
}
