export { ScreenRow } from './entities.ts';
export { screenPlugin } from './plugin.ts';
