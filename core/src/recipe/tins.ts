import { told } from '../quantity/figures.js';
import { vesselNamed } from './bake/vessels.js';
import {
  cutOutlines,
  scoredAs,
  shapedAs,
  tinLinings,
  tinMaterials,
  tinShapes,
  type Kitchen,
  type Tin,
  type TinUse,
} from '../formula/types.js';

/**
 * A tin in words that read back exactly: its name, and behind it what was measured. "2 × Deep round [round, top 203 mm,
 * base 200 mm, deep 48 mm, dark metal, 232 g empty]".
 */
export function tinWords({ tin, count, minutes }: TinUse): string {
  const more = (name: string, v: number | undefined, unit = 'mm'): string[] =>
    v === undefined ? [] : [`${name} ${v} ${unit}`.trim()];
  const parts = [
    tin.shape,
    ...more('top', tin.topMm),
    ...more('wide', tin.top2Mm),
    ...more('base', tin.baseMm),
    ...more('base wide', tin.base2Mm),
    ...more('deep', tin.depthMm),
    ...more('tube', tin.tubeMm),
    ...(tin.cups === undefined ? [] : [`${tin.cups} cups`]),
    ...more('holds', tin.capacityMl, 'ml'),
    tin.material,
    ...(tin.shaped ? [`shaped ${tin.shaped}`] : []),
    ...(tin.patted ? ['patted'] : []),
    ...(tin.cut ? [`cut ${tin.cut}`] : []),
    ...(tin.rounds === undefined ? [] : [`from ${tin.rounds} rounds`]),
    ...(tin.scored ? [`scored ${tin.scored}`] : []),
    ...(tin.lining && tin.lining !== 'none' ? [`${tin.lining} lined`] : []),
    ...(tin.tareG === undefined ? [] : [`${tin.tareG} g empty`]),
    ...(minutes ? [`${minutes.early}-${minutes.late} min`] : []),
    `id ${tin.id}`,
  ];
  return `${count} × ${tin.name.replace(/[[\]]/g, '')} [${parts.join(', ')}]`;
}

/** Reads what `tinWords` writes; null for anything else. */
export function readMeasured(line: string): TinUse | null {
  const m =
    /^(?:[^[\]]*?:\s*)??(\d+)\s*×\s*([^[\]]{0,120}?)\s*\[((?:round|square|rect|loaf|cup|tube|sheet|mound|slab)\s*,[^\]]*)\]/i.exec(
      line,
    );
  if (!m?.[3]) return null;
  const parts = m[3].split(',').map((p) => p.trim());
  const number = (name: string): number | undefined => {
    const found = parts.map((p) => new RegExp(`^${name} ([\\d.]+)`).exec(p)?.[1]).find((x) => x !== undefined);
    return found === undefined ? undefined : Number(found);
  };
  const shape = tinShapes.find((s) => s === parts[0]?.toLowerCase());
  const [topMm, depthMm] = [number('top'), number('deep')];
  if (!shape || !topMm || !depthMm) return null;
  const cups = /(\d+) cups/.exec(m[3])?.[1];
  const tare = /([\d.]+) g empty/.exec(m[3])?.[1];
  const lining = tinLinings.find((x) => x !== 'none' && parts.includes(`${x} lined`));
  const one = <T extends string>(of: readonly T[], word: string): T | undefined =>
    of.find((x) => parts.includes(`${word} ${x}`));
  const [shaped, cut, scored] = [one(shapedAs, 'shaped'), one(cutOutlines, 'cut'), one(scoredAs, 'scored')];
  const times = /(?:^|, )([\d.]+)-([\d.]+) min(?:,|$)/.exec(m[3]);
  const rounds = /from (\d+) rounds/.exec(m[3])?.[1];
  const id = parts.map((p) => /^id (\S+)$/.exec(p)?.[1]).find((x) => x !== undefined);
  const name = (m[2] ?? '').trim();
  const some = <K extends keyof Tin>(key: K, v: number | undefined): Partial<Tin> =>
    v === undefined ? {} : { [key]: v };
  return {
    tin: {
      id: id ?? `${shape}-${Math.round(topMm)}`,
      name: name || shape,
      shape,
      topMm,
      ...some('top2Mm', number('wide')),
      ...some('baseMm', number('base')),
      ...some('base2Mm', number('base wide')),
      depthMm,
      ...some('tubeMm', number('tube')),
      ...some('cups', cups === undefined ? undefined : Number(cups)),
      ...some('capacityMl', number('holds')),
      ...some('tareG', tare === undefined ? undefined : Number(tare)),
      material: tinMaterials.find((x) => parts.includes(x)) ?? 'light metal',
      ...(lining && { lining }),
      ...(shaped && { shaped }),
      ...(shaped && parts.includes('patted') && { patted: true as const }),
      ...(cut && { cut }),
      ...some('rounds', rounds === undefined ? undefined : Number(rounds)),
      ...(scored && { scored }),
    },
    count: Number(m[1]),
    ...(times && { minutes: { early: Number(times[1]), late: Number(times[2]) } }),
  };
}

/** A tin named in words, and by the kitchen's unit: "a 9x5 inch loaf tin", "two 20 cm round tins", "a 12-hole muffin tray". Null when there is none. */
export function readTin(line: string, kitchen?: Pick<Kitchen, 'display' | 'measures'>): TinUse | null {
  const use = readMeasured(line) ?? vesselNamed(line);
  return use && { ...use, tin: { ...use.tin, name: told(kitchen, use.tin.name) } };
}
