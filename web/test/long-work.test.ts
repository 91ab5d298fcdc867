import { beforeEach, describe, expect, it } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import type { Sending } from '../src/base/api/client.ts';
import { tellWork, useLongWork } from '../src/base/long-work/index.ts';

/** Work that goes on until it is let go. */
const held = () => {
  const given: Sending[] = [];
  let end: (value: string) => void = () => {};
  const work = (as: Sending): Promise<string> => {
    given.push(as);
    return new Promise((resolve, reject) => {
      end = resolve;
      as.signal?.addEventListener('abort', () => reject(new Error('stopped')));
    });
  };
  return { work, given, end: (value: string) => end(value) };
};

beforeEach(() => void setActivePinia(createPinia()));

describe('long work', () => {
  it('says how far it is by its own id alone, and is over when it is done', async () => {
    const { isAtWork, progress, run } = effectScope().run(useLongWork) ?? useLongWork();
    const { work, given, end } = held();
    const done = run(work);
    expect([isAtWork.value, progress.value]).toEqual([true, undefined]);
    const far = { phase: 'reading', done: 3, of: 9 };
    tellWork({ id: 'another', progress: far });
    expect(progress.value).toBeUndefined();
    const id = given[0]?.work ?? '';
    tellWork({ id, progress: far });
    expect(progress.value).toEqual(far);
    end('kept');
    expect([await done, isAtWork.value]).toEqual(['kept', false]);
    // What comes late is of nothing any more.
    tellWork({ id, progress: { ...far, done: 9 } });
    expect(progress.value).toEqual(far);
  });

  it('is stopped by hand, by a later one, and by leaving the page', async () => {
    const scope = effectScope();
    const long = scope.run(useLongWork);
    if (!long) throw new Error('no scope');
    const byHand = long.run(held().work);
    long.stop();
    await expect(byHand).rejects.toThrow('stopped');
    expect(long.isAtWork.value).toBe(false);

    const earlier = long.run(held().work);
    const later = held();
    const second = long.run(later.work);
    await expect(earlier).rejects.toThrow('stopped');
    // The earlier one's end is not the later one's.
    expect(long.isAtWork.value).toBe(true);
    later.end('second');
    expect(await second).toBe('second');

    const left = long.run(held().work);
    scope.stop();
    await expect(left).rejects.toThrow('stopped');
  });
});
