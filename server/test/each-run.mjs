import { randomUUID } from 'node:crypto';

/** Names this run: its test files share a filled database, which no other run looks into. */
export default () => {
  process.env['TEST_RUN'] = randomUUID().replaceAll('-', '');
};
