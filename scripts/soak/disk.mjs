// What is on the disk, read past the application.

/** The formulas whose lines are changed, and the lines: ids of their ingredients, and what they are called on the Bench. */
export const LINES = {
  'rye-and-pear-loaf': { 'plain-flour': 'Plain flour', 'rye-flour': 'Rye flour' },
  'oat-and-rhubarb-muffins': { 'plain-flour': 'Plain flour', salt: 'Fine salt' },
  'cardamom-yogurt-round': { 'plain-flour': 'Plain flour', yogurt: 'Plain yogurt' },
};

/**
 * Runs in a page of the origin.
 *
 * @returns {Promise<{ world: [string, unknown][], unlisted: string[], partial: string[] }>} all that can be told from the
 *   disk, databases that no entry knows, and kitchens that are there by half
 */
function look(lines) {
  const done = (r) =>
    new Promise((yes, no) => {
      r.onsuccess = () => yes(r.result);
      r.onerror = () => no(r.error);
    });
  const open = async (name) => {
    const asked = indexedDB.open(name);
    asked.onupgradeneeded = () => asked.transaction.abort();
    return done(asked).catch((e) => {
      if (e?.name === 'AbortError') return null;
      throw e;
    });
  };
  /** All of a kitchen in one transaction, so that nothing is written in between. */
  const read = async (db) => {
    const tables = ['working', 'bakes', 'bin', 'meta', 'photos'];
    const tx = db.transaction(tables);
    const all = await Promise.all(tables.map((t) => done(tx.objectStore(t).getAll())));
    return Object.fromEntries(tables.map((t, i) => [t, all[i]]));
  };
  const grams = (id, formula) => {
    const items = formula.groups.flatMap((g) => g.items);
    return Object.keys(lines[id] ?? {}).map((line) => [line, items.find((x) => x.ingredient === line)?.grams]);
  };
  const told = ({ working, bakes, bin, meta, photos }) => {
    const one = (key) => meta.find((m) => m.key === key)?.value;
    const kitchen = one('kitchen');
    const count = (prefix) => meta.filter((m) => m.key.startsWith(prefix)).length;
    const titles = working.map((w) => w.formula.title).filter((t) => t.startsWith('Soak '));
    const list = [
      ['shelf', working.length],
      ['doubles', titles.length - new Set(titles).size],
      ['bakes', bakes.length],
      ['photos', photos.length],
      ['height', kitchen.altitudeM],
      ['taking', count('taking:')],
      ['pile', count('pile:')],
      ...bin.filter((r) => r.table === 'working').map((r) => [`bin formula ${r.key}`, JSON.stringify(grams(r.key, r.value.formula))]),
      ...bin.filter((r) => r.part?.what === 'tin').map((r) => [`bin tin ${r.title}`, true]),
      ...bin.filter((r) => r.table === 'bakes' && !r.part).map((r) => [`bin bake ${r.value.notes}`, r.value.minutes]),
      ...kitchen.tins.map((t) => [`tin ${t.name}`, true]),
      ...bakes.filter((b) => b.bake.notes?.startsWith('Soak ')).map((b) => [`bake ${b.bake.notes}`, b.bake.minutes]),
    ]; // prettier-ignore
    const making = one('making');
    if (making) list.push(['counter', making.happenings.length]);
    for (const w of working.filter((w) => w.id in lines)) {
      list.push([`stands ${w.id}`, true]);
      for (const [line, g] of grams(w.id, w.formula)) list.push([`grams ${w.id} ${line}`, g]);
    }
    return list;
  };
  return (async () => {
    const names = (await indexedDB.databases()).map((d) => d.name);
    if (!names.includes('orvin')) return { world: [], unlisted: [], partial: [] };
    const registry = await open('orvin');
    const entries = await done(registry.transaction('kitchens').objectStore('kitchens').getAll());
    const current = (await done(registry.transaction('settings').objectStore('settings').get('current')))?.value;
    registry.close();
    const unlisted = names.filter((n) => n.startsWith('orvin-kitchen-') && !entries.some((e) => e.db === n));
    const [partial, world] = [[], []];
    for (const e of entries) {
      if (e.id === current) world.push(['current', e.db]);
      const db = names.includes(e.db) ? await open(e.db) : null;
      const all = db?.objectStoreNames.contains('bin') ? await read(db) : null;
      db?.close();
      const whole = all !== null && all.meta.some((m) => m.key === 'kitchen');
      if (!whole || e.state === 'filling' || e.state === 'leaving')
        partial.push(`${e.name} (${e.state ?? 'listed'}${whole ? '' : ', without its kitchen'})`);
      else {
        world.push([`at|${e.db}`, e.state ?? 'here']);
        for (const [name, value] of told(all)) world.push([`${e.db}|${name}`, value]);
      }
    }
    return { world, unlisted, partial };
  })();
}

/** What is on the disk, from any page of the origin. */
export async function lookAt(page, tries = 20) {
  const found = await page.evaluate(look, LINES).catch((e) => {
    // helpers of the browser that was killed may hold the files for a moment longer
    if (tries > 0 && String(e).includes('backing store')) return null;
    throw e;
  });
  if (found === null) {
    await new Promise((done) => setTimeout(done, 250));
    return lookAt(page, tries - 1);
  }
  const { world, unlisted, partial } = found;
  return { world: new Map(world), unlisted, partial };
}
