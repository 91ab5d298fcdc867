export { useAttempt } from './attempt.ts';
