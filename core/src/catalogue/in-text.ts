/**
 * A label as it stands within a sentence: its first letter small, but not that of letters said one by one.
 * @example inText('Fresh tank') // 'fresh tank'
 * @example inText('LP changeover') // 'LP changeover'
 */
export const inText = (label: string): string =>
  /^[A-Z][^A-Z]/.test(label) && !/^A\//.test(label)
    ? label.charAt(0).toLowerCase() + label.slice(1)
    : label;
