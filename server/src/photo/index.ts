export { PhotoPiece, PhotoRow } from './entities.ts';
export { madeAnew, type Picture } from './picture.ts';
export { keepPicture, photoLimit, photosHere, pictureOf } from './photos.ts';
export { photoPlugin } from './plugin.ts';
