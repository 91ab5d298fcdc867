import type { Directive } from 'vue';

/**
 * In place of the library’s ripple, which nothing here shows: its directive reads its styles again at each update of
 * each button, and every time all styles of the page are worked out anew. Put there by vite.config.ts.
 */
const noRipple: Directive = {};
export default noRipple;
