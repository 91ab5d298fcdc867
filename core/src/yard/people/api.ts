import { z } from 'zod';
import { contract } from '../../base/contract/index.ts';
import { roles } from '../../base/rights/index.ts';
import { savedViewsSchema } from '../list/index.ts';
import {
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
} from './people.ts';

const one = z.strictObject({ id: z.uuid() });

/** Signing in, one's own account, and the people of a yard. */
export const peopleApi = contract({
  'POST /api/session': { body: signInSchema },
  'DELETE /api/session': {},
  'GET /api/first-account': { answer: z.strictObject({ wanted: z.boolean() }) },
  'POST /api/first-account': { body: firstAccountSchema },
  'POST /api/password': { body: passwordByLinkSchema },
  'POST /api/links/look': { body: linkTokenSchema, answer: linkForSchema },
  'POST /api/invitations/accept': { body: linkTokenSchema },
  'GET /api/session': { answer: sessionSchema },
  'PUT /api/session/yard': { body: z.strictObject({ yard: z.uuid() }) },
  'GET /api/people': { answer: z.strictObject({ people: z.array(personSchema) }) },
  'POST /api/people': {
    body: newPersonSchema,
    answer: z.strictObject({ id: z.uuid(), link: linkSchema }),
    makes: true,
  },
  'PUT /api/people/:id': { params: one, body: z.strictObject({ role: z.enum(roles) }) },
  'DELETE /api/people/:id': { params: one },
  'POST /api/people/:id/link': { params: one, answer: linkSchema, makes: true },
  'PUT /api/me': { body: ownSettingsSchema },
  'PUT /api/me/password': { body: passwordChangeSchema },
  'GET /api/me/sessions': { answer: z.strictObject({ sessions: z.array(signedInSchema) }) },
  'DELETE /api/me/sessions': {},
  'DELETE /api/me/sessions/:id': {
    params: z.strictObject({ id: z.string().regex(/^[0-9a-f]{64}$/) }),
  },
  'PUT /api/me/views': { body: z.strictObject({ views: savedViewsSchema }) },
});
