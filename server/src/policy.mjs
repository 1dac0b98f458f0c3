/** The nonce that index.html carries; constant, so that the page is served byte for byte as the service worker hashes it. */
export const NONCE = 'orvin-enamel';

/** Content-Security-Policy: everything from this origin, nothing inline but styles that carry the page's nonce. */
export const policy = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  scriptSrcAttr: ["'none'"],
  styleSrc: ["'self'", `'nonce-${NONCE}'`],
  imgSrc: ["'self'", 'data:', 'blob:'],
  fontSrc: ["'self'"],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  manifestSrc: ["'self'"],
  baseUri: ["'self'"],
  formAction: ["'none'"],
  frameAncestors: ["'none'"],
};

/** The script of a worker; its own response decides what it may do. */
export const WORKER = /^\/(?:worker-[A-Za-z0-9]+|sight\/worker\.min)\.js$/;

/** The policy that a worker's script is served with: as the page's, but it may compile WebAssembly: the solver's, the heat model's, and the reader's of pictures. */
export const workerPolicy = Object.entries({ ...policy, scriptSrc: ["'self'", "'wasm-unsafe-eval'"] })
  .map(([name, values]) => `${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)} ${values.join(' ')}`)
  .join('; ');

/**
 * Addresses that only a file can have: at the top with an ending, or in a folder of files. All others are pages of the
 * application, whose last part is a name that the baker gave and may hold a dot.
 */
export const FILE = /^\/(?:[^/]*\.[^/]*|(?:demo|icons|media|sight|wasm)\/.*)$/;

/** Files whose name carries a hash of what is in them: scripts and styles at the top, and the fonts. */
export const HASHED = /^\/(?:[\w.-]+-[\w-]{8}\.(?:js|css)|media\/[\w.-]+-[\w-]{8}\.\w+)$/;
