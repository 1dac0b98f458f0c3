/** Loads something once, for all that ask; where it could not be had, whoever asks next tries again. */
export function once<A extends readonly unknown[], T>(load: (...args: A) => Promise<T>): (...args: A) => Promise<T> {
  let loaded: Promise<T> | null = null;
  return (...args) =>
    (loaded ??= load(...args).catch((e: unknown) => {
      loaded = null;
      throw e;
    }));
}
