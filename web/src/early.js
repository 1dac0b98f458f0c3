// Runs before the application's modules are there. Wakes the browser's storage, which takes its time, and on a device
// that has no kitchen yet fetches the sample meanwhile.
(() => {
  const listed = globalThis.indexedDB?.databases?.();
  globalThis.orvinSample = listed
    ?.then((all) =>
      all.some((d) => d.name === 'orvin') ? null : fetch('demo/sample.json').then((r) => (r.ok ? r.json() : null)),
    )
    .catch(() => null);
})();
