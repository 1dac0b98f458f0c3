import { fileURLToPath } from 'node:url';
import { defaultKitchen } from '@orvin/core';
import WebSocket from 'ws';
import { makeApp } from '../src/app.mjs';
import { Bench, Benches } from '../src/standins/bench.mjs';
import { wishOf } from '../src/standins/messages.mjs';
import { SimulatedOven } from '../src/standins/oven.mjs';
import { SimulatedScale } from '../src/standins/scale.mjs';

const seeds = Array.from({ length: 40 }, (_, i) => i + 1);
/** Reads a scale for some seconds. */
const readings = (scale, seconds) =>
  Array.from({ length: seconds * 10 }, () => scale.after(0.1)).filter((r) => r !== null);
const tin = defaultKitchen.tins[0];
const bakeOf = (id) => ({
  id,
  input: { batterG: 600, tin, family: 'muffin', ovenC: 180, fan: false },
  roomC: 21,
  altitudeM: 0,
});

describe('the simulated scale', () => {
  it('settles on what lies on it, within two steps, and is not stable on the way', () => {
    for (const seed of seeds) {
      const scale = new SimulatedScale(seed);
      readings(scale, 2);
      scale.pour(250, 4);
      const pouring = readings(scale, 3);
      expect(pouring.slice(5).every((r) => !r.stable)).toBeTrue();
      const end = readings(scale, 5).at(-1);
      expect(end?.stable).toBeTrue();
      expect(Math.abs((end?.grams ?? 0) - 250)).toBeLessThanOrEqual(2);
    }
  });

  it('takes off the bowl, drifts slowly, is shaken, is overloaded', () => {
    const scale = new SimulatedScale(3);
    scale.pour(412, 0);
    readings(scale, 3);
    scale.tare();
    const still = readings(scale, 600).slice(20);
    expect(Math.abs(still[0]?.grams ?? 99)).toBeLessThanOrEqual(1);
    expect(new Set(still.map((r) => r.grams)).size).toBeGreaterThan(1);
    expect(Math.max(...still.map((r) => Math.abs(r.grams)))).toBeLessThan(6);
    scale.shake();
    expect(readings(scale, 4).some((r) => r.stable)).toBeFalse();
    scale.pour(6000, 0);
    expect(readings(scale, 3).at(-1)).toEqual(jasmine.objectContaining({ over: true, stable: false }));
  });

  it('is silent without its plug, and begins from nothing with what lies on it', () => {
    const scale = new SimulatedScale(5);
    scale.pour(300, 0);
    expect(readings(scale, 3).at(-1)?.grams).toBeGreaterThan(290);
    scale.plug(false);
    expect(readings(scale, 3)).toEqual([]);
    scale.plug(true);
    expect(Math.abs(readings(scale, 3).at(-1)?.grams ?? 99)).toBeLessThanOrEqual(1);
  });
});

describe('the simulated oven', () => {
  it('bakes a cake through, the probe following to its end, with gaps; out of the oven it cools', () => {
    const oven = new SimulatedOven('kitchen');
    expect(oven.after(10)?.c ?? 21).toBeCloseTo(21, -1);
    expect(oven.putIn(bakeOf('a'), 0)).toBeNull();
    const read = Array.from({ length: 400 }, () => oven.after(10));
    const known = read.filter((r) => r !== null).map((r) => r.c);
    expect(read.length - known.length).toBeGreaterThan(3);
    expect(known[0]).toBeLessThan(30);
    expect(known.at(-1)).toBeGreaterThan(94);
    expect(Math.max(...known)).toBeLessThan(106);
    oven.takeOut();
    for (let i = 0; i < 600; i++) oven.after(10);
    expect(oven.shown).toBeLessThan(40);
  });

  it('is the same for the same seed and bake, another for another; an open door delays it', () => {
    const curve = (seed, id, doors) => {
      const oven = new SimulatedOven(seed);
      oven.putIn(bakeOf(id), 0);
      for (let i = 0; i < 4; i++) {
        if (doors) oven.openDoor(60);
        for (let j = 0; j < 20; j++) oven.after(15);
      }
      return oven.crumbC();
    };
    expect(curve('k', 'a', false)).toBe(curve('k', 'a', false));
    expect(curve('k', 'a', false)).not.toBe(curve('l', 'a', false));
    expect(curve('k', 'a', true)).toBeLessThan(curve('k', 'a', false) - 0.5);
  });

  it('takes up a bake that was in already, and refuses what cannot be baked', () => {
    const [one, two] = [new SimulatedOven('k'), new SimulatedOven('k')];
    one.putIn(bakeOf('a'), 0);
    for (let i = 0; i < 90; i++) one.after(10);
    two.putIn(bakeOf('a'), 900);
    expect(two.crumbC()).toBeCloseTo(one.crumbC(), 9);
    const cold = { ...bakeOf('b'), input: { ...bakeOf('b').input, ovenC: 60 } };
    expect(two.putIn(cold, 0)).toContain('never reach');
    const odd = { ...bakeOf('c'), input: { ...bakeOf('c').input, family: 'cloud', tin: { shape: 'knot' } } };
    expect(two.putIn(odd, 0)).toContain('cannot be baked');
    expect(two.bake?.id).toBe('a');
  });
});

