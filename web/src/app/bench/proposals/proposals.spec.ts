import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { allItems, assess, replacements, type Formula } from '@orvin/core';
import type { Store } from '../../data/store';
import { closeKitchen, openKitchen } from '../../data/testing/kitchen';
import { Desk } from '../../desk/desk';
import { base, lineOf } from '../../ui/testing/muffins';
import { all, host, press, until } from '../../ui/testing/page';
import { Proposals } from './proposals';
import { ProposalsBar } from './proposals-bar';
import { kinds } from '../../data/kinds';

/** Far too much soda for its acid. */
const off: Formula = {
  ...base,
  id: 'muffins',
  title: 'Muffins',
  groups: base.groups.map((g) => ({
    ...g,
    items: g.items.map((i) => (i.ingredient === 'baking-soda' ? { ...i, grams: 14 } : i)),
  })),
};

describe('proposals on the Bench', () => {
  let desk: Desk;
  let store: Store;
  let p: Proposals;
  let fixture: ComponentFixture<ProposalsBar>;

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [Proposals] });
    store = await openKitchen();
    await store.change(kinds.formula, 'muffins', 'read', null, { formula: off, plan: {} });
    desk = TestBed.inject(Desk);
    await desk.pickUp('muffins');
    p = TestBed.inject(Proposals);
    fixture = TestBed.createComponent(ProposalsBar);
    document.body.append(host(fixture));
  });
  afterEach(async () => {
    p.close();
    host(fixture).remove();
    await store.settled();
    desk.putDown();
    await closeKitchen(store);
  });

  const button = (words: string | RegExp): HTMLButtonElement => {
    const found = all(host(fixture), 'button').find((b) => {
      const said = (b.getAttribute('aria-label') ?? b.textContent ?? '').trim();
      return typeof words === 'string' ? said === words : words.test(said);
    });
    if (!found) throw new Error(`no button ${String(words)} in ${host(fixture).textContent ?? ''}`);
    return found as HTMLButtonElement;
  };
  /** The bar says what is shown a frame after the instruments have it. */
  const drawn = (): Promise<void> =>
    until(
      fixture,
      () => all(host(fixture), '.lines li').length === p.shown()?.lines.length,
      'the proposal drawn in the bar',
    );
  const grams = (ingredient: string): number =>
    allItems(desk.shown() as Formula).find((i) => i.ingredient === ingredient)?.grams ?? NaN;

  it('puts each on the instruments as a ghost, flicked with one key, and stores nothing of it', async () => {
    p.open();
    await until(fixture, () => p.list().length > 1, 'proposals');
    expect(desk.assessment()?.merit).toBeLessThan(assess(off).merit);
    const first = desk.shown();
    press(document.body, 'n');
    await fixture.whenStable();
    expect(p.at()).toBe(1);
    expect(desk.shown()).not.toEqual(first);
    await drawn();
    expect(host(fixture).querySelector('.turn')?.textContent).toContain('in balance');
    press(document.body, 'Escape');
    await until(fixture, () => p.mode() === 'shut', 'shut');
    expect(desk.shown()).toEqual(off);
    await store.settled();
    expect((await store.database.working.get('muffins'))?.formula).toEqual(off);
  });

  it('takes a proposal line by line, and keeps what was taken as a version with its reasons', async () => {
    p.open();
    await until(fixture, () => p.list().length > 0, 'proposals');
    const many = p.list().findIndex((x) => x.lines.length > 1);
    if (many >= 0) p.show(p.list(), many);
    await drawn();
    const [line] = p.shown()?.lines ?? [];
    const boxes = all(host(fixture), 'input[type=checkbox]') as HTMLInputElement[];
    expect(boxes.length).toBe(p.shown()?.lines.length ?? 0);
    if (many >= 0) {
      boxes[0]?.click();
      await fixture.whenStable();
      expect(allItems(desk.shown() as Formula).find((i) => i.id === line?.id)?.grams).toBe(line?.fromG);
    }
    const kept = desk.shown();
    const taken = p.taken().size;
    button(/^keep it/).click();
    await until(fixture, () => p.mode() === 'shut', 'kept');
    await store.settled();
    expect(desk.formula()).toEqual(kept);
    const newest = (await store.database.versions.orderBy('at').toArray()).at(-1);
    expect(newest?.formula).toEqual(kept as Formula);
    expect(newest?.reasons?.length).toBe(taken);
    await desk.undo();
    expect(desk.formula()).toEqual(off);
  });

  it('joins wishes, lets a preset stand alone, and says in words what cannot be had', async () => {
    p.open();
    await until(fixture, () => p.list().length > 0, 'proposals');
    await drawn();
    button('ask for something else').click();
    await fixture.whenStable();
    button('less sugar').click();
    p.toggle('moister');
    expect([...p.asked()].sort()).toEqual(['less-sugar', 'moister']);
    p.toggle('eggless');
    expect([...p.asked()]).toEqual(['eggless']);
    await until(fixture, () => !p.busy() && Number.isNaN(grams('egg')), 'without egg');
    // nothing of the sugar may go, and yet a quarter of it is to
    p.toggle('less-sugar');
    const sugar = lineOf('white-sugar', off) || lineOf('caster-sugar', off);
    expect(sugar).not.toBe('');
    p.limit(sugar, { minG: 400 });
    p.limit(lineOf('plain-flour', off), { minG: 250, maxG: 250 });
    await until(fixture, () => !p.busy() && p.conflict() !== null, 'a conflict');
    expect(host(fixture).querySelector('.no')?.textContent).toContain('cannot be had');
    expect(host(fixture).textContent).toContain('at least 400 g');
  });

  it('solves what could take a line’s place as it comes in, and says what has to follow', async () => {
    p.openLine(lineOf('yogurt', off));
    await until(fixture, () => p.swaps().length > 3 && p.swaps().every((s) => s.proposal !== null), 'all solved');
    const rows = all(host(fixture), '.swap');
    expect(rows.length).toBe(p.swaps().length);
    const milk = rows.find((r) => /Whole milk/.test(r.textContent ?? '')) as HTMLButtonElement;
    expect(milk.textContent).toMatch(/needs |nothing else to change/);
    // what a swap could do to someone is said before it is tried
    for (const s of p.swaps())
      for (const c of s.proposal?.cautions ?? [])
        expect(host(fixture).querySelector('.swaps')?.textContent).toContain(c);
    expect(p.swaps().some((s) => (s.proposal?.cautions.length ?? 0) > 0)).toBeTrue();
    milk.click();
    await until(fixture, () => p.shown() !== null, 'tried');
    expect(grams('yogurt')).toBeNaN();
    expect(grams('milk')).toBeGreaterThan(100);
    p.close();
    expect(grams('yogurt')).toBe(200);
  });

  it('goes on down the ranked replacements for as long as it is asked to, each once', async () => {
    const egg = lineOf('egg', off);
    const ranked = replacements(off, egg, desk.kitchen());
    p.openLine(egg);
    await until(fixture, () => p.swaps().length > 0, 'the best');
    const first = p.swaps().length;
    expect(first + p.further()).toBe(ranked.length);
    expect(p.further()).toBeGreaterThan(0);
    button(/more that could stand in/).click();
    await until(fixture, () => p.swaps().length > first && p.swaps().every((s) => s.proposal !== null), 'the next');
    while (p.further() > 0) p.solveMore();
    await fixture.whenStable();
    expect(all(host(fixture), '.more').length).toBe(0);
    expect(p.swaps().map((s) => s.replacement.ingredient)).toEqual(ranked.map((r) => r.ingredient));
    // another line begins anew
    p.openLine(lineOf('baking-soda', off));
    expect(p.swaps().some((s) => s.replacement.ingredient === ranked[0]?.ingredient)).toBeFalse();
  });

  it('asks for as much less as is said, by anything that is to be less', async () => {
    p.open();
    p.toggle('less-sugar');
    await until(fixture, () => !p.busy() && p.shown() !== null, 'a quarter less');
    await drawn();
    const sugar = (): number => assess(desk.shown() as Formula).totals.sugarPct;
    const quarter = sugar();
    const how = host(fixture).querySelector('p-select');
    expect(how?.textContent).toContain('by a quarter');
    p.lessPct.set(50);
    await until(fixture, () => !p.busy() && sugar() < 0.8 * quarter, 'half');
    await drawn();
    expect(how?.textContent).toContain('by half');
    expect(p.shown()?.cautions.join(' ')).toContain('diabetes');
    // and all of it in the same tin
    const batter = (): number => assess(desk.shown() as Formula).totals.batterG;
    p.lessPct.set(25);
    p.toggle('as-much');
    await until(fixture, () => !p.busy() && p.shown() !== null && sugar() > 0.9 * quarter, 'as much batter');
    await drawn();
    expect(Math.abs(batter() / assess(off).totals.batterG - 1)).toBeLessThan(0.021);
    expect(host(fixture).textContent).toContain('as much batter as now ✕');
    p.toggle('as-much');
    // nothing is less: nothing to say of it
    p.toggle('less-sugar');
    p.toggle('moister');
    await until(fixture, () => host(fixture).querySelector('p-select') === null, 'no longer asked');
    p.close();
    expect(p.lessPct()).toBe(25);
  });

  it('takes any wish or limit in force away again by its own press', async () => {
    const flour = lineOf('plain-flour', off);
    p.open();
    p.toggle('moister');
    p.limit(flour, { maxG: 400 });
    await until(fixture, () => !p.busy() && p.shown() !== null, 'proposals');
    await drawn();
    const inForce = (): string[] => all(host(fixture), '.ask').map((b) => b.textContent?.trim() ?? '');
    expect(inForce()).toEqual(['moister ✕', 'at most 400 g of plain flour ✕']);
    button('at most 400 g of plain flour; take this limit away').click();
    await until(fixture, () => p.limits().size === 0 && !p.busy(), 'no limit');
    await fixture.whenStable();
    expect(inForce()).toEqual(['moister ✕']);
    button('moister; take this wish away').click();
    await until(fixture, () => p.asked().size === 0 && !p.busy(), 'no wish');
    expect(p.list().length).toBeGreaterThan(0);
  });

  it('reads a limit in any unit and keeps what it cannot read', async () => {
    p.openLine(lineOf('baking-soda', off));
    await until(fixture, () => host(fixture).querySelector('#limit') !== null, 'the field');
    const field = host(fixture).querySelector('#limit') as HTMLInputElement;
    field.value = 'a bucket';
    button('at most').click();
    await fixture.whenStable();
    expect(host(fixture).querySelector('[role=alert]')?.textContent).toContain('a bucket');
    field.value = '1/2 tsp';
    button('at most').click();
    await until(fixture, () => !p.busy() && p.list().length > 0, 'within it');
    expect(p.limits().get(lineOf('baking-soda', off))?.maxG).toBeCloseTo(2.5, 1);
    for (const x of p.list())
      expect(allItems(x.formula).find((i) => i.ingredient === 'baking-soda')?.grams ?? 0).toBeLessThanOrEqual(2.54);
  });
});
