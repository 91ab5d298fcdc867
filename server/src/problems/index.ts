export { strangePlugin } from './strange-plugin.ts';
export { problemsPlugin, refuseAddress } from './plugin.ts';
export { problemDetails, Refusal, refusals, type RefusalCode } from './problems.ts';
export { versionHeader, versionPlugin } from './version.ts';
