import type { CodeScanner, LabelCamera } from './ports.ts';

/** Stands for a camera held before one of the demo's labels; what draws them is loaded when somebody asks for it. */
export const standInCamera: LabelCamera = {
  take: async (aim) => (await import('./stand-in.ts')).renderLabel(aim),
};

/** Stands for a scanner held before one of the demo's labels. */
export const standInScanner: CodeScanner = {
  read: async (aim) => (await import('./stand-in-labels.ts')).labelAt(aim)?.says,
};
