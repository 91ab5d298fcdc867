export { callPage, pageTitle } from './title.ts';
