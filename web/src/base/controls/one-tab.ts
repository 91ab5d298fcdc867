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

/** Letters that follow one another within this belong to one word, ms. */
const wordEnds = 700;
let word = { group: null as HTMLElement | null, text: '', at: 0 };

/** The button whose words begin with what is typed; the same letter again is the next of its letter. */
const namedBy = (group: HTMLElement, letter: string): HTMLButtonElement | undefined => {
  const isGoingOn = word.group === group && performance.now() - word.at < wordEnds;
  word = { group, text: (isGoingOn ? word.text : '') + letter, at: performance.now() };
  const all = buttonsOf(group);
  const begins = (text: string) =>
    all.filter((one) => one.textContent.trim().toLowerCase().startsWith(text));
  const isRepeated = [...word.text].every((one) => one === letter);
  const named = begins(isRepeated ? letter : word.text);
  const here = named.findIndex((one) => one === document.activeElement);
  return named[isRepeated ? (here + 1) % named.length : 0];
};

/** Letters choose, as in a list. */
const onLetter = (event: KeyboardEvent, group: HTMLElement): void => {
  const button = namedBy(group, event.key.toLowerCase());
  if (!button) return;
  event.preventDefault();
  standAt(group, button);
  button.focus();
  if (button.getAttribute('aria-pressed') !== 'true') button.click();
};

const onKey = (event: KeyboardEvent): void => {
  const step = steps[event.key];
  const group = event.currentTarget as HTMLElement;
  const isAlone = !event.ctrlKey && !event.metaKey && !event.altKey;
  if (isAlone && /^\p{L}$/u.test(event.key)) return onLetter(event, group);
  const all = buttonsOf(group);
  const at = all.findIndex((one) => one === event.target);
  if (step === undefined || at < 0) return;
  event.preventDefault();
  const next = all[(at + step + all.length) % all.length];
  standAt(group, next);
  next?.focus();
};

/** Buttons that are one field: one Tab goes in, the next goes on; arrows go from one to the other, letters choose. */
export const vOneTab: Directive<HTMLElement> = {
  mounted: (group) => {
    standAt(group, null);
    group.addEventListener('keydown', onKey);
  },
  updated: (group) =>
    standAt(group, group.contains(document.activeElement) ? document.activeElement : null),
};
