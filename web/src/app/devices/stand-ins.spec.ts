import type { Subscription } from 'rxjs';
import type { Weight } from '@orvin/core';
import type { Link, StandInState } from './device';
import { StandIns } from './stand-ins';

/** A socket whose other end is the test. */
class Line extends EventTarget {
  static all: Line[] = [];
  static get last(): Line {
    return Line.all.at(-1) as Line;
  }
  readonly sent: string[] = [];
  readyState = 0;
  onopen: ((e: unknown) => void) | null = null;
  onclose: ((e: unknown) => void) | null = null;
  onerror: ((e: unknown) => void) | null = null;
  onmessage: ((e: unknown) => void) | null = null;
  constructor(readonly url: string) {
    super();
    Line.all.push(this);
  }
  opens(): void {
    this.readyState = 1;
    this.onopen?.({});
  }
  says(message: object): void {
    this.onmessage?.({ data: JSON.stringify(message) });
  }
  /** Closed by the other end, or broken off. */
  ends(wasClean: boolean): void {
    this.readyState = 3;
    this.onclose?.({ wasClean, code: wasClean ? 1000 : 1006 });
  }
  send(text: string): void {
    this.sent.push(text);
  }
  close(): void {
    this.readyState = 3;
  }
}

describe('the simulated devices, from the page', () => {
  let devices: StandIns;
  let heard: Subscription;
  let weights: Weight[];
  let degrees: number[];
  let links: Link[];
  let state: StandInState | null;
  let pace: number;

  beforeEach(() => {
    jasmine.clock().install();
    Line.all = [];
    [weights, degrees, links, state, pace] = [[], [], [], null, 1];
    devices = new StandIns('ws://here/devices', () => ({ roomC: 19, altitudeM: 140 }), () => pace, Line as unknown as new (url: string) => WebSocket); // prettier-ignore
    heard = devices.scale.readings$.subscribe((w) => weights.push(w));
    heard.add(devices.probe.readings$.subscribe((c) => degrees.push(c)));
    heard.add(devices.scale.link$.subscribe((l) => links.push(l)));
    heard.add(devices.state$.subscribe((s) => (state = s)));
  });
  afterEach(() => {
    heard.unsubscribe();
    jasmine.clock().uninstall();
  });
  const weight = { grams: 12, stable: true, over: false };

  it('talks over one line, however many listen, and hangs up with the last', () => {
    expect(Line.all.length).toBe(1);
    Line.last.opens();
    Line.last.says({ scale: weight });
    Line.last.says({ probe: { c: 21.5 } });
    expect(weights).toEqual([weight]);
    expect(degrees).toEqual([21.5]);
    expect(devices.scale.simulated && devices.probe.simulated).toBeTrue();
    heard.unsubscribe();
    expect(Line.last.readyState).toBe(3);
    expect(devices.reached$.value).toBeFalse();
  });

  it('is silent when nothing is heard for a while, and live with the next word', () => {
    Line.last.opens();
    Line.last.says({ scale: weight });
    jasmine.clock().tick(2000);
    expect(links).toEqual(['looking', 'live']);
    jasmine.clock().tick(1000);
    expect(links).toEqual(['looking', 'live', 'silent']);
    Line.last.says({ scale: weight });
    expect(links.at(-1)).toBe('live');
  });

  it('waits for a probe as long as the pace of the clock asks for', () => {
    const probe: Link[] = [];
    heard.add(devices.probe.link$.subscribe((l) => probe.push(l)));
    Line.last.opens();
    Line.last.says({ probe: { c: 20 } });
    jasmine.clock().tick(10_000);
    expect(probe.at(-1)).toBe('live');
    pace = 60;
    Line.last.says({ probe: { c: 21 } });
    jasmine.clock().tick(3000);
    expect(probe.at(-1)).toBe('silent');
  });

  it('looks for a server that went away, seldom after a while, and knows that nobody is there meanwhile', () => {
    Line.last.opens();
    Line.last.says({ state: { scale: true, probe: true, bake: null, rackC: null, pace: 1 } });
    expect(state?.scale).toBeTrue();
    for (const clean of [false, true, false]) {
      Line.last.ends(clean);
      expect(devices.reached$.value).toBeFalse();
      expect(state?.scale).toBeFalse();
      jasmine.clock().tick(10_500);
    }
    expect(Line.all.length).toBe(4);
    Line.last.ends(false);
    const before = Line.all.length;
    jasmine.clock().tick(1500);
    expect(Line.all.length).toBe(before);
    jasmine.clock().tick(20_000);
    Line.last.opens();
    Line.last.says({ scale: weight });
    expect(weights.length).toBe(1);
  });

  it('does nothing to devices that are not there, and tells a probe what it is in', () => {
    devices.do({ do: 'tare' });
    Line.last.opens();
    expect(Line.last.sent).toEqual([]);
    devices.probe.stuckInto?.({ id: 'a', input: { batterG: 500 }, elapsedS: 60 });
    devices.probe.stuckInto?.(null);
    expect(Line.last.sent.map((t) => JSON.parse(t) as object)).toEqual([
      { do: 'in', bake: { id: 'a', input: { batterG: 500 }, roomC: 19, altitudeM: 140 }, elapsedS: 60 },
      { do: 'out' },
    ]);
  });
});
