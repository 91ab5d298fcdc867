export type { App, Provider } from './app.ts';
export { asWritten, bytes, schemaOf, type Described, type Example } from './route.ts';
export { sample } from './sample.ts';
