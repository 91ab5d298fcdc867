export { tellWork, type Progress } from './news.ts';
export { useLongWork } from './use-long-work.ts';
