/** What the page says while Orvin has not started: what is the matter and what helps. */
interface Said {
  readonly words: string;
  readonly remedy: string;
}

/** How long the browser's storage may take to answer before the page says so, ms. */
export const PATIENCE_MS = 8000;

export const NO_ANSWER: Said = {
  words: 'The browser’s storage does not answer, so your kitchen cannot be opened yet. Nothing is lost.',
  remedy:
    'Close other tabs with Orvin, then try again; if that does not help, quit the browser and start it again. This page goes on by itself as soon as the storage answers.',
};

/** Why Orvin could not start, from the error that ended its start. */
export function whyNot(e: unknown): Said {
  const name = e instanceof Error ? `${e.name} ${(e as { inner?: Error }).inner?.name ?? ''}` : '';
  if (/Quota/.test(name))
    return {
      words: 'This device has no room left, so Orvin cannot make its first kitchen.',
      remedy: 'Free some space on the device, then try again.',
    };
  if (/Version/.test(name))
    return {
      words: 'A newer Orvin has been used here, and this older one cannot read its kitchens. They are untouched.',
      remedy: 'Close all tabs with Orvin, then try again, so that the newer one starts.',
    };
  return {
    words: 'Orvin could not start in this browser.',
    remedy: 'It needs a current one with storage allowed for this page; private windows may not allow it.',
  };
}

/** Lays the words over the page; what is returned takes them away again. */
export function say({ words, remedy }: Said): () => void {
  const box = document.createElement('div');
  box.className = 'not-started';
  box.setAttribute('role', 'alert');
  const sheet = document.createElement('div');
  const h = document.createElement('h1');
  h.textContent = words;
  const p = document.createElement('p');
  p.textContent = remedy;
  const again = document.createElement('button');
  again.type = 'button';
  again.className = 'press first';
  again.textContent = 'try again';
  again.addEventListener('click', () => location.reload());
  sheet.append(h, p, again);
  box.append(sheet);
  document.body.append(box);
  return () => box.remove();
}

/** Waits for the storage to be there: says so when it does not answer, and why when it cannot be had. */
export async function watchStart(opening: Promise<void>): Promise<void> {
  let clear: () => void = () => undefined;
  const waiting = setTimeout(() => (clear = say(NO_ANSWER)), PATIENCE_MS);
  try {
    await opening;
    clear();
  } catch (e) {
    clear();
    say(whyNot(e));
    console.error(e);
  } finally {
    clearTimeout(waiting);
  }
}
