import { provideZonelessChangeDetection, signal, type Provider } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import type { MadeBake, Step, Weight } from '@orvin/core';
import type { Store } from '../../data/store';
import { closeKitchen, openKitchen } from '../../data/testing/kitchen';
import { Makings } from '../../desk/makings';
import { WallClock } from '../../desk/wall-clock';
import type { Link } from '../../devices/device';
import { muffinBake } from '../../ui/testing/muffins';
import { host, until } from '../../ui/testing/page';
import { Counter } from '../counter';
import { kinds } from '../../data/kinds';

/** The page's clock that only goes on, in hand: how much further it is than it would be by itself, ms. */
let ahead = 0;
function clockInHand(): void {
  ahead = 0;
  const real = performance.now.bind(performance);
  spyOn(performance, 'now').and.callFake(() => real() + ahead);
  // the device's clock was not set back: this one is let run ahead
  spyOn(WallClock.prototype, 'setBack').and.returnValue(0);
}
const turn = (): Promise<void> => new Promise((r) => setTimeout(r));

/** A counter where some bakes have been begun. */
export class AtWork {
  private constructor(
    readonly store: Store,
    public fixture: ComponentFixture<Counter>,
    readonly makings: Makings,
  ) {}

  static async on(bakes: readonly MadeBake[] = [muffinBake()], providers: Provider[] = []): Promise<AtWork> {
    clockInHand();
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter([]),
        provideServiceWorker('none.js', { enabled: false }),
        ...providers,
      ],
    });
    const store = await openKitchen();
    for (const b of bakes) await store.change(kinds.formula, b.id, 'read', null, { formula: b.formula, plan: {} });
    const makings = TestBed.inject(Makings);
    for (let i = 0; i < 100 && !makings.ready(); i++) await new Promise((r) => setTimeout(r, 20));
    await makings.begin(bakes, null);
    const fixture = TestBed.createComponent(Counter);
    fixture.componentRef.setInput('id', bakes[0]?.id);
    const work = new AtWork(store, fixture, makings);
    await work.until(() => host(fixture).querySelector('.goKey') !== null);
    return work;
  }

  /** Another counter in place of this one, which knows nothing but what is stored. */
  async again(): Promise<void> {
    this.fixture.destroy();
    this.fixture = TestBed.createComponent(Counter);
    this.fixture.componentRef.setInput('id', this.makings.making()?.bakes[0]?.id);
    await this.until(() => this.find('.goKey') !== null);
  }

  async close(): Promise<void> {
    this.fixture.destroy();
    await closeKitchen(this.store);
  }

  until(what: () => boolean, words = ''): Promise<void> {
    return until(this.fixture, what, words);
  }

  /** What is shown now, in words. */
  text(): string {
    return this.find('section.now')?.textContent?.replace(/\s+/g, ' ') ?? '';
  }

  find(selector: string): HTMLElement | null {
    return host(this.fixture).querySelector(selector);
  }

  get key(): HTMLButtonElement {
    return this.find('.goKey') as HTMLButtonElement;
  }

  /** A button by its words; pressed as soon as it can be. */
  button(words: string): HTMLButtonElement | undefined {
    const all = [...host(this.fixture).querySelectorAll('button')];
    return all.find((b) => b.textContent?.trim() === words) ?? all.find((b) => b.textContent?.includes(words));
  }

  async press(words: string): Promise<void> {
    await this.until(() => this.button(words)?.disabled === false, words);
    this.button(words)?.click();
  }

  /** Two touches within a third of a second would be one. */
  breath(): Promise<void> {
    ahead += 350;
    return turn();
  }

  /** All up to a step, as if it had been done so many minutes ago. */
  async upTo(is: (s: Step) => boolean, agoMin = 0, bakeId = 'm'): Promise<void> {
    const list = this.makings.lists().get(bakeId) ?? [];
    const at = Date.now() - agoMin * 60_000;
    const to = list.findIndex(is);
    for (const s of list.slice(0, to)) await this.makings.add({ kind: 'done', bakeId, stepId: s.id }, at);
    await this.until(() => this.standing(bakeId)?.step === this.makings.lists().get(bakeId)?.[to]);
  }

  standing(bakeId = 'm') {
    return this.makings.standings().find((s) => s.id === bakeId);
  }
}

/** A scale and a probe that say what they are told to. */
export class Spoken {
  readonly scale = signal({ name: 'scale', simulated: false, stepG: 1 });
  readonly probe = signal({ name: 'probe', simulated: false });
  readonly scaleLink = signal<Link>('live');
  readonly probeLink = signal<Link>('live');
  readonly weight = signal<Weight | null>(null);
  readonly degrees = signal<number | null>(null);
  readonly here = signal(false);
  readonly pace = signal(1);
  readonly reached = signal(true);
  readonly standing = signal(null);
  readonly trying = signal(false);

  /** Rests at a weight for a while. */
  async rest(grams: number, seconds = 1.8): Promise<void> {
    for (let i = 0; i < seconds * 20; i++) {
      this.weight.set({ grams, stable: true, over: false });
      // what follows from a reading is there before the next
      await turn();
      ahead += 50;
    }
  }
}
