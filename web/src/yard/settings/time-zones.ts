/** `America/Port_of_Spain` as people read it. */
const words = (zone: string): string => zone.replaceAll('_', ' ').replaceAll('/', ', ');

/** The time zones to choose from, and the one that stands, which this browser need not know. */
export const zoneChoices = (
  standing: string,
): readonly { readonly key: string; readonly label: string }[] =>
  [...new Set([...Intl.supportedValuesOf('timeZone'), standing])]
    .toSorted()
    .map((key) => ({ key, label: words(key) }));
