/**
 * A pure function that remembers what it gave for a text: reading a recipe asks the same of the same words many times.
 * The oldest answers go when there are too many.
 */
export function remembered<T>(of: (text: string) => T, most = 4000): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const had = known.get(text);
    if (had !== undefined || known.has(text)) return had as T;
    const found = of(text);
    if (text.length < 400) {
      if (known.size >= most) known.clear();
      known.set(text, found);
    }
    return found;
  };
}
