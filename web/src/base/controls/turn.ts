import { nextTick, onScopeDispose, ref, type Ref } from 'vue';

/** So long of one frame may what waits for its turn take, milliseconds. */
const share = 6;

const waiting = new Set<() => void>();
let called = false;

const call = (): void => {
  if (called || waiting.size === 0) return;
  called = true;
  requestAnimationFrame(() => void serve());
};

/** Lets in whoever fits this frame; the others wait for the next one. */
const serve = async (): Promise<void> => {
  const until = performance.now() + share;
  for (const enter of waiting) {
    waiting.delete(enter);
    enter();
    // What was let in is drawn here, so that the clock counts it.
    await nextTick();
    if (performance.now() > until) break;
  }
  called = false;
  call();
};

/**
 * Whether this component's turn to draw what takes long has come: some come in each frame, in the order in
 * which they asked, and one that has left before is never drawn. So a long list can fly past without a stutter.
 */
export const useTurn = (): Readonly<Ref<boolean>> => {
  const come = ref(false);
  const enter = (): void => {
    come.value = true;
  };
  waiting.add(enter);
  call();
  onScopeDispose(() => waiting.delete(enter));
  return come;
};
