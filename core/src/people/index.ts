export {
  firstAccountSchema,
  roles,
  sessionSchema,
  signInSchema,
  writers,
  type Role,
  type Session,
} from './people.ts';
