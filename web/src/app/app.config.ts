import {
  CSP_NONCE,
  inject,
  isDevMode,
  provideAppInitializer,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import { provideRouter, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { PrimeNG, providePrimeNG } from 'primeng/config';
import { routes } from './app.routes';
import { Kitchens } from './data/kitchens';
import { formats } from './data/store';
import { Desk } from './desk/desk';
import { enamel } from './ui/enamel';
import { Theme } from './ui/theme';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'enabled' })),
    providePrimeNG({
      theme: { preset: enamel, options: { darkModeSelector: '[data-theme=dim]', cssLayer: false } },
      ripple: false,
    }),
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerWhenStable:8000' }),
    provideAppInitializer(async () => {
      const prime = inject(PrimeNG);
      const nonce = inject(CSP_NONCE, { optional: true });
      const theme = inject(Theme);
      const kitchens = inject(Kitchens);
      const desk = inject(Desk);
      if (nonce) prime.csp.set({ nonce });
      await kitchens.start();
      await theme.start();
      await desk.resume();
      // at once: while the service worker takes everything in for offline use, a page has to wait for its files
      setTimeout(() => void formats());
    }),
  ],
};
