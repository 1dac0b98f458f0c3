import { areaAt, type Outline } from '../tin/geometry.js';
import type { Grid } from './grid.js';
import { linings, materials, parameters as p } from './materials.js';
import { covers, type Cover } from './oven.js';
import { evaporationFor, type SurfaceLaw } from './physics.js';
import type { Setup } from './setup.js';
import type { Wall, Walls } from './state.js';
import { cupSides, inTray } from './tray.js';

/** Share of the oven that the surface sees past the rim; tin walls above it glow back, so half the blocked part counts. */
function rimView(below: number, o: Outline): number {
  if (o.free || below <= 0) return 1;
  return 1 - 0.5 * (1 - (o.tube > 0 ? slot(below, (o.top - o.tube) / 2) : disc(below, Math.min(o.top, o.top2))));
}
/** What a disc sees through an equal one, and a long strip between two walls, so far above it. */
function disc(below: number, across: number): number {
  const x = (2 * below) / across;
  const m = 2 + x * x;
  return (m - Math.sqrt(m * m - 4)) / 2;
}
const slot = (below: number, across: number): number => Math.hypot(1, below / across) - below / across;

/** Cuts reach so deep into a scored top, share of its height, and their faces take so much of the oven's heat: they open as it rises, and see the oven from within a groove. Judgements. */
const SCORE_DEEP = { cross: 0.5, wedges: 0.5, slashes: 0.25 } as const;
const SCORE_LENGTHS = { cross: 2, wedges: 3, slashes: 2 } as const;
const GROOVE_SEES = 0.4;

/**
 * By how much scoring adds to the surface through which heat comes in, over that of the top and the side: both faces of each cut,
 * a width of the dough long, as the groove sees the oven.
 */
function scoredMore(tin: Setup['tin'], o: Outline, risenMm: number): number {
  if (!tin.scored || !o.free) return 1;
  const across = Math.sqrt((4 * areaAt(o, 0)) / Math.PI);
  const faces = 2 * SCORE_LENGTHS[tin.scored] * across * SCORE_DEEP[tin.scored] * risenMm;
  return 1 + (GROOVE_SEES * faces) / (areaAt(o, 0) + Math.PI * across * risenMm);
}

/** By how much a domed top is larger than a flat one: a cap over a disc, an arch over a strip; from how far it has risen, mm. */
function domedMore({ dome = 0 }: Setup, o: Outline, roseMm: number): number {
  const over = (4 * dome * Math.max(0, roseMm)) / Math.max(1, Math.min(o.top, o.top2) - o.tube);
  return 1 + (o.kind === 'box' ? 2 / 3 : 1) * over * over;
}

/** How far down a thin metal wall conducts usefully, mm: sqrt(k d / h) with k 50–200 W/mK, d 0.6 mm, h 12 W/m2K. */
const FIN_REACH_MM = 60;

/** Emissivity of a hollow's mouth: what shines in hardly comes out again. */
const HOLLOW = 0.9;

/** Tube tins are cast, or pressed from thicker metal than others: 2 to 3 mm of aluminium. General knowledge, not looked up. */
const TUBE_HEAVIER = 2.5;

/** What is left of the radiation where another tray stands between; a hot tin glows itself. A judgement. */
const SHADED = 0.55;
/** Heat capacity, J/m2K, and contact resistance, m2K/W, of what carries a bake: 12 mm of stone, 2 mm of steel. */
const CARRIERS = {
  stone: { capacity: 25000, resistance: 0.004 },
  'hot tray': { capacity: 7000, resistance: 0.002 },
} as const;
/** Hot water along a wall, steam over a covered top, W/m2K; and how high the water stands, share of the side. Judgements. */
const WATER_H = 250;
const STEAM_TOP = 12;
const WATER_TO = 0.5;

/** A wall of which the share `wet` stands in water or steam of `bathC` °C; what is left of the oven's air hardly counts beside it. */
const inWater = (wall: Wall, wet: number, bathC: number): Wall => ({
  ...wall,
  law: { h: WATER_H * wet, eps: 0, evaporation: 0 },
  aroundC: bathC,
});

/**
 * The walls of a bake at one moment. `g` weakens the oven's heat for its size, heights are in mm; water around it is of
 * `bathC` °C, null once it is out of the oven.
 */
