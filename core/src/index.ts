/** The core, room by room. Pure: no interface, no I/O, no clock and no chance of its own. */
export * from './problems/index.ts';
export * from './quantity/index.ts';
export * from './dates/index.ts';
export * from './catalogue/index.ts';
export * from './identity/index.ts';
export * from './record/index.ts';
export * from './checks/index.ts';
export * from './model-sheet/index.ts';
export * from './outline/index.ts';
export * from './walk/index.ts';
export * from './stock-list/index.ts';
export * from './unit-file/index.ts';
export * from './yard/index.ts';
export * from './people/index.ts';
export * from './outbox/index.ts';
