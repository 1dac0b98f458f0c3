import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Data, Layout } from 'plotly.js';
import type { Foretold } from '../compute/jobs';
import { PLOT, PlotHost, shownC, type Picture } from '../ui/plot-host';
import { degrees, thermometer } from '../ui/words';

/** The probe's readings, where they were expected, and where they go: a band that narrows until the middle is done. */
@Component({
  selector: 'orvin-probe-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: PLOT,
  styles: `
    :host,
    .plot {
      display: block;
      width: 100%;
      height: 100%;
      min-height: 11rem;
    }
  `,
})
export class ProbeChart extends PlotHost {
  readonly told = input.required<Foretold>();
  readonly readings = input.required<readonly { readonly min: number; readonly c: number }[]>();
  /** What is to be done when, min. */
  readonly marks = input<readonly { readonly min: number; readonly short: string; readonly out: boolean }[]>([]);

  protected shows(): void {
    this.told();
    this.readings();
    this.marks();
  }

  protected picture(colour: (name: string) => string): Picture {
    const { forecast, expected, doneC } = this.told();
    const readings = this.readings();
    const now = readings.at(-1)?.min ?? 0;
    const ahead = forecast.path.filter((p) => p.min >= now - 1);
    const end = Math.max(forecast.minutes.high, expected.at(-1)?.min ?? 0, now) * 1.02;
    type Path = typeof expected;
    const band = (path: Path, fill: string): Data[] => [
      { x: path.map((p) => p.min), y: path.map((p) => shownC(p.c.low)), mode: 'lines', line: { width: 0 }, hoverinfo: 'skip' },
      { x: path.map((p) => p.min), y: path.map((p) => shownC(p.c.high)), mode: 'lines', line: { width: 0 }, fill: 'tonexty', fillcolor: fill, hoverinfo: 'skip' },
    ]; // prettier-ignore
    const middle = (path: Path, stroke: string, dash: 'solid' | 'dash', width: number, name: string): Data => ({
      x: path.map((p) => p.min),
      y: path.map((p) => shownC(p.c.typical)),
      mode: 'lines',
      line: { color: stroke, width, dash },
      hovertemplate: `%{y:.0f} °${thermometer()} ${name}<extra></extra>`,
    });
    const data: Data[] = [
      ...band(expected, colour('--rim-wash')),
      middle(expected, colour('--ink-2'), 'dash', 2, 'expected'),
      ...band(ahead, colour('--rim-soft')),
      middle(ahead, colour('--rim'), 'solid', 4, 'foretold'),
      {
        x: readings.map((r) => r.min),
        y: readings.map((r) => shownC(r.c)),
        mode: 'markers',
        marker: { color: colour('--ink'), size: 6 },
        hovertemplate: `%{y:.1f} °${thermometer()} read<extra></extra>`,
      },
    ];
    const font = { family: 'Atkinson Hyperlegible Next Variable, sans-serif', color: colour('--ink-2'), size: 17 };
    const layout: Partial<Layout> = {
      margin: { l: 62, r: 12, t: 26, b: 32 },
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      showlegend: false,
      font,
      hovermode: 'x unified',
      hoverlabel: { font: { ...font, color: colour('--ink') }, bgcolor: colour('--enamel') },
      xaxis: { range: [0, end], ticksuffix: ' min', showgrid: false, zeroline: false, linecolor: colour('--hair'), showline: true, fixedrange: true, nticks: 6 },
      yaxis: { range: [shownC(10), shownC(106)], tickvals: [20, 40, 60, 80].map(shownC), ticktext: [20, 40, 60, 80].map((c) => degrees(c)), gridcolor: colour('--hair'), zeroline: false, fixedrange: true },
      shapes: [
        { type: 'rect', x0: forecast.minutes.low, x1: forecast.minutes.high, y0: 0, y1: 1, yref: 'paper', fillcolor: colour('--heat-wash'), line: { width: 0 }, layer: 'below' },
        ...this.marks().map((m) => ({ type: 'line' as const, x0: m.min, x1: m.min, y0: 0, y1: 1, yref: 'paper' as const, line: { color: colour('--ink-2'), width: 1.5 } })),
        { type: 'line', x0: 0, x1: end, y0: shownC(doneC), y1: shownC(doneC), line: { color: colour('--heat-line'), width: 2, dash: 'dot' } },
      ],
      annotations: [
        { x: 0.01, xref: 'paper', y: shownC(doneC), yanchor: 'top', xanchor: 'left', text: `done near ${degrees(doneC)}`, showarrow: false, font: { ...font, color: colour('--heat') } },
        ...this.marks().map((m) => ({ x: m.min, y: 1, yref: 'paper' as const, yanchor: 'bottom' as const, xanchor: m.out ? ('left' as const) : ('right' as const), text: m.short, showarrow: false, font: { ...font, color: colour('--ink') } })),
      ],
    }; // prettier-ignore
    return { data, layout };
  }
}
