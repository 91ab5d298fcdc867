import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { deviceZone, onDay, standAt, useClock, when } from '../src/base/clock/index.ts';

// 23:30 in Denver, half past six the next morning in Greenwich.
const late = Date.parse('2026-11-28T06:30:00.000Z');
const day = 86_400_000;

beforeEach(() => {
  jest.useFakeTimers({ now: late });
  setActivePinia(createPinia());
  standAt('America/Denver');
});

describe('the yard’s clock', () => {
  it('has the yard’s day, wherever the device is', () => {
    const clock = useClock();
    clock.hear(new Date(late).toISOString());
    expect(clock.today).toBe('2026-11-27');
    standAt('Pacific/Kiritimati');
    expect(clock.today).toBe('2026-11-28');
  });

  it('goes by the server’s time where the device is a day off', () => {
    jest.setSystemTime(late - day);
    const clock = useClock();
    expect(clock.today).toBe('2026-11-26');
    clock.hear(new Date(late).toISOString());
    expect([clock.now, clock.today]).toEqual([late, '2026-11-27']);
  });

  it('leaves a device alone that is off by what an answer takes', () => {
    const clock = useClock();
    clock.hear(new Date(late + 60_000).toISOString());
    expect(clock.now).toBe(late);
  });

  it('stays at the device’s own place where the browser knows the yard’s not', () => {
    standAt('Mars/Olympus');
    expect(useClock().timeZone).toBe(deviceZone());
  });
});

describe('a time in words', () => {
  it('is of today by the yard’s day, not by the device’s', () => {
    const noon = '2026-11-27T19:00:00.000Z';
    expect(onDay(noon)).toBe('2026-11-27');
    expect(when(noon, late)).toMatch(/^12:00/);
    // Ten past midnight there: another day.
    expect(when(noon, late + 40 * 60_000)).toMatch(/Nov|27/);
    expect(when(new Date(late).toISOString(), late + 1000)).toBe('just now');
  });
});
