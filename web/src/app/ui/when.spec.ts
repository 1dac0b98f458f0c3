import { ago, dateWords } from './when';

describe('dates in words', () => {
  it('are those of the kitchen, wherever the device is', () => {
    const late = Date.UTC(2026, 10, 26, 23, 30);
    expect(dateWords(late, 'UTC')).toBe('26 Nov');
    expect(dateWords(late, 'UTC', 'weekday')).toBe('Thu 26 Nov');
    expect(dateWords(late, 'Europe/Berlin', 'long')).toBe('Friday 27 November 2026');
    expect(dateWords(late, 'America/New_York', 'year')).toBe('Thu 26 Nov 2026');
  });

  it('are counted by the kitchen’s calendar, not by hours', () => {
    const now = Date.UTC(2026, 10, 27, 0, 30);
    const hour = 3_600_000;
    expect(ago(now - hour, now, 'UTC')).toBe('yesterday');
    expect(ago(now - hour, now, 'Europe/Berlin')).toBe('today');
    expect(ago(now - 5 * 24 * hour, now, 'UTC')).toBe('5 days ago');
    expect(ago(now - 42 * 24 * hour, now, 'UTC')).toBe('6 weeks ago');
    expect(ago(now - 91 * 24 * hour, now, 'UTC')).toBe('3 months ago');
    expect(ago(now - 800 * 24 * hour, now, 'UTC')).toBe('2 years ago');
    expect(ago(now + hour, now, 'UTC')).toBe('today');
  });
});