describe('a bench', () => {
  it('goes on while nobody listens, and makes room only for who is gone', () => {
    let now = 0;
    const bench = new Bench('k', () => now);
    const heard = [];
    const leave = bench.listen((m) => heard.push(m));
    bench.do({ do: 'in', bake: bakeOf('a'), elapsedS: 0 });
    bench.do({ do: 'pace', pace: 10 });
    leave();
    now += 120_000;
    bench.tick();
    expect(bench.oven.inS).toBeGreaterThan(1190);
    expect(heard.some((m) => 'hello' in m)).toBeTrue();
    const benches = new Benches();
    const held = Array.from({ length: 16 }, (_, i) => benches.get(`k${i}`));
    const away = held.map((b) => b?.listen(() => undefined));
    expect(benches.get('one more')).toBeNull();
    away[3]?.();
    expect(benches.get('one more')).not.toBeNull();
    expect(benches.get('k5')).toBe(held[5]);
    benches.close();
  });

  it('understands only what it knows', () => {
    for (const bad of ['{', '{"do":"fly"}', '{"do":"pour","grams":"5","seconds":1}', '{"do":"pace","pace":9999}', '[]'])
      expect(wishOf(bad)).toEqual({ problem: jasmine.any(String) });
    expect(wishOf('{"do":"pour","grams":5,"seconds":1}')).toEqual({ wish: { do: 'pour', grams: 5, seconds: 1 } });
  });
});

describe('the socket', () => {
  const port = 4391;
  let app;
  beforeAll(async () => {
    app = await makeApp({ root: fileURLToPath(new URL('../src', import.meta.url)), port });
    await app.listen({ port, host: 'localhost' });
  });
  afterAll(() => app.close());

  const connect = (origin, query = '?kitchen=k') =>
    new Promise((done) => {
      const socket = new WebSocket(`ws://localhost:${port}/devices${query}`, { origin });
      const heard = [];
      socket.on('message', (d) => heard.push(JSON.parse(d.toString())));
      socket.on('open', () => setTimeout(() => done({ socket, heard }), 400));
      socket.on('unexpected-response', (_, r) => done({ code: r.statusCode }));
      socket.on('error', () => undefined);
    });

  it('lets in the page of this server alone', async () => {
    for (const origin of ['http://elsewhere.example', `http://localhost:${port + 1}`, 'null', undefined])
      expect(await connect(origin)).toEqual({ code: 403 });
    const { socket, heard } = await connect(`http://localhost:${port}`);
    expect(heard[0]).toEqual(jasmine.objectContaining({ hello: jasmine.anything() }));
    expect(heard.some((m) => 'scale' in m)).toBeTrue();
    socket.send('{"do":"fly"}');
    socket.send('{"do":"pour","grams":100,"seconds":0}');
    await new Promise((r) => setTimeout(r, 2500));
    expect(heard.find((m) => 'problem' in m)?.problem).toContain('Not understood');
    const last = heard.filter((m) => m.scale?.stable).at(-1);
    expect(Math.abs(last.scale.grams - 100)).toBeLessThanOrEqual(1);
    socket.close();
  });

  it('wants to know which kitchen', async () => {
    const { socket } = await connect(`http://localhost:${port}`, '');
    expect(socket.readyState).toBeGreaterThanOrEqual(2);
  });
});
