export type { App, Provider } from './app.ts';
export { asWritten, bytes, schemaOf, type Described } from './route.ts';
