/**
 * A label or a sentence as it stands within another: its first letter small, but not that of “I”, of a name, or of letters that
 * are said one by one.
 * @example inText('Fresh tank') // 'fresh tank'
 * @example inText('LP changeover') // 'LP changeover'
 */
export const inText = (text: string): string =>
  /^(?!I\b|Wi-Fi)[A-Z](?=[a-z ])/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;