export function wallsFor(
  setup: Setup,
  o: Outline,
  grid: Grid,
  g: number,
  heightMm: number,
  risen: number,
  cover: Cover,
  bathC: number | null,
): Walls {
  const { shaded, airflow = setup.fan ? 1 : 0 } = setup.conditions ?? {};
  // once it is out of the oven it stands in no water and on no stone
  const { bath, on } = bathC === null ? {} : (setup.conditions ?? {});
  const hc = (p.hcStill + (p.hcFan - p.hcStill) * airflow) * (setup.convection ?? 1);
  const material = materials[setup.tin.material];
  const over = covers[cover];
  const more = scoredMore(setup.tin, o, heightMm * risen) * domedMore(setup, o, heightMm * (risen - 1));
  const air = (view: number): SurfaceLaw => ({
    h: g * more * hc * view * over.h,
    eps: g * more * p.epsTop * view * over.eps * (shaded === 'above' || shaded === 'both' ? SHADED : 1),
    // a fan dries the surface sooner, but closes it sooner too; the film is taken as a still oven's
    evaporation: evaporationFor(g * more * p.hcStill * (setup.convection ?? 1) * view) * over.vapour,
  });
  // the bare wall above the batter is heated too and passes what it takes down to it
  const cup = inTray(setup.tin);
  const bare = o.free || cup ? 0 : Math.max(0, o.depth - heightMm * risen) / (heightMm * risen);
  const fin = 1 + material.fin * Math.min(bare, FIN_REACH_MM / (heightMm * risen), p.finMost);
  const metal = (share: number, air = 1, eps: number = material.eps): Wall => ({
    law: { h: g * share * air * hc, eps: g * share * eps * (setup.emissivity ?? 1), evaporation: 0 },
    capacity: material.capacity * (o.tube > 0 ? TUBE_HEAVIER : 1),
    resistance: material.resistance + linings[setup.tin.lining ?? 'none'],
  });
  // a tube sees the oven only through its two mouths, pi r2 each for 2 pi r L of wall
  const mouths = Math.min(material.eps, (HOLLOW * o.tube) / 2 / o.depth);
  const bareTop: Wall = { law: air(1), capacity: 0, resistance: 0 };
  const { above } = cutAt(grid, o.depth / risen);
  const below = metal(1, 1, material.eps * (shaded === 'below' || shaded === 'both' ? SHADED : 1));
  const carried = on ? { ...below, capacity: below.capacity + CARRIERS[on].capacity, resistance: below.resistance + CARRIERS[on].resistance } : below; // prettier-ignore
  const sides = metal(cup ? cupSides(o, material.fin) : fin);
  const open: Wall = { law: air(rimView(o.depth - heightMm * risen, o)), capacity: 0, resistance: 0 };
  return {
    base: bath && bathC !== null ? inWater(below, 1, bathC) : carried,
    tin: bath && bathC !== null ? inWater(sides, bath === 'open' ? WATER_TO : 1, bathC) : sides,
    'inner tin': metal(fin, p.tubeAir, mouths),
    // under a cover steam condenses on the lid, not on the batter, which it keeps wet
    open:
      bath === 'covered' && bathC !== null
        ? { ...open, law: { h: STEAM_TOP, eps: 0, evaporation: 0 }, aroundC: bathC }
        : open,
    'at rim': between(metal(1), bareTop, above),
    'above rim': bareTop,
  };
}

/** A wall that is `share` of the second kind. */
function between(a: Wall, b: Wall, share: number): Wall {
  const mix = (x: number, y: number): number => x + (y - x) * share;
  return {
    law: {
      h: mix(a.law.h, b.law.h),
      eps: mix(a.law.eps, b.law.eps),
      evaporation: mix(a.law.evaporation, b.law.evaporation),
    },
    capacity: mix(a.capacity, b.capacity),
    resistance: mix(a.resistance, b.resistance),
  };
}

/** The row of the raw batter that a height in mm cuts, and the share of it that lies above. */
export function cutAt(grid: Grid, mm: number): { row: number; above: number } {
  let top = 0;
  for (let z = 0; z < grid.nz; z++) {
    const dz = 1000 * (grid.dz[z] as number);
    if (top + dz > mm) return { row: z, above: (top + dz - mm) / dz };
    top += dz;
  }
  return { row: grid.nz, above: 0 };
}
