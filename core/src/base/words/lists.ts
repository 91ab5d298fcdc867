/**
 * Words one after the other.
 * @example listed(['a', 'b', 'c']) // 'a, b and c'
 */
export const listed = (words: readonly string[], last: 'and' | 'or' = 'and'): string =>
  words.length < 2
    ? words.join('')
    : `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1) ?? ''}`;
