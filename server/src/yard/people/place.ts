import { isIPv6 } from 'node:net';

const groupsOf = (part: string): readonly string[] => (part === '' ? [] : part.split(':'));

/**
 * The place an address stands for. Of IPv6 it is the first half: a household or an office has all of the second.
 * @example placeOf('2001:db8:7:1::9') // '2001:db8:7:1'
 */
export const placeOf = (ip: string): string => {
  const bare = (ip.split('%')[0] ?? '').toLowerCase().replace(/^::ffff:(?=\d+\.)/, '');
  if (!isIPv6(bare)) return bare;
  const [head = '', tail] = bare.split('::');
  const [before, after] = [groupsOf(head), groupsOf(tail ?? '')];
  const missing = tail === undefined ? 0 : 8 - before.length - after.length;
  return [...before, ...Array<string>(Math.max(0, missing)).fill('0'), ...after]
    .slice(0, 4)
    .map((group) => Number.parseInt(group, 16).toString(16))
    .join(':');
};
