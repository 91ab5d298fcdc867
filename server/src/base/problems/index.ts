export { freshPlugin } from './fresh-plugin.ts';
export { beforeRoutes } from './before-routes.ts';
export { strangePlugin } from './strange-plugin.ts';
export { problemsPlugin, refuseAddress } from './plugin.ts';
export { problemDetails, Refusal, refusals, type RefusalCode } from '../refusal/index.ts';
export { versionHeader, versionPlugin } from './version.ts';
