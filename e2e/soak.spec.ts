import { expect, test } from '@playwright/test';
import { Model, NEW } from '../scripts/soak/model.mjs';

type World = Map<string, unknown>;
type Act = Parameters<Model['begin']>[0];
const world = (more: Record<string, unknown> = {}): World =>
  new Map(Object.entries({ current: 'db', 'at|db': 'here', 'db|flour': 100, 'db|salt': 5, 'db|shelf': 2, ...more }));
const set = (name: string, to: number): Act => ({ what: `${name} ${to}`, scope: 'db|loaf', step: [[name, to]] });
/** Of three recipes that come in together each may be the last that there was time for. */
const three: Act = {
  what: 'three recipes',
  stages: [
    () => [['db|taking', 3]],
    ...[1, 2, 3].map((n) => (): [string, unknown][] => [
      ['db|taking', 3 - n],
      ['db|shelf', 2 + n],
    ]),
  ],
};

test('the model of the soak is content with all that was shown as stored, and any of what was under way', () => {
  const model = new Model(world());
  model.landed(model.begin(set('db|flour', 120)));
  model.begin(set('db|flour', 130));
  for (const flour of [120, 130]) {
    const m = model.with([]);
    m.flying = [...model.flying];
    expect(m.settle(world({ 'db|flour': flour }))).toEqual([]);
  }
  for (const [taking, shelf] of [[undefined, 2], [3, 2], [2, 3], [1, 4], [0, 5]]) {
    const m = new Model(world());
    m.begin(three);
    expect(m.settle(world({ ...(taking !== undefined && { 'db|taking': taking }), 'db|shelf': shelf }))).toEqual([]);
  }
}); // prettier-ignore

test('the model of the soak notices what was lost, what was made up, and what is there by half', () => {
  const lost = new Model(world());
  lost.landed(lost.begin(set('db|flour', 120)));
  lost.begin(set('db|salt', 6));
  expect(lost.settle(world({ 'db|salt': 6 }))).toHaveLength(1);
  const made = new Model(world());
  expect(made.settle(world({ 'db|bake again': 50 }))).toEqual(['db|bake again: 50 instead of undefined']);
  const half = new Model(world());
  half.begin(three);
  // a recipe that left the list and came nowhere
  expect(half.settle(world({ 'db|taking': 2 }))).toHaveLength(1);
  const back = new Model(world());
  back.landed(back.begin({ what: 'remove for good', stages: [() => [['db|shelf', undefined], ['at|db', undefined]]] })); // prettier-ignore
  expect(back.settle(world()).length).toBeGreaterThan(0);
});

test('the model of the soak takes steps back as undo does, and knows a kitchen that was made by what it holds', () => {
  const model = new Model(world());
  for (const to of [120, 140]) model.landed(model.begin(set('db|flour', to)));
  model.landed(model.begin({ what: 'undo', scope: 'db|loaf', undo: true }));
  expect(model.world.get('db|flour')).toBe(120);
  model.begin({ what: 'undo', scope: 'db|loaf', undo: true });
  expect(model.settle(world({ 'db|flour': 100 }))).toEqual([]);
  expect(model.stepsOf('db|loaf')).toEqual([]);
  const make: Act = { what: 'another kitchen', stages: [() => [[`at|${NEW}`, 'here'], [`${NEW}|shelf`, 14], ['current', NEW]]] }; // prettier-ignore
  model.landed(model.begin(make));
  const two = { 'db|flour': 100, 'at|other': 'here', 'other|shelf': 14, current: 'other' };
  expect(model.settle(world(two))).toEqual([]);
  model.begin(make);
  expect(model.settle(world({ ...two, 'at|third': 'here', 'third|shelf': 13, current: 'third' })).length).toBe(1);
});
