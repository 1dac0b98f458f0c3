import { once } from './once';

describe('once', () => {
  it('loads one time for all that ask, and again only after it could not be had', async () => {
    let asked = 0;
    const load = once(async (name: string) => {
      asked++;
      if (asked === 1) throw new Error('no way through');
      return `${name} ${asked}`;
    });
    await expectAsync(load('flour')).toBeRejectedWithError('no way through');
    expect(await Promise.all([load('flour'), load('flour')])).toEqual(['flour 2', 'flour 2']);
    expect(await load('flour')).toBe('flour 2');
    expect(asked).toBe(2);
  });
});
