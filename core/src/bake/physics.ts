/**
 * Physical laws of the bake model; docs/science/bake.md gives the equations. SI units throughout, temperatures in °C
 * unless a name ends in K.
 */

/** Stefan–Boltzmann constant, W/m2K4 (CODATA, exact since 2019). */
export const SIGMA = 5.670374419e-8;
/** Molar mass of water, kg/mol, and the gas constant, J/mol K. */
const M_WATER = 0.018015;
const R_GAS = 8.314462618;

/** Saturated vapour pressure over water, Pa; Buck's equation, 101.3 kPa at 100 °C (a test). */
export const psat = (c: number): number => 611.21 * Math.exp((18.678 - c / 234.5) * (c / (257.14 + c)));
const dpsat = (c: number): number => (psat(c + 0.01) - psat(c - 0.01)) / 0.02;

/** Latent heat of evaporation, J/kg; linear fit to steam-table values between 20 and 110 °C (2.45 and 2.23 MJ/kg). */
export const latentHeat = (c: number): number => 2.5008e6 - 2442 * c;

/** Standard-atmosphere pressure at height h metres, Pa. */
export const airPressure = (h: number): number => 101325 * Math.pow(1 - 2.2558e-5 * h, 5.2559);

/** Temperature at which batter of water activity `aw` boils under pressure p, °C. */
export function boilingPoint(aw: number, p: number): number {
  let lo = 60;
  let hi = 130;
  for (let i = 0; i < 40; i++) {
    const mid = (lo + hi) / 2;
    if (aw * psat(mid) < p) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

export interface Crumb {
  /** Conductivity of the wet matrix, W/mK; `matrixConductivity` from what is in it. */
  readonly kS: number;
  /** Share of evaporation–condensation transport that is realised where half is pores, 0–1; and how it falls as they grow. */
  readonly beta: number;
  readonly wetWalls: number;
  /** Water activity. */
  readonly aw: number;
  /** Gas fraction of the raw batter. */
  readonly eps0: number;
  /** Baked volume over raw volume. */
  readonly rise: number;
  /** Density of the raw batter, kg/m3, and its heat capacity, J/kgK. */
  readonly rho: number;
  readonly cp: number;
  /** Water that can boil off, kg per kg batter. */
  readonly water: number;
  /** Air pressure, Pa. */
  readonly pressure: number;
  /** Where its water begins to freeze, °C, and how much of it can, kg per kg batter; without them it never does. */
  readonly freezes?: number;
  readonly ice?: number;
}

const smoothstep = (x: number): number => (x <= 0 ? 0 : x >= 1 ? 1 : x * x * (3 - 2 * x));

/** Expansion of a parcel of batter at temperature T: from 30 °C on, complete at 95 °C. */
export const expansion = (c: Crumb, t: number): number => 1 + (c.rise - 1) * smoothstep((t - 30) / 65);

/** Conductivity of crumb at temperature T below boiling, W/mK: Maxwell–Eucken with vapour-carrying pores. */
export function conductivity(c: Crumb, t: number): number {
  const kelvin = t + 273.15;
  const diffusivity = 2.12e-5 * Math.pow(kelvin / 273, 1.81);
  const pv = Math.min(c.aw * psat(t), 0.999 * c.pressure);
  const enhancement = Math.min(20, c.pressure / (c.pressure - pv));
  const eps = 1 - (1 - c.eps0) / expansion(c, t);
  const realised = Math.min(1, c.beta * Math.pow(2 * (1 - eps), c.wetWalls));
  const kp =
    0.026 + realised * latentHeat(t) * diffusivity * (M_WATER / (R_GAS * kelvin)) * c.aw * dpsat(t) * enhancement;
  return (c.kS * (2 * c.kS + kp - 2 * eps * (c.kS - kp))) / (2 * c.kS + kp + eps * (c.kS - kp));
}

/** Dry crust, W/mK. */
const K_DRY = 0.1;
/** The plateau rises by this much while the crust dries, K. */
export const DRYING_RISE = 6;

/**
 * Everything the solver needs of the crumb, tabulated over theta = enthalpy / (rho cp), whose unit is K. Each table
 * holds pairs [slope, intercept] for every kelvin from `MIN` on, so that a value is one multiplication away: the
 * temperature, and the Kirchhoff integrals of vertical (k/phi) and horizontal (k phi) transport. The coefficients
 * themselves and the expansion are plain tables.
 */
export interface Tables {
  readonly size: number;
  readonly temperature: Float64Array;
  readonly vertical: Float64Array;
  readonly horizontal: Float64Array;
  readonly kVertical: Float64Array;
  readonly kHorizontal: Float64Array;
  readonly phi: Float64Array;
  /** Where ice melts last, and where boiling begins, °C; how wide that plateau is in theta, K. */
  readonly freezes: number;
  readonly boils: number;
  readonly plateau: number;
  readonly rhoCp: number;
}

/** The tables' lower end, in theta. */
export const MIN = -160;
const MAX = 1400;
/** The hottest theta that cells are let come to: two entries of the tables are left beyond it. */
export const HIGHEST = MAX - 2;
const SIZE = MAX - MIN + 1;

export function tabulate(c: Crumb): Tables {
  const boils = boilingPoint(c.aw, c.pressure);
  const plateau = (c.water * latentHeat(100)) / c.cp;
  const wet = conductivity(c, boils - 1);
  const freezes = c.freezes ?? -Infinity;
  const ice = frozen(c);
  return build({ freezes, boils, plateau, rhoCp: c.rho * c.cp }, (theta) => {
    if (theta < freezes) {
      const { t, share } = ice(theta);
      const k = conductivity(c, t) * Math.pow(ICE_K / WATER_K, share);
      return { t, k, phi: 1 };
    }
    const t = temperatureOf(theta, boils, plateau);
    const dry = plateau > 0 ? Math.min(1, Math.max(0, (theta - boils) / plateau)) : theta > boils ? 1 : 0;
    const k = theta < boils - 1 ? conductivity(c, Math.max(-30, t)) : wet + (K_DRY - wet) * dry;
    return { t, k, phi: expansion(c, t) };
  });
}

/** Tables of a plain conductor without boiling or rise, for holding the solver against analytic solutions. */
export const plainTables = (k: number, rhoCp: number): Tables =>
  build({ freezes: -1e9, boils: 1e9, plateau: 1, rhoCp }, (t) => ({ t, k, phi: 1 }));

function temperatureOf(theta: number, boils: number, plateau: number): number {
  if (theta <= boils) return theta;
  if (theta <= boils + plateau) return boils + (DRYING_RISE * (theta - boils)) / plateau;
  return theta - plateau + DRYING_RISE;
}

/** Slope and intercept of each kelvin's stretch of a function tabulated at whole kelvins. */
function pairs(values: Float64Array): Float64Array {
  const out = new Float64Array(2 * SIZE);
  for (let i = 0; i < SIZE; i++) {
    const from = Math.min(i, SIZE - 2);
    const slope = (values[from + 1] as number) - (values[from] as number);
    out[2 * i] = slope;
    out[2 * i + 1] = (values[from] as number) - slope * (from + MIN);
  }
  return out;
}

/** J/kg of ice that melts, J/kgK by which ice holds less than water, W/mK of ice and of water. General physics, not looked up. */
const MELTS = 334e3;
const ICE_LESS = 2090;
const ICE_K = 2.2;
const WATER_K = 0.56;

/**
 * Temperature of a batter that is partly ice, and the share of it that is, by theta: what is left unfrozen grows saltier and sweeter, so
 * that 1 − freezes/T of the water that can freeze is ice at T.
 */
function frozen(c: Crumb): (theta: number) => { t: number; share: number } {
  const freezes = c.freezes ?? 0;
  const ice = (t: number): number => (c.ice ?? 0) * (1 - freezes / t);
  // what ice gives up in melting, less what it needs less to warm up, half of it frozen on the way on average
  const theta = (t: number): number => t - (ice(t) * (MELTS - (ICE_LESS * (freezes - t)) / 2)) / c.cp;
  return (wanted) => {
    let [lo, hi] = [MIN, freezes];
    for (let i = 0; i < 40; i++) {
      const mid = (lo + hi) / 2;
      if (theta(mid) < wanted) lo = mid;
      else hi = mid;
    }
    return { t: hi, share: ice(hi) };
  };
}

/** Theta at a temperature below boiling, K. */
export function thetaAt(tables: Tables, c: number): number {
  if (c >= tables.freezes) return c;
  let [lo, hi] = [MIN, tables.freezes];
  for (let i = 0; i < 50; i++) {
    const mid = (lo + hi) / 2;
    const j = 2 * Math.floor(mid - MIN);
    if ((tables.temperature[j] as number) * mid + (tables.temperature[j + 1] as number) < c) lo = mid;
    else hi = mid;
  }
  return hi;
}

function build(
  { freezes, boils, plateau, rhoCp }: Pick<Tables, 'freezes' | 'boils' | 'plateau' | 'rhoCp'>,
  at: (theta: number) => { t: number; k: number; phi: number },
): Tables {
  const make = (): Float64Array => new Float64Array(SIZE);
  const [temperature, vertical, horizontal, kVertical, kHorizontal, phi] = [
    make(),
    make(),
    make(),
    make(),
    make(),
    make(),
  ];
  let before = at(MIN);
  for (let i = 0; i < SIZE; i++) {
    const now = at(MIN + i);
    temperature[i] = now.t;
    phi[i] = now.phi;
    kVertical[i] = now.k / now.phi;
    kHorizontal[i] = now.k * now.phi;
    if (i > 0) {
      const dt = now.t - before.t;
      vertical[i] = (vertical[i - 1] as number) + (dt * (now.k / now.phi + before.k / before.phi)) / 2;
      horizontal[i] = (horizontal[i - 1] as number) + (dt * (now.k * now.phi + before.k * before.phi)) / 2;
    }
    before = now;
  }
  return {
    size: SIZE,
    temperature: pairs(temperature),
    vertical: pairs(vertical),
    horizontal: pairs(horizontal),
    kVertical,
    kHorizontal,
    phi,
    freezes,
    boils,
    plateau,
    rhoCp,
  };
}

/** How a face takes up heat from the air around it. */
export interface SurfaceLaw {
  /** Convection coefficient, W/m2K, with all geometric factors in it. */
  readonly h: number;
  /** Emissivity with all geometric factors in it. */
  readonly eps: number;
  /** Vapour transport of an open face: evaporation, kg/m2s per Pa of (aw psat − oven vapour); 0 for a tin wall. */
  readonly evaporation: number;
}

/** Vapour pressure of oven air, Pa: a vented oven with a wet cake in it. A judgement. */
const OVEN_VAPOUR = 2500;

/**
 * Mass-transfer coefficient that goes with a convection coefficient (Lewis relation), kg/m2s per Pa:
 * h / (rho cp Le^(2/3)) · M / (R T) for air and vapour at about 100 °C.
 */
export const evaporationFor = (h: number): number => ((h / 1100) * 1.1 * M_WATER) / (R_GAS * 373);

/** Within so many kelvins of boiling, vapour leaves by boiling, which the plateau accounts for, and no longer by diffusion. */
const FADES_K = 10;

/**
 * What drives vapour out of a wet front, Pa, in pairs [slope, intercept] for every kelvin from `MIN` on. It fades towards
 * the boiling point, where vapour leaves as fast as heat comes in.
 */
export function vapourDrive(aw: number, boils: number, inOven = OVEN_VAPOUR): Float64Array {
  const values = new Float64Array(SIZE);
  for (let i = 0; i < SIZE; i++) {
    const t = i + MIN;
    const fade = Math.min(1, Math.max(0, (boils - t) / FADES_K));
    values[i] = fade * Math.max(0, aw * psat(Math.max(0, Math.min(t, boils))) - inOven);
  }
  return pairs(values);
}

/** Conductivities of the parts of a batter at about 50 °C, W/mK, and their densities, kg/m3; general food physics, not looked up. */
const PARTS = { water: [0.64, 990], fat: [0.17, 920], dry: [0.23, 1500] } as const;

/**
 * Conductivity of the wet matrix from mass fractions of water and fat, W/mK: geometric mean of the parts by volume,
 * which lies between their bounds in series and in parallel. 0.33 for an ordinary cake batter.
 */
export function matrixConductivity(water: number, fat: number): number {
  const dry = Math.max(0, 1 - water - fat);
  const share = { water: water / PARTS.water[1], fat: fat / PARTS.fat[1], dry: dry / PARTS.dry[1] };
  const all = share.water + share.fat + share.dry;
  return Math.exp(
    (share.water * Math.log(PARTS.water[0]) + share.fat * Math.log(PARTS.fat[0]) + share.dry * Math.log(PARTS.dry[0])) /
      all,
  );
}

/** Heat capacity from mass fractions of water and fat, J/kgK; water 4180, fat 2000, the rest 1500. */
export const heatCapacity = (water: number, fat: number): number =>
  4180 * water + 2000 * fat + 1500 * Math.max(0, 1 - water - fat);
