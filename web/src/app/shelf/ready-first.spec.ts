import { readyFirst } from './ready-first';

describe('two tries at one thing', () => {
  const never = new Promise<string>(() => undefined);

  beforeEach(() => jasmine.clock().install());
  afterEach(() => jasmine.clock().uninstall());

  it('are one where the first is ready in time', async () => {
    const begin = jasmine.createSpy('begin').and.resolveTo('first');
    expect(await readyFirst(begin, () => undefined, 100, 1000)).toBe('first');
    jasmine.clock().tick(500);
    expect(begin).toHaveBeenCalledTimes(1);
  });

  it('are two where the first keeps silent; what comes too late is spared', async () => {
    let late: (it: string) => void = () => undefined;
    const slow = new Promise<string>((done) => (late = done));
    const begin = jasmine.createSpy('begin').and.returnValues(slow, Promise.resolve('second'));
    const spared: string[] = [];
    const got = readyFirst<string>(begin, (it) => spared.push(it), 100, 1000);
    jasmine.clock().tick(101);
    expect(await got).toBe('second');
    late('first');
    await slow;
    await Promise.resolve();
    expect(spared).toEqual(['first']);
  });

  it('end at once where the only one fails, and some time where both keep silent', async () => {
    await expectAsync(readyFirst(() => Promise.reject(new Error('gone')), () => undefined, 100, 1000)).toBeRejectedWithError('gone'); // prettier-ignore
    const silent = readyFirst(() => never, () => undefined, 100, 1000); // prettier-ignore
    jasmine.clock().tick(1001);
    await expectAsync(silent).toBeRejectedWithError(/not ready/);
  });
});
