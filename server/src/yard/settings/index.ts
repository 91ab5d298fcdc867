export { settingsPlugin } from './plugin.ts';
