/**
 * What is run: after compiling, the build puts this file, all it needs of ours, and the threads into a few files in its place,
 * for Node opens a few files faster than four hundred.
 */
export * from '../index.ts';
