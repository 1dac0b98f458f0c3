import {
  inject,
  isDevMode,
  provideAppInitializer,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import { provideRouter, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { routes } from './app.routes';
import { Kitchens } from './data/kitchens';
import { Desk } from './desk/desk';
import { watchStart } from '../start-words';
import { Theme } from './ui/theme';
import { allThere } from './ui/ahead';

/** Fetches the view that the address asks for while the kitchen is being opened. */
function viewAhead(): void {
  const first = location.pathname.split('/')[1] || 'shelf';
  void routes.find((r) => r.path?.split('/')[0] === first)?.loadComponent?.();
}

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'enabled' })),
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: () => allThere() }),
    // nothing waits for it here: the rail is drawn while the storage wakes, and each view asks for the kitchen itself
    provideAppInitializer(() => {
      const desk = inject(Desk);
      const kitchens = inject(Kitchens);
      const theme = inject(Theme);
      theme.start();
      viewAhead();
      void watchStart(kitchens.start().then(() => desk.resume()));
      void kitchens.start().then(
        async () => theme.recall(await kitchens.setting('theme')),
        () => undefined,
      );
    }),
  ],
};
