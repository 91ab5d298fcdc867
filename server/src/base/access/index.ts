export { callerIn, yardOf, type Access, type Caller, type RouteRule } from './access.ts';
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
export { sessionPlugin, beginSession, type Account } from './session-plugin.ts';
export { PostgresSessionStore } from './session-store.ts';
export { accountsBehind, isFreeOn, nameTaken, rename } from './names.ts';
export { clockOf, type YardClock } from './yard-clock.ts';
export { noteOnYard, yardHistory, type Noted } from './yard-changes.ts';
