import { Devices } from '../devices/devices';
import { muffinBake } from '../ui/testing/muffins';
import { AtWork, Spoken } from './testing/at-work';

// a forecast is some seconds of a worker's time
const PATIENT_MS = 60_000;

describe('the probe at the counter', () => {
  let work: AtWork;
  let spoken: Spoken;

  beforeEach(async () => {
    spoken = new Spoken();
    work = await AtWork.on(
      [muffinBake('a', 'First'), muffinBake('b', 'Second')],
      [{ provide: Devices, useValue: spoken }],
    );
  });
  afterEach(() => work.close());

  const bakes = (id: string, agoMin: number): Promise<void> => work.upTo((s) => s.kind === 'bake', agoMin, id);
  const into = (): string[] => (work.makings.making()?.happenings ?? []).flatMap((h) => (h.kind === 'probe in' ? [h.bakeId] : [])); // prettier-ignore
  const reads = (id: string, ...all: [agoMin: number, c: number][]): Promise<void[]> =>
    Promise.all(all.map(([ago, c]) => work.makings.add({ kind: 'probe', bakeId: id, c, by: 'probe' }, Date.now() - ago * 60_000))); // prettier-ignore

  it('is in what goes in first, and in the other when that is said', async () => {
    await bakes('a', 2);
    await work.until(() => into().length === 1);
    await bakes('b', 0);
    spoken.degrees.set(31);
    await work.until(() => work.standing('a')?.probe.length === 1);
    expect(into()).toEqual(['a']);
    await work.press('Second');
    await work.press('the probe is in it');
    await work.until(() => into().length === 2);
    spoken.degrees.set(24);
    await work.until(() => work.standing('b')?.probe.length === 1);
    expect(work.standing('a')?.probe.length).toBe(1);
    expect(work.standing('b')?.probe[0]?.c).toBe(24);
  });

  it(
    'foretells each bake by what was read of it, and moves its end',
    async () => {
      await bakes('a', 9);
      await reads('a', [8, 23], [6, 30], [4, 44], [2, 60], [1, 69]);
      await work.until(() => work.standing('a')?.forecast !== null);
      const f = work.standing('a')?.forecast;
      expect(f?.early).toBeLessThan(f?.likely ?? 0);
      expect(f?.likely).toBeLessThan(f?.late ?? 0);
      expect(f?.late).toBeLessThan(40);
      const alarm = work.makings.alarms().find((x) => x.bakeId === 'a' && x.words.includes('by what was read'));
      expect(alarm).toBeDefined();
      await work.until(() => /by the probe.*(min more|done, or nearly); the signs decide/.test(work.text()));
      await work.until(() => work.find('orvin-probe-chart .main-svg') !== null);
      expect(work.find('orvin-probe-chart [role=img]')?.getAttribute('aria-label')).toMatch(/done between \d+ and \d+/);
      // the other bake, of which nothing was read, keeps what was predicted
      await bakes('b', 1);
      expect(work.standing('b')?.forecast).toBeNull();
    },
    PATIENT_MS,
  );

  it(
    'believes a thermometer for all that is in its oven, whichever bake was looked at',
    async () => {
      await bakes('a', 12);
      await bakes('b', 10);
      await work.makings.add({ kind: 'oven', bakeId: 'b', ovenC: 222 });
      await work.until(() => work.standing('a')?.forecast !== null && work.standing('b')?.forecast !== null);
      // far hotter than its dial says: sooner than it was predicted
      expect(work.standing('a')?.forecast?.likely).toBeLessThan(muffinBake().minutes?.late ?? 0);
      await work.until(() => work.text().includes('by the thermometer'));
    },
    PATIENT_MS,
  );
});
