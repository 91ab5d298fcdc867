import { expect, it } from '@jest/globals';
import { Plain } from '../src/base/api/client.ts';
import { jsonIn } from '../src/base/files/json.ts';

const file = (text: string, name = 'notes.json'): File => new File([text], name);

it('is what is in the file', async () => {
  expect(await jsonIn(file('{"unit": 1}'), 'a unit file')).toEqual({ unit: 1 });
});

it('says of which file, and what to choose', async () => {
  const isJson = jsonIn(file('a walk round'), 'a unit file');
  await expect(isJson).rejects.toThrow(Plain);
  await expect(isJson).rejects.toThrow(/^“notes.json” isn’t a unit file: .*Choose/);
});

it('is not read where no file of ours is so large', async () => {
  const large = file(`"${'x'.repeat(2_000_001)}"`, 'film.json');
  await expect(jsonIn(large, 'a model sheet')).rejects.toThrow(/^“film.json” is larger/);
});
