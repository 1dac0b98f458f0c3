import { Injectable, NgModule } from '@angular/core';
import { getTestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { giveJudgement, judgementData } from '@orvin/core/judgement';
import { Compute } from '../app/compute/compute';
import { Solving } from '../app/compute/solving';
import { Judgement } from '../app/desk/judgement';

/** Cannot be ended, so that it outlives the injector of a spec. */
const kept = (pool: object): object => Object.assign(pool, { ngOnDestroy: undefined });

giveJudgement(judgementData);

/** What formulas are judged with is there from the start; how a page comes by it has a spec of its own. */
@Injectable()
class AtHand extends Judgement {
  override load(): Promise<void> {
    return Promise.resolve();
  }
  override ready(): boolean {
    return true;
  }
}

/**
 * What every spec starts from. The workers are the same for all specs, since a cold solver costs each a second or more; a
 * spec about the pools themselves provides its own.
 */
@NgModule({
  providers: [
    { provide: Compute, useValue: kept(new Compute()) },
    { provide: Solving, useValue: kept(new Solving()) },
    { provide: Judgement, useClass: AtHand },
  ],
})
class Kept {}

getTestBed().initTestEnvironment([BrowserTestingModule, Kept], platformBrowserTesting(), {
  errorOnUnknownElements: true,
  errorOnUnknownProperties: true,
});
