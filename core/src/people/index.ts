export {
  firstAccountSchema,
  glossarySchema,
  houseViewsSchema,
  linkSchema,
  newPersonSchema,
  ownSettingsSchema,
  passwordByLinkSchema,
  passwordChangeSchema,
  personSchema,
  sessionSchema,
  signedInSchema,
  signInSchema,
  yardSettingsSchema,
  type HouseViews,
  type Session,
  type SignedIn,
  type YardPerson,
  type YardSettings,
} from './people.ts';
export { may, rights, rightToChange, roles, roleWords, type Right, type Role } from './roles.ts';
export { waitAfter, waitWords } from './waits.ts';
