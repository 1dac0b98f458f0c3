import { Dexie, type EntityTable, type Table } from 'dexie';
import type {
  BakeRow,
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

/** One database per kitchen, so that the sample kitchen never mixes with one's own. */
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

  constructor(name: string, onSuperseded: () => void = () => undefined) {
    super(name);
    this.version(1).stores(SCHEMA_1);
    this.version(2).stores(SCHEMA_2);
    // another tab runs a newer Orvin: let go, so that it can upgrade, and say so
    this.on('versionchange', () => {
      this.close();
      onSuperseded();
    });
  }
}

/** The kitchens on this device, and what belongs to the device rather than to a kitchen. */
export class RegistryDatabase extends Dexie {
  readonly kitchens!: EntityTable<KitchenEntry, 'id'>;
  readonly settings!: EntityTable<{ key: string; value: unknown }, 'key'>;

  constructor(name = 'orvin') {
    super(name);
    this.version(1).stores({ kitchens: 'id', settings: 'key' });
    this.on('versionchange', () => this.close());
  }
}
