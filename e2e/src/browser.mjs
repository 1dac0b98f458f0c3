import { existsSync } from 'node:fs';

/** The browser to drive: one that is installed, or Debian's. */
export const chromiumPath =
  ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome', '/usr/bin/google-chrome-stable'].find(
    (p) => existsSync(p),
  ) ?? '/usr/bin/chromium';

/** Runs as root in a box without a graphics card and without a network. */
export const chromiumArgs = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-quic',
  '--force-color-profile=srgb',
];
