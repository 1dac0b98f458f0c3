import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';
import { NO_ANSWER, PATIENCE_MS, say, whyNot } from './start-words';

const root = document.querySelector('orvin-root');
const waiting = setTimeout(() => root && say(root, NO_ANSWER), PATIENCE_MS);

bootstrapApplication(App, appConfig)
  .catch((e: unknown) => {
    if (root) say(root, whyNot(e));
    console.error(e);
  })
  .finally(() => clearTimeout(waiting));
