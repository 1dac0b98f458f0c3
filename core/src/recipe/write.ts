import { ingredientFor } from '../formula/formula.js';
import type { Formula, Kitchen } from '../formula/types.js';
import { printEntered } from '../quantity/amount.js';

export type WriteAs = 'text' | 'json';

/** Writes a formula: `'json'` is Orvin's own open format and lossless, `'text'` reads as a recipe card. */
export function write(formula: Formula, as: WriteAs, kitchen?: Kitchen): string {
  if (as === 'json') return `${JSON.stringify(formula, null, 2)}\n`;
  const lines: string[] = [formula.title, ''];
  const tin = formula.tins?.[0];
  if (formula.yield) lines.push(`Makes ${formula.yield.pieces} ${formula.yield.name ?? ''}`.trim());
  for (const g of formula.groups) {
    if (formula.groups.length > 1)
      lines.push(
        '',
        g.role && ['top', 'icing', 'filling', 'soak'].includes(g.role)
          ? `For the ${g.name.replace(/^for the /i, '')}:`
          : '',
      );
    for (const i of g.items) {
      const amount =
        i.entered && i.entered.unit !== 'g'
          ? `${printEntered(i.entered)} (${Math.round(i.grams * 10) / 10} g)`
          : `${Math.round(i.grams * 10) / 10} g`;
      lines.push(`${amount} ${ingredientFor(formula, i, kitchen).name}`);
    }
  }
  if (formula.method.length > 0) lines.push('', 'Method', ...formula.method.map((m, n) => `${n + 1}. ${m.text}`));
  if (formula.bake) {
    const m = formula.bake.minutes;
    lines.push(
      '',
      `Bake at ${Math.round(formula.bake.ovenC)} °C${formula.bake.fan ? ' fan' : ''}${m ? ` for ${m.early === m.late ? m.early : `${m.early}-${m.late}`} minutes` : ''}${tin ? ` in ${tin.count === 1 ? 'a' : tin.count} ${tin.tin.name}` : ''}.`,
    );
  }
  return `${lines.filter((l, n) => !(l === '' && lines[n - 1] === '')).join('\n')}\n`;
}
