import { aFamily } from '../balance/families.js';
import { looseness } from '../balance/totals.js';
import type { Weighed } from '../balance/weigh.js';
import { exactly, typically } from '../formula/bands.js';
import { catalogueRow } from '../ingredient/catalogue.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { crumbOf } from '../leavening/crumb.js';
import { SPLIT, standingAt } from '../leavening/lift.js';
import { acidOf, powderIn, powderTypeOf, strengthOf } from '../leavening/parts.js';
import { powderKind } from '../leavening/powders.js';
import { acidToMeet, homeMade, sodaInPowder, thumbOf } from '../leavening/thumb.js';
import { altitudeFactors, pressureRatio, SETTING_C } from '../leavening/volume.js';
import { plain } from '../quantity/numbers.js';
import { chemistry, type Explanation } from './types.js';
import { capital } from '../text/plain.js';

type Inputs = Explanation['inputs'];
const per = (x: number): string => `${plain(Math.round(1000 * x) / 10)} %`;

export function explainLift(w: Weighed, kitchen: Kitchen): Explanation {
  const parts = w.lift.bySource
    .filter((s) => s.mmol.typical > 0.05)
    .map((s) => `${plain(s.mmol.typical)} ${s.source}, in the ${s.when}`);
  const [lo, hi] = w.lift.target;
  const powder = w.lines.find((l) => l.ingredient.leavener === 'powder');
  const kind = powder ? powderKind(powderTypeOf(powder.ingredient, kitchen)) : null;
  const thin = altitudeFactors(kitchen.altitudeM);
  const ml = Math.round(w.lift.airMl.typical);
  const air = ml > 0 ? ` Air beaten in comes on top: about ${ml} ml here.` : '';
  const tested =
    powder && strengthOf(powder.ingredient, kitchen) !== 'vigorous'
      ? [
          {
            name: `your powder's test: ${strengthOf(powder.ingredient, kitchen)}`,
            value: strengthOf(powder.ingredient, kitchen) === 'weak' ? 60 : 10,
            unit: '% of its gas',
            from: 'spoon-in-hot-water test in your kitchen; a judgement',
          },
        ]
      : [];
  const sodaG = w.lines.filter((l) => l.ingredient.leavener === 'soda').reduce((s, l) => s + l.grams, 0);
  const swap = sodaG > 0 ? sodaInPowder(sodaG, kind ?? undefined) : null;
  return {
    words: `Carbon dioxide that this batter can really get, for each 100 g of flour and cocoa. ${capital(aFamily(w.family))} usually wants ${plain(lo)}–${plain(hi)}. Soda counts only as far as acid meets it; heat splits ${Math.round(SPLIT.low * 100)}–${Math.round(SPLIT.high * 100)} % more out of what is left over.${air}`,
    equation: `${parts.join(' + ')} = ${plain(w.lift.mmolPer100gBase.typical)} mmol`,
    inputs: [
      { name: 'flour and cocoa', value: w.totals.baseG, unit: 'g', from: 'sum of the lines' },
      ...(w.totals.baseG > 0
        ? [
            {
              name: 'a teaspoon of double-acting powder, in all of it',
              value: 1 / thumbOf(w.lines, w.totals.baseG, w.family.id, kitchen).tspPerMmol,
              unit: 'mmol',
              from: 'by your spoon; this is how gas is said in spoons',
            },
          ]
        : []),
      ...(kind
        ? [
            {
              name: `soda in the powder (${kind.name.toLowerCase()})`,
              value: 100 * kind.soda.typical,
              unit: '%',
              from: `with ${kind.acids}; general knowledge, not looked up`,
            },
          ]
        : []),
      ...tested,
      ...(swap
        ? [
            {
              name: `the soda as powder, ${plain(swap.low)}–${plain(swap.high)} g`,
              value: swap.typical,
              unit: 'g',
              from: 'same gas if all of it meets acid; that acid would then stay as tang',
            },
          ]
        : []),
      {
        name: 'air pressure against sea level',
        value: thin.dry,
        unit: '',
        from: `${Math.round(kitchen.altitudeM)} m, standard atmosphere; the band is scaled by it (with steam in the bubbles ${thin.wet.toFixed(2)})`,
      },
    ],
    band: w.lift.mmolPer100gBase,
    source: chemistry,
  };
}

