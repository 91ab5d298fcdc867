export { modelSheetPlugin } from './plugin.ts';
export { keepSheet } from './sheets.ts';
