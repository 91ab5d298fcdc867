export { counted, percent } from './figures.ts';
export { inText } from './in-text.ts';
export { listed } from './lists.ts';
export { isSameName, nameSchema, tidyName } from './name.ts';
export { slugOf } from './slug.ts';
export { inOneSpelling } from './spelling.ts';
export { numberSpoken, spokenNumber } from './spoken.ts';
