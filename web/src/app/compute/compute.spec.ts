import { TestBed } from '@angular/core/testing';
import { calibrationFor, placeOf, defaultKitchen, predictBake, type BakeInput } from '@orvin/core';
import { firstValueFrom, toArray } from 'rxjs';
import { Compute } from './compute';

const input: BakeInput = {
  batterG: 500,
  tin: defaultKitchen.tins[0] as BakeInput['tin'],
  family: 'muffin',
  ovenC: 180,
};
const crashing = (): Worker =>
  new Worker(URL.createObjectURL(new Blob(['throw new Error("flour in the works")'], { type: 'text/javascript' })));

describe('the compute pool', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: [Compute] }));

  it('gives in a worker what the core gives on the page', async () => {
    const out = await firstValueFrom(TestBed.inject(Compute).run('a', 'predict', input, defaultKitchen));
    const calibration = calibrationFor(placeOf(input, defaultKitchen), null, defaultKitchen);
    expect(out).toEqual({ ok: true, value: predictBake({ ...input, calibration }, defaultKitchen) });
  });

  it('lets the latest request on a channel win', async () => {
    const compute = TestBed.inject(Compute);
    const ask = (batterG: number) =>
      firstValueFrom(compute.run('drag', 'predict', { ...input, batterG }, defaultKitchen).pipe(toArray()));
    const [first, second, third] = await Promise.all([ask(300), ask(450), ask(600)]);
    expect(first).toEqual([]);
    expect(second).toEqual([]);
    expect(third[0]?.ok && third[0].value.minutes.likely).toBeCloseTo(
      predictBake({ ...input, batterG: 600 }, defaultKitchen).minutes.likely,
      9,
    );
  });

  it('replaces a worker that crashes and tries once more', async () => {
    const compute = TestBed.inject(Compute);
    const real = compute.makeWorker;
    let made = 0;
    compute.makeWorker = () => (made++ === 0 ? crashing() : real());
    const out = await firstValueFrom(compute.run('c', 'predict', input, defaultKitchen));
    expect(made).toBe(2);
    expect(out.ok).toBeTrue();
  });

  it('says so when it crashes twice, and works again afterwards', async () => {
    const compute = TestBed.inject(Compute);
    const real = compute.makeWorker;
    compute.makeWorker = crashing;
    const out = await firstValueFrom(compute.run('d', 'predict', input, defaultKitchen));
    expect(out.ok ? '' : out.words).toContain('failed twice');
    compute.makeWorker = real;
    expect((await firstValueFrom(compute.run('d', 'predict', input, defaultKitchen))).ok).toBeTrue();
  });

  it('ends its workers when it goes, whatever they are at, and hires none after', async () => {
    const compute = TestBed.inject(Compute);
    const ended = spyOn(Worker.prototype, 'terminate').and.callThrough();
    const hired = spyOn(compute, 'makeWorker').and.callThrough();
    const told: unknown[] = [];
    for (const channel of ['one', 'two'])
      compute.run(channel, 'predict', input, defaultKitchen).subscribe({ next: (o) => told.push(o) });
    const many = hired.calls.count();
    expect(many).toBeGreaterThan(0);
    TestBed.resetTestingModule();
    expect(ended).toHaveBeenCalledTimes(many);
    compute.warm();
    compute.run('three', 'predict', input, defaultKitchen).subscribe({ next: (o) => told.push(o) });
    expect(hired.calls.count()).toBe(many);
    expect(told).toEqual([]);
  });
});
