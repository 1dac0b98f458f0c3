import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Weight } from '@orvin/core';
import type { Store } from '../data/store';
import { closeKitchen, openKitchen } from '../data/testing/kitchen';
import { Makings } from '../desk/makings';
import { muffinBake } from '../ui/testing/muffins';
import { host, until } from '../ui/testing/page';
import type { StandInState } from './device';
import { Devices } from './devices';
import { DevicesPanel } from './panel';

const there: StandInState = { scale: true, probe: true, bake: null, rackC: null, pace: 1 };

/** Devices that only write down what is done to them. */
class Written {
  readonly trying = signal(true);
  readonly reached = signal(true);
  readonly standing = signal<StandInState | null>(there);
  readonly weight = signal<Weight | null>({ grams: 412, stable: true, over: false });
  readonly degrees = signal<number | null>(21.4);
  readonly problem = signal('');
  readonly done: Record<string, unknown>[] = [];
  do(wish: Record<string, unknown>): void {
    this.done.push(wish);
  }
  async tryOut(on: boolean): Promise<void> {
    this.trying.set(on);
  }
}

describe('the panel of simulated devices', () => {
  let store: Store;
  let fixture: ComponentFixture<DevicesPanel>;
  let devices: Written;

  beforeEach(async () => {
    devices = new Written();
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), { provide: Devices, useValue: devices }],
    });
    store = await openKitchen();
    fixture = TestBed.createComponent(DevicesPanel);
    fixture.componentRef.setInput('missingG', 120);
    await fixture.whenStable();
  });
  afterEach(async () => {
    fixture.destroy();
    await closeKitchen(store);
  });

  const text = (): string => host(fixture).textContent?.replace(/\s+/g, ' ') ?? '';
  const button = (words: string): HTMLButtonElement | undefined =>
    [...host(fixture).querySelectorAll('button')].find((b) => b.textContent?.trim() === words);
  async function press(words: string): Promise<void> {
    await until(fixture, () => button(words) !== undefined, words);
    button(words)?.click();
    await fixture.whenStable();
  }
  const last = () => devices.done.at(-1) ?? {};

  it('says that nothing is connected, and that what is simulated stays so, before it is taken', async () => {
    devices.trying.set(false);
    await until(fixture, () => text().includes('None is connected'));
    expect(text()).toContain('stays marked as simulated');
    await press('try the simulated scale and probe');
    expect(devices.trying()).toBeTrue();
    await press('leave the simulated devices');
    expect(devices.trying()).toBeFalse();
  });

  it('pours what is wanted but for a hand’s error, half of it, and too much', async () => {
    await press('pour what is wanted');
    expect(Math.abs(Number(last()['grams']) - 120)).toBeLessThanOrEqual(1.2);
    expect(last()['seconds']).toBeGreaterThan(1);
    await press('pour half of it');
    expect(Math.abs(Number(last()['grams']) - 60)).toBeLessThanOrEqual(0.6);
    await press('pour too much');
    expect(Number(last()['grams'])).toBeGreaterThan(125);
    await press('put a bowl on');
    expect(last()['seconds']).toBe(0);
    // nothing is wanted: there is nothing to pour of it
    fixture.componentRef.setInput('missingG', null);
    await until(fixture, () => button('pour what is wanted') === undefined);
    expect(button('5 g more')).toBeDefined();
  });

  it('plays the faults that real ones have, and offers what can be done at the time', async () => {
    await press('unplug the scale');
    expect(last()).toEqual({ do: 'plug', device: 'scale', in: false });
    devices.standing.set({ ...there, scale: false, bake: 'cake', rackC: 184 });
    await press('plug the scale in');
    expect(last()).toEqual({ do: 'plug', device: 'scale', in: true });
    expect(text()).toContain('unplugged');
    expect(text()).toMatch(/in the cake; the thermometer on the rack shows 184 °C/);
    await press('open the oven’s door');
    expect(last()).toEqual({ do: 'door', seconds: 40 });
    await press('it slips off the middle');
    expect(last()['do']).toBe('slip');
    devices.standing.set(there);
    await until(fixture, () => button('open the oven’s door') === undefined);
    expect(text()).toContain('on the table');
  });

  it('says what the scale shows and whether it rests, and what the server would not do', async () => {
    await until(fixture, () => text().includes('412 g'));
    devices.weight.set({ grams: -3, stable: false, over: false });
    await until(fixture, () => text().includes('−3 g …'));
    devices.weight.set({ grams: 5100, stable: false, over: true });
    await until(fixture, () => text().includes('overloaded'));
    devices.problem.set('This cannot be baked: too thin.');
    await until(fixture, () => text().includes('too thin'));
    devices.reached.set(false);
    await until(fixture, () => text().includes('cannot be reached'));
  });

  it('lets the clock of what is made run faster, and at its own pace again', async () => {
    const makings = TestBed.inject(Makings);
    await until(fixture, () => makings.ready());
    expect(button('60 ×')).toBeUndefined();
    await makings.begin([muffinBake()], null);
    await press('60 ×');
    await until(fixture, () => makings.making()?.clock?.pace === 60);
    const [from, real] = [makings.now(), Date.now()];
    await new Promise((r) => setTimeout(r, 300));
    // as often as the clock is looked at, on whatever machine
    expect((makings.now() - from) / (Date.now() - real)).toBeGreaterThan(10);
    await press('real time');
    await until(fixture, () => makings.making()?.clock?.pace === 1);
    // the hours that have passed stay passed
    expect(makings.now()).toBeGreaterThan(Date.now() + 10_000);
  });
});
