/** How far something long has come, as the server tells it. */
export interface Progress {
  readonly phase: string;
  readonly done: number;
  readonly of: number;
}

const ears = new Map<string, (progress: Progress) => void>();

/** Hears of one's own long work. @returns how to stop */
export const hearWork = (id: string, ear: (progress: Progress) => void): (() => void) => {
  ears.set(id, ear);
  return () => void ears.delete(id);
};

/** Tells whoever waits for it; of the work of others nobody here hears. */
export const tellWork = ({
  id,
  progress,
}: {
  readonly id: string;
  readonly progress: Progress;
}): void => ears.get(id)?.(progress);
