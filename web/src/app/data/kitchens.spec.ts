import { TestBed } from '@angular/core/testing';
import { Dexie } from 'dexie';
import { firstValueFrom } from 'rxjs';
import { Desk } from '../desk/desk';
import { ZipMaker } from '../compute/zip';
import { Archive } from './archive';
import { Backup } from './backup';
import { Kitchens } from './kitchens';
import { Notices } from './notices';
import { Store } from './store';
import { kinds } from './kinds';

describe('the kitchens on a device', () => {
  let kitchens: Kitchens;
  let store: Store;

  beforeEach(async () => {
    TestBed.inject(Store).close();
    await Promise.all(
      (await Dexie.getDatabaseNames()).filter((n) => n.startsWith('orvin')).map((n) => Dexie.delete(n)),
    );
    TestBed.resetTestingModule();
    kitchens = TestBed.inject(Kitchens);
    store = TestBed.inject(Store);
  });
  afterEach(() => store.close());

  it('begin with the sample, its dates moved to today', async () => {
    await kitchens.start();
    expect(kitchens.current()?.demo).toBeTrue();
    const bakes = await firstValueFrom(store.bakes$);
    expect(bakes.length).toBe(24);
    // each bake's drawn picture came with it, and its versions
    const shown = bakes.flatMap((b) => b.photos ?? []);
    expect((await store.database.thumbs.bulkGet(shown)).every((t) => (t?.bytes.byteLength ?? 0) > 500)).toBeTrue();
    expect((await firstValueFrom(store.versions$)).length).toBe(4);
    const newest = bakes[0]?.at ?? 0;
    expect(Date.now() - newest).toBeGreaterThan(0);
    expect(Date.now() - newest).toBeLessThan(4 * 86_400_000);
    expect((await firstValueFrom(store.working$)).length).toBe(14);
  });

  it('never mix, and open again where they were left', async () => {
    await kitchens.start();
    const sample = kitchens.current()?.id ?? '';
    await kitchens.startEmpty('Ours');
    expect((await firstValueFrom(store.working$)).length).toBe(0);
    await kitchens.switchTo(sample);
    expect((await firstValueFrom(store.working$)).length).toBe(14);
    expect(
      kitchens
        .all()
        .map((k) => k.name)
        .sort(),
    ).toEqual(['Hollin Lane', 'Ours']);
  });

  it('of a newer Orvin stay shut, at the start and later; others can be opened', async () => {
    await kitchens.startEmpty('Theirs');
    const theirs = kitchens.current();
    await kitchens.startEmpty('Ours');
    const ours = kitchens.current();
    const raise = (db: string): Promise<void> =>
      new Promise((done, no) => {
        const asked = indexedDB.open(db, 990);
        asked.onsuccess = () => (asked.result.close(), done());
        asked.onerror = () => no(new Error(db));
      });
    await raise(theirs?.db ?? '');
    // what is open stays open
    await kitchens.switchTo(theirs?.id ?? '');
    expect([kitchens.current()?.name, store.shut()]).toEqual(['Ours', null]);
    expect(TestBed.inject(Notices).list().at(-1)?.words).toContain('Theirs was kept by a newer Orvin');
    store.close();
    await raise(ours?.db ?? '');
    TestBed.resetTestingModule();
    [kitchens, store] = [TestBed.inject(Kitchens), TestBed.inject(Store)];
    await kitchens.start();
    expect([store.shut(), kitchens.refused()?.name, store.name()]).toEqual(['newer', 'Ours', null]);
    await TestBed.inject(Desk).resume();
    await kitchens.startEmpty('A third');
    expect([store.shut(), kitchens.current()?.name]).toEqual([null, 'A third']);
    expect((await Dexie.getDatabaseNames()).filter((n) => n.startsWith('orvin-kitchen-')).length).toBe(3);
  });

  it('come back whole from their file, into a database of their own', async () => {
    await kitchens.start();
    const shopping = { bakes: [{ id: 'parsnip-and-ginger-muffins', times: 2 }], basket: ['salt'] };
    expect(await store.change(kinds.shopping, 'shopping', 'shop', null, shopping)).toBeTrue();
    const endless = { ...shopping, bakes: [{ id: 'x', times: 0 }] };
    expect(await store.change(kinds.shopping, 'shopping', 'shop', shopping, endless)).toBeFalse();
    const file = await TestBed.inject(Backup).whole();
    expect(file.shopping).toEqual(shopping);
    const before = kitchens.current()?.db;
    await kitchens.restore(JSON.parse(JSON.stringify(file)) as typeof file);
    expect(kitchens.current()?.db).not.toBe(before);
    const again = await TestBed.inject(Backup).whole();
    const sorted = (x: typeof file): unknown => ({
      ...x,
      exportedAt: 0,
      formulas: [...x.formulas].sort((a, b) => a.formula.id.localeCompare(b.formula.id)),
      bakes: [...x.bakes].sort((a, b) => a.id.localeCompare(b.id)),
    });
    expect(sorted(again)).toEqual(sorted(file));
  });

  it('go into one zip with their photos and come back whole; stopped or damaged, they leave nothing behind', async () => {
    await kitchens.start();
    const archive = TestBed.inject(Archive);
    let zip: Blob | null = null;
    spyOn(URL, 'createObjectURL').and.callFake((b) => ((zip = b as Blob), 'blob:nothing'));
    spyOn(HTMLAnchorElement.prototype, 'click');
    expect(await archive.backUp()).toBeTrue();
    const file = zip as unknown as Blob;
    const before = await TestBed.inject(Backup).whole();
    const photo = (await store.database.photos.toArray())[0];
    const names = async (): Promise<string[]> => (await Dexie.getDatabaseNames()).sort();
    const was = await names();

    // stopped at once, cut off, or something else
    const stopped = archive.restore(file);
    archive.stop();
    expect(await stopped).toBeFalse();
    expect(await archive.restore(file.slice(0, file.size - 900))).toBeFalse();
    expect(await archive.restore(new Blob(['{"format":"orvin.formula"}']))).toBeFalse();
    const other = new ZipMaker();
    await other.add('kitchen.json', new TextEncoder().encode('{"format":"orvin.kitchen"}'), false);
    expect(await archive.restore(await other.done())).toBeFalse();
    expect(await names()).toEqual(was);
    expect((await TestBed.inject(Backup).whole()).bakes.length).toBe(before.bakes.length);

    const from = kitchens.current()?.db;
    expect(await archive.restore(file)).toBeTrue();
    expect(kitchens.current()?.db).not.toBe(from);
    const after = await TestBed.inject(Backup).whole();
    const byId = (x: typeof before): unknown => [...x.bakes].sort((a, b) => a.id.localeCompare(b.id));
    expect(byId(after)).toEqual(byId(before));
    expect(after.kitchen).toEqual(before.kitchen);
    const again = await store.database.photos.get(photo?.id ?? '');
    expect(new Uint8Array(again?.bytes ?? new ArrayBuffer(0))).toEqual(
      new Uint8Array(photo?.bytes ?? new ArrayBuffer(1)),
    );
    expect(await store.database.thumbs.count()).toBe(await store.database.photos.count());
  });

  it('come from a zip without the photos that are missing or damaged in it, which are named', async () => {
    await kitchens.start();
    const whole = await TestBed.inject(Backup).whole();
    const [bake] = whole.bakes;
    const photo = (id: string, file: string) => ({
      id,
      bakeId: bake?.id ?? '',
      type: 'image/png',
      width: 3,
      height: 3,
      file,
    });
    const photos = [photo('here', 'photos/here.png'), photo('gone', 'photos/gone.png'), photo('bad', 'photos/bad.png'), photo('again', 'photos/here.png')]; // prettier-ignore
    const zip = new ZipMaker();
    await zip.add('photos/here.png', new Uint8Array([1, 2, 3]), true);
    await zip.add('photos/bad.png', new Uint8Array([7, 7, 7, 200, 7, 7, 7]), true);
    await zip.add('kitchen.json', new TextEncoder().encode(JSON.stringify({ ...whole, photos })), false);
    const raw = new Uint8Array(await (await zip.done()).arrayBuffer());
    raw[raw.indexOf(200)] = 201;
    expect(await TestBed.inject(Archive).restore(new Blob([raw]))).toBeTrue();
    expect(await store.database.photos.toCollection().primaryKeys()).toEqual(['here']);
    const said = TestBed.inject(Notices).list().map((n) => `${n.words} ${n.remedy ?? ''}`).join(' '); // prettier-ignore
    expect(said).toContain(`photos/gone.png: this photo of ${bake?.title} is not in the zip`);
    expect(said).toContain(`photos/bad.png: this photo of ${bake?.title} is damaged`);
    expect(said).toContain(`photos/here.png: this photo of ${bake?.title} is named for another photo as well`);
  });

  it('leave nothing open to nobody when the last one goes', async () => {
    await kitchens.startEmpty('Only');
    await kitchens.remove(kitchens.current()?.id ?? '');
    expect(kitchens.current()?.name).toBe('My kitchen');
    expect(kitchens.all().length).toBe(1);
  });
});
