/** Small parsers over a text: each looks at one place and says what it found there and where it ends. */

/** What a parser found: a value, and the place behind it. */
export interface Took<T> {
  readonly value: T;
  readonly to: number;
}

/** A pattern tried at one place only. Give it the flag `y`. */
export function at(pattern: RegExp, text: string, from: number): RegExpExecArray | null {
  pattern.lastIndex = from;
  return pattern.exec(text);
}

/** The place behind white space. */
export function past(text: string, from: number): number {
  let i = from;
  while (i < text.length && /\s/.test(text[i] ?? '')) i++;
  return i;
}
