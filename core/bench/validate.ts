/** The long scientific studies. Prints Markdown that docs/science/validation.md keeps. */
import { assess, families } from '../src/index.js';
import { demo, demoIds } from '../test/support/make.js';
import { bakeStudy } from './bake-study.js';
import { diagnoseStudy } from './diagnose-study.js';
import { learnStudy } from './learn-study.js';
import { forecastStudy } from './forecast-study.js';
import { readingStudy } from './reading.js';

bakeStudy();
forecastStudy();
learnStudy();
diagnoseStudy();

console.log(
  '\n## Sample formulas\n\n| formula | family by its figures | lift (band) | left-over soda g/100 g | worst verdict |\n|---|---|---|---|---|',
);
for (const id of demoIds) {
  const f = demo(id);
  const a = assess(f);
  const worst = [...a.verdicts].sort(
    (x, y) => ['note', 'unusual', 'faulty'].indexOf(y.severity) - ['note', 'unusual', 'faulty'].indexOf(x.severity),
  )[0];
  console.log(
    `| ${f.title} | ${families.find((x) => x.id === a.family.nearest)?.name} | ${a.lift.mmolPer100gBase.typical.toFixed(1)} (${a.lift.target.map((x) => x.toFixed(0)).join('–')}) | ${a.ledger.leftSodaGPer100gBatter.typical.toFixed(2)} | ${worst?.severity} |`,
  );
}

readingStudy();
