import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { later } from './later';

const frame = (): Promise<void> => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));

describe('what follows some frames later', () => {
  const made = (frames: number) => {
    const source = signal('first');
    const pulling = signal(false);
    const follows = TestBed.runInInjectionContext(() => later(source, frames, pulling));
    TestBed.tick();
    return { source, pulling, follows };
  };
  const drawn = async (frames: number): Promise<void> => {
    for (let i = 0; i < frames; i++) await frame();
  };

  it('has what there is at the beginning, and what comes a frame after it', async () => {
    const { source, follows } = made(1);
    expect(follows()).toBe('first');
    source.set('second');
    TestBed.tick();
    expect(follows()).toBe('first');
    await drawn(2);
    expect(follows()).toBe('second');
  });

  it('takes the newest of several, and never goes back to one before', async () => {
    const { source, follows } = made(2);
    for (const word of ['second', 'third', 'first']) {
      source.set(word);
      TestBed.tick();
      await drawn(1);
      expect(follows()).toBe('first');
    }
    source.set('fourth');
    TestBed.tick();
    await drawn(3);
    expect(follows()).toBe('fourth');
  });

  it('waits for nothing while a hand pulls, nor when it lets go', async () => {
    const { source, pulling, follows } = made(2);
    pulling.set(true);
    source.set('pulled');
    expect(follows()).toBe('pulled');
    TestBed.tick();
    pulling.set(false);
    TestBed.tick();
    expect(follows()).toBe('pulled');
    await drawn(3);
    expect(follows()).toBe('pulled');
  });
});
