export { screenOf, screenViewSchema, type ScreenView, type ShownUnit } from './screen.ts';
export { screenApi } from './api.ts';
