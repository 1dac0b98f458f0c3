// Whether this Node can build Orvin. By itself, since it is asked before any package is there.

/** @param {string} version such as 22.12.0 */
const parts = (version) => {
  const [major = 0, minor = 0, patch = 0] = version
    .replace(/^v/, '')
    .split('.')
    .map((x) => Number.parseInt(x, 10));
  return { major, minor, patch };
};
const atLeast = (a, b) =>
  a.major !== b.major ? a.major > b.major : a.minor !== b.minor ? a.minor > b.minor : a.patch >= b.patch;

/**
 * What is wrong with a version of Node, in words with what to do; null when nothing is.
 *
 * @param {string} version of Node, such as 21.7.3
 * @param {string} wanted `engines.node` of package.json: `^a.b.c` and `>=a.b.c`, joined by `||`
 */
export function nodeTrouble(version, wanted) {
  const is = parts(version);
  const ranges = wanted.split('||').map((r) => r.trim());
  const fits = ranges.some((r) => {
    const from = parts(r.replace(/^(?:\^|>=)/, ''));
    return atLeast(is, from) && (!r.startsWith('^') || is.major === from.major);
  });
  if (fits) return null;
  const words = ranges.map((r) => {
    const from = parts(r.replace(/^(?:\^|>=)/, ''));
    return r.startsWith('^') ? `${from.major}.${from.minor} or newer of ${from.major}` : `${from.major} or newer`;
  });
  return `Orvin needs Node ${words.join(', or ')}; this is ${version}. Even numbers are the ones that are kept up.`;
}
