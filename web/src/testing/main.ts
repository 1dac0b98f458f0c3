import { Injectable, NgModule } from '@angular/core';
import { getTestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { Compute } from '../app/compute/compute';
import { Solving } from '../app/compute/solving';

/** Does not end with a spec's injector. */
@Injectable()
class KeptCompute extends Compute {
  override ngOnDestroy(): void {}
}
@Injectable()
class KeptSolving extends Solving {
  override ngOnDestroy(): void {}
}

/**
 * What every spec starts from. The workers are the same for all specs, since a cold solver costs each a second or more; a
 * spec about the pools themselves provides its own.
 */
@NgModule({
  providers: [
    { provide: Compute, useValue: new KeptCompute() },
    { provide: Solving, useValue: new KeptSolving() },
  ],
})
class Kept {}

getTestBed().initTestEnvironment([BrowserTestingModule, Kept], platformBrowserTesting(), {
  errorOnUnknownElements: true,
  errorOnUnknownProperties: true,
});
