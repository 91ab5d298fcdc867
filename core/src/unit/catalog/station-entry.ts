export type Layer = 'outside' | 'inside' | 'roof' | 'papers';
export type Side = 'door' | 'off-door' | 'center' | 'front' | 'rear';

/** Where something usually is: its side, and its share of the overall length back from the coupler. */
export interface UsualPlace {
  readonly side: Side;
  readonly share: number;
}

export interface StationEntry {
  readonly key: string;
  /** Order and peg number. */
  readonly number: number;
  readonly label: string;
  /** One or two words, beside the peg. */
  readonly short: string;
  readonly layer: Layer;
  readonly usual: UsualPlace;
}
