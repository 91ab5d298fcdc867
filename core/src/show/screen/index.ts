export { screenOf, screenViewSchema, type ScreenView, type ShownUnit } from './screen.ts';
