import { describe, expect, it } from '@jest/globals';
import { useAttempt } from '../src/base/attempt/index.ts';
import { Plain, Refused } from '../src/base/api/client.ts';
import { useFieldSaving } from '../src/unit/record/saving.ts';
import { newPage } from './support.ts';

/** A promise that is decided from outside. */
const open = () => {
  let [done, fail] = [() => {}, (_: unknown) => {}];
  const promise = new Promise<void>((resolve, reject) => ([done, fail] = [resolve, reject]));
  return { promise, done: () => done(), fail: (error: unknown) => fail(error) };
};

describe('an attempt', () => {
  it('is busy until it is decided, then tells its news', async () => {
    const { busy, done, problem, attempt } = useAttempt();
    const work = open();
    const isDone = attempt(() => work.promise, 'Saved.');
    expect([busy.value, done.value]).toEqual([true, '']);
    work.done();
    expect(await isDone).toBe(true);
    expect([busy.value, done.value, problem.value]).toEqual([false, 'Saved.', '']);
  });

  it('says why it could not be done, and of which field', async () => {
    const { done, problem, field, attempt } = useAttempt();
    const refused = new Refused(400, 'bad-input', 'Year: before 2100.', { field: 'year' });
    expect(await attempt(() => Promise.reject(refused), 'Saved.')).toBe(false);
    expect([done.value, problem.value, field.value]).toEqual(['', 'Year: before 2100.', 'year']);
    // The next begins anew.
    expect(await attempt(() => Promise.resolve())).toBe(true);
    expect([problem.value, field.value]).toEqual(['', '']);
  });

  it('says of what nobody wrote a sentence for that the page is to be loaded again', async () => {
    const { problem, attempt } = useAttempt();
    await attempt(() => Promise.reject(new TypeError('x is not a function')));
    expect(problem.value).toMatch(/Reload it/);
    expect(problem.value).not.toContain('function');
  });

  it('is busy while one of two is under way, and keeps the fault of either', async () => {
    const { busy, problem, attempt } = useAttempt();
    const [first, second] = [open(), open()];
    const both = [attempt(() => first.promise), attempt(() => second.promise)];
    second.done();
    await both[1];
    expect(busy.value).toBe(true);
    first.fail(new Plain('Too late.'));
    await both[0];
    expect([busy.value, problem.value]).toEqual([false, 'Too late.']);
  });
});

describe('a page with many fields', () => {
  it('has what could not be kept beside its own field, also where another was kept meanwhile', async () => {
    newPage();
    const { refusalOf, guarded, clear } = useFieldSaving(() => 'u');
    const first = open();
    const isFirstKept = guarded('gvwr', () => first.promise);
    expect(await guarded('uvw', () => Promise.resolve())).toBe(true);
    first.fail(new Plain('Gross weight: too much.'));
    expect(await isFirstKept).toBe(false);
    expect([refusalOf('gvwr'), refusalOf('uvw')]).toEqual(['Gross weight: too much.', '']);
    expect(await guarded('uvw', () => Promise.resolve())).toBe(true);
    expect(refusalOf('gvwr')).not.toBe('');
    expect(await guarded('gvwr', () => Promise.resolve())).toBe(true);
    expect(refusalOf('gvwr')).toBe('');
    await guarded('uvw', () => Promise.reject(new Plain('No.')));
    clear();
    expect(refusalOf('uvw')).toBe('');
  });
});