export function explainStand(w: Weighed): Explanation {
  const { lift } = w;
  const at = standingAt(lift, lift.standMin);
  const fresh = standingAt(lift, 0);
  const half = lift.release.halfLifeMin;
  return {
    words: `Gas that has come leaks out of a standing batter; at this looseness half of it is gone in about ${Math.round(half.low)}–${Math.round(half.high)} minutes. Best in the oven before a fifth of the lift is lost or it falls out of the family's band. Up to ${plain(lift.release.dissolvesMmol)} mmol stays dissolved in the cold batter, unseen, and comes out in the oven.`,
    equation: `${plain(fresh.kept)} mmol when mixed − ${plain(Math.max(0, fresh.kept - at.kept))} lost = ${plain(at.kept)} after ${lift.standMin} min`,
    inputs: [
      {
        name: 'released and held then',
        value: at.held,
        unit: 'mmol/100 g',
        from: 'first-order release of each source',
      },
      {
        name: 'still to come in the oven',
        value: at.toCome,
        unit: 'mmol/100 g',
        from: 'powder not yet used, soda split by heat',
      },
      {
        name: 'half-life',
        value: half.typical,
        unit: 'min',
        from: `looseness ${looseness(w.totals).toFixed(2)}; general knowledge, ±40 %`,
      },
    ],
    band: lift.bestBeforeMin,
    source: chemistry,
  };
}

export function explainVolume(w: Weighed, kitchen: Kitchen): Explanation {
  const v = w.lift.volume;
  return {
    words: `If nothing escaped, gas and air would fill this much when the crumb sets at ${SETTING_C.low}–${SETTING_C.high} °C. Water vapour shares every bubble and fills ${per(v.steamShare.low)} to ${per(v.steamShare.high)} of it, so steam is never added as a lift of its own; ${per(v.airShare)} of the dry gas is beaten-in air. Much of it breaks out as the cells open.`,
    equation: `V = n R T ÷ (p − 0.93 · p_steam): ${plain(v.mlPer100gBatter.typical)} ml per 100 g batter at ${SETTING_C.typical} °C`,
    inputs: [
      { name: 'lift', value: w.lift.mmolPer100gBase.typical, unit: 'mmol/100 g flour', from: 'sum of its sources' },
      {
        name: 'air',
        value: w.lift.airMl.typical,
        unit: 'ml',
        from: 'creamed fat and sugar 0.4–0.9 ml per g, foam 1.2–3.5',
      },
      {
        name: 'air pressure',
        value: 101.325 * pressureRatio(kitchen.altitudeM),
        unit: 'kPa',
        from: `${Math.round(kitchen.altitudeM)} m`,
      },
    ],
    band: v.mlPer100gBatter,
    source: 'Ideal gas law and vapour pressure of water (Antoine), computed; docs/science/leavening.md',
  };
}

export function explainLedger(w: Weighed): Explanation {
  const l = w.ledger;
  const acids = w.lines
    .map((x) => ({ x, meq: acidOf(x, typically) }))
    .filter((a) => a.meq > 0.3)
    .sort((a, b) => b.meq - a.meq);
  return {
    words: `Every milliequivalent of acid uses up 84 mg of soda. Dissolved acid meets free soda first, then the powder's; the powder's own acids meet the rest. ${Math.round(100 * l.unmetShare)} % of the soda has no acid to meet. Left-over soda tastes soapy and browns; left-over acid tastes tangy. Of ${Math.round(100 * l.sure)} in 100 likely readings of these ingredients the same is true.`,
    equation: `(${plain(l.bicarbonateMmol)} mmol soda − ${plain(l.bicarbonateMmol * (1 - l.unmetShare))} met) × 0.084 g ÷ ${plain(w.totals.batterG)} g batter = ${plain(l.leftSodaGPer100gBatter.typical)} g per 100 g`,
    inputs: acids.slice(0, 6).map(({ x, meq }) => ({
      name: `acid of ${x.ingredient.name.toLowerCase()}`,
      value: meq,
      unit: 'meq',
      from: `${plain(x.grams)} g × ${plain(x.ingredient.acidMeq?.typical ?? 0)} meq per 100 g${x.whole ? ', a tenth of it, as pieces' : ''}, ${x.ingredient.basis}`,
    })),
    band: l.leftSodaGPer100gBatter,
    source: chemistry,
  };
}

