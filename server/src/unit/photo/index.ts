export { PhotoPiece, PhotoRow } from './entities.ts';
export { keepPicture, photosHere, pictureOf } from './photos.ts';
export { photoPlugin } from './plugin.ts';
