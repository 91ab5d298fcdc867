export { aboutOf, idAbout, isAbout, type About, type AboutKind } from './about.ts';
