/** What a programmer can do wrong. A baker's doubtful input never throws; it becomes a doubt or a problem in words. */
export type ErrorCode =
  | 'dimension' // a mass was used where a volume, length or temperature is needed
  | 'unknown-unit'
  | 'unknown-ingredient'
  | 'unknown-item'
  | 'unknown-family'
  | 'unknown-doubt'
  | 'unknown-key'
  | 'bad-argument';

export class OrvinError extends Error {
  readonly code: ErrorCode;
  constructor(code: ErrorCode, message: string) {
    super(message);
    this.name = 'OrvinError';
    this.code = code;
  }
}

/** A person's impossible or doubtful value: where, what it likely means, and what to do about it. */
export interface Problem {
  readonly id: string;
  readonly place: string;
  readonly words: string;
  readonly remedy: string;
}
