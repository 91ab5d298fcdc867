export { photoApi, photoLimit, type Arrived } from './api.ts';
