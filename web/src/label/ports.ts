import type { LabelKind } from '@fair-gable/core';

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

/** Reads the code on the photo of a label, by a library. */
export const photoScanner: CodeScanner = {
  read: async ({ photo }) => photo && (await import('./scan.ts')).readCode(await photo()),
};

/** Stands for a camera held before one of the demo's labels; loaded when somebody asks for it. */
export const standInCamera: LabelCamera = {
  take: async (aim) => (await import('./stand-in.ts')).renderLabel(aim),
};

/** Stands for a scanner held before one of the demo's labels. */
export const standInScanner: CodeScanner = {
  read: async (aim) => (await import('./stand-in-labels.ts')).labelAt(aim)?.says,
};
