import type { Right } from '@fair-gable/core/base/rights';

/** Who may call a route: anyone, or those whose role has a right. */
export type Access = 'anyone' | Right;

/**
 * Every route of the API and whom it is for, in one table. A route that is not here is not
 * registered; a row without a route fails a test. Which role has which right: core, people/roles.
 */
export const rules: Readonly<Record<string, Access>> = {
  'GET /api/health': 'anyone',
  'GET /api/catalogue': 'anyone',
  'GET /api/openapi.json': 'anyone',

  'POST /api/session': 'anyone',
  'DELETE /api/session': 'anyone',
  'GET /api/first-account': 'anyone',
  'POST /api/first-account': 'anyone',
  'POST /api/password': 'anyone',
  'POST /api/links/look': 'anyone',
  'POST /api/invitations/accept': 'look',

  'GET /api/session': 'look',
  'PUT /api/session/yard': 'look',
  'PUT /api/me': 'look',
  'PUT /api/me/password': 'look',
  'PUT /api/me/views': 'look',
  'GET /api/me/sessions': 'look',
  'DELETE /api/me/sessions': 'look',
  'DELETE /api/me/sessions/:id': 'look',

  'GET /api/people': 'manage',
  'POST /api/people': 'manage',
  'PUT /api/people/:id': 'manage',
  'DELETE /api/people/:id': 'manage',
  'POST /api/people/:id/link': 'manage',
  'PUT /api/yard': 'manage',
  'GET /api/yard/history': 'manage',

  'GET /api/live': 'look',

  'GET /api/model-sheets': 'look',
  'GET /api/model-sheets/:id/file': 'look',
  'GET /api/model-sheets/:id/history': 'look',
  'PUT /api/model-sheets/:id': 'manage',
  'DELETE /api/model-sheets/:id': 'manage',
  'POST /api/model-sheets/:id/preview': 'manage',
  'POST /api/model-sheets/:id/offers': 'record',
  'DELETE /api/model-sheets/:id/offers/:offer': 'manage',
  'GET /api/units/:id/as-ordered.csv': 'look',

  'GET /api/stock-list.csv': 'look',
  'GET /api/stock-list.json': 'look',
  'POST /api/stock-list/preview': 'record',
  'POST /api/stock-list': 'record',
  'GET /api/units': 'look',
  'GET /api/units/:id': 'look',
  'GET /api/units/:id/history': 'look',
  'POST /api/units': 'record',
  'POST /api/units/:id/edits': 'record',
  'GET /api/units/:id/photos/:photo': 'look',
  'GET /api/units/:id/photos/:photo/upload': 'record',
  'PUT /api/units/:id/photos/:photo/upload': 'record',
  'GET /api/units/:id/file': 'look',
  'GET /api/units/:id/file.zip': 'look',
  'POST /api/unit-files': 'record',
  'POST /api/unit-files/zip': 'record',

  'POST /api/numbers/weight': 'look',
  'POST /api/numbers/tow': 'look',
  'POST /api/numbers/tyres': 'look',
  'POST /api/numbers/water': 'look',
  'POST /api/numbers/drag': 'look',
  'POST /api/numbers/scale': 'look',
  'POST /api/numbers/cargo-label': 'look',

  'GET /api/vehicles': 'look',
  'PUT /api/vehicles/:key': 'record',
  'DELETE /api/vehicles/:key': 'record',

  'PUT /api/walks/:id': 'present',
  'POST /api/walks/:id/events': 'present',
  'GET /api/walks': 'look',
  'GET /api/walks/:id': 'look',
  'GET /api/units/:id/walks': 'look',
  'PUT /api/walks/:id/memos/:memo': 'present',
  'GET /api/walks/:id/memos/:memo': 'present',
  'POST /api/walks/:id/screens': 'record',
  'DELETE /api/walks/:id/screens': 'record',
  // Whoever has the address of a screen sees what it shows, and nothing else.
  'GET /api/screens/:token': 'anyone',
  'GET /api/screens/:token/live': 'anyone',
  'GET /api/screens/:token/photos/:photo': 'anyone',

  'GET /api/follow-ups': 'look',
  'PUT /api/follow-ups/:id': 'record',
  'DELETE /api/follow-ups/:id': 'record',
  'GET /api/buyers': 'see-buyers',
  'PUT /api/buyers/:id': 'see-buyers',
  'GET /api/buyers/:id': 'see-buyers',
  'DELETE /api/buyers/:id': 'see-buyers',
  'PUT /api/walks/:id/buyer': 'see-buyers',
  'GET /api/letters': 'see-buyers',
  'PUT /api/letters/:id': 'see-buyers',
};
