export {
  addYard,
  createYard,
  firstAccountToken,
  installationSecret,
  isEmpty,
  type NewPerson,
} from './accounts.ts';
export { passwordLink } from './passwords.ts';
export { peoplePlugin } from './plugin.ts';
