import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { defaultKitchen, fitTins, SET_OUT, type Formula, type MadeBake, type Weight } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Makings } from '../desk/makings';
import type { Link } from '../devices/device';
import { Devices } from '../devices/devices';
import { base } from '../ui/testing/muffins';
import { host, press, until } from '../ui/testing/page';
import { Counter } from './counter';

const tin = defaultKitchen.tins.find((t) => t.shape === 'cup') ?? defaultKitchen.tins[0];
const f: Formula = { ...base, id: 'm', bake: { ovenC: 190, fan: false }, ...(tin && { tins: [{ tin, count: 1 }] }) };
const bake: MadeBake = {
  id: 'm',
  formula: f,
  fits: fitTins(f, f.tins ?? [], defaultKitchen),
  minutes: { early: 17, likely: 19, late: 22 },
  marks: [],
  ovenId: 'oven',
};

/** A scale and a probe that say what they are told to. */
class Spoken {
  readonly scale = signal({ name: 'scale', simulated: false, stepG: 1 });
  readonly probe = signal({ name: 'probe', simulated: false });
  readonly scaleLink = signal<Link>('live');
  readonly probeLink = signal<Link>('live');
  readonly weight = signal<Weight | null>(null);
  readonly degrees = signal<number | null>(null);
  readonly here = signal(false);
  readonly pace = signal(1);
  readonly reached = signal(true);
  readonly standing = signal(null);
  readonly trying = signal(false);

  /** Rests at a weight for a while, as a scale says it five times a second. */
  async rest(grams: number, seconds = 1.8): Promise<void> {
    for (let i = 0; i < seconds * 20; i++) {
      this.weight.set({ grams, stable: true, over: false });
      await new Promise((r) => setTimeout(r, 50));
    }
  }
}

// weights are waited for as a baker waits for them
const PATIENT_MS = 30_000;

