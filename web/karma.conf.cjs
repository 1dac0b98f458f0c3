const flags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--disable-extensions',
  '--mute-audio',
  // nobody looks at it, and it is not to go slower for that
  '--disable-background-timer-throttling',
  '--disable-backgrounding-occluded-windows',
  '--disable-renderer-backgrounding',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-quic',
];

module.exports = (config) =>
  config.set({
    frameworks: ['jasmine'],
    plugins: [require('karma-jasmine'), require('karma-chrome-launcher')],
    reporters: ['dots'],
    browsers: ['Quiet'],
    customLaunchers: { Quiet: { base: 'ChromeHeadless', flags } },
    // a machine that does other checks beside takes its time; longer than a spec waits for anything, so that it fails itself
    client: {
      jasmine: { random: true, failSpecWithNoExpectations: true, timeoutInterval: 60_000 },
      clearContext: true,
    },
    // a solver that is cold on a slow machine keeps a test busy for a while
    browserNoActivityTimeout: 120_000,
    restartOnFileChange: false,
  });
