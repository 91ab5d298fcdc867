export { callerIn, yardOf, type Caller, type RouteRule } from './access.ts';
export {
  addYard,
  createYard,
  firstAccountToken,
  installationSecret,
  isEmpty,
  type NewPerson,
} from './accounts.ts';
export {
  Invitation,
  KnownDevice,
  Membership,
  PasswordLink,
  Person,
  Secret,
  SessionRow,
  SignInTry,
  Yard,
  YardChange,
} from './entities.ts';
export { sweepTries } from './sign-in.ts';
export { passwordLink } from './passwords.ts';
export { peoplePlugin } from './plugin.ts';
export { rules, type Access } from './rules.ts';
export { sessionPlugin } from './session-plugin.ts';
export { PostgresSessionStore } from './session-store.ts';
export { accountsBehind } from './names.ts';
export { noteOnYard } from './yard-changes.ts';
