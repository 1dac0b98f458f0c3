import { statedSetting } from '../bake/stages.js';
import { band, exactly } from '../formula/bands.js';
import { builds, groupIdOf } from '../finish/builds.js';
import { outlineOf } from '../tin/geometry.js';
import { apartAmounts, heatWords, none, waitStep, type Parts } from './parts.js';
import type { Step } from './step.js';

/** Filling the tins, the bake with what to do when, and out. */
export function baking(p: Parts): Step[] {
  const { formula, kitchen, fits, family, prediction, entries, shares } = p;
  const bake = formula.bake;
  const own = entries.flatMap((e, i) =>
    e.place === 'fill' ? [{ words: e.text, amounts: shares.at[i] ?? [], i }] : [],
  );
  const first = own[0];
  const said = entries.filter((e) => e.place === 'bake').map((e) => e.text);
  const tops = formula.groups.filter((g) => g.role === 'top').flatMap((g) => apartAmounts(formula, g, kitchen));
  const m = prediction && prediction.minutes.likely > 0 ? prediction.minutes : null;
  const stated = statedSetting(formula.bake)?.minutes;
  const free = fits[0] ? outlineOf(fits[0].tin).free : false;
  const minutes = m
    ? band(m.early, m.likely, m.late)
    : stated
      ? band(stated.early, Math.sqrt(stated.early * stated.late), stated.late)
      : free
        ? band(14, 18, 24)
        : band(30, 40, 55);
  const out: Step[] = fits.map((fit, i): Step => {
    const each = fit.count * (fit.tin.cups ?? 1) > 1;
    const o = outlineOf(fit.tin);
    const hot = bake?.hotTin === true;
    return {
      ...none,
      id: `fill:${i}`,
      kind: 'fill',
      words: i === 0 && first ? first.words : `${o.free || fit.tin.shape === 'slab' ? 'Shape' : 'Fill'} ${fit.count > 1 ? `${fit.count} × ` : 'the '}${fit.tin.name}`, // prettier-ignore
      own: i === 0 && first !== undefined,
      detail: `${Math.round(fit.perCupG)} g${each ? ' in each' : ''}${fit.tinReadsG && !hot ? `; full, the tin reads ${Math.round(fit.tinReadsG)} g` : ''}`,
      minutes: band(1, 1 + 0.25 * fit.count * (fit.tin.cups ?? 1), 6),
      hands: true,
      amounts: i === 0 ? [...(first?.amounts ?? []), ...tops] : [],
      looks: o.free ? 'room between them, sides straight' : fit.tin.shape === 'cup' ? 'all equally full' : 'level, a little lower in the middle', // prettier-ignore
      wrong: [
        { sign: 'one is fuller than the others', rescue: 'even them out by the scale, they bake alike only then' },
      ],
      caution: hot ? 'Mind the hot tin and its handle.' : null,
    };
  });
  if (fits.length === 0)
    out.push({
      ...none,
      id: 'fill:0',
      kind: 'fill',
      words: first?.words ?? 'Fill the tin',
      own: first !== undefined,
      minutes: band(1, 2, 6),
      hands: true,
      amounts: [...(first?.amounts ?? []), ...tops],
    });
  for (const more of own.slice(1))
    out.push({
      ...none,
      id: `fill:own:${more.i}`,
      kind: 'fill',
      words: more.words,
      own: true,
      minutes: band(0.5, 1, 3),
      hands: true,
      amounts: more.amounts,
    });
  out.push({
    ...none,
    id: 'in',
    kind: 'in',
    words: 'Into the oven',
    detail: 'quickly; the door costs heat',
    minutes: band(0.5, 1, 2),
    hands: true,
    caution: 'Hot oven, hot steam: cloths, and stand aside from the door.',
  });
  out.push({
    ...none,
    id: 'bake',
    kind: 'bake',
    words: `Bake at ${heatWords(p)}`,
    detail: [...said, ...(m || stated ? [] : ['Nothing is known of its time: look early.'])].join(' ') || null,
    minutes,
    hands: false,
    looks: family.signs,
    wrong: [
      { sign: 'dark on top, wobbling in the middle', rescue: 'foil over it loosely, clear of the element, and on' },
      { sign: 'it sinks when the door opens', rescue: 'close the door; look through the glass until it springs back' },
    ],
    marks: prediction?.plan ?? [],
  });
  out.push({
    ...none,
    id: 'out',
    kind: 'out',
    words: 'Out of the oven',
    detail: family.signs,
    minutes: band(0.5, 1, 2),
    hands: true,
    looks: family.signs,
    caution: 'The tin is as hot as the oven for minutes yet.',
  });
  return out;
}

