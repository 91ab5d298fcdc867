/** Inches: x across the trailer, door side positive; y back from the coupler. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
