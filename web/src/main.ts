import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';

bootstrapApplication(App, appConfig).catch((e: unknown) => {
  const root = document.querySelector('orvin-root');
  if (root)
    root.textContent =
      'Orvin could not start in this browser. It needs a current one with storage allowed for this page; private windows may not allow it.';
  console.error(e);
});
