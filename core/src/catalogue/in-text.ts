/**
 * A label as it stands within a sentence: its first letter small, but not that of letters said one by one.
 * @example inText('Fresh tank') // 'fresh tank'
 * @example inText('LP changeover') // 'LP changeover'
 */
export const inText = (label: string): string =>
  /^[A-Z][^A-Z]/.test(label) && !/^A\//.test(label)
    ? label.charAt(0).toLowerCase() + label.slice(1)
    : label;

/** “a”, “a and b”, “a, b and c”. */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