describe('the counter with a scale', () => {
  let store: Store;
  let fixture: ComponentFixture<Counter>;
  let makings: Makings;
  let spoken: Spoken;

  beforeEach(async () => {
    spoken = new Spoken();
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter([]),
        provideServiceWorker('none.js', { enabled: false }),
        { provide: Devices, useValue: spoken },
      ],
    });
    store = await openKitchen();
    await store.commit('m', 'read', 'working', 'm', null, { formula: f, plan: {} });
    makings = TestBed.inject(Makings);
    for (let i = 0; i < 100 && !makings.ready(); i++) await new Promise((r) => setTimeout(r, 20));
    await makings.begin([bake], null);
    fixture = TestBed.createComponent(Counter);
    fixture.componentRef.setInput('id', 'm');
    await until(fixture, () => host(fixture).querySelector('.goKey') !== null);
  });
  afterEach(async () => {
    fixture.destroy();
    await closeKitchen(store);
  });

  const text = (): string => host(fixture).querySelector('section.now')?.textContent?.replace(/\s+/g, ' ') ?? '';
  const key = (): HTMLButtonElement => host(fixture).querySelector('.goKey') as HTMLButtonElement;
  const weighed = () => (makings.making()?.happenings ?? []).filter((h) => h.kind === 'weighed');
  async function upTo(kind: 'weigh' | 'fill' | 'bake'): Promise<void> {
    const list = makings.lists().get('m') ?? [];
    for (const s of list.slice(
      0,
      list.findIndex((x) => x.kind === kind),
    ))
      await makings.add({ kind: 'done', bakeId: 'm', stepId: s.id });
    if (kind === 'weigh') await makings.add({ kind: 'done', bakeId: 'm', stepId: SET_OUT });
    await until(fixture, () => makings.standings()[0]?.step?.kind === kind);
  }

  it(
    'is told of the bowl once, goes on by itself at the right weight, and offers to scale what is too much',
    async () => {
      await upTo('weigh');
      await spoken.rest(400, 0.3);
      await until(fixture, () => text().includes('Bowl on the scale?'));
      key().click();
      await spoken.rest(400, 1.5);
      const first = makings
        .lists()
        .get('m')
        ?.find((s) => s.kind === 'weigh')?.amounts[0];
      const grams = Math.round(first?.grams ?? 0);
      // too full at first; what is taken out again is taken out
      await spoken.rest(400 + Math.round(1.1 * grams), 2.2);
      await until(fixture, () => text().includes('too much') && text().includes('scale all by 1.10'));
      expect(key().disabled).toBeTrue();
      await spoken.rest(400 + grams);
      await until(fixture, () => weighed().length === 1);
      expect(weighed()[0]).toEqual(jasmine.objectContaining({ itemId: first?.itemId, grams, by: 'scale' }));
      // the next begins where that one ended
      const wanted = Number(/of (\d+) g in/.exec(text())?.[1]);
      await spoken.rest(400 + grams + wanted);
      await until(fixture, () => weighed().length === 2);
    },
    PATIENT_MS,
  );

  it(
    'says that the scale is silent, keeps what was in, and lets it be weighed by hand',
    async () => {
      await upTo('weigh');
      await spoken.rest(0, 0.3);
      key().click();
      await spoken.rest(0, 1.5);
      await spoken.rest(40, 0.5);
      await until(fixture, () => text().includes('40 g of'));
      // a pause changes nothing of it
      await makings.add({ kind: 'pause' });
      await until(fixture, () => text().includes('Paused since'));
      await new Promise((r) => setTimeout(r, 350));
      key().click();
      await until(fixture, () => text().includes('40 g of'));
      spoken.scaleLink.set('silent');
      await until(fixture, () => text().includes('The scale is silent') && text().includes('40 g were in'));
      await new Promise((r) => setTimeout(r, 350));
      key().click();
      await until(fixture, () => weighed().length === 1);
      expect(weighed()[0]).toEqual(jasmine.objectContaining({ by: 'hand' }));
    },
    PATIENT_MS,
  );

  it(
    'divides the batter cup by cup, and takes the last as it is',
    async () => {
      await upTo('fill');
      const each = Math.round(bake.fits[0]?.perCupG ?? 0);
      const cups = (bake.fits[0]?.tin.cups ?? 1) * (bake.fits[0]?.count ?? 1);
      const filled = (): readonly number[] => makings.standings()[0]?.filled.get('fill:0') ?? [];
      await spoken.rest(600, 0.3);
      await until(fixture, () => text().includes('Tray on the scale?'));
      key().click();
      await spoken.rest(600, 1.5);
      await spoken.rest(600 + each);
      await until(fixture, () => filled().length === 1);
      await spoken.rest(600 + 2 * each);
      await until(fixture, () => filled().length === 2 && text().includes(`cup 3 of ${cups}`));
      press(document.body, 'Backspace');
      await until(fixture, () => filled().length === 1);
      expect(Math.abs((filled()[0] ?? 0) - each)).toBeLessThanOrEqual(1);
    },
    PATIENT_MS,
  );

  it(
    'knows which bake the probe is in, takes down what it reads, and goes on when it is silent',
    async () => {
      await upTo('bake');
      await until(fixture, () => makings.making()?.happenings.some((h) => h.kind === 'probe in') ?? false);
      spoken.degrees.set(24.5);
      await until(fixture, () => makings.standings()[0]?.probe.length === 1);
      await until(fixture, () => text().includes('25 °C'));
      // another within half a minute is shown, not kept
      spoken.degrees.set(26);
      await until(fixture, () => text().includes('26 °C'));
      expect(makings.standings()[0]?.probe.length).toBe(1);
      spoken.probeLink.set('silent');
      await until(fixture, () => text().includes('The probe is silent'));
      expect(makings.making()?.happenings.some((h) => h.kind === 'probe' && h.by === 'probe')).toBeTrue();
    },
    PATIENT_MS,
  );
});
