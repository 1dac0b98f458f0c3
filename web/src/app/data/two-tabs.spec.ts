import { EnvironmentInjector, createEnvironmentInjector, runInInjectionContext } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { allItems, applyChanges, type Formula } from '@orvin/core';
import { readRecipe } from '@orvin/core/reading';
import fc from 'fast-check';
import { kinds } from './kinds';
import { LiveDocument } from './live-document';
import type { Doc } from './records';
import { Store } from './store';
import { closeKitchen, openKitchen } from './testing/kitchen';

const base: Formula = {
  ...readRecipe('Oat scones\n300 g plain flour\n15 g baking powder\n60 g butter\n180 g milk').formula,
  id: 'oat',
};
const ids = allItems(base).map((i) => i.id);
const gramsOf = (f: Formula | undefined): readonly number[] => (f ? allItems(f).map((i) => i.grams ?? 0) : []);

/** A press in one of two tabs: an amount of one of its two lines, or undo, or redo; some are awaited, some are not. */
const presses = fc.array(
  fc.record({
    tab: fc.integer({ min: 0, max: 1 }),
    line: fc.integer({ min: 0, max: 1 }),
    grams: fc.integer({ min: 1, max: 500 }),
    what: fc.constantFrom('set', 'set', 'set', 'undo', 'redo'),
    awaited: fc.boolean(),
  }),
  { minLength: 4, maxLength: 24 },
);

describe('one formula in two tabs', () => {
  /** A store and the formula in hand, as a tab of its own has them. */
  const tab = (db: string) => {
    const own = createEnvironmentInjector([Store], TestBed.inject(EnvironmentInjector));
    const store = own.get(Store);
    const doc = runInInjectionContext(own, () => new LiveDocument<Doc>(store, kinds.formula));
    const open = async (): Promise<void> => {
      await store.open(db);
      await doc.go('oat');
    };
    const close = (): void => {
      store.close();
      own.destroy();
    };
    return { store, doc, open, close, grams: () => gramsOf(doc.value()?.formula) };
  };
  const until = async (is: () => boolean, words: () => string): Promise<void> => {
    for (let i = 0; i < 500 && !is(); i++) {
      TestBed.tick();
      await new Promise((r) => setTimeout(r, 4));
    }
    expect(is()).withContext(words()).toBeTrue();
  };

  /** Lets two tabs press as they were told; what is left is looked at, and then taken away. */
  async function both(
    list: readonly { tab: number; line: number; grams: number; what: string; awaited: boolean }[],
    look: (at: { tabs: readonly ReturnType<typeof tab>[]; onDisk: () => Promise<readonly number[]> }) => Promise<void>,
  ): Promise<void> {
    const kitchen = await openKitchen();
    await kitchen.change(kinds.formula, 'oat', 'read', null, { formula: base, plan: {} });
    const tabs = [tab(kitchen.database.name), tab(kitchen.database.name)];
    for (const t of tabs) await t.open();
    for (const p of list) {
      const { doc, store } = tabs[p.tab] as (typeof tabs)[0];
      const itemId = ids[p.tab * 2 + p.line] ?? '';
      const f = doc.value()?.formula ?? base;
      const done =
        p.what === 'set'
          ? doc.change('an amount', { formula: applyChanges(f, [{ itemId, grams: p.grams }]), plan: {} })
          : p.what === 'undo'
            ? store.undo('oat')
            : store.redo('oat');
      if (p.awaited) await done;
    }
    for (const t of tabs) await t.store.settled();
    const onDisk = async () => gramsOf((await kitchen.read(kinds.formula, 'oat')).value?.formula);
    await look({ tabs, onDisk });
    for (const t of tabs) t.close();
    await closeKitchen(kitchen);
  }

  it('is the same in both and on the disk, whatever was pressed and however soon', async () => {
    await fc.assert(
      fc.asyncProperty(presses, (list) =>
        both(list, async ({ tabs, onDisk }) => {
          const disk = String(await onDisk());
          for (const t of tabs) await until(() => String(t.grams()) === disk, () => `${String(t.grams())} for ${disk}`); // prettier-ignore
        }),
      ),
      { numRuns: 12 },
    );
  });

  it('keeps what each tab set last of its own lines, and undo takes all of it back to the beginning', async () => {
    await fc.assert(
      fc.asyncProperty(presses, (all) => {
        const list = all.filter((p) => p.what === 'set');
        return both(list, async ({ tabs, onDisk }) => {
          const last = gramsOf(base).map((g, i) => list.findLast((p) => p.tab * 2 + p.line === i)?.grams ?? g);
          expect(await onDisk()).toEqual(last);
          // whichever tab takes them back
          for (let i = 0; ((await tabs[i % 2]?.store.undo('oat')) ?? null) !== null; i++)
            if (i > 60) throw new Error('no end');
          expect(await onDisk()).toEqual(gramsOf(base));
        });
      }),
      { numRuns: 12 },
    );
  });

  for (const first of ['takes it away', 'changes it'] as const)
    it(`is on the shelf or in the bin with what was typed, where one tab ${first} before it hears of the other`, async () => {
      await both([], async ({ tabs, onDisk }) => {
        const [a, b] = tabs as [ReturnType<typeof tab>, ReturnType<typeof tab>];
        const typed = { formula: applyChanges(base, [{ itemId: ids[0] ?? '', grams: 431 }]), plan: {} };
        const away = (): Promise<boolean> => a.store.change(kinds.formula, 'oat', 'away', { formula: base, plan: {} }, null); // prettier-ignore
        const change = (): Promise<boolean> => b.doc.change('431 g', typed);
        const order = first === 'takes it away' ? [away, change] : [change, away];
        for (const press of order) expect(await press()).toBeTrue();
        const bin = (await a.store.database.bin.toArray()).map((r) => gramsOf((r.value as Doc).formula)[0]);
        expect([(await onDisk())[0], ...bin].filter((g) => g !== undefined)).toEqual([431]);
        // and undo of each document takes its own back
        await a.store.undo(first === 'takes it away' ? 'oat' : 'shelf');
        expect((await onDisk())[0]).toBe(first === 'takes it away' ? 300 : 431);
      });
    });
});
