import fc from 'fast-check';
import {
  coverAtFirst,
  defaultKitchen,
  laterStages,
  nextStage,
  predictBake,
  putBy,
  statedSetting,
  withSetting,
  withStages,
  type BakeInput,
  type BakeSetting,
  type BakeStage,
  type Cover,
  type Kitchen,
} from '../src/index.js';
import { round23 } from './support/heat.js';

const heats = fc.integer({ min: 120, max: 250 });
const later: fc.Arbitrary<BakeStage> = fc.record({
  fromMin: fc.integer({ min: 1, max: 90 }),
  ovenC: heats,
  cover: fc.constantFrom('none' as const, 'tent' as const, 'lid' as const),
});
const changes = fc.uniqueArray(later, { maxLength: 3, selector: (s) => s.fromMin });
const plain: fc.Arbitrary<BakeSetting> = fc.record(
  { ovenC: heats, fan: fc.boolean(), minutes: fc.constant({ early: 40, late: 48 }) },
  { requiredKeys: ['ovenC', 'fan'] },
);

describe('changes of heat and cover', () => {
  it('are said once, in order, and leave no trace when they are taken back', () => {
    fc.assert(
      fc.property(plain, changes, fc.constantFrom('none' as const, 'lid' as const), (b, list, cover) => {
        const staged = withStages(b, cover, list);
        expect(coverAtFirst(staged)).toBe(cover);
        const minutes = laterStages(staged).map((s) => s.fromMin);
        expect(minutes).toEqual([...minutes].sort((x, y) => x - y));
        expect(minutes.length).toBe(list.length);
        expect(withStages(staged, 'none', [])).toEqual(b);
        // the dial's heat is that of the first stage, whatever it is turned to
        const turned = withSetting(staged, { ovenC: b.ovenC + 5 });
        expect(turned.stages?.[0]?.ovenC ?? b.ovenC + 5).toBe(b.ovenC + 5);
        expect(laterStages(turned)).toEqual(laterStages(staged));
        const next = nextStage(staged, 50);
        expect(next.fromMin).toBeGreaterThan(Math.max(0, ...minutes));
      }),
    );
  });

  it('keep a stated time with the heat it was stated for, and bring it back with it', () => {
    fc.assert(
      fc.property(plain, heats, changes, (b, ovenC, list) => {
        const other = withSetting(withSetting(b, { ovenC }), { stages: withStages(b, 'none', list).stages });
        expect(statedSetting(other)?.minutes).toEqual(b.minutes);
        if (b.minutes) expect(statedSetting(other)?.ovenC).toBe(b.ovenC);
        expect(withSetting(other, { ovenC: b.ovenC, stages: undefined })).toEqual(b);
      }),
    );
  });

  it('or a scaled batter leave a stated time with the batter it was stated for', () => {
    const b: BakeSetting = { ovenC: 175, fan: false, minutes: { early: 40, late: 48 } };
    const by = putBy(b, 700);
    expect(by.minutes).toBeUndefined();
    expect(statedSetting(by)).toEqual({ ...b, batterG: 700 });
    // it does not become the time of the scaled batter by turning the dial to and fro
    const back = withSetting(withSetting(by, { ovenC: 160 }), { ovenC: 175 });
    expect(back.minutes).toBeUndefined();
    expect(statedSetting(back)).toEqual({ ...b, batterG: 700 });
    expect(putBy({ ovenC: 175, fan: true }, 700)).toEqual({ ovenC: 175, fan: true });
  });

  it('are told as what to do at the oven, and only when something changes', () => {
    const told = (later: readonly BakeStage[], cover: Cover = 'none'): string[] => {
      const { stages } = withStages({ ovenC: 180, fan: false }, cover, later);
      const input: BakeInput = { tin: round23, batterG: 800, family: 'butter-cake-lean', ovenC: 180, stages };
      return predictBake(input, defaultKitchen)
        .plan.filter((m) => m.kind === 'change')
        .map((m) => m.words);
    };
    expect(told([{ fromMin: 10, ovenC: 180, cover: 'none' }], 'lid')).toEqual(['take the cover off']);
    expect(told([{ fromMin: 10, ovenC: 180, cover: 'lid' }])).toEqual(['put the lid on']);
    expect(told([{ fromMin: 10, ovenC: 165 }])).toEqual(['turn the dial to 165 °C']);
    expect(told([{ fromMin: 10, ovenC: 180 }])).toEqual([]);
    expect(
      told([
        { fromMin: 8, ovenC: 170, cover: 'tent' },
        { fromMin: 16, ovenC: 170 },
      ]),
    ).toEqual(['turn the dial to 170 °C and lay loose foil over it, clear of the element', 'take the cover off']);
    // a stage that no home oven reaches is refused like a dial that is none
    const hot = predictBake({
      tin: round23,
      batterG: 800,
      family: 'muffin',
      ovenC: 180,
      stages: [{ fromMin: 5, ovenC: 400 }],
    });
    expect(hot.minutes.likely).toBe(0);
    expect(hot.problems[0]?.id).toBe('oven-hot');
  });

  it('come in the plan, in the kitchen’s degrees, as far as they come before it is done', () => {
    const stages = withStages({ ovenC: 175, fan: false }, 'none', [
      { fromMin: 12, ovenC: 160, cover: 'tent' },
      { fromMin: 300, ovenC: 150 },
    ]).stages;
    const plan = (kitchen: Kitchen, list = stages): string[] =>
      predictBake({ tin: round23, batterG: 700, family: 'butter-cake-lean', ovenC: 175, stages: list }, kitchen)
        .plan.filter((m) => m.kind === 'change')
        .map((m) => `${m.atMin} ${m.words} (${m.short})`);
    // in whatever order a file brings them
    expect(plan(defaultKitchen, [...(stages ?? [])].reverse())).toEqual(plan(defaultKitchen));
    expect(plan(defaultKitchen)).toEqual([
      '12 turn the dial to 160 °C and lay loose foil over it, clear of the element (160 °C, foil)',
    ]);
    const american = { ...defaultKitchen, display: { ...defaultKitchen.display, temperature: 'F' as const } };
    expect(plan(american)).toEqual([
      '12 turn the dial to 320 °F and lay loose foil over it, clear of the element (320 °F, foil)',
    ]);
    expect(
      predictBake({ tin: { ...round23, material: 'glass' }, batterG: 700, family: 'muffin', ovenC: 175, hotTin: true })
        .problems[0]?.words,
    ).toContain('crack');
  });
});
