import { nextTick, type Directive } from 'vue';

const take = async (element: HTMLElement): Promise<void> => {
  await nextTick();
  if (document.activeElement !== document.body) return;
  if (!element.matches('a, button, input, textarea, [tabindex]')) element.tabIndex = -1;
  element.focus({ preventScroll: true });
};

/**
 * What comes in the place of what had the focus takes it, so that keys and readers go on there. It takes it from nobody.
 * False as its value: not yet.
 */
export const vTakesFocus: Directive<HTMLElement, boolean | undefined> = {
  mounted: (element, { value }) => value !== false && void take(element),
  updated: (element, { value, oldValue }) => value === true && !oldValue && void take(element),
};
