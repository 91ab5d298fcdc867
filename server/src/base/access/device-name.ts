/** Browsers by the mark they alone bear, more particular ones first. */
const browsers = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chrome'],
  [/Safari\//, 'Safari'],
] as const;

const systems = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/Linux/, 'Linux'],
] as const;

const named = (agent: string, rows: readonly (readonly [RegExp, string])[]): string | undefined =>
  rows.find(([mark]) => mark.test(agent))?.[1];

/**
 * A browser in a few words, for the list of one's sign-ins.
 * @example deviceName('Mozilla/5.0 (Linux; Android 14) … Chrome/131.0 Mobile') // 'Chrome on Android'
 */
export const deviceName = (agent: string): string => {
  const browser = named(agent, browsers);
  const system = named(agent, systems);
  if (browser && system) return `${browser} on ${system}`;
  return browser ?? system ?? 'Another program';
};
