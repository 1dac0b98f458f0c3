/**
 * The first of two tries at the same thing that is ready: the second begins when the first has taken longer than is
 * usual, as a worker whose script never came keeps silent for ever. What is ready too late is given to `spare`.
 *
 * @param begin a try
 * @param patienceMs after so long the second try begins
 * @param giveUpMs after so long it is given up
 * @throws what the last open try failed with, or an error when it is given up
 */
export function readyFirst<T>(
  begin: () => Promise<T>,
  spare: (late: T) => void,
  patienceMs: number,
  giveUpMs: number,
): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    let [open, over] = [0, false];
    const end = (settle: () => void): void => {
      over = true;
      for (const t of timers) clearTimeout(t);
      settle();
    };
    const go = (): void => {
      open++;
      begin().then(
        (it) => (over ? spare(it) : end(() => resolve(it))),
        (e: unknown) => {
          open--;
          if (open === 0 && !over) end(() => reject(e as Error));
        },
      );
    };
    const timers = [
      setTimeout(go, patienceMs),
      setTimeout(() => end(() => reject(new Error(`not ready after ${giveUpMs} ms`))), giveUpMs),
    ];
    go();
  });
}
