import type { Data, Layout, PlotlyHTMLElement } from 'plotly.js';

export interface Plotter {
  react(root: HTMLElement, data: Data[], layout: Partial<Layout>, config: object): Promise<PlotlyHTMLElement>;
  purge(root: HTMLElement): void;
}

/** The chart library, loaded when the first chart is drawn. */
export async function loadPlotter(nonce: string | null): Promise<Plotter> {
  // it writes its styles into this element; with the page's nonce the policy lets it
  if (!document.getElementById('plotly.js-style-global')) {
    const style = document.createElement('style');
    style.id = 'plotly.js-style-global';
    if (nonce) style.nonce = nonce;
    document.head.append(style);
  }
  return (await import('plotly.js-cartesian-dist-min')).default as unknown as Plotter;
}
