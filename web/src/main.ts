import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';
import { RegistryDatabase } from './app/data/database';
import { REGISTRY } from './app/data/registry';
import { say, whyNot } from './start-words';

// the browser's storage wakes while the application is put together; should it fail, that is said when it is asked for
const registry = new RegistryDatabase();
registry.open().catch(() => undefined);

bootstrapApplication(App, {
  providers: [...appConfig.providers, { provide: REGISTRY, useValue: registry }],
}).catch((e: unknown) => {
  say(whyNot(e));
  console.error(e);
});
