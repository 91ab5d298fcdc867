export { callerIn, yardOf, type Access, type Caller } from './access.ts';
export {
  createYard,
  firstAccountToken,
  installationSecret,
  isEmpty,
  type NewPerson,
} from './accounts.ts';
export { Membership, Person, Secret, SessionRow, Yard } from './entities.ts';
export { peoplePlugin, sessionPlugin } from './plugin.ts';
export { PostgresSessionStore } from './session-store.ts';
