import type { ElementRef, OnDestroy } from '@angular/core';
import { CSP_NONCE, Directive, effect, inject, input, viewChild } from '@angular/core';
import { toFahrenheit } from '@orvin/core';
import type { Data, Layout, PlotlyHTMLElement } from 'plotly.js';
import { once } from '../data/once';
import { Theme } from './theme';
import { thermometer } from './words';

interface Plotter {
  react(root: HTMLElement, data: Data[], layout: Partial<Layout>, config: object): Promise<PlotlyHTMLElement>;
  purge(root: HTMLElement): void;
}

/** The chart library, loaded when the first chart is drawn. */
async function loadPlotter(nonce: string | null): Promise<Plotter> {
  // it writes its styles into this element; with the page's nonce the policy lets it
  if (!document.getElementById('plotly.js-style-global')) {
    const style = document.createElement('style');
    style.id = 'plotly.js-style-global';
    if (nonce) style.nonce = nonce;
    document.head.append(style);
  }
  return (await import('plotly.js-cartesian-dist-min')).default as unknown as Plotter;
}

/** So long the words of a view stand alone before the chart library, new to the page, takes it for most of a second, ms. */
const WORDS_FIRST_MS = 600;
const theirPlotter = once(async (nonce: string | null) => {
  await new Promise((done) => setTimeout(done, WORDS_FIRST_MS));
  return loadPlotter(nonce);
});

/** A temperature in °C as the kitchen's dial has it, to a tenth. */
export const shownC = (c: number): number => Math.round((thermometer() === 'C' ? c : toFahrenheit(c)) * 10) / 10;

export interface Picture {
  readonly data: Data[];
  readonly layout: Partial<Layout>;
}

/** The template of a chart: what is drawn into, with its words for those who do not see it. */
export const PLOT = `<div #plot class="plot" role="img" [attr.aria-label]="label()"></div>`;

/** What all charts share: the library, the page's colours, drawing again when something they show, the theme or their size changes. */
@Directive()
export abstract class PlotHost implements OnDestroy {
  readonly label = input('');
  private readonly root = viewChild.required<ElementRef<HTMLElement>>('plot');
  private readonly nonce = inject(CSP_NONCE, { optional: true });
  private readonly theme = inject(Theme);
  private drawn: Plotter | null = null;
  private gone = false;
  private readonly watch = new ResizeObserver(() => void this.draw());

  constructor() {
    effect(() => {
      this.shows();
      this.theme.name();
      thermometer();
      void this.draw();
    });
    effect((done) => {
      this.watch.observe(this.root().nativeElement);
      done(() => this.watch.disconnect());
    });
  }

  /** Reads everything that the picture is made of, so that it is drawn again when that changes. */
  protected abstract shows(): void;
  /** @param colour the page's colour of a name, as `--rim` */
  protected abstract picture(colour: (name: string) => string): Picture;

  ngOnDestroy(): void {
    this.gone = true;
    this.drawn?.purge(this.root().nativeElement);
  }

  private async draw(): Promise<void> {
    // one that cannot be had is asked for again when the chart is drawn again; its words stand without it
    const plotter = await theirPlotter(this.nonce).catch(() => null);
    if (this.gone || !plotter) return;
    this.drawn = plotter;
    const el = this.root().nativeElement;
    const css = getComputedStyle(el);
    const { data, layout } = this.picture((name) => css.getPropertyValue(name).trim());
    // told its size each time: left to itself the library keeps the one it found first
    const size = { width: el.clientWidth, height: el.clientHeight };
    await plotter.react(el, data, { ...layout, ...size }, { displayModeBar: false, responsive: false });
  }
}
