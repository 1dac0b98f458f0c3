import { SET_OUT } from '@orvin/core';
import { Devices } from '../devices/devices';
import { press } from '../ui/testing/page';
import { muffinBake } from '../ui/testing/muffins';
import { AtWork, Spoken } from './testing/at-work';

// weights are waited for as a baker waits for them
const PATIENT_MS = 60_000;

describe('the counter with a scale', () => {
  let work: AtWork;
  let spoken: Spoken;
  const bake = muffinBake();
  beforeEach(async () => {
    spoken = new Spoken();
    work = await AtWork.on([bake], [{ provide: Devices, useValue: spoken }]);
  });
  afterEach(() => work.close());

  async function weighing(): Promise<void> {
    await work.upTo((s) => s.kind === 'weigh');
    await work.makings.add({ kind: 'done', bakeId: 'm', stepId: SET_OUT });
  }
  const weighed = () => (work.makings.making()?.happenings ?? []).filter((h) => h.kind === 'weighed');
  it(
    'is told of the bowl once, goes on by itself at the right weight, and offers to scale what is too much',
    async () => {
      await weighing();
      await spoken.rest(400, 0.3);
      await work.until(() => work.text().includes('Bowl on the scale?'));
      work.key.click();
      await spoken.rest(400, 1.5);
      const first = work.makings
        .lists()
        .get('m')
        ?.find((s) => s.kind === 'weigh')?.amounts[0];
      const grams = Math.round(first?.grams ?? 0);
      // too full at first; what is taken out again is taken out
      await spoken.rest(400 + Math.round(1.1 * grams), 2.2);
      await work.until(() => work.text().includes('too much') && work.text().includes('scale all by 1.10'));
      expect(work.key.disabled).toBeTrue();
      expect(work.key.textContent).toContain('choose above');
      await spoken.rest(400 + grams);
      await work.until(() => weighed().length === 1);
      expect(weighed()[0]).toEqual(jasmine.objectContaining({ itemId: first?.itemId, grams, by: 'scale' }));
      expect(work.key.textContent).not.toContain('choose above');
      // the next begins where that one ended
      const wanted = Number(/of (\d+) g in/.exec(work.text())?.[1]);
      await spoken.rest(400 + grams + wanted);
      await work.until(() => weighed().length === 2);
    },
    PATIENT_MS,
  );

  it(
    'says that the scale is silent, keeps what was in, and lets it be weighed by hand',
    async () => {
      await weighing();
      await spoken.rest(0, 0.3);
      work.key.click();
      await spoken.rest(0, 1.5);
      await spoken.rest(40, 0.5);
      await work.until(() => work.text().includes('40 g of'));
      // a pause changes nothing of it
      await work.makings.add({ kind: 'pause' });
      await work.until(() => work.text().includes('Paused since'));
      await work.breath();
      work.key.click();
      await work.until(() => work.text().includes('40 g of'));
      spoken.scaleLink.set('silent');
      await work.until(() => work.text().includes('The scale is silent') && work.text().includes('40 g were in'));
      await work.breath();
      work.key.click();
      await work.until(() => weighed().length === 1);
      expect(weighed()[0]).toEqual(jasmine.objectContaining({ by: 'hand' }));
    },
    PATIENT_MS,
  );

  it(
    'divides the batter cup by cup, and takes the last as it is',
    async () => {
      await work.upTo((s) => s.kind === 'fill');
      const each = Math.round(bake.fits[0]?.perCupG ?? 0);
      const cups = (bake.fits[0]?.tin.cups ?? 1) * (bake.fits[0]?.count ?? 1);
      const filled = (): readonly number[] => work.makings.standings()[0]?.filled.get('fill:0') ?? [];
      await spoken.rest(600, 0.3);
      await work.until(() => work.text().includes('Tray on the scale?'));
      work.key.click();
      await spoken.rest(600, 1.5);
      await spoken.rest(600 + each);
      await work.until(() => filled().length === 1);
      await spoken.rest(600 + 2 * each);
      await work.until(() => filled().length === 2 && work.text().includes(`cup 3 of ${cups}`));
      press(document.body, 'Backspace');
      await work.until(() => filled().length === 1);
      expect(Math.abs((filled()[0] ?? 0) - each)).toBeLessThanOrEqual(1);
    },
    PATIENT_MS,
  );

  it(
    'knows which bake the probe is in, takes down what it reads, and goes on when it is silent',
    async () => {
      await work.upTo((s) => s.kind === 'bake');
      await work.until(() => work.makings.making()?.happenings.some((h) => h.kind === 'probe in') ?? false);
      spoken.degrees.set(24.5);
      await work.until(() => work.makings.standings()[0]?.probe.length === 1);
      await work.until(() => work.text().includes('25 °C'));
      // another within half a minute is shown, not kept
      spoken.degrees.set(26);
      await work.until(() => work.text().includes('26 °C'));
      expect(work.makings.standings()[0]?.probe.length).toBe(1);
      spoken.probeLink.set('silent');
      await work.until(() => work.text().includes('The probe is silent'));
      expect(work.makings.making()?.happenings.some((h) => h.kind === 'probe' && h.by === 'probe')).toBeTrue();
    },
    PATIENT_MS,
  );
});
