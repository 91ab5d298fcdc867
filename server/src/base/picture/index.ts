export { madeAnew, photoLimit, type Picture } from './picture.ts';
export { madeInThread, pictureFrom } from './threaded.ts';
