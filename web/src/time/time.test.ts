import { showDate } from '@fonte/core/time';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { follow, instantNow, now, offsetAt } from './clock.ts';
import { showMoment, showTime } from './show.ts';

afterEach(() => {
  follow(Date.now());
  vi.useRealTimers();
});

describe('the page’s clock', () => {
  it('follows the server’s once it was moved, and runs on from there', () => {
    vi.useFakeTimers({ now: Date.UTC(2026, 10, 23, 10, 0) });
    follow(Date.UTC(2026, 10, 24, 12, 0));
    expect(new Date(now()).toISOString()).toBe('2026-11-24T12:00:00.000Z');
    vi.advanceTimersByTime(90_000);
    expect(instantNow().utc).toBe('2026-11-24T12:01:30.000Z');
  });

  it('gives the offset as minutes east of UTC', () => {
    expect(offsetAt(Date.UTC(2026, 10, 23))).toBe(-new Date(Date.UTC(2026, 10, 23)).getTimezoneOffset() || 0);
  });
});

it('shows times on the site’s wall clock, wherever the device is', () => {
  const moment = Date.UTC(2026, 10, 24, 0, 30);
  expect(showTime(moment, 'Atlantic/Azores')).toBe('23:30');
  expect(showMoment(moment, 'Atlantic/Azores')).toBe('Mon 23 Nov, 23:30');
  expect(showDate('2026-11-23')).toBe('23 November 2026');
});
