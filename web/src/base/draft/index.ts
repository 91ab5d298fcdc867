export { useDrafts, type Draft } from './drafts.ts';
export { useDraft, type Drafting, type Editing } from './use-draft.ts';
export { useTried, type Tried } from './tried.ts';
export { default as DraftMark } from './DraftMark.vue';
