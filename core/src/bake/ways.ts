import type { BakeConditions, BakeSetting } from '../formula/types.js';

/** How a bake goes in where that is not as mixed, on a rack of a dry oven that it has for itself. */
export interface Way {
  readonly id: string;
  /** Ways of a group exclude each other. */
  readonly group: 'batter' | 'stands' | 'air' | 'moves' | 'others';
  /** In a few words that follow a heat: "180 °C, from the freezer". */
  readonly words: string;
  readonly startC?: number;
  readonly conditions?: BakeConditions;
  /** What it asks caution for at the oven. */
  readonly caution?: string;
}

const HOT_WATER =
  'Hot water spills and burns: set the tin down first, pour the water at the oven, and let it cool before you lift it out.';

/** All ways a bake can go in, −18 °C of a freezer and 5 °C of a fridge. */
// prettier-ignore
export const ways: readonly Way[] = [
  { id: 'fridge', group: 'batter', words: 'from the fridge', startC: 5 },
  { id: 'freezer', group: 'batter', words: 'from the freezer', startC: -18 },
  { id: 'stone', group: 'stands', words: 'on a hot stone', conditions: { on: 'stone' }, caution: 'The stone is as hot as the oven.' },
  { id: 'hot tray', group: 'stands', words: 'on a hot tray', conditions: { on: 'hot tray' }, caution: 'The tray is as hot as the oven.' },
  { id: 'bath', group: 'stands', words: 'in hot water', conditions: { bath: 'open' }, caution: HOT_WATER },
  { id: 'steamed', group: 'stands', words: 'covered over hot water', conditions: { bath: 'covered' }, caution: HOT_WATER },
  { id: 'steam', group: 'air', words: 'over a tray of boiling water', conditions: { steam: true }, caution: 'Steam rises when the door opens: stand aside, and pour the water in with long gloves.' },
  { id: 'still', group: 'moves', words: 'in still air', conditions: { airflow: 0 } },
  { id: 'gentle', group: 'moves', words: 'in gently moving air', conditions: { airflow: 0.5 } },
  { id: 'strong', group: 'moves', words: 'in strongly moving air', conditions: { airflow: 1 } },
  { id: 'under', group: 'others', words: 'under another tray', conditions: { shaded: 'above' } },
  { id: 'over', group: 'others', words: 'over another tray', conditions: { shaded: 'below' } },
  { id: 'between', group: 'others', words: 'between two trays', conditions: { shaded: 'both' } },
];

const KEYS = ['bath', 'steam', 'on', 'airflow', 'shaded'] as const;

/** The ways in which a setting goes in, in their order. */
export const waysOf = (b: Pick<BakeSetting, 'startC' | 'conditions'>): Way[] =>
  ways.filter((w) =>
    w.startC !== undefined
      ? w.startC === b.startC
      : KEYS.some((k) => w.conditions?.[k] !== undefined && w.conditions[k] === b.conditions?.[k]),
  );

/** The setting with one way of a group, or with none of it. */
export function withWay<T extends Pick<BakeSetting, 'startC' | 'conditions'>>(
  b: T,
  group: Way['group'],
  id: string | null,
): T {
  const way = ways.find((w) => w.group === group && w.id === id);
  const { startC, conditions = {}, ...rest } = b;
  const dropped: ReadonlySet<string> = new Set(ways.filter((w) => w.group === group).flatMap((w) => Object.keys(w.conditions ?? {}))); // prettier-ignore
  const kept = Object.entries(conditions).filter(([k]) => !dropped.has(k));
  const next: BakeConditions = { ...Object.fromEntries(kept), ...way?.conditions };
  const start = group === 'batter' ? way?.startC : startC;
  return { ...rest, ...(start !== undefined && { startC: start }), ...(Object.keys(next).length > 0 && { conditions: next }) } as T; // prettier-ignore
}

/** What of a setting's conditions no way names, in words that follow a heat; `by` says a difference of heat. */
export function alsoSaid(
  { conditions: c }: Pick<BakeSetting, 'conditions'>,
  by = (kelvins: number): string => `${kelvins} °C`,
): string[] {
  const named = ways.some((w) => w.group === 'moves' && w.conditions?.airflow === c?.airflow);
  return [
    ...(c?.airflow === undefined || named ? [] : [`air moving at ${Number((100 * c.airflow).toFixed(9))} %`]),
    ...(c?.openedMin?.length ? [`door opened after ${c.openedMin.join(' and ')} min`] : []),
    ...(c?.swingK === undefined ? [] : [`heat swinging by ${by(c.swingK)}`]),
  ];
}

/** Those words taken out of a text again: what it says besides, and the conditions. */
export function readAlsoSaid(text: string): { readonly rest: string; readonly conditions: BakeConditions } {
  const air = /, air moving at ([\d.]+) %/i.exec(text);
  const door = /, door opened after ((?:[\d.]+ and )*[\d.]+) min(?!utes)/i.exec(text);
  const swing = /, heat swinging by ([\d.]+) °C/i.exec(text);
  return {
    rest: [air, door, swing].reduce((t, m) => (m ? t.replace(m[0], '') : t), text),
    conditions: {
      ...(air && { airflow: Number(air[1]) / 100 }),
      ...(door?.[1] && { openedMin: door[1].split(' and ').map(Number) }),
      ...(swing && { swingK: Number(swing[1]) }),
    },
  };
}
