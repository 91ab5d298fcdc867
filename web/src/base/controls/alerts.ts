import { useMutationObserver } from '@vueuse/core';

const alertsIn = (node: Node): readonly HTMLElement[] => {
  const within = node instanceof HTMLElement ? node : node.parentElement;
  if (!within) return [];
  const above = within.closest<HTMLElement>('[role=alert]');
  return above ? [above] : [...within.querySelectorAll<HTMLElement>('[role=alert]')];
};

const isTyping = (): boolean =>
  document.activeElement?.matches('input, textarea, select, [role=combobox]') ?? false;

/**
 * What went wrong is brought into view wherever on the page it is said; and is focused where a button was pressed, so that
 * one does not press it again in vain. Whoever is typing keeps the focus.
 */
const bring = (alert: HTMLElement): void => {
  if (alert.textContent.trim() === '') return;
  alert.scrollIntoView({ block: 'nearest' });
  if (isTyping()) return;
  alert.tabIndex = -1;
  alert.focus({ preventScroll: true });
};

/** Brings every error into view, for as long as the application runs. */
export const useAlertsInView = (): void => {
  useMutationObserver(
    document.body,
    (changes) => {
      const found = changes.flatMap(({ type, target, addedNodes }) =>
        type === 'characterData' ? alertsIn(target) : [...addedNodes].flatMap(alertsIn),
      );
      const last = found.at(-1);
      if (last) bring(last);
    },
    { childList: true, subtree: true, characterData: true },
  );
};
