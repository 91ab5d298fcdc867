export {
  addYard,
  createYard,
  firstAccountToken,
  installationSecret,
  isEmpty,
  type NewPerson,
} from './accounts.ts';
export { sweepTries } from './sign-in.ts';
export { passwordLink } from './passwords.ts';
export { peoplePlugin } from './plugin.ts';
