import { Dexie, type EntityTable, type Table } from 'dexie';
import type {
  BakeRow,
  BinRow,
  Command,
  KitchenEntry,
  MetaRecord,
  PhotoRecord,
  ReckonedRecord,
  SeriesRow,
  ThumbRecord,
  VersionRecord,
  WorkingRecord,
} from './records';

/** Schema version 1 of a kitchen's database; `database.spec.ts` keeps a fixture of it for the upgrades to come. */
export const SCHEMA_1 = {
  working: 'id, updatedAt',
  versions: 'id, formulaId, at',
  commands: '++seq, doc, [doc+undone]',
  bakes: 'id, bake.formulaId, bake.at',
  meta: 'key',
} as const;

/** Version 2 keeps photos, what the model says of each bake, and series of small batches. */
export const SCHEMA_2 = {
  bakes: 'id, bake.formulaId, bake.at, [id+revision]',
  photos: 'id, bakeId',
  thumbs: 'id, bakeId',
  reckoned: 'key',
  series: 'id, at',
} as const;

/** Version 3 keeps what was removed, for a while. */
export const SCHEMA_3 = { bin: 'id, at' } as const;

/** What a database was found to be when it was opened. */
export class NewerDatabase extends Error {}

/**
 * One database per kitchen, so that the sample kitchen never mixes with one's own. It opens only when it is told to: one that
 * another tab has closed, to upgrade or to remove it, stays closed, and is never made anew by a write that comes late.
 */
export class KitchenDatabase extends Dexie {
  readonly working!: EntityTable<WorkingRecord, 'id'>;
  readonly versions!: EntityTable<VersionRecord, 'id'>;
  readonly commands!: Table<Command, number>;
  readonly bakes!: EntityTable<BakeRow, 'id'>;
  readonly meta!: EntityTable<MetaRecord, 'key'>;
  readonly photos!: EntityTable<PhotoRecord, 'id'>;
  readonly thumbs!: EntityTable<ThumbRecord, 'id'>;
  readonly reckoned!: EntityTable<ReckonedRecord, 'key'>;
  readonly series!: EntityTable<SeriesRow, 'id'>;
  readonly bin!: EntityTable<BinRow, 'id'>;

  /** @param onTaken another tab needs it closed: to take it over for a newer Orvin, or to remove it */
  constructor(name: string, onTaken: (why: 'newer' | 'gone') => void = () => undefined) {
    super(name, { autoOpen: false });
    this.version(1).stores(SCHEMA_1);
    this.version(2).stores(SCHEMA_2);
    this.version(3).stores(SCHEMA_3);
    this.on('versionchange', (e) => {
      this.close();
      onTaken(e.newVersion === null ? 'gone' : 'newer');
      // the library would open it again by itself
      return false;
    });
  }

  /** Opens it where it is there; null where it has been removed, which does not make it anew. */
  async openedIfThere(): Promise<this | null> {
    let made = false;
    this.on('populate', () => {
      made = true;
      throw new Error('it was not there');
    });
    try {
      return await this.opened();
    } catch (e) {
      if (made) return null;
      throw e;
    }
  }

  /** Opens it, unless a newer Orvin has written it, which this one would not understand: then `NewerDatabase`. */
  async opened(): Promise<this> {
    await this.open();
    // the library counts in tenths
    if (Math.floor(this.backendDB().version / 10) > LATEST) {
      this.close();
      throw new NewerDatabase(this.name);
    }
    return this;
  }
}
const LATEST = 3;

/** The kitchens on this device, and what belongs to the device rather than to a kitchen. */
export class RegistryDatabase extends Dexie {
  readonly kitchens!: EntityTable<KitchenEntry, 'id'>;
  readonly settings!: EntityTable<{ key: string; value: unknown }, 'key'>;
  /** Called when a newer Orvin takes it over. */
  onTaken: () => void = () => undefined;

  constructor(name = 'orvin') {
    super(name, { autoOpen: false });
    this.version(1).stores({ kitchens: 'id', settings: 'key' });
    this.on('versionchange', () => {
      this.close();
      this.onTaken();
      return false;
    });
  }
}
