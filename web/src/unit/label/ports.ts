import type { LabelKind } from '@fair-gable/core/unit/catalog';

/** What a camera or a scanner is pointed at. */
export interface Aim {
  readonly label: LabelKind['key'];
  readonly unitName: string;
  /** The photo of it, if there is one. */
  readonly photo?: () => Promise<Blob>;
}

/**
 * What takes a photo of a label. A phone's camera does it by the page's own button; where there is none a stand-in
 * renders a label of the demo. Everything a label says can be typed instead.
 */
export interface LabelCamera {
  /** @returns a photo; undefined where there is no such label */
  readonly take: (aim: Aim) => Promise<Blob | undefined>;
}

/** What reads a bar code or QR code. What it would say can be typed instead. */
export interface CodeScanner {
  /** @returns the text of the code; undefined where none is found */
  readonly read: (aim: Aim) => Promise<string | undefined>;
}
