import type { Problem } from '@orvin/core';
import { download } from './backup';
import type { Notices } from './notices';

/** Places that are named in the notice itself; all of them are in the list that can be saved. */
const NAMED = 3;

/** Says what of a file could not be taken over, and hands the whole list over as a text file. */
export function tellAmiss(notices: Notices, file: string, amiss: readonly Problem[]): void {
  if (amiss.length === 0) return;
  const lines = amiss.map((p) => `${p.place}: ${p.words}`);
  const more = lines.length > NAMED ? ` … and ${lines.length - NAMED} more.` : '';
  notices.problem(
    `${file}: ${lines.length === 1 ? 'one place does' : `${lines.length} places do`} not fit; all the rest is here.`,
    `${lines.slice(0, NAMED).join(' ')}${more} The file itself is unchanged.`,
    { label: 'save the list', run: () => download('what-did-not-fit.txt', `${lines.join('\n')}\n`, 'text/plain') },
  );
}