/** Cooling, finishing, keeping. */
export function after(p: Parts): Step[] {
  const { family, entries, fits, shares } = p;
  const free = fits[0] ? outlineOf(fits[0].tin).free || fits[0].tin.shape === 'slab' : false;
  const out: Step[] = [];
  if (family.coolTinMin > 0 && !free)
    out.push(waitStep('wait:tin', family.coolTinMin, 'Leave it in its tin, on a rack'), {
      ...none,
      id: 'unmould',
      kind: 'unmould',
      words: 'Out of the tin, onto a rack',
      detail: family.coolTinMin >= 120 ? 'only when it is cold right through' : 'run a knife round the edge first',
      minutes: band(1, 2, 4),
      hands: true,
      wrong: [
        {
          sign: 'it holds on',
          rescue: 'back on the rack in its tin for 5 minutes, a warm cloth under the base, then again',
        },
        { sign: 'it breaks', rescue: 'let it cool, then turn the worst side down: crumbs and glaze hide the rest' },
      ],
    });
  out.push(...finishing(p, true));
  out.push({
    ...none,
    id: 'cool',
    kind: 'cool',
    words: free || family.coolTinMin === 0 ? 'Onto a rack to cool' : 'Let it cool on the rack',
    detail: 'air underneath, never on a flat counter; do not slice hot, the steam is its moisture',
    minutes: band(family.coolRackMin * 0.8, family.coolRackMin, family.coolRackMin * 1.3),
    hands: false,
    looks: 'no warmth felt underneath',
  });
  out.push(...finishing(p, false));
  entries.forEach((e, i) => {
    if (e.place === 'finish')
      out.push({
        ...none,
        id: `finish:own:${i}`,
        kind: 'finish',
        words: e.text,
        own: true,
        minutes: band(2, 5, 15),
        hands: true,
        amounts: shares.at[i] ?? [],
      });
  });
  const keeps = entries.filter((e) => e.place === 'keep').map((e) => e.text);
  out.push({
    ...none,
    id: 'keep',
    kind: 'keep',
    words: keeps.length > 0 ? keeps.join(' ') : `Keeps ${family.keeps}`,
    own: keeps.length > 0,
    detail: keeps.length > 0 ? `keeps ${family.keeps}` : 'wrapped, once it is cold right through',
    minutes: exactly(0),
    hands: false,
    caution: 'Local food-safety advice comes first.',
  });
  return out;
}

/** Groups that go on the baked cake: a soak while it is warm, the rest when it is cold. */
function finishing({ formula, kitchen }: Parts, soak: boolean): Step[] {
  const these = formula.groups.filter((g) => (soak ? g.role === 'soak' : g.role === 'icing' || g.role === 'filling'));
  return these.map((g): Step => {
    const build = builds.find((b) => g.id === groupIdOf(b));
    return {
      ...none,
      id: `finish:${g.id}`,
      kind: 'finish',
      words: g.name,
      detail: build
        ? build.method.join(' ')
        : soak
          ? 'brush it on while the cake is warm'
          : 'only when the cake is cold',
      minutes: band(5, 10, 20),
      hands: true,
      amounts: apartAmounts(formula, g, kitchen),
      looks: build?.looks ?? null,
      caution:
        build?.caution ??
        (soak
          ? null
          : 'Uncooked egg in a frosting: pasteurised only. Keep what holds cream, cheese or egg in the fridge.'),
      soak,
    };
  });
}
