export {
  firstAccountSchema,
  linkForSchema,
  linkSchema,
  linkTokenSchema,
  newPersonSchema,
  ownSettingsSchema,
  passwordByLinkSchema,
  passwordChangeSchema,
  personSchema,
  sessionSchema,
  signedInSchema,
  signInSchema,
  type LinkFor,
  type Session,
  type SignedIn,
  type YardPerson,
} from './people.ts';
export { waitAfter, waitWords } from './backoff.ts';
export { peopleApi } from './api.ts';
