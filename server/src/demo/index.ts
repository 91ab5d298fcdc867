export { isDemo, loadDemo, readDemoYard, type DemoYard } from './load.ts';
