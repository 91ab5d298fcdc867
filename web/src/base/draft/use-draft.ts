import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';
import { useRoute } from 'vue-router';
import { useDrafts, type Draft } from './drafts.ts';

/** What an editor is about. */
export interface Editing<T> {
  /** Where it is typed, as a key: `unit.specs.gvwr`. */
  readonly place: () => string;
  /** In words, for a list of what was not kept. */
  readonly what: () => string;
  /** What the editor opens with while nothing is typed: what is known. */
  readonly fresh: () => T;
  /** What was typed, of all that is kept with it; all of it where this is left out. */
  readonly typed?: (value: T) => unknown;
}

/** What is typed into an editor, kept through whatever happens to the page until it is kept for good or left. */
export interface Drafting<T> {
  readonly draft: Ref<T>;
  /** Whether somebody typed something that is not kept yet. */
  readonly isTyped: ComputedRef<boolean>;
  /** It is left: what is known stands in the editor again. */
  readonly clear: () => void;
  /**
   * Keeps what was typed for good. What was refused is typed still, also where the editor was left meanwhile.
   * @param work does it; false where it was refused
   */
  readonly keepWith: (work: () => Promise<boolean>) => Promise<boolean>;
}

/** Drafts are kept as text: a copy is what would be read back. */
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/**
 * The text of an editor that loses nothing: another row, another page, a closed tab or a flat battery leave what was typed
 * where it was. While nothing is typed it follows what is known.
 */
export const useDraft = <T>({
  place,
  what,
  fresh,
  typed = (value) => value,
}: Editing<T>): Drafting<T> => {
  const drafts = useDrafts();
  const route = useRoute();
  const stored = (): T | undefined => drafts.all.get(place())?.value as T | undefined;
  const draft = ref(copy(stored() ?? fresh())) as Ref<T>;
  /** What is known, against which it counts as typed. */
  const known = ref(copy(fresh())) as Ref<T>;
  const isTyped = computed(
    () => JSON.stringify(typed(draft.value)) !== JSON.stringify(typed(known.value)),
  );

  let isTurning = false;
  /** Another place has its own draft; nothing of the one before is noted there. */
  const turn = (): void => {
    isTurning = true;
    known.value = copy(fresh());
    draft.value = copy(stored() ?? fresh());
    isTurning = false;
  };
  /** What is known changed elsewhere: an editor in which nothing was typed takes it over. */
  const follow = (): void => {
    const isFollowing = !isTyped.value;
    known.value = copy(fresh());
    if (isFollowing) draft.value = copy(fresh());
  };
  watch(
    [place, () => JSON.stringify(fresh())],
    ([now], [before]) => (now === before ? follow() : turn()),
    { flush: 'sync' },
  );
  const now = (): Draft => ({
    value: copy(draft.value),
    what: what(),
    where: route.fullPath,
    at: new Date().toISOString(),
  });
  const note = (): void => {
    if (isTurning) return;
    if (isTyped.value) drafts.put(place(), now());
    else drafts.drop(place());
  };
  // At once: the next thing may be that the tab is closed.
  watch([draft, isTyped], note, { deep: true, flush: 'sync' });

  const clear = (): void => {
    known.value = copy(fresh());
    draft.value = copy(fresh());
    drafts.drop(place());
  };
  const keepWith = async (work: () => Promise<boolean>): Promise<boolean> => {
    const [at, held] = [place(), now()];
    const isKept = await work();
    const isHere = place() === at;
    if (isKept && isHere) clear();
    else if (isKept) drafts.drop(at);
    else {
      if (isHere) draft.value = copy(held.value as T);
      drafts.put(at, held);
    }
    return isKept;
  };
  return { draft, isTyped, clear, keepWith };
};
