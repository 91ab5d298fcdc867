import { computed, nextTick, ref, watch, type ComputedRef, type Ref } from 'vue';
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

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const isFields = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What was typed after something was sent to be kept, field by field; where nothing was, what is known now. */
const typedSince = <T>(sent: T, typed: T, known: T): T => {
  if (!isFields(sent) || !isFields(typed) || !isFields(known)) return typed;
  const since = Object.entries(typed).filter(([key, value]) => !isSame(value, sent[key]));
  return { ...known, ...Object.fromEntries(since) } as T;
};

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
  const isTyped = computed(() => !isSame(typed(draft.value), typed(known.value)));

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
  /** What was kept is known now; what was typed since stands on it. */
  const rest = (held: T): void => {
    const now = copy(fresh());
    known.value = copy(now);
    draft.value = typedSince(held, copy(draft.value), now);
  };
  const keepWith = async (work: () => Promise<boolean>): Promise<boolean> => {
    const [at, held] = [place(), now()];
    const value = held.value as T;
    const isKept = await work();
    // What is known now reaches this editor with the page.
    await nextTick();
    const isHere = place() === at;
    const isTypedOn = isHere && isTyped.value && !isSame(typed(draft.value), typed(value));
    if (isKept && isTypedOn) rest(value);
    else if (isKept && isHere) clear();
    else if (isKept) drafts.drop(at);
    else if (!isTypedOn) {
      if (isHere) draft.value = copy(value);
      drafts.put(at, held);
    }
    return isKept;
  };
  return { draft, isTyped, clear, keepWith };
};
