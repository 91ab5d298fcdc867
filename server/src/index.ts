export { buildApp, type AppOptions } from './app.ts';
export type { App } from './base/app/index.ts';
export { dataSourceFor, NewerDatabase, openDatabase } from './tables/index.ts';
export { loadDemo, readDemoYard, type DemoYard } from './demo/index.ts';
export { networkFrom, type Network } from './network.ts';
export { addYard, passwordLink } from './yard/people/index.ts';
export { pageParameters, pageStatement, type ListQuery } from './unit/record/index.ts';
export { serve, type ServeOptions, type Serving } from './serve.ts';
