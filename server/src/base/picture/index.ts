export { madeAnew, type Picture } from './picture.ts';
export { madeInThread, pictureFrom } from './threaded.ts';
