import { dateWords } from './when';

describe('dates in words', () => {
  it('are those of the kitchen, wherever the device is', () => {
    const late = Date.UTC(2026, 10, 26, 23, 30);
    expect(dateWords(late, 'UTC')).toBe('26 Nov');
    expect(dateWords(late, 'UTC', 'weekday')).toBe('Thu 26 Nov');
    expect(dateWords(late, 'Europe/Berlin', 'long')).toBe('Friday 27 November 2026');
    expect(dateWords(late, 'America/New_York', 'year')).toBe('Thu 26 Nov 2026');
  });
});
