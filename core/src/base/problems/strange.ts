/** Keys to which the language itself gives a meaning: nothing of ours is called so. */
const keysOfLanguage: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype']);

/** What nobody types in what came from outside: a key of the language, or a character that is none. */
export interface Strange {
  readonly what: 'key' | 'character';
  /** @example 'record.specs.vin.value.text' */
  readonly at: string;
}

/** Whether a text has a zero byte, or half of a character: neither can be stored or shown. */
export const isBroken = (text: string): boolean =>
  text.includes('\0') || /\p{Surrogate}/u.test(text);

type Spot = readonly [value: unknown, at: string];

const join = (at: string, key: string): string => (at ? `${at}.${key}` : key);

/**
 * The first thing in parsed JSON that can be no data, however deep; undefined where there is none.
 * @param content left as it is
 */
export const strangeIn = (content: unknown): Strange | undefined => {
  const left: Spot[] = [[content, '']];
  for (let spot = left.pop(); spot; spot = left.pop()) {
    const [value, at] = spot;
    if (typeof value === 'string' && isBroken(value)) return { what: 'character', at };
    if (typeof value !== 'object' || value === null) continue;
    for (const key of Object.keys(value)) {
      const under = join(at, key);
      if (keysOfLanguage.has(key)) return { what: 'key', at: under };
      if (isBroken(key)) return { what: 'character', at };
      left.push([(value as Record<string, unknown>)[key], under]);
    }
  }
  return undefined;
};

/** What is strange, and what to do about it, as a sentence. */
export const strangeSentence = ({ what, at }: Strange): string =>
  what === 'key'
    ? `${at}: a field can’t have that name. Remove it and send the rest again; nothing was saved.`
    : `${at || 'The input'}: it has a character that can’t be stored. Retype it without that character; nothing was saved.`;
