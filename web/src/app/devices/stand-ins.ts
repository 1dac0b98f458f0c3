import type { Weight } from '@orvin/core';
import {
  BehaviorSubject,
  Observable,
  concat,
  distinctUntilChanged,
  filter,
  map,
  merge,
  of,
  repeat,
  retry,
  share,
  startWith,
  switchMap,
  timer,
} from 'rxjs';
import { webSocket, type WebSocketSubject } from 'rxjs/webSocket';
import type { Link, ProbeDevice, ProbedBake, ScaleDevice, StandInState } from './device';

type Said =
  | { readonly scale: Weight }
  | { readonly probe: { readonly c: number } }
  | { readonly state: StandInState }
  | { readonly problem: string }
  | { readonly hello: object };

/** A device that has not been heard for so long is silent, ms: a scale speaks five times a second, a probe each five seconds of the kitchen's clock. */
const SILENT_MS = { scale: 2500, probe: 16_000 } as const;
/** Between attempts to reach the server, ms: soon at first, then seldom. */
const PATIENCE_MS = [500, 1000, 2000, 5000, 10_000] as const;
const NOBODY: StandInState = { scale: false, probe: false, bake: null, rackC: null, pace: 1 };

/** Where a kitchen's scale and probe stand. */
export interface Place {
  readonly roomC: number;
  readonly altitudeM: number;
}

/** The simulated scale and probe of this application's own server, and what can be done to them. */
export class StandIns {
  private socket: WebSocketSubject<object> | null = null;
  /** Whether the server is there. */
  readonly reached$ = new BehaviorSubject(false);
  readonly state$: Observable<StandInState>;
  readonly problems$: Observable<string>;
  readonly scale: ScaleDevice;
  readonly probe: ProbeDevice;

  constructor(
    address: string,
    private readonly place: () => Place,
    pace: () => number,
    /** Another one for tests. */
    WebSocketCtor?: new (url: string) => WebSocket,
  ) {
    let tries = 0;
    const again = (): Observable<unknown> => timer(PATIENCE_MS[Math.min(tries++, PATIENCE_MS.length - 1)] ?? 10_000);
    // a server that ends the talk is looked for again, like one that broke off
    const said$ = new Observable<Said>((subscriber) => {
      const reached = (is: boolean): void => {
        if (is) tries = 0;
        this.reached$.next(is);
      };
      const socket = webSocket<object>({
        url: address,
        ...(WebSocketCtor && { WebSocketCtor }),
        openObserver: { next: () => reached(true) },
        closeObserver: { next: () => reached(false) },
      });
      this.socket = socket;
      const heard = (socket as Observable<unknown> as Observable<Said>).subscribe(subscriber);
      return () => {
        heard.unsubscribe();
        this.socket = null;
        reached(false);
      };
    }).pipe(repeat({ delay: again }), retry({ delay: again }), share());
    const of$ = <T>(pick: (m: Said) => T | undefined): Observable<T> =>
      said$.pipe(
        map(pick),
        filter((x) => x !== undefined),
      );
    this.state$ = merge(
      of$((m) => ('state' in m ? m.state : undefined)),
      this.reached$.pipe(
        filter((is) => !is),
        map(() => NOBODY),
      ),
    );
    this.problems$ = of$((m) => ('problem' in m ? m.problem : undefined));
    const weights$ = of$((m) => ('scale' in m ? m.scale : undefined));
    const degrees$ = of$((m) => ('probe' in m ? m.probe.c : undefined));
    this.scale = {
      name: 'simulated scale',
      simulated: true,
      stepG: 1,
      readings$: weights$,
      link$: linkOf(weights$, () => SILENT_MS.scale),
    };
    this.probe = {
      name: 'simulated probe',
      simulated: true,
      readings$: degrees$,
      link$: linkOf(degrees$, () => Math.max(SILENT_MS.scale, SILENT_MS.probe / pace())),
      stuckInto: (bake) => this.stuck(bake),
    };
  }

  /** Something that is done to the devices, or happens to them; nothing while nobody is there. */
  do(wish: object): void {
    if (this.reached$.value) this.socket?.next(wish);
  }

  private stuck(bake: ProbedBake | null): void {
    if (bake === null) return this.do({ do: 'out' });
    const { id, input, elapsedS } = bake;
    this.do({ do: 'in', bake: { id, input, ...this.place() }, elapsedS });
  }
}

/** Live with each reading, silent when none has come for a while. */
function linkOf(readings$: Observable<unknown>, silentMs: () => number): Observable<Link> {
  return readings$.pipe(
    switchMap(() => concat(of<Link>('live'), timer(silentMs()).pipe(map((): Link => 'silent')))),
    startWith<Link>('looking'),
    distinctUntilChanged(),
  );
}
