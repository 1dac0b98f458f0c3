import { computed, effect, signal, untracked, type Signal } from '@angular/core';

/** Calls back once so many frames have been drawn; what is given back calls it off. */
function afterFrames(frames: number, done: () => void): () => void {
  let off = false;
  const wait = (left: number): void => {
    // a timer after the frame, so that what follows is a task of its own
    requestAnimationFrame(() => setTimeout(() => off || (left > 1 ? wait(left - 1) : done())));
  };
  wait(frames);
  return () => (off = true);
}

/**
 * The same value some frames later, so that what is drawn from it is no part of the task that draws what is seen first.
 * Without delay while `atOnce` holds, as while a hand pulls. Made where effects may be.
 */
export function later<T>(of: () => T, frames: number, atOnce: () => boolean): Signal<T> {
  const held = signal(untracked(of));
  effect((cleanUp) => {
    const value = of();
    if (atOnce()) held.set(value);
    else if (value !== untracked(held)) cleanUp(afterFrames(frames, () => held.set(value)));
  });
  return computed(() => (atOnce() ? of() : held()));
}
