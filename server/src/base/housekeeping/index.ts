export { housekeepingPlugin, type Chore } from './plugin.ts';
