import { onBeforeUnmount } from 'vue';

/** Tells whether whoever began something on this page is still on it: what ends late leads nobody away from where they went. */
export const useStillHere = (): (() => boolean) => {
  let here = true;
  onBeforeUnmount(() => (here = false));
  return () => here;
};
