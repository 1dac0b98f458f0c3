import { Injectable, signal } from '@angular/core';

/** Two notes of a bell, Hz and s, made on the spot. */
const NOTES = [
  [880, 0],
  [1318.5, 0.22],
] as const;
const AGAIN_MS = 2600;

/**
 * The counter's bell, and what keeps the screen awake. A browser lets nothing sound before the page was touched, so the
 * first touch unlocks it; until then `silent` says so.
 */
@Injectable({ providedIn: 'root' })
export class Chime {
  readonly silent = signal(true);
  readonly awake = signal(false);
  /** Whether the browser can be asked to let alarms show outside the page. */
  readonly mayAsk = signal('Notification' in window && Notification.permission === 'default');
  private context: AudioContext | null = null;
  private timer: ReturnType<typeof setInterval> | undefined;
  private lock: WakeLockSentinel | null = null;

  /** To be called from a touch or a key. */
  async unlock(): Promise<void> {
    if (this.context?.state === 'running') return;
    try {
      this.context ??= new AudioContext();
      await this.context.resume();
      this.silent.set(this.context.state !== 'running');
    } catch {
      this.silent.set(true);
    }
  }

  /** Rings until it is told to stop. */
  ring(on: boolean): void {
    clearInterval(this.timer);
    this.timer = undefined;
    if (!on) return;
    this.strike();
    this.timer = setInterval(() => this.strike(), AGAIN_MS);
  }

  /** One short low note: something was taken in without a touch. */
  tick(): void {
    this.sound([[523, 0]], 0.22);
  }

  private strike(): void {
    this.sound(NOTES, 1.1);
  }

  private sound(notes: readonly (readonly [hz: number, after: number])[], seconds: number): void {
    const c = this.context;
    if (c?.state !== 'running') return;
    for (const [hz, after] of notes) {
      const tone = c.createOscillator();
      const loud = c.createGain();
      const at = c.currentTime + after;
      tone.frequency.value = hz;
      loud.gain.setValueAtTime(0.0001, at);
      loud.gain.exponentialRampToValueAtTime(0.4, at + 0.012);
      loud.gain.exponentialRampToValueAtTime(0.0001, at + seconds);
      tone.connect(loud).connect(c.destination);
      tone.start(at);
      tone.stop(at + seconds + 0.1);
    }
  }

  /** Keeps the screen on while something is made; where the browser cannot, `awake` stays false. */
  async stayAwake(on: boolean): Promise<void> {
    try {
      if (on && document.visibilityState === 'visible' && !this.lock && 'wakeLock' in navigator) {
        this.lock = await navigator.wakeLock.request('screen');
        this.lock.addEventListener('release', () => {
          this.lock = null;
          this.awake.set(false);
        });
        this.awake.set(true);
      } else if (!on) await this.lock?.release();
    } catch {
      this.awake.set(false);
    }
  }

  async ask(): Promise<void> {
    await Notification.requestPermission();
    this.mayAsk.set(Notification.permission === 'default');
  }

  /** A note outside the page, when that was allowed and the page is hidden. */
  note(title: string, body: string): void {
    if (document.visibilityState !== 'hidden' || !('Notification' in window) || Notification.permission !== 'granted')
      return;
    try {
      new Notification(title, { body, tag: 'orvin-counter' });
    } catch {
      // some browsers only allow it from a service worker; the bell and the screen say it too
    }
  }
}
