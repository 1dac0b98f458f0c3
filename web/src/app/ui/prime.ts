import { CSP_NONCE, EnvironmentInjector, Injectable, inject, signal } from '@angular/core';
import { once } from '../data/once';

/** The component library in Orvin's enamel. It is loaded when the first view wants it: the Shelf does without. */
@Injectable({ providedIn: 'root' })
export class Prime {
  private readonly injector = inject(EnvironmentInjector);
  private readonly nonce = inject(CSP_NONCE, { optional: true });
  readonly ready = signal(false);

  readonly load = once(async () => {
    const [{ PrimeNG }, { enamel }] = await Promise.all([import('primeng/config'), import('./enamel')]);
    const prime = this.injector.get(PrimeNG);
    if (this.nonce) prime.csp.set({ nonce: this.nonce });
    prime.setConfig({
      theme: { preset: enamel, options: { darkModeSelector: '[data-theme=dim]', cssLayer: false } },
      ripple: false,
    });
    this.ready.set(true);
  });
}

/** A guard that opens once the library is there. */
export const withPrime = (): Promise<true> =>
  inject(Prime)
    .load()
    .then(() => true);
