import { ref, watch, type Ref } from 'vue';

/**
 * What a control shows: what somebody chose until it is decided, and then what is so, whether or not that is what they chose.
 * @param fact what is so
 * @param isDeciding whether a choice is being worked out or sent
 */
export const useShown = <T>(fact: () => T, isDeciding: () => boolean): Ref<T> => {
  const shown = ref(fact()) as Ref<T>;
  const settle = (): void => {
    shown.value = fact();
  };
  watch(fact, settle);
  watch(isDeciding, (is) => !is && settle());
  return shown;
};
