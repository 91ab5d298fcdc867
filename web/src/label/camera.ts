import type { LabelKind } from '@fair-gable/core';

/**
 * What takes a photo of a label. A phone's camera does it by the page's own button; where there is none a stand-in
 * renders a label of the demo. Everything a label says can be typed instead.
 */
export interface LabelCamera {
  /** @returns a photo; undefined where it has no such label */
  readonly take: (label: LabelKind['key'], unitName: string) => Promise<Blob | undefined>;
}

/** The stand-in, loaded when somebody asks for it. */
export const standInCamera: LabelCamera = {
  take: async (label, unitName) => (await import('./stand-in.ts')).renderLabel(label, unitName),
};
