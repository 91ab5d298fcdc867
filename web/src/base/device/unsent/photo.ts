import { unsentKind } from './kind.ts';
import { sendPhoto } from './send-photo.ts';

/** A photo; what it shows is an edit of its own. */
export const photo = unsentKind({
  kind: 'photo',
  isLarge: true,
  send: ([{ unit, photo: id }]) => sendPhoto(unit, id),
  describe: ({ unit }, nameOf) => ({ what: 'a photo', where: nameOf(unit) }),
  beside: ({ photo: key }) => ({ store: 'pictures', key }),
});
