/** A picture as it is kept. */
export interface SmallPhoto {
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: ArrayBuffer;
}

export interface PhotoJobs {
  /** Makes a photo small, upright, and once more for lists; throws when the file is no picture that can be read. */
  shrink(file: Blob): Promise<{ readonly photo: SmallPhoto; readonly thumb: SmallPhoto }>;
}
