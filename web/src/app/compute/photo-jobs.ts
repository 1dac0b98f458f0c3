/** A picture as it is kept. */
export interface SmallPhoto {
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: ArrayBuffer;
}

/** A word in a picture, in pixels. */
export interface WordAt {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export interface PhotoJobs {
  /**
   * A picture of print made ready to be read: upright, so many quarter turns clockwise further, its longer side between
   * 1,600 and 2,600 px. Throws when the file is no picture that can be read.
   */
  ready(file: Blob, turns: number): Promise<Blob>;
  /** For each word what it reads as when it may end with a fraction, the likelier first; none when it is no fraction. */
  fractions(picture: Blob, words: readonly WordAt[]): Promise<readonly (readonly string[])[]>;
  /** Makes a photo small, upright, and once more for lists; throws when the file is no picture that can be read. */
  shrink(file: Blob): Promise<{ readonly photo: SmallPhoto; readonly thumb: SmallPhoto }>;
}
