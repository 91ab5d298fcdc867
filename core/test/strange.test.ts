import { describe, expect, it } from '@jest/globals';
import { isBroken, strangeIn, strangeSentence } from '@fair-gable/core/base/problems';
import { readModelSheetFile } from '@fair-gable/core/unit/model-sheet';
import { readUnitFile } from '@fair-gable/core/unit/unit-file';

describe('what can be no data', () => {
  it.each([
    ['{"a":{"__proto__":{"x":1}}}', { what: 'key', at: 'a.__proto__' }],
    ['[{"constructor":1}]', { what: 'key', at: '0.constructor' }],
    ['{"prototype":null}', { what: 'key', at: 'prototype' }],
    [String.raw`{"a":["b","c\u0000d"]}`, { what: 'character', at: 'a.1' }],
    [String.raw`{"a":"\ud83d"}`, { what: 'character', at: 'a' }],
    [String.raw`{"a":{"b\u0000":1}}`, { what: 'character', at: 'a' }],
    [String.raw`"\u0000"`, { what: 'character', at: '' }],
  ])('is found in %s', (text, found) => {
    expect(strangeIn(JSON.parse(text))).toEqual(found);
    expect(strangeSentence(found as never)).toMatch(/nothing was saved\.$/);
  });

  it.each(['{"a":"😀 Fenlark","b":[1,null,true,"é"]}', '{}', 'null', '"proto"', '{"proto":1}'])(
    'is not found in %s',
    (text) => {
      expect(strangeIn(JSON.parse(text))).toBeUndefined();
    },
  );

  it('is looked for however deep, without running out of room', () => {
    const deep = JSON.parse(`${'['.repeat(100_000)}"\\u0000"${']'.repeat(100_000)}`) as unknown;
    expect(strangeIn(deep)).toMatchObject({ what: 'character' });
  });

  it('is said of files, by its place', () => {
    const unit = JSON.parse('{"format":"fair-gable/unit","version":8,"x":{"__proto__":1}}');
    expect(readUnitFile(unit)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^x\.__proto__: a field can’t have that name/),
    });
    const sheet = JSON.parse(
      String.raw`{"format":"fair-gable/model-sheet","sheet":{"series":"a\u0000"}}`,
    );
    expect(readModelSheetFile(sheet)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^sheet\.series: it has a character/),
    });
  });

  it('are a zero byte and half a character', () => {
    expect(['a\0b', '\uD83D', 'x\uDE00y', '😀', 'é', ''].map(isBroken)).toEqual([
      true,
      true,
      true,
      false,
      false,
      false,
    ]);
  });
});
