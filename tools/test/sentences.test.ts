import { describe, expect, it } from '@jest/globals';
import { Failure, sentenceFor } from '../lib/steps.mjs';

const withCode = (code: string, message = code): Error =>
  Object.assign(new Error(message), { code });

describe('a failure', () => {
  it.each([
    ['a full disk', withCode('ENOSPC'), /^The disk is full/],
    [
      'a full disk under PostgreSQL',
      withCode('53100', 'could not extend file'),
      /^The disk is full/,
    ],
    [
      'initdb on a full disk',
      new Error('initdb ended with 1: No space left on device'),
      /^The disk is full/,
    ],
    ['a missing right', withCode('EACCES'), /^A folder may not be written by this user/],
    ['a taken port', withCode('EADDRINUSE'), /^Port 4780 is in use/],
    ['our own words', new Failure('Permission denied by us.'), /^Permission denied by us\.$/],
    ['anything else', new Error('unheard of'), /^unheard of$/],
  ])('of %s is one sentence', (_, error, words) => {
    expect(sentenceFor(error, { port: '4780' })).toMatch(words);
  });
});
