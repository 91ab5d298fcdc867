export { buildApp, type AppOptions } from './app.ts';
export type { App } from './app-type.ts';
export { dataSourceFor, NewerDatabase, openDatabase } from './database/index.ts';
export { loadDemo, readDemoYard, type DemoYard } from './demo/index.ts';
export { networkFrom, type Network } from './network.ts';
export { addYard, passwordLink } from './people/index.ts';
export { pageParameters, pageStatement, type ListQuery } from './record/index.ts';
export { serve, type ServeOptions, type Serving } from './serve.ts';
