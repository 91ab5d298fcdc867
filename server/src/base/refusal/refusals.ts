/** Every refusal the server can give: its status and its plain sentence. RFC 9457. */
export const refusals = {
  'bad-input': { status: 400, title: 'Something in the input cannot be taken' },
  'wrong-password': { status: 401, title: 'Address or password is wrong' },
  'not-signed-in': { status: 401, title: 'Sign in first' },
  'foreign-origin': { status: 403, title: 'This request came from another site' },
  'not-your-role': { status: 403, title: 'Your role may look at this, not change it' },
  'not-inspector': { status: 403, title: 'Only a technician signs this' },
  'wrong-present': { status: 403, title: 'The present password is wrong' },
  'no-yard': { status: 403, title: 'You belong to no yard' },
  'sign-in-first': { status: 409, title: 'There is an account of this address' },
  'not-your-invitation': { status: 403, title: 'The invitation is for somebody else' },
  'wrong-link': { status: 403, title: 'The one-time link is used up' },
  'other-yards': { status: 403, title: 'This person belongs to other yards too' },
  'wrong-token': { status: 403, title: 'The one-time token is wrong or used up' },
  'not-found': { status: 404, title: 'There is nothing here' },
  'other-body': { status: 409, title: 'Something else was sent under this id' },
  stale: { status: 409, title: 'Somebody else changed this meanwhile' },
  'stock-number-taken': { status: 409, title: 'The stock number is taken' },
  'vin-taken': { status: 409, title: 'The VIN is taken' },
  'sheet-taken': { status: 409, title: 'There is such a model sheet already' },
  'name-taken': { status: 409, title: 'Somebody is called so already' },
  'already-member': { status: 409, title: 'This person is on this yard already' },
  'last-manager': { status: 409, title: 'A yard needs a manager' },
  'other-version': { status: 409, title: 'This page is of another version than the server' },
  'already-here': { status: 409, title: 'This unit is already in the yard' },
  'too-large': { status: 413, title: 'Too much was sent at once' },
  'bad-picture': { status: 422, title: 'The picture cannot be taken' },
  'bad-file': { status: 422, title: 'The file cannot be taken in' },
  'too-heavy': { status: 422, title: 'This is more than the server takes on' },
  busy: { status: 429, title: 'Something long is at work' },
  'too-many': { status: 429, title: 'Too many tries' },
  'database-away': { status: 503, title: 'The database does not answer' },
  'took-too-long': { status: 503, title: 'It took too long' },
  'disk-full': { status: 507, title: 'The server has no room left' },
  unexpected: { status: 500, title: 'Something went wrong here' },
} as const;

export type RefusalCode = keyof typeof refusals;

/** Thrown by handlers; answered as problem details. */
export class Refusal extends Error {
  constructor(
    readonly code: RefusalCode,
    readonly detail: string,
    readonly more: Readonly<Record<string, unknown>> = {},
  ) {
    super(detail);
  }
}

/** Whoever asked has gone, or pressed Stop: nobody hears an answer, and it is no fault of anybody’s. */
export class Left extends Error {
  constructor() {
    super('Whoever asked has left.');
  }
}

/** A refusal as the body of an answer. */
export const problemDetails = (refusal: Refusal) => ({
  type: `urn:fair-gable:problem:${refusal.code}`,
  title: refusals[refusal.code].title,
  status: refusals[refusal.code].status,
  detail: refusal.detail,
  code: refusal.code,
  ...refusal.more,
});
