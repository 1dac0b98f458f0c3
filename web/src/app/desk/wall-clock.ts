import { Injectable } from '@angular/core';
import { JUMP_MS } from '@orvin/core';

/**
 * The device's clock, watched by one that nobody sets. A clock that is set forward cannot be told from a device that slept,
 * and is followed: a timer that rings early is seen to sooner than one that rings late.
 */
@Injectable({ providedIn: 'root' })
export class WallClock {
  private seen = { wall: Date.now(), even: performance.now() };

  now(): number {
    return Date.now();
  }

  /** By how much it has been set back since it was last looked at, ms; 0 when it has not. */
  setBack(): number {
    const [was, is] = [this.seen, { wall: Date.now(), even: performance.now() }];
    this.seen = is;
    const back = is.even - was.even - (is.wall - was.wall);
    return back > JUMP_MS ? back : 0;
  }
}
