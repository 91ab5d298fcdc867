import type { Directive } from 'vue';

const steps: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};

const buttonsOf = (group: HTMLElement): readonly HTMLButtonElement[] => [
  ...group.querySelectorAll<HTMLButtonElement>('button:not(:disabled)'),
];

/** Tab stops at the chosen button, or at the first. */
const standAt = (group: HTMLElement, button: Element | null | undefined): void => {
  const all = buttonsOf(group);
  const stop =
    all.find((one) => one === button) ??
    all.find((one) => one.getAttribute('aria-pressed') === 'true') ??
    all[0];
  for (const one of all) one.tabIndex = one === stop ? 0 : -1;
};

const onKey = (event: KeyboardEvent): void => {
  const step = steps[event.key];
  const group = event.currentTarget as HTMLElement;
  const all = buttonsOf(group);
  const at = all.findIndex((one) => one === event.target);
  if (step === undefined || at < 0) return;
  event.preventDefault();
  const next = all[(at + step + all.length) % all.length];
  standAt(group, next);
  next?.focus();
};

/** Buttons that are one field: one Tab goes in, the next goes on; arrows go from one to the other. */
export const vOneTab: Directive<HTMLElement> = {
  mounted: (group) => {
    standAt(group, null);
    group.addEventListener('keydown', onKey);
  },
  updated: (group) =>
    standAt(group, group.contains(document.activeElement) ? document.activeElement : null),
};