/** What could meet a weight of soda, each by its own acid value, and the powder that gives the same gas. */
function wouldMeet(sodaG: number, kitchen: Kitchen): Inputs {
  const { tartarG } = homeMade(sodaG);
  const by = (id: string, name: string) => {
    const b = acidToMeet(sodaG, catalogueRow(id).acidMeq ?? exactly(1));
    const span =
      Math.round(b.low) === Math.round(b.high) ? '' : `${Math.round(b.low)}–${Math.round(b.high)} g, by its acid`;
    return { name: `or ${name}`, value: Math.round(b.typical), unit: 'g', from: span };
  };
  const swap = sodaInPowder(sodaG, powderKind(kitchen.powders[0]?.type ?? 'double-acting'));
  return [
    {
      name: 'cream of tartar that meets it',
      value: tartarG,
      unit: 'g',
      from: '2.24 times the weight of the soda (computed)',
    },
    by('vinegar', 'vinegar'),
    by('lemon-juice', 'lemon juice'),
    by('buttermilk', 'buttermilk'),
    {
      name: 'or powder for the same gas',
      value: swap.typical,
      unit: 'g',
      from: `${plain(swap.low)}–${plain(swap.high)} g; acid that the soda used up then stays as tang`,
    },
  ];
}

/** One side of one entry: how much soda an acid can meet, or how much soda a leavener holds. */
export function explainEntry(w: Weighed, itemId: string, kitchen: Kitchen): Explanation {
  const mine = w.ledger.entries.filter((e) => e.itemId === itemId);
  const line = w.lines.find((l) => l.item.id === itemId);
  const entry = mine[0];
  if (!entry || !line)
    return {
      words: 'It brings neither acid nor soda worth counting.',
      equation: '0 meq',
      inputs: [],
      source: chemistry,
    };
  const powder = powderIn(line, kitchen);
  const name = entry.name.replace(/,.*/, '').toLowerCase();
  const meet =
    line.ingredient.acidMeq && line.ingredient.acidMeq.low > 0 ? acidToMeet(1, line.ingredient.acidMeq) : null;
  return {
    words: powder
      ? `${capital(name)} holds soda with ${powder.acids}. ${powder.met < 1 ? `Its acid meets only ${per(powder.met)} of its soda.` : 'Its own acid meets all of its soda, unless acid in the batter gets there first.'}`
      : entry.side === 'soda'
        ? `${capital(name)} is all bicarbonate: each gram gives 11.9 mmol of gas if acid meets it.`
        : `The acid of ${plain(line.grams)} g ${name} can meet ${plain(entry.sodaG.low)}–${plain(entry.sodaG.high)} g of soda.${meet ? ` A gram of soda takes ${Math.round(meet.low)}–${Math.round(meet.high)} g of it.` : ''}`,
    equation: mine
      .map(
        (e) =>
          `${e.side === 'acid' ? 'acid' : 'soda'}: ${plain(e.meq.typical)} m${e.side === 'acid' ? 'eq' : 'mol'} × 0.084 = ${plain(e.sodaG.typical)} g soda`,
      )
      .join('; '),
    inputs: [
      { name: 'weight', value: line.grams, unit: 'g', from: 'this line' },
      ...(entry.side === 'soda' && !powder ? wouldMeet(line.grams, kitchen) : []),
      ...(line.ingredient.acidMeq
        ? [
            {
              name: 'acid',
              value: line.ingredient.acidMeq.typical,
              unit: 'meq/100 g',
              from: `${plain(line.ingredient.acidMeq.low)}–${plain(line.ingredient.acidMeq.high)}; ${line.ingredient.basis}`,
            },
          ]
        : []),
      ...(powder
        ? [
            {
              name: 'soda in it',
              value: 100 * powder.soda.typical,
              unit: '%',
              from: `acids ${plain(powder.acidGPer100)} %, the rest starch; general knowledge`,
            },
          ]
        : []),
    ],
    band: entry.sodaG,
    source: chemistry,
  };
}

export function explainCrumb(w: Weighed, key: 'ph' | 'sodium', kitchen: Kitchen): Explanation {
  const c = crumbOf(w.lines, w.ledger, w.totals, w.masked, kitchen);
  if (key === 'sodium')
    return {
      words:
        'Sodium of soda, of powder with its acids, of salt and of salted ingredients. What milk, egg and flour hold by nature is not counted (some 20–60 mg per 100 g). Whoever watches sodium follows their clinician.',
      equation: `(${Math.round(c.sodium.leavenersMg)} + ${Math.round(c.sodium.saltMg)}) mg ÷ ${plain(w.totals.batterG)} g batter = ${Math.round(c.sodium.mgPer100gBatter)} mg per 100 g`,
      inputs: [
        {
          name: 'from leaveners',
          value: c.sodium.leavenersMg,
          unit: 'mg',
          from: '274 mg per g of soda (computed); powders by composition',
        },
        { name: 'from salt', value: c.sodium.saltMg, unit: 'mg', from: '393 mg per g of salt (computed)' },
      ],
      source: chemistry,
    };
  const left = (w.ledger.leftSodaGPer100gBatter.typical / 84.007) * 1000 - w.ledger.leftAcidMeqPer100gBatter.typical;
  const beta = 1.2 + (0.3 * 100 * w.totals.proteinG) / Math.max(1, w.totals.batterG);
  const pinks = c.effects.map((e) => e.words);
  return {
    words: `A likely band, not a measurement: left-over soda pushes the crumb above 7, left-over acid below, and protein holds against either. ${pinks.length > 0 ? `${capital(pinks.join('; '))}.` : 'Nothing left over worth tasting or seeing.'}`,
    equation: `7 + 2.9 · tanh(${plain(left)} ÷ (${plain(beta)} × 2.9)) = ${c.pH.typical.toFixed(1)}`,
    inputs: [
      { name: 'left over', value: left, unit: 'meq/100 g', from: 'the soda ledger; acid counts minus' },
      {
        name: 'buffer',
        value: beta,
        unit: 'meq/100 g and pH',
        from: '1.2 + 0.3 × protein %, 0.7–1.4 times; a judgement',
      },
    ],
    band: c.pH,
    source: chemistry,
  };
}

export function explainThumb(formula: Formula, w: Weighed, kitchen: Kitchen): Explanation {
  const t = thumbOf(w.lines, w.totals.baseG, formula.family, kitchen);
  const inputs: Inputs = [
    { name: 'powder', value: t.powderTspPerCup, unit: 'tsp/cup', from: 'your spoons; a cup of flour as 122.5 g' },
    { name: 'soda', value: t.sodaTspPerCup, unit: 'tsp/cup', from: 'counts four times, as the rule has it' },
  ];
  const wrong = t.range && t.state !== 'ok' && w.lift.state === 'ok';
  return {
    words: `${t.words} It is a rule of thumb: it cannot see whether soda has acid to meet, nor how strong the powder is.${wrong ? ' Here the chemistry finds the lift right all the same.' : ''}`,
    equation: `${plain(t.powderTspPerCup)} + 4 × ${plain(t.sodaTspPerCup)} = ${plain(t.asPowder)} tsp per cup`,
    inputs,
    source: 'Kitchen rule, general knowledge; docs/science/leavening.md',
  };
}
